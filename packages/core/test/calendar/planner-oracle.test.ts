/** The planner against the slow one, on random courses of every format, pace and zone. */
import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { planCourse, subtree } from '../../src/index.ts';
import type { CoursePlan, Resolved } from '../../src/index.ts';
import { course, day } from '../support/arbitraries.ts';
import { slowMoment } from '../support/slow-moments.ts';
import type { SlowMoment } from '../support/slow-moments.ts';
import { slowPlan } from '../support/slow-planner.ts';
import { runs } from '../support/runs.ts';

const COURSES = runs(20_000, 10);
const joined = fc.option(day, { nil: null, freq: 2 });

const asSlow = (resolved: Resolved): SlowMoment =>
  resolved.kind === 'undated'
    ? resolved.because
    : { day: resolved.day, time: resolved.time, instant: resolved.instant };

/** Jest's own comparison costs more than planning, so it is asked only to say what differs. */
function same(ours: unknown, theirs: unknown): void {
  if (JSON.stringify(ours) !== JSON.stringify(theirs)) expect(ours).toEqual(theirs);
}

const daysOf = (plan: CoursePlan): object[] =>
  plan.sections.map(({ id, span }) => ({
    id,
    kind: span.kind,
    first: span.kind === 'slot' ? span.slot.first : null,
    last: span.kind === 'slot' ? span.slot.last : null,
  }));

test(`${COURSES} courses have the days and moments that a walk day by day gives them`, () => {
  const seen = { courses: 0, moments: 0, pauses: 0, formats: new Set<string>(), weekdays: new Set<number>() };
  fc.assert(
    fc.property(course, joined, (any, when) => {
      const plan = planCourse(any, { joined: when });
      const slow = slowPlan(any, when);
      same(daysOf(plan), slow.spans);
      same(
        plan.slots.map(({ first, last }) => [first, last]),
        slow.slots,
      );
      same(plan.lastDay, slow.lastDay);
      if (any.dates.format === 'weeks' && any.dates.pace === 'together') {
        const pauses = plan.rows.flatMap((row) => (row.kind === 'pause' ? [row.pause] : []));
        same(
          pauses.map(({ name, number, first, last }) => ({ name, number, first, last })),
          slow.pauses,
        );
        seen.pauses += pauses.length;
      }
      for (const section of plan.sections) {
        for (const node of subtree(section.section)) {
          const found = section.moments.get(node.id);
          for (const use of ['opens', 'due', 'held'] as const) {
            const moment = (node as unknown as Record<string, Parameters<typeof slowMoment>[2] | null>)[use];
            if (moment === null || moment === undefined) continue;
            const trail = use === 'due' ? [node.id] : [];
            const expected = slowMoment(any, slow, moment, use, section.id, when, trail);
            same(
              { id: node.id, use, at: asSlow(found?.[use] as Resolved) },
              { id: node.id, use, at: expected },
            );
            seen.moments += 1;
          }
        }
      }
      seen.courses += 1;
      seen.formats.add(`${any.dates.format} ${any.dates.pace}`);
      if (any.dates.firstDay !== null) seen.weekdays.add(new Date(any.dates.firstDay).getUTCDay());
    }),
    { numRuns: COURSES, seed: 20_270_111 },
  );
  expect(seen.courses).toBeGreaterThanOrEqual(COURSES);
  expect(seen.moments).toBeGreaterThan(COURSES);
  expect(seen.pauses).toBeGreaterThan(COURSES / 40);
  expect([seen.formats.size, seen.weekdays.size]).toEqual([12, 7]);
});
