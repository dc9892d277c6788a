/**
 * Situations, as data: who stands before which course at which moment, and what they get of which part, with the
 * reason. Worked out by hand from docs/semantics.md; core has to agree with every line.
 *
 * The course is live, Mon 11 to Sun 24 Jan 2027 in Lisbon (which is UTC then), closed to nobody: section A with
 * a1, a2, a3, section B with b1 and a folder F that holds f1. Opening a1, a2 or b1 counts as done. A line sets
 * fields of the course (`window`) or of a node (`a1.opens`).
 */
import type { ConditionGroup, OpeningRule, PlannedMoment } from '../../src/index.ts';

export type Who =
  | 'learner'
  | 'of_class'
  | 'of_group'
  | 'late'
  | 'did_a1'
  | 'did_a1_a2'
  | 'scored_70'
  | 'scored_80'
  | 'knows_tides'
  | 'extended'
  | 'instructor'
  | 'assistant'
  | 'staff'
  | 'visitor'
  | 'here'
  | 'passer_by'
  | 'with_phrase';

export type When = 'eve' | 'first' | 'week1' | 'week2' | 'end' | 'after';

export const MOMENTS: Readonly<Record<When, string>> = {
  eve: '2027-01-10T23:59:59Z',
  first: '2027-01-11T00:00:00Z',
  week1: '2027-01-13T09:00:00Z',
  week2: '2027-01-20T09:00:00Z',
  end: '2027-01-24T23:59:59Z',
  after: '2027-01-25T00:00:00Z',
};

export type Situation = readonly [
  who: Who,
  when: When,
  set: Readonly<Record<string, unknown>>,
  node: string,
  expected: string,
];

const fixed = (day: string, time: string | null = null): PlannedMoment => ({ kind: 'fixed', day, time });
const MON_18 = fixed('2027-01-18');
const WED_13_0900 = fixed('2027-01-13', '09:00');
const WED_13_0901 = fixed('2027-01-13', '09:01');
const relative = (
  anchor: Extract<PlannedMoment, { kind: 'relative' }>['anchor'],
  days: number,
): PlannedMoment => ({
  kind: 'relative',
  anchor,
  shift: days === 0 ? null : { by: days, unit: 'days' },
  weekday: null,
  time: null,
});
const JOINED_PLUS_3 = relative({ of: 'joining' }, 3);
const JOINED_PLUS_2 = relative({ of: 'joining' }, 2);
const NO_DATE: PlannedMoment = relative({ of: 'section', at: 'start', section: 'nowhere' }, 0);
const all = (...of: ConditionGroup['of']): ConditionGroup => ({ kind: 'all', of });
const any = (...of: ConditionGroup['of']): ConditionGroup => ({ kind: 'any', of });
const rule = (
  when: ConditionGroup,
  until: PlannedMoment | null = null,
  then: OpeningRule['then'] = 'look',
): OpeningRule => ({ when, until, then });
const done = (...items: string[]) => ({ kind: 'done', items }) as const;
const scored = (least: number) => ({ kind: 'scored', item: 'a1', least }) as const;
const from = (moment: PlannedMoment) => ({ kind: 'from', moment }) as const;
const BEFORE = { kind: 'before' } as const;
const TIDES = { kind: 'course', course: 'tides', title: 'Reading the Tides' } as const;

const DRAFT = { state: 'draft' };
const ARCHIVED = { state: 'archived' };
const window = (before: string, after = 'open') => ({ window: { before, after } });
const UNTIL_13 = { 'a1.rule': rule(all(), fixed('2027-01-13')) };
const UNTIL_0900 = { 'a1.rule': rule(all(), WED_13_0900, 'absent') };
const LATE_A = { 'A.opens': MON_18 };
const LATE_a1 = { 'a1.opens': MON_18 };
const CLASS_EXCEPTION = {
  exceptions: { x: { for: 'k', node: 'a1', opens: fixed('2027-01-11'), due: null, until: null, at: 1 } },
};
const EVERY_WAY = { find: 'anyone', visitors: 'anyone' };

