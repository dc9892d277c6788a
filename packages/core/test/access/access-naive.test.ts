/** The answer about access, against a slow and simple one that is written without looking at it. */
import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { applyChange, courseView, isHolder, resolveAccess } from '../../src/index.ts';
import type { Course, CourseNode, Viewer } from '../../src/index.ts';
import { course, day, time, viewer } from '../support/arbitraries.ts';
import { changeFor, move } from '../support/random-changes.ts';
import { SlowAccess } from '../support/slow-access.ts';
import { FEW, runs } from '../support/runs.ts';

const COURSES = runs(1250, 10);
/** Eight persons and five moments of each. */
const ANSWERS = COURSES * 40;
/** Persons that each course is asked about, and moments for each of them. */
const PERSONS = 8;
const MOMENTS = 5;

/** Most of the moments lie near the course's own; the others anywhere. */
function near(of: Course, anywhere: string, days: number): string {
  const { firstDay } = of.dates;
  if (firstDay === null || days % 5 === 0) return anywhere;
  return new Date(Date.parse(`${firstDay}T${anywhere.slice(11, 16)}:00Z`) + days * 86_400_000).toISOString();
}

const moment = fc.record({
  on: fc.tuple(day, time).map(([date, at]) => `${date}T${at}:00Z`),
  days: fc.integer({ min: -20, max: 150 }),
});
const exactly = <T>(one: fc.Arbitrary<T>, count: number): fc.Arbitrary<T[]> =>
  fc.array(one, { minLength: count, maxLength: count });
const asked = fc.record({ who: viewer, moments: exactly(moment, MOMENTS) });

/** Compares every node of the course; returns how many were asked about. */
function compare(of: Course, who: Viewer, moment: string, seen: Map<string, number>): number {
  const access = resolveAccess(of, who, moment);
  const slow = new SlowAccess(of, who, moment);
  const count = (key: string): void => void seen.set(key, (seen.get(key) ?? 0) + 1);
  const short = ({ state, because }: { state: string; because: string }): string => `${state} ${because}`;
  const own = slow.course();
  if (short(access.course) !== short(own)) {
    throw new Error(`the course at ${moment}: ${short(access.course)}, not ${short(own)}`);
  }
  let nodes = 0;
  const visit = (node: CourseNode, above: readonly CourseNode[]): void => {
    const chain = [...above, node];
    const expected = slow.node(chain);
    const answer = access.nodes.get(node.id);
    nodes += 1;
    count(expected.state);
    count(expected.because);
    if (answer === undefined || short(answer) !== short(expected)) {
      // Said in full, so that the seed is not needed to see what is wrong.
      throw new Error(`${node.id} at ${moment}: ${JSON.stringify(answer)}, not ${short(expected)}`);
    }
    if (isHolder(node)) node.items.forEach((item) => visit(item, chain));
  };
  slow.sections.forEach((section) => visit(section, []));
  if (access.nodes.size !== nodes) throw new Error(`${access.nodes.size} answers for ${nodes} nodes`);
  const isGone = courseView(of, who, moment) === null;
  if (isGone !== (own.state === 'absent')) throw new Error(`the view at ${moment}: ${isGone}`);
  return nodes;
}

test(`agrees with the slow one on ${ANSWERS} courses, persons and moments`, () => {
  const seen = new Map<string, number>();
  let answers = 0;
  fc.assert(
    fc.property(course, fc.array(move, { maxLength: 4 }), exactly(asked, PERSONS), (start, moves, all) => {
      const change = changeFor(start, moves, 'c');
      const applied = change === null ? null : applyChange(start, change);
      const any = applied?.ok ? applied.course : start;
      for (const { who, moments } of all) {
        for (const { on, days } of moments) compare(any, who, near(any, on, days), seen);
        answers += moments.length;
      }
    }),
    { numRuns: COURSES, seed: 41 },
  );
  expect(answers).toBe(ANSWERS);
  for (const state of ['absent', 'named', 'look', 'open'])
    expect(seen.get(state) ?? 0).toBeGreaterThan(FEW ? -1 : ANSWERS / 10);
  // A reason that never came up would have been compared with nothing.
  const reasons = [
    ...['staff', 'member', 'course_draft', 'course_archived', 'not_a_member', 'passphrase_wanted', 'visitor'],
    ...['before_dates', 'after_dates', 'removed', 'section_not_shown', 'item_not_shown', 'staff_only'],
    ...['kept_aside', 'other_audience', 'not_yet', 'waiting', 'over', 'sample'],
  ];
  for (const reason of reasons)
    expect([reason, FEW || (seen.get(reason) ?? 0) > ANSWERS / 1000]).toEqual([reason, true]);
});
