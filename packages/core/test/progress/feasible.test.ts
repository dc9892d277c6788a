/** Whether a course can be finished, and when at the earliest, against somebody who tries; and why it cannot. */
import { describe, expect, test } from '@jest/globals';
import { applyChange, ANY_LEARNER, boundsOf, planFor } from '../../src/index.ts';
import type { Course, Viewer } from '../../src/index.ts';
import { cureOf } from '../../src/progress/cures.ts';
import { feasibility } from '../../src/progress/feasible.ts';
import { reasonsWhyNot } from '../../src/progress/reasons.ts';
import { gatedCourse } from '../support/random-progress.ts';
import { randomness } from '../support/randomness.ts';
import { runs } from '../support/runs.ts';
import { walkThrough } from '../support/walker.ts';

const COURSES = runs(2000, 2);

/** From their joining on, or from the first day. */
function startOf(course: Course, viewer: Viewer): number {
  const first = boundsOf(planFor(course, viewer)).opensAt ?? 0;
  const joined = viewer.joinedAt == null ? first : Date.parse(viewer.joinedAt);
  return course.window.before === 'open' ? joined : Math.max(joined, first);
}

test(`whoever tries finishes when it says, and only then: ${COURSES} courses`, () => {
  const chance = randomness(20_270_111);
  const found = { yes: 0, no: 0, nothing: 0, late: 0 };
  for (let run = 0; run < COURSES; run += 1) {
    const course = gatedCourse(chance);
    const groups = chance() < 0.5 ? ['k'] : [];
    const joinedAt = chance() < 0.3 ? '2027-01-14T10:00:00.000Z' : null;
    const viewer: Viewer = { ...ANY_LEARNER, groups, joinedAt };
    const says = feasibility(course, viewer);
    const tried = walkThrough(course, viewer, startOf(course, viewer));
    if (says.can === 'nothing') expect({ run, tried }).toEqual({ run, tried: null });
    else if (says.earliest?.at !== (tried ?? undefined)) {
      expect({ run, course, at: says.earliest?.at ?? null }).toEqual({ run, course, at: tried });
    }
    found[says.can] += 1;
    if (says.can === 'yes' && (says.earliest?.at ?? 0) > startOf(course, viewer)) found.late += 1;
    const reasons = reasonsWhyNot(course, viewer);
    expect({ run, isWhy: reasons.length > 0 }).toEqual({ run, isWhy: says.can === 'no' });
    if (says.atPace !== null) expect(says.atPace.at).toBeGreaterThanOrEqual(says.earliest?.at ?? 0);
  }
  expect(found.yes).toBeGreaterThan(COURSES / 5);
  expect(found.no).toBeGreaterThan(COURSES / 5);
  expect(found.late).toBeGreaterThan(COURSES / 20);
});

describe('the reasons', () => {
  test('cured one after the other they leave a course that can be finished', () => {
    const chance = randomness(5);
    const count = { finished: 0, decide: 0 };
    for (let run = 0; run < runs(600, 4); run += 1) {
      let course = gatedCourse(chance);
      const viewer: Viewer = { ...ANY_LEARNER, groups: ['k'] };
      const seen = new Set<string>();
      for (let more = 0; more < 40; more += 1) {
        const [reason] = reasonsWhyNot(course, viewer);
        if (reason === undefined) break;
        // No way round in a circle.
        const says = JSON.stringify(course);
        expect({ run, isSeen: seen.has(says) }).toEqual({ run, isSeen: false });
        seen.add(says);
        const cure = cureOf(course, viewer, reason);
        if (cure === null) break;
        const applied = applyChange(course, { id: 'cure', edits: [...cure] });
        if (!applied.ok) throw new Error('a cure that cannot be applied');
        course = applied.course;
      }
      if (feasibility(course, viewer).can === 'no') count.decide += 1;
      else count.finished += 1;
    }
    expect(count.finished).toBeGreaterThan(20 * count.decide);
  });
});