export const SITUATIONS: readonly Situation[] = [
  // The course's state.
  ['learner', 'week1', {}, 'course', 'open member'],
  ['learner', 'week1', {}, 'a1', 'open member'],
  ['learner', 'week1', DRAFT, 'course', 'absent course_draft'],
  ['learner', 'week1', DRAFT, 'a1', 'absent course_draft'],
  ['visitor', 'week1', DRAFT, 'course', 'absent course_draft'],
  ['passer_by', 'week1', { ...DRAFT, ...EVERY_WAY }, 'course', 'absent course_draft'],
  ['assistant', 'week1', DRAFT, 'a1', 'open staff'],
  ['instructor', 'week1', DRAFT, 'course', 'open staff'],
  ['staff', 'week1', DRAFT, 'b1', 'open staff'],
  ['learner', 'week1', ARCHIVED, 'course', 'look course_archived'],
  ['learner', 'week1', ARCHIVED, 'a1', 'look course_archived'],
  ['instructor', 'week1', ARCHIVED, 'a1', 'look course_archived'],
  ['staff', 'week1', ARCHIVED, 'course', 'look course_archived'],
  ['visitor', 'week1', ARCHIVED, 'a1', 'look course_archived'],
  ['learner', 'week1', { ...DRAFT, goesLive: { day: '2027-01-13', time: '09:00' } }, 'a1', 'open member'],
  [
    'learner',
    'week1',
    { ...DRAFT, goesLive: { day: '2027-01-13', time: '09:01' } },
    'a1',
    'absent course_draft',
  ],
  [
    'learner',
    'week1',
    { ...ARCHIVED, goesLive: { day: '2027-01-01', time: '00:00' } },
    'a1',
    'look course_archived',
  ],
  ['instructor', 'eve', { ...DRAFT, goesLive: { day: '2027-01-13', time: '09:00' } }, 'a1', 'open staff'],
  // Finding it, and the way in.
  ['here', 'week1', {}, 'course', 'absent not_a_member'],
  ['here', 'week1', { find: 'here' }, 'course', 'named not_a_member'],
  ['here', 'week1', { find: 'here' }, 'a1', 'absent not_a_member'],
  ['here', 'week1', { find: 'anyone' }, 'course', 'named not_a_member'],
  ['passer_by', 'week1', { find: 'here' }, 'course', 'absent not_a_member'],
  ['passer_by', 'week1', { find: 'anyone' }, 'course', 'named not_a_member'],
  ['passer_by', 'week1', { find: 'here', visitors: 'anyone' }, 'course', 'absent not_a_member'],
  ['passer_by', 'week1', EVERY_WAY, 'course', 'look visitor'],
  ['passer_by', 'week1', EVERY_WAY, 'a1', 'look visitor'],
  ['here', 'week1', { find: 'here', visitors: 'anyone' }, 'f1', 'look visitor'],
  ['here', 'week1', { visitors: 'anyone' }, 'course', 'absent not_a_member'],
  ['here', 'week1', { find: 'here', visitors: 'passphrase' }, 'course', 'named passphrase_wanted'],
  ['here', 'week1', { find: 'here', visitors: 'passphrase' }, 'a1', 'absent passphrase_wanted'],
  ['with_phrase', 'week1', { find: 'here', visitors: 'passphrase' }, 'a1', 'look visitor'],
  ['with_phrase', 'week1', { visitors: 'passphrase' }, 'a1', 'absent not_a_member'],
  ['with_phrase', 'week1', { find: 'here' }, 'a1', 'absent not_a_member'],
  ['visitor', 'week1', {}, 'a1', 'look visitor'],
  ['learner', 'week1', { visitors: 'passphrase' }, 'a1', 'open member'],
  ['passer_by', 'week1', { ...EVERY_WAY, 'a1.shown': false }, 'a1', 'absent item_not_shown'],
  ['passer_by', 'week1', { ...EVERY_WAY, ...LATE_a1 }, 'a1', 'named not_yet'],
  // The dates.
  ['learner', 'eve', {}, 'a1', 'open member'],
  ['learner', 'eve', window('closed'), 'course', 'named before_dates'],
  ['learner', 'eve', window('closed'), 'a1', 'absent before_dates'],
  ['learner', 'first', window('closed'), 'a1', 'open member'],
  ['learner', 'eve', window('look'), 'course', 'look before_dates'],
  ['learner', 'eve', window('look'), 'f1', 'look before_dates'],
  ['learner', 'first', window('look'), 'f1', 'open member'],
  ['instructor', 'eve', window('closed'), 'a1', 'open staff'],
  ['learner', 'end', window('open', 'closed'), 'a1', 'open member'],
  ['learner', 'after', window('open', 'closed'), 'course', 'named after_dates'],
  ['learner', 'after', window('open', 'closed'), 'b1', 'absent after_dates'],
  ['learner', 'after', window('open', 'look'), 'b1', 'look after_dates'],
  ['learner', 'after', {}, 'b1', 'open member'],
  ['assistant', 'after', window('closed', 'closed'), 'b1', 'open staff'],
  ['visitor', 'eve', window('look'), 'a1', 'look visitor'],
  ['visitor', 'eve', window('closed'), 'a1', 'absent before_dates'],
  ['learner', 'eve', { ...ARCHIVED, ...window('look') }, 'a1', 'look course_archived'],
  ['learner', 'eve', { ...DRAFT, ...window('closed') }, 'a1', 'absent course_draft'],
  ['here', 'eve', { find: 'here', ...window('closed') }, 'course', 'named not_a_member'],
  ['learner', 'eve', { ...window('closed'), 'a1.shown': false }, 'a1', 'absent before_dates'],
  ['learner', 'eve', { ...window('look'), 'a1.shown': false }, 'a1', 'absent item_not_shown'],
  ['learner', 'week1', { 'dates.lastTime': '12:00', ...window('open', 'closed') }, 'a1', 'open member'],
  ['learner', 'end', { 'dates.lastTime': '12:00', ...window('open', 'closed') }, 'a1', 'absent after_dates'],
  ['learner', 'after', { 'dates.ends': 'weeks', ...window('open', 'closed') }, 'a1', 'open member'],
  // What can be had at all.
  ['learner', 'week1', { 'a1.shown': false }, 'a1', 'absent item_not_shown'],
  ['learner', 'week1', { 'A.shown': false }, 'A', 'absent section_not_shown'],
  ['learner', 'week1', { 'A.shown': false }, 'a1', 'absent section_not_shown'],
  ['learner', 'week1', { 'A.shown': false }, 'b1', 'open member'],
  ['learner', 'week1', { 'F.shown': false }, 'f1', 'absent item_not_shown'],
  ['learner', 'week1', { 'F.shown': false }, 'b1', 'open member'],
  ['learner', 'week1', { 'a1.staffOnly': true }, 'a1', 'absent staff_only'],
  ['learner', 'week1', { 'a1.staffOnly': true, 'a1.shown': false }, 'a1', 'absent item_not_shown'],
  ['learner', 'week1', { 'B.staffOnly': true }, 'f1', 'absent staff_only'],
  ['instructor', 'week1', { 'B.staffOnly': true }, 'f1', 'open staff'],
  ['learner', 'week1', { 'a1.removed': true }, 'a1', 'absent removed'],
  ['instructor', 'week1', { 'a1.removed': true }, 'a1', 'absent removed'],
  ['learner', 'week1', { 'F.removed': true }, 'f1', 'absent removed'],
  ['staff', 'week1', { 'F.removed': true }, 'f1', 'absent removed'],
  ['learner', 'week1', { 'a1.audience': ['k'] }, 'a1', 'absent other_audience'],
  ['of_class', 'week1', { 'a1.audience': ['k'] }, 'a1', 'open member'],
  ['of_group', 'week1', { 'a1.audience': ['k'] }, 'a1', 'absent other_audience'],
  ['of_group', 'week1', { 'a1.audience': ['k', 'g'] }, 'a1', 'open member'],
  ['of_class', 'week1', { 'B.audience': ['g'] }, 'f1', 'absent other_audience'],
  ['of_class', 'week1', { 'B.audience': ['k'], 'F.audience': ['g'] }, 'f1', 'absent other_audience'],
  ['of_class', 'week1', { 'B.audience': ['k'], 'F.audience': ['g'] }, 'b1', 'open member'],
  ['instructor', 'week1', { 'a1.audience': ['k'] }, 'a1', 'open staff'],
  ['visitor', 'week1', { 'a1.audience': ['k'] }, 'a1', 'absent other_audience'],
  ['learner', 'week1', { 'a1.audience': ['nobodys'] }, 'a1', 'absent other_audience'],
  ['learner', 'week1', { 'a1.listed': false }, 'a1', 'open member'],
  ['learner', 'week1', { 'dates.format': 'item', 'dates.around': 'a2' }, 'a1', 'absent kept_aside'],
  ['learner', 'week1', { 'dates.format': 'item', 'dates.around': 'a2' }, 'a2', 'open member'],
  [
    'learner',
    'week1',
    { 'dates.format': 'item', 'dates.around': 'a2', 'a1.shown': false },
    'a1',
    'absent item_not_shown',
  ],
  // Opening moments, and the name that stands meanwhile.
  ['learner', 'week1', LATE_a1, 'a1', 'named not_yet'],
  ['learner', 'week2', LATE_a1, 'a1', 'open member'],
  ['learner', 'week1', { ...LATE_a1, closed: 'leave_out' }, 'a1', 'absent not_yet'],
  ['learner', 'week1', { ...LATE_a1, closed: 'leave_out', 'a1.closed': 'name' }, 'a1', 'named not_yet'],
  ['learner', 'week1', { ...LATE_a1, 'a1.closed': 'leave_out' }, 'a1', 'absent not_yet'],
  ['learner', 'week1', LATE_A, 'A', 'named not_yet'],
  ['learner', 'week1', LATE_A, 'a1', 'absent not_yet'],
  ['learner', 'week1', { ...LATE_A, 'a1.shown': false }, 'a1', 'absent item_not_shown'],
  ['learner', 'week1', { 'F.opens': MON_18 }, 'F', 'named not_yet'],
  ['learner', 'week1', { 'F.opens': MON_18 }, 'f1', 'absent not_yet'],
  ['learner', 'week1', { 'a1.opens': WED_13_0900 }, 'a1', 'open member'],
  ['learner', 'week1', { 'a1.opens': WED_13_0901 }, 'a1', 'named not_yet'],
  ['instructor', 'week1', LATE_A, 'a1', 'open staff'],
  ['learner', 'week1', { 'a1.opens': NO_DATE }, 'a1', 'open member'],
  [
    'learner',
    'week1',
    { 'B.opens': relative({ of: 'section', at: 'start', section: null }, 0) },
    'b1',
    'absent not_yet',
  ],
  [
    'learner',
    'week2',
    { 'B.opens': relative({ of: 'section', at: 'start', section: null }, 0) },
    'b1',
    'open member',
  ],
  ['learner', 'eve', { ...window('look'), ...LATE_a1 }, 'a1', 'named not_yet'],
  ['learner', 'week1', { ...ARCHIVED, ...LATE_a1 }, 'a1', 'named not_yet'],
  // By one's own joining: the joining day counts as 0.
  ['learner', 'week1', { 'a1.opens': JOINED_PLUS_2 }, 'a1', 'open member'],
  ['late', 'week2', { 'a1.opens': JOINED_PLUS_2 }, 'a1', 'open member'],
  ['late', 'week2', { 'a1.opens': JOINED_PLUS_3 }, 'a1', 'named not_yet'],
  ['late', 'end', { 'a1.opens': JOINED_PLUS_3 }, 'a1', 'open member'],
  ['late', 'week2', { 'A.opens': JOINED_PLUS_3 }, 'a1', 'absent not_yet'],
  // Rules: done, scored, after the item before, another course.
  ['learner', 'week1', { 'a2.rule': rule(all(done('a1'))) }, 'a2', 'named waiting'],
  ['did_a1', 'week1', { 'a2.rule': rule(all(done('a1'))) }, 'a2', 'open member'],
  ['did_a1', 'week1', { 'a3.rule': rule(all(done('a1', 'a2'))) }, 'a3', 'named waiting'],
  ['did_a1_a2', 'week1', { 'a3.rule': rule(all(done('a1', 'a2'))) }, 'a3', 'open member'],
  ['learner', 'week1', { 'a2.rule': rule(all(done('a1'))), closed: 'leave_out' }, 'a2', 'absent waiting'],
  ['scored_70', 'week1', { 'a2.rule': rule(all(scored(80))) }, 'a2', 'named waiting'],
  ['scored_80', 'week1', { 'a2.rule': rule(all(scored(80))) }, 'a2', 'open member'],
  ['learner', 'week1', { 'a2.rule': rule(all(scored(0))) }, 'a2', 'named waiting'],
  ['learner', 'week1', { 'a2.rule': rule(all(BEFORE)) }, 'a2', 'named waiting'],
  ['did_a1', 'week1', { 'a2.rule': rule(all(BEFORE)) }, 'a2', 'open member'],
  ['learner', 'week1', { 'a1.rule': rule(all(BEFORE)) }, 'a1', 'open member'],
  ['learner', 'week1', { 'a2.rule': rule(all(BEFORE)), 'a1.done': null }, 'a2', 'open member'],
  ['learner', 'week1', { 'a2.rule': rule(all(BEFORE)), 'a1.shown': false }, 'a2', 'open member'],
  ['learner', 'week1', { 'a2.rule': rule(all(BEFORE)), 'a1.audience': ['k'] }, 'a2', 'open member'],
  ['of_class', 'week1', { 'a2.rule': rule(all(BEFORE)), 'a1.audience': ['k'] }, 'a2', 'named waiting'],
  ['learner', 'week1', { 'a2.rule': rule(all(BEFORE)), ...LATE_a1 }, 'a2', 'named waiting'],
  ['did_a1', 'week1', { 'b1.rule': rule(all(BEFORE)) }, 'b1', 'named waiting'],
  ['did_a1_a2', 'week1', { 'b1.rule': rule(all(BEFORE)) }, 'b1', 'open member'],
  ['did_a1', 'week1', { 'B.rule': rule(all(BEFORE)) }, 'B', 'named waiting'],
  ['did_a1_a2', 'week1', { 'B.rule': rule(all(BEFORE)) }, 'f1', 'open member'],
  ['learner', 'week1', { 'B.rule': rule(all(BEFORE)) }, 'b1', 'absent waiting'],
  ['learner', 'week1', { 'a1.rule': rule(all(TIDES)) }, 'a1', 'named waiting'],
  ['knows_tides', 'week1', { 'a1.rule': rule(all(TIDES)) }, 'a1', 'open member'],
  ['visitor', 'week1', { 'a2.rule': rule(all(done('a1'))) }, 'a2', 'named waiting'],
  // All and any, and groups in groups.
  ['learner', 'week1', { 'a1.rule': rule(all()) }, 'a1', 'open member'],
  ['did_a1', 'week1', { 'a2.rule': rule(all(done('a1'), from(MON_18))) }, 'a2', 'named not_yet'],
  ['did_a1', 'week2', { 'a2.rule': rule(all(done('a1'), from(MON_18))) }, 'a2', 'open member'],
  ['learner', 'week2', { 'a2.rule': rule(all(done('a1'), from(MON_18))) }, 'a2', 'named waiting'],
  ['learner', 'week2', { 'a2.rule': rule(any(done('a1'), from(MON_18))) }, 'a2', 'open member'],
  ['did_a1', 'week1', { 'a2.rule': rule(any(done('a1'), from(MON_18))) }, 'a2', 'open member'],
  ['learner', 'week1', { 'a2.rule': rule(any(done('a1'), from(MON_18))) }, 'a2', 'named not_yet'],
  ['learner', 'week1', { 'a2.rule': rule(any(done('a1'), TIDES)) }, 'a2', 'named waiting'],
  ['did_a1', 'week1', { 'a2.rule': rule(all(done('a1'))), 'a2.opens': MON_18 }, 'a2', 'named not_yet'],
  ['learner', 'week2', { 'a2.rule': rule(all(done('a1'))), 'a2.opens': MON_18 }, 'a2', 'named waiting'],
  [
    'did_a1',
    'week1',
    { 'b1.rule': rule(any(all(done('a1'), any(TIDES, scored(80))), from(MON_18))) },
    'b1',
    'named not_yet',
  ],
  [
    'scored_80',
    'week1',
    { 'b1.rule': rule(all(any(TIDES, all(scored(70), scored(80))))) },
    'b1',
    'open member',
  ],
  [
    'knows_tides',
    'week1',
    { 'b1.rule': rule(all(any(TIDES, all(done('a1'), done('a2'))))) },
    'b1',
    'open member',
  ],
  ['learner', 'week1', { 'a2.rule': rule(any(done('a1'), from(NO_DATE))) }, 'a2', 'named waiting'],
  ['learner', 'week1', { 'a2.rule': rule(any(from(NO_DATE))) }, 'a2', 'open member'],
  // In order, by one switch.
  ['learner', 'week1', { 'A.inOrder': true }, 'a1', 'open member'],
  ['learner', 'week1', { 'A.inOrder': true }, 'a2', 'named waiting'],
  ['did_a1', 'week1', { 'A.inOrder': true }, 'a2', 'open member'],
  ['did_a1', 'week1', { 'A.inOrder': true }, 'a3', 'named waiting'],
  ['learner', 'week1', { 'A.inOrder': true }, 'b1', 'open member'],
  ['learner', 'week1', { inOrder: true }, 'b1', 'named waiting'],
  ['did_a1_a2', 'week1', { inOrder: true }, 'b1', 'open member'],
  ['did_a1_a2', 'week1', { inOrder: true }, 'f1', 'named waiting'],
  ['learner', 'week1', { 'B.inOrder': true }, 'b1', 'open member'],
  ['learner', 'week1', { 'B.inOrder': true }, 'f1', 'named waiting'],
  ['learner', 'week1', { 'A.inOrder': true }, 'A', 'open member'],
  ['learner', 'week1', { 'B.inOrder': true }, 'F', 'open member'],
  ['instructor', 'week1', { inOrder: true }, 'f1', 'open staff'],
  // Until.
  ['learner', 'first', UNTIL_13, 'a1', 'open member'],
  ['learner', 'week1', UNTIL_13, 'a1', 'open member'],
  ['learner', 'week2', UNTIL_13, 'a1', 'look over'],
  ['learner', 'week1', UNTIL_0900, 'a1', 'open member'],
  ['learner', 'week2', UNTIL_0900, 'a1', 'absent over'],
  ['learner', 'week2', { 'A.rule': rule(all(), WED_13_0900) }, 'a1', 'look over'],
  ['learner', 'week2', { 'A.rule': rule(all(), WED_13_0900, 'absent') }, 'a1', 'absent over'],
  ['learner', 'week2', { 'F.rule': rule(all(), WED_13_0900) }, 'f1', 'look over'],
  ['learner', 'week2', { 'a2.rule': rule(all(done('a1')), WED_13_0900) }, 'a2', 'named waiting'],
  ['visitor', 'week2', UNTIL_13, 'a1', 'look visitor'],
  ['instructor', 'week2', UNTIL_0900, 'a1', 'open staff'],
  // Exceptions.
  ['learner', 'week1', { ...LATE_a1, ...CLASS_EXCEPTION }, 'a1', 'named not_yet'],
  ['of_class', 'week1', { ...LATE_a1, ...CLASS_EXCEPTION }, 'a1', 'open member'],
  ['extended', 'week1', LATE_a1, 'a1', 'open member'],
  ['extended', 'week2', UNTIL_0900, 'a1', 'open member'],
  ['extended', 'after', UNTIL_0900, 'a1', 'absent over'],
  [
    'of_class',
    'week1',
    { exceptions: { x: { for: 'k', node: 'A', opens: MON_18, due: null, until: null, at: 1 } } },
    'a1',
    'absent not_yet',
  ],
  // Samples, for those who are not in the course.
  ['here', 'week1', { find: 'here', 'a1.sample': true }, 'a1', 'look sample'],
  ['here', 'week1', { find: 'here', 'a1.sample': true }, 'a2', 'absent not_a_member'],
  ['here', 'week1', { 'a1.sample': true }, 'a1', 'absent not_a_member'],
  ['passer_by', 'week1', { find: 'anyone', 'f1.sample': true, 'B.shown': false }, 'f1', 'look sample'],
  [
    'passer_by',
    'week1',
    { find: 'anyone', 'a1.sample': true, 'a1.shown': false },
    'a1',
    'absent not_a_member',
  ],
  ['passer_by', 'week1', { find: 'anyone', 'a1.sample': true, ...DRAFT }, 'a1', 'absent course_draft'],
  ['passer_by', 'eve', { find: 'anyone', 'a1.sample': true, ...window('closed') }, 'a1', 'look sample'],
  ['learner', 'eve', { find: 'anyone', 'a1.sample': true, ...window('closed') }, 'a1', 'absent before_dates'],
  ['passer_by', 'week1', { ...EVERY_WAY, 'a1.sample': true }, 'a1', 'look visitor'],
];
