/** A course's whole plan, with all that its stops need to know besides. */
import type { PlanAnswer } from '@itinerary/contract';
import { hasRight } from '@itinerary/core';
import type { DeepReadonly, Viewer } from '@itinerary/core';
import type { Around } from '../../db/coming.ts';
import { TextRow } from '../../db/entities.ts';
import type { KeptCourse } from '../../db/kept-courses.ts';
import type { EntityManager } from '../../db/orm.ts';
import { passphraseState } from '../access/passphrase.ts';
import { countsOf } from '../access/counts.ts';
import { doorFacts } from '../joining/door.ts';
import type { Outside } from '../joining/door.ts';
import { nothingHere } from '../nothing-here.ts';
import { faceFacts } from '../reading/face.ts';
import { factsOfTexts } from './texts.ts';

export async function readPlan(
  em: EntityManager,
  { course, row }: KeptCourse,
  viewer: Viewer,
  around: Around,
  outside: Outside,
  now: string,
): Promise<DeepReadonly<PlanAnswer>> {
  return {
    course,
    ...(await countsOf(em, course.id)),
    // Of the course that is sent, whatever has been changed since.
    seq: row.seq,
    passphrase: await passphraseState(em, course.id),
    texts: Object.fromEntries(await factsOfTexts(em, course.id)),
    face: faceFacts(around),
    door: await doorFacts(em, course, outside, now),
    rights: {
      plan: hasRight(viewer, 'plan'),
      state: hasRight(viewer, 'state'),
      members: hasRight(viewer, 'members'),
    },
  };
}

export async function readText(
  em: EntityManager,
  courseId: string,
  hash: string,
): Promise<{ readonly html: string }> {
  const row = await em.findOne(TextRow, { courseId, hash });
  if (row === null) throw nothingHere();
  return { html: row.html };
}
