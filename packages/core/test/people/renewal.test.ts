/** What is done about a period that was paid for: a table of situations, and when a period ends. */
import { describe, expect, test } from '@jest/globals';
import { planCourse, SHUT_WAY } from '../../src/index.ts';
import type { Course, Price } from '../../src/index.ts';
import { periodEnd, renewalAct, renewsAt } from '../../src/people/index.ts';
import type { Renewing } from '../../src/people/index.ts';
import { estuary } from '../support/estuary.ts';

const DAY = 86_400_000;
const UNTIL = Date.parse('2027-06-15T10:00:00Z');
const paid: Renewing = { until: UNTIL, isStopped: false, isTold: false, next: null };

test.each([
  [
    '2027-02-15T10:00:00.000Z',
    4,
    'Europe/Lisbon',
    '2027-06-15T09:00:00.000Z',
    'the same time there, an hour less in winter',
  ],
  ['2027-01-31T10:00:00.000Z', 1, 'UTC', '2027-02-28T10:00:00.000Z', 'the last day of a shorter month'],
  ['2028-02-29T23:30:00.000Z', 12, 'UTC', '2029-02-28T23:30:00.000Z', 'a leap day'],
  [
    '2027-02-28T02:30:00.000Z',
    1,
    'Europe/Berlin',
    '2027-03-28T01:30:00.000Z',
    'an hour that the clocks leave out',
  ],
])('from %s, %i months in %s: until %s (%s)', (from, months, zone, until) => {
  expect(periodEnd(from, months, zone)).toBe(until);
});

describe('what is to be done', () => {
  const told = { ...paid, isTold: true };
  const stopped = { ...told, isStopped: true };
  const refused: Renewing = { ...told, next: 'refused' };
  test.each([
    ['eight days before', paid, -8, null],
    ['seven days before', paid, -7, 'tell'],
    ['told already', told, -3, null],
    ['ended by whoever pays, and not told yet', { ...stopped, isTold: false }, -3, 'tell'],
    ['the instant itself', told, 0, 'charge'],
    ['nobody was told, and it is due', paid, 0, 'charge'],
    ['ended by whoever pays', stopped, 0, 'end'],
    ['ended, a month ago', stopped, 30, 'end'],
    ['asked for', { ...told, next: 'under_way' as const }, 3, null],
    ['asked for, and the desk does not answer for weeks', { ...told, next: 'under_way' as const }, 40, null],
    ['asked for, and ended meanwhile', { ...stopped, next: 'under_way' as const }, 1, null],
    ['refused, and there are days left', refused, 6.9, null],
    ['refused, and no day is left', refused, 7, 'end'],
    ['refused, and ended', { ...refused, isStopped: true }, 1, 'end'],
  ] as const)('%s', (_, renewing, days, act) => {
    expect(renewalAct(renewing, true, UNTIL + days * DAY)).toBe(act);
    // Where nothing renews any more, nobody is asked for money and nobody is put out.
    expect(renewalAct(renewing, false, UNTIL + days * DAY)).toBeNull();
  });
});

describe('where anything renews', () => {
  const price: Price = {
    currency: 'EUR',
    amount: 9000,
    reduced: null,
    byKind: { teaching: null, staff: null, learner: null, visitor: null },
    months: 3,
  };
  const made = estuary();
  const with_ = (change: Partial<Course>, way = { ...SHUT_WAY, on: true, price }): Course => ({
    ...made,
    state: 'live',
    ways: { paying: way },
    ...change,
  });
  const at = (course: Course, instant: string): boolean => renewsAt(planCourse(course), Date.parse(instant));
  const DURING = '2027-03-10T00:00:00Z';

  test('in a live course whose way is on and priced by the month, to the end of its last day', () => {
    expect(at(with_({}), DURING)).toBe(true);
    expect(at(with_({}), '2027-03-21T23:59:59Z')).toBe(true);
    expect(at(with_({}), '2027-03-22T00:00:00Z')).toBe(false);
    expect(at(with_({ state: 'archived' }), DURING)).toBe(false);
    expect(at(with_({ state: 'draft' }), DURING)).toBe(false);
    expect(at(with_({ ways: {} }), DURING)).toBe(false);
    expect(at(with_({}, { ...SHUT_WAY, price }), DURING)).toBe(false);
    expect(at(with_({}, { ...SHUT_WAY, on: true, price: { ...price, months: null } }), DURING)).toBe(false);
  });
});
