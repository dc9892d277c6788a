/** Learners who change the words of a page, where the page or the course lets them. */
import type { PageTextAnswer } from '@itinerary/contract';
import { accessAt, findNode, holdOver } from '@itinerary/core';
import type { Course, Viewer } from '@itinerary/core';
import { TextRow } from '../../db/entities.ts';
import type { Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { hashText } from '../../text/rich-text.ts';
import { Failure } from '../failure.ts';
import { nothingHere } from '../nothing-here.ts';
import type { Taking } from '../plan/take-changes.ts';
import { takeChanges } from '../plan/take-changes.ts';

/** What only the editor of the setup knows how to keep: pictures, formulas, links to items, tables. */
const PIECES = /data-(picture|formula|item|part)|<table/i;

/** Whether a page is open to this learner, and to their words. */
export function mayChangePage(course: Course, viewer: Viewer, item: string, now: string): boolean {
  const at = Date.parse(now);
  const place = findNode(course, item);
  if (viewer.role !== 'learner' || place === null || !('changedBy' in place.node)) return false;
  if ((place.node.changedBy ?? course.changedBy) !== 'learners') return false;
  // What is held gathers the staff's words, which learners do not see.
  if (holdOver(course, item, at) !== null) return false;
  return accessAt(course, viewer, at).nodes.get(item)?.state === 'open';
}

export async function pageText(
  em: EntityManager,
  course: Course,
  viewer: Viewer,
  item: string,
  now: string,
): Promise<PageTextAnswer> {
  const answer = accessAt(course, viewer, Date.parse(now)).nodes.get(item);
  if (answer === undefined || answer.state === 'absent' || answer.state === 'named') throw nothingHere();
  const node = findNode(course, item)?.node;
  if (node === undefined || !('changedBy' in node)) throw nothingHere();
  if (!mayChangePage(course, viewer, item, now)) {
    throw new Failure('not_allowed', 'The words of this page are not yours to change');
  }
  if (node.text === null) return { html: '', hash: null };
  const row = await em.findOne(TextRow, { courseId: course.id, hash: node.text });
  const html = row?.html ?? '';
  if (PIECES.test(html)) {
    throw new Failure(
      'not_allowed',
      'This page holds pictures, formulas, links or tables; its staff change it',
    );
  }
  return { html, hash: node.text };
}

/** @throws Failure `bad_input` for pieces: a picture is known by its hash, and whoever knows that would get what they are not shown */
export function mustBeWords(html: string): void {
  if (!PIECES.test(html)) return;
  throw new Failure('bad_input', 'Pictures, formulas, tables and links to items are put in by the staff', [
    { path: 'html', value: html.slice(0, 200), expected: 'words, headings, lists and links' },
  ]);
}

export interface PageWords {
  readonly html: string;
  /** What its author saw there. */
  readonly was: string | null;
}

export async function changePage(
  { em, cleaning }: Taking,
  course: Course,
  { person, viewer }: { readonly person: Person; readonly viewer: Viewer },
  item: string,
  { html, was }: PageWords,
  now: string,
): Promise<PageTextAnswer> {
  const before = await pageText(em, course, viewer, item, now);
  if (before.hash !== was) {
    throw new Failure('out_of_step', 'Somebody else has changed this page meanwhile; load it anew');
  }
  mustBeWords(html);
  const isEmpty = html.trim() === '';
  const hash = isEmpty ? null : hashText(html);
  const edit = { kind: 'set' as const, target: item, field: 'text', value: hash, was };
  const change = { id: `page-${crypto.randomUUID()}`, edits: [edit] };
  const texts = hash === null ? {} : { [hash]: html };
  const answer = await takeChanges(
    { em, cleaning },
    course.id,
    { person, viewer },
    { since: 0, changes: [change], texts },
    now,
  );
  if (answer.refused.length > 0) throw new Failure('not_allowed', 'The page could not be changed');
  return { html, hash: hash === null ? null : (answer.renamed[hash] ?? hash) };
}
