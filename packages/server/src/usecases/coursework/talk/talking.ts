/** A discussion as one person has it: whether they may post, which threads they get, and whose words they see. */
import { findNode, groupWorkOf, hasRight, mayWith } from '@itinerary/core';
import type { Course, Discussion, InGroup, Viewer } from '@itinerary/core';
import { PostRow } from '../../../db/entities.ts';
import type { EntityManager } from '../../../db/orm.ts';
import type { ThreadRecord } from '../../../db/entities/talk.ts';
import { Failure } from '../../failure.ts';
import { nothingHere } from '../../nothing-here.ts';
import { itemFor } from '../taken-work.ts';

export interface Talker {
  readonly course: Course;
  readonly viewer: Viewer;
  readonly person: { readonly id: string } | null;
}

export interface Talking extends Talker {
  readonly node: Discussion;
  /** Staff: they pin, close, and take away, and are in every group's thread. */
  readonly mayLead: boolean;
  /** It is open to them, and not closed. */
  readonly mayPost: boolean;
  /** A learner who has posted nothing yet, where that comes first. */
  readonly mustPost: boolean;
}

const leads = ({ viewer, person }: Talker): boolean => hasRight(viewer, 'mark') && person !== null;

/** What is said stays with those who take part: whoever only looks around gets the item, and nobody's words. */
export const takesPart = (talker: Talker): boolean =>
  leads(talker) || (talker.viewer.role === 'learner' && talker.person !== null);

/** @throws Failure `not_found` where this person does not get it, or it is no discussion, or they take no part in any */
export async function talkingIn(
  em: EntityManager,
  talker: Talker,
  itemId: string,
  now: string,
): Promise<Talking> {
  const { course, viewer, person } = talker;
  const { node, isOpen } = itemFor(course, viewer, itemId, 'discussion', now);
  if (!takesPart(talker)) throw nothingHere();
  const mayLead = leads(talker);
  const key = { courseId: course.id, itemId, authorId: person?.id ?? '' };
  const hasPosted = mayLead || !node.firstPost || (await em.count(PostRow, key)) > 0;
  return {
    ...talker,
    node,
    mayLead,
    mayPost: !node.shut && (mayLead || isOpen),
    mustPost: !hasPosted,
  };
}

/** What somebody does with a thread: staff's is everybody's, learners' is their group's where there are groups. */
export function inThread(
  { course, viewer, node, person, mayLead }: Talking,
  { byStaff, authorId, groupIds }: Pick<ThreadRecord, 'byStaff' | 'authorId' | 'groupIds'>,
): InGroup {
  const mode = groupWorkOf(course, findNode(course, node.id)?.node ?? node);
  if (mayLead || byStaff || mode === 'none' || authorId === person?.id) return 'work';
  return mayWith(course, mode, viewer.groups ?? [], groupIds);
}

/** The groups whose thread it becomes. */
export function groupsOfNew({ course, viewer, node, mayLead }: Talking): readonly string[] {
  const mode = groupWorkOf(course, findNode(course, node.id)?.node ?? node);
  if (mayLead || mode === 'none') return [];
  return (viewer.groups ?? []).filter((id) => course.groups[id]?.kind === 'group');
}

export const notPosted = (path: string, sentence: string): Failure =>
  new Failure('cannot_hand_in', sentence, [
    { path, value: path, expected: 'a discussion that is open to posts' },
  ]);
