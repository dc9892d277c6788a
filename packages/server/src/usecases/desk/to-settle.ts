/** How much readiness finds in each course of a desk: worked out once for as long as nothing of it changes. */
import type { DeskCourse } from '@itinerary/contract';
import { dayOf, findings, isBlocker, planFor } from '@itinerary/core';
import type { Course, FaceFacts, Term } from '@itinerary/core';
import type { EntityManager } from '../../db/orm.ts';
import { inPieces } from '../../lanes/give-way.ts';
import { PASSER_BY } from '../access/viewer.ts';
import { factsIn } from '../plan/texts.ts';

export interface Settling {
  readonly course: Course;
  readonly learners: number;
  readonly term: Term | null;
  readonly face: FaceFacts;
}

type Counts = NonNullable<DeskCourse['toSettle']>;

/**
 * A course that is changed is another object, its texts with it. Beside it a desk's findings depend on the day where the
 * course is, and not on the instant: only what stands at the doors does, which no desk asks about.
 */
const kept = new WeakMap<Course, { readonly by: string; readonly counts: Counts }>();

const keyOf = ({ course, learners, term, face }: Settling, now: string): string =>
  JSON.stringify([dayOf(now, course.dates.zone), learners, term, face]);

/** @returns by course; of those that are kept without a question */
export async function toSettle(
  em: EntityManager,
  asked: readonly Settling[],
  now: string,
): Promise<ReadonlyMap<string, Counts>> {
  const known = new Map<string, Counts>();
  const missing: (readonly [Settling, string])[] = [];
  for (const one of asked) {
    const by = keyOf(one, now);
    const there = kept.get(one.course);
    if (there?.by === by) known.set(one.course.id, there.counts);
    else missing.push([one, by]);
  }
  if (missing.length === 0) return known;
  const texts = await factsIn(
    em,
    missing.map(([{ course }]) => course.id),
  );
  await inPieces(missing, ([{ course, ...facts }, by]) => {
    const found = findings(
      course,
      { moment: now, ...facts, texts: texts.get(course.id) ?? new Map() },
      planFor(course, PASSER_BY),
    );
    const blockers = found.filter(isBlocker).length;
    const counts = { blockers, advice: found.length - blockers };
    kept.set(course, { by, counts });
    known.set(course.id, counts);
  });
  return known;
}
