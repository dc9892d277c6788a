/** Groups that learners choose: which they are, in their order, and until when. */
import { expect, test } from '@jest/globals';
import { planCourse } from '../../src/index.ts';
import type { Course, GroupingPlan } from '../../src/index.ts';
import { chosenGroupings, choosingUntil, groupsIn } from '../../src/people/index.ts';
import { estuary } from '../support/estuary.ts';

type Choice = NonNullable<GroupingPlan['choice']>;
const OPEN: Choice = { until: null, most: null, own: false };
const grouping = (at: number, choice: Choice | null): GroupingPlan => ({
  name: `Grouping ${at}`,
  at,
  choice,
});
const group = (at: number, of: string | null, kind: 'group' | 'class' = 'group') => ({
  name: `Group ${at}`,
  kind,
  at,
  grouping: of,
});
const withChoice = (choice: Choice | null, state: Course['state'] = 'live'): Course => ({
  ...estuary('UTC'),
  state,
  groupings: { late: grouping(9, OPEN), labs: grouping(1, choice), told: grouping(2, null) },
  groups: {
    z: group(1, 'labs'),
    a: group(3, 'labs'),
    m: group(2, 'labs'),
    other: group(4, 'late'),
    none: group(5, null),
    class: group(6, 'labs', 'class'),
  },
});

test('those of a grouping in their order, and of the groupings those that are chosen in', () => {
  const all = withChoice(OPEN);
  expect([groupsIn(all, 'labs'), groupsIn(all, 'gone'), chosenGroupings(all)]).toEqual([
    ['z', 'm', 'a'],
    [],
    ['labs', 'late'],
  ]);
});

const day = (time: string | null): Choice => ({
  ...OPEN,
  until: { kind: 'fixed', day: '2027-03-05', time },
});
const at = (iso: string): number => Date.parse(iso);

test.each<[string, Choice | null, Course['state'], string, boolean]>([
  ['without an end', OPEN, 'live', '2030-01-01T00:00:00Z', true],
  ['before the course is live', OPEN, 'draft', '2027-03-01T00:00:00Z', false],
  ['in the archive', OPEN, 'archived', '2027-03-01T00:00:00Z', false],
  ['staff say who is where', null, 'live', '2027-03-01T00:00:00Z', false],
  ['in the minute that it ends with', day('12:00'), 'live', '2027-03-05T12:00:59Z', true],
  ['after that minute', day('12:00'), 'live', '2027-03-05T12:01:00Z', false],
  ['on the day that it ends with', day(null), 'live', '2027-03-05T23:59:59Z', true],
  ['on the day after', day(null), 'live', '2027-03-06T00:00:00Z', false],
])('%s', (_what, choice, state, now, isOpen) => {
  const plan = planCourse(withChoice(choice, state));
  expect(choosingUntil(plan, 'labs', at(now)).isOpen).toBe(isOpen);
});
