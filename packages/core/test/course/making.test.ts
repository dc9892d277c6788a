/** Edits as they are made: each is taken by core, says what stood there, and can be taken back. */
import { describe, expect, test } from '@jest/globals';
import {
  applyChange,
  findNode,
  newItem,
  setDates,
  setDatesEntry,
  setField,
  setMoment,
  setTableEntry,
} from '../../src/index.ts';
import type { Course, SetEdit } from '../../src/index.ts';
import { smallCourse } from '../support/arbitraries.ts';

const course: Course = {
  ...smallCourse(),
  outcomes: { o: { text: 'Read a tide table', at: 1 } },
};
const section = course.sections[0]!;

describe('an edit', () => {
  const cases: readonly (readonly [what: string, edit: SetEdit, field: string, was: unknown])[] = [
    ['of the course', setField(course, 'hoursAWeek', 6), 'hoursAWeek', null],
    ['of a section', setField(section, 'shown', false), 'shown', true],
    ['of its dates', setDates(course, 'weeks', 9), 'dates.weeks', course.dates.weeks],
    [
      'of an entry that is there',
      setTableEntry(course, 'outcomes', 'o', { text: 'Draw one', at: 1 }),
      'outcomes.o',
      { text: 'Read a tide table', at: 1 },
    ],
    [
      'of an entry that is new',
      setTableEntry(course, 'groups', 'k', { name: 'Class A', kind: 'class', at: 1 }),
      'groups.k',
      null,
    ],
    [
      'of an entry of its dates',
      setDatesEntry(course, 'pauses', 'p', {
        name: 'Storms',
        first: '2027-02-01',
        last: '2027-02-07',
        policy: 'between',
      }),
      'dates.pauses.p',
      null,
    ],
    [
      'that takes an entry away',
      setTableEntry(course, 'outcomes', 'o', null),
      'outcomes.o',
      { text: 'Read a tide table', at: 1 },
    ],
  ];

  test.each(cases)('%s', (_what, edit, field, was) => {
    expect([edit.field, edit.was]).toEqual([field, was]);
    const applied = applyChange(course, { id: 'c', edits: [edit] });
    expect(applied.ok).toBe(true);
    if (!applied.ok) return;
    const back = applyChange(applied.course, { id: 'b', edits: [...applied.inverse], undoes: 'c' });
    expect(back.ok && back.course).toEqual(course);
    expect(findNode(course, section.id)?.node).toBe(section);
  });

  test('of a moment that only some have', () => {
    const moment = { kind: 'fixed', day: '2027-02-02', time: null } as const;
    const [edit] = setMoment(section, 'opens', moment);
    expect(edit).toEqual({ kind: 'set', target: section.id, field: 'opens', value: moment, was: null });
    expect(setMoment(section, 'due', moment)).toEqual([]);
    expect(setMoment(newItem('page', { id: 'p', title: 'P' }), 'held', moment)).toEqual([]);
    expect(setMoment(undefined, 'opens', moment)).toEqual([]);
  });
});
