import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { courseView, hasRight, isThere, resolveAccess } from '../../src/index.ts';
import type { AccessState, Course, CourseState, Reason, Viewer } from '../../src/index.ts';
import { course, smallCourse } from '../support/arbitraries.ts';

const NOW = '2027-01-20T09:00:00Z';
const as = (role: Viewer['role'], institutionStaff = false): Viewer => ({ role, institutionStaff });

/** A course with a hidden section, a hidden item, and a removed one. */
function situation(state: CourseState): Course {
  const base = smallCourse();
  const [a, b] = base.sections as [Course['sections'][number], Course['sections'][number]];
  const [a1, a2, a3] = a.items as [
    (typeof a.items)[number],
    (typeof a.items)[number],
    (typeof a.items)[number],
  ];
  return {
    ...base,
    state,
    sections: [
      { ...a, items: [a1, { ...a2, shown: false }, { ...a3, removed: true }] },
      { ...b, shown: false },
    ],
  };
}

type Row = readonly [CourseState, Viewer['role'] | 'staff', string, AccessState, Reason];

const TABLE: readonly Row[] = [
  ['draft', 'learner', 'course', 'absent', 'course_draft'],
  ['draft', 'learner', 'a1', 'absent', 'course_draft'],
  ['draft', 'visitor', 'course', 'absent', 'course_draft'],
  ['draft', null, 'course', 'absent', 'course_draft'],
  ['draft', 'instructor', 'a1', 'open', 'staff'],
  ['draft', 'assistant', 'a1', 'open', 'staff'],
  ['draft', 'staff', 'a1', 'open', 'staff'],
  ['live', 'learner', 'course', 'open', 'member'],
  ['live', 'learner', 'A', 'open', 'member'],
  ['live', 'learner', 'a1', 'open', 'member'],
  ['live', 'learner', 'a2', 'absent', 'item_not_shown'],
  ['live', 'learner', 'a3', 'absent', 'removed'],
  ['live', 'learner', 'B', 'absent', 'section_not_shown'],
  ['live', 'learner', 'b1', 'absent', 'section_not_shown'],
  ['live', 'instructor', 'a2', 'open', 'staff'],
  ['live', 'instructor', 'b1', 'open', 'staff'],
  ['live', 'instructor', 'a3', 'absent', 'removed'],
  ['live', 'visitor', 'course', 'look', 'visitor'],
  ['live', 'visitor', 'a1', 'look', 'visitor'],
  ['live', 'visitor', 'b1', 'absent', 'section_not_shown'],
  ['live', null, 'course', 'absent', 'not_a_member'],
  ['live', null, 'a1', 'absent', 'not_a_member'],
  ['archived', 'learner', 'a1', 'look', 'course_archived'],
  ['archived', 'instructor', 'a1', 'look', 'course_archived'],
  ['archived', 'staff', 'course', 'look', 'course_archived'],
  ['archived', 'visitor', 'a1', 'look', 'course_archived'],
  ['archived', null, 'a1', 'absent', 'not_a_member'],
];

test.each(TABLE)('%s course, %s, %s: %s because %s', (state, role, node, expected, because) => {
  const viewer = role === 'staff' ? as(null, true) : as(role);
  const access = resolveAccess(situation(state), viewer, NOW);
  const answer = node === 'course' ? access.course : access.nodes.get(node);
  expect(answer).toEqual({ state: expected, because });
});

const RANK = { absent: 0, named: 1, look: 2, open: 3 };
const viewer = fc.record({
  role: fc.constantFrom(
    'instructor' as const,
    'assistant' as const,
    'learner' as const,
    'visitor' as const,
    null,
  ),
  institutionStaff: fc.boolean(),
});

test('a part is never more than any ancestor, and every node has an answer', () => {
  fc.assert(
    fc.property(course, viewer, (any, who) => {
      const access = resolveAccess(any, who, NOW);
      for (const section of any.sections) {
        const of = access.nodes.get(section.id)!;
        expect(RANK[of.state]).toBeLessThanOrEqual(RANK[access.course.state]);
        for (const item of section.items) {
          const own = access.nodes.get(item.id)!;
          // Samples alone skip what stands above them.
          if (own.because !== 'sample') expect(RANK[own.state]).toBeLessThanOrEqual(RANK[of.state]);
        }
      }
    }),
    { numRuns: 300, seed: 11 },
  );
});

describe('what somebody gets', () => {
  test('holds nothing that the answer denies', () => {
    fc.assert(
      fc.property(course, viewer, (any, who) => {
        const access = resolveAccess(any, who, NOW);
        const view = courseView(any, who, NOW);
        expect(view !== null).toBe(isThere(access.course));
        for (const section of view?.sections ?? []) {
          expect(access.nodes.get(section.id)?.state).not.toBe('absent');
          for (const item of section.items) expect(access.nodes.get(item.id)?.state).not.toBe('absent');
        }
      }),
      { numRuns: 300, seed: 12 },
    );
  });

  test('is numbered, dated, and says which section is on', () => {
    const view = courseView({ ...smallCourse(), state: 'live' }, as('learner'), NOW);
    expect(view?.now).toEqual({ kind: 'slot', number: 2 });
    expect(view?.sections.map(({ number, current, days }) => ({ number, current, days }))).toEqual([
      { number: '1', current: false, days: { first: '2027-01-11', last: '2027-01-17' } },
      { number: '2', current: true, days: { first: '2027-01-18', last: '2027-01-24' } },
    ]);
    expect(view?.sections[0]?.items.map(({ number }) => number)).toEqual(['1.1', '1.2', '1.3']);
  });

  test('what is hidden takes no number; the others are the same for everybody', () => {
    const learner = courseView(situation('live'), as('learner'), NOW);
    const instructor = courseView(situation('live'), as('instructor'), NOW);
    expect(learner?.sections.map(({ id, number }) => [id, number])).toEqual([['A', '1']]);
    expect(instructor?.sections.map(({ id, number }) => [id, number])).toEqual([
      ['A', '1'],
      ['B', null],
    ]);
  });
});

test('rights', () => {
  expect(hasRight(as('assistant'), 'plan')).toBe(true);
  expect(hasRight(as('assistant'), 'state')).toBe(false);
  expect(hasRight(as('learner'), 'plan')).toBe(false);
  expect(hasRight(as(null), 'read')).toBe(false);
  expect(hasRight(as(null, true), 'members')).toBe(true);
});
