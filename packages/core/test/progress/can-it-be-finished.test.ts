/** Whether a course can be finished, on which day, and why it cannot, as data: one thing at a time. */
import { expect, test } from '@jest/globals';
import { ANY_LEARNER, newItem, newSection } from '../../src/index.ts';
import type { Course, CoursePart, DoneRule, Item, PlannedMoment, Section, Want } from '../../src/index.ts';
import { feasibility } from '../../src/progress/feasible.ts';
import { reasonsWhyNot } from '../../src/progress/reasons.ts';
import { smallCourse } from '../support/arbitraries.ts';

const day = (date: string, time: string | null = null): PlannedMoment => ({
  ...{ kind: 'fixed', day: `2027-01-${date}`, time },
});
const by = (rule: DoneRule['by'], least?: number): DoneRule =>
  (least === undefined ? { by: rule } : { by: rule, least }) as DoneRule;
const item = (kind: Item['kind'], id: string, done: DoneRule | null, more: object = {}): Item =>
  newItem(kind, { id, title: id, done, ...more } as never);
const page = (id: string, more: object = {}): Item => item('page', id, by('opened'), more);
const work = (id: string, done: DoneRule, more: object = {}): Item => item('assignment', id, done, more);
const after = (...items: string[]): object => ({
  rule: { when: { kind: 'all', of: [{ kind: 'done', items }] }, until: null, then: 'absent' },
});
const daysAfter = (id: string, days: number): object => ({
  rule: { when: { kind: 'all', of: [{ kind: 'done', items: [id], days }] }, until: null, then: 'absent' },
});
const scored = (id: string): object => ({
  rule: { when: { kind: 'all', of: [{ kind: 'scored', item: id, least: 50 }] }, until: null, then: 'absent' },
});
const until = (date: string): object => ({
  rule: { when: { kind: 'all', of: [] }, until: day(date), then: 'absent' },
});
/** The weeks of 11 and of 18 January. */
const course = (
  one: readonly Item[],
  more: Partial<Course> = {},
  section: Partial<Section> = {},
): Course => ({
  ...smallCourse(),
  state: 'live',
  sections: [
    newSection({ id: 'A', title: 'A', items: [...one], ...section }),
    newSection({ id: 'B', title: 'B' }),
  ],
  ...more,
});
const wants = (...of: CoursePart[]): Partial<Course> => ({ done: { match: 'all', of } });
const anyOf = (...of: CoursePart[]): Partial<Course> => ({ done: { match: 'any', of } });
const items = (want: Want, more: object = {}): CoursePart => ({
  over: 'items',
  want,
  kind: null,
  named: [],
  ...more,
});
const section = (want: Want, named: string[] = []): Partial<Section> => ({ done: { want, named } });
const closing = {
  dates: { ...smallCourse().dates, ends: 'day', lastDay: '2027-01-24' },
  window: { before: 'open', after: 'look' },
} as const;
const meeting = (more: object = {}): Item =>
  item('meeting', 'm', by('attended'), {
    attendance: 'list',
    held: day('14', '10:00'),
    minutes: 60,
    ...more,
  });
const film = {
  file: { hash: 'a'.repeat(64), name: 'f', size: 1, type: 'video/webm', alt: null },
  seconds: 60,
};
const QUESTION = {
  ...{ at: 1, kind: 'single', text: 'Which?', right: 'a', why: '', points: 1, required: false, pool: null },
  choices: [{ id: 'a', text: 'A', why: '', picture: null }],
};

/** The day in January, or why not; `nothing`: nothing counts. */
const SITUATIONS: readonly (readonly [name: string, of: Course, expected: string])[] = [
  ['nothing counts', course([item('page', 'a', null)]), 'nothing'],
  ['all of it is hidden', course([page('a', { shown: false })]), 'nothing'],
  ['progress is off', course([page('a')], { progress: false }), 'nothing'],
  ['one page', course([page('a')]), '11'],
  ['it opens later', course([page('a', { opens: day('15') })]), '15'],
  ['so does its section', course([page('a')], {}, { opens: day('16') }), '16'],
  ['it opens and is over', course([page('a', { opens: day('15'), ...until('13') })]), 'over_before_open a'],
  ['it is over later', course([page('a', until('13'))]), '11'],
  ['one after the other', course([page('a', { opens: day('13') }), page('b', after('a'))]), '13'],
  ['some days after', course([page('a', { opens: day('13') }), page('b', daysAfter('a', 3))]), '16'],
  ['it waits for itself', course([page('a', after('a'))]), 'circle a'],
  ['two wait for each other', course([page('a', after('b')), page('b', after('a'))]), 'circle a, circle b'],
  [
    'it waits for what is hidden',
    course([page('a', after('h')), page('h', { shown: false })]),
    'waits_for_hidden a',
  ],
  [
    'it waits for what does not count',
    course([page('a', after('n')), item('page', 'n', null)]),
    'waits_for_hidden a',
  ],
  [
    'it waits for what is for staff',
    course([page('a', after('s')), page('s', { staffOnly: true })]),
    'waits_for_hidden a',
  ],
  [
    'it waits for what can never be done',
    course([page('a', after('w')), work('w', by('passed'))]),
    'no_pass_mark w',
  ],
  [
    'it waits for a mark',
    course([page('a', scored('w')), item('assignment', 'w', null, { total: 10 })]),
    '11',
  ],
  ['there are no marks', course([page('a', scored('w')), item('assignment', 'w', null)]), 'no_points w'],
  ['in order', course([page('a', { opens: day('14') }), page('b')], { inOrder: true }), '14'],
  ['handed in, due later', course([work('w', by('handed_in'), { due: day('15', '18:00') })]), '11'],
  [
    'it opens when it is due',
    course([work('w', by('handed_in'), { opens: day('15', '18:01'), due: day('15', '18:00') })]),
    'taken_before w',
  ],
  [
    'with grace it does not',
    course([work('w', by('handed_in'), { opens: day('15', '18:01'), due: day('15', '18:00'), grace: 5 })]),
    '15',
  ],
  [
    'taken late it does not',
    course([
      work('w', by('handed_in'), {
        opens: day('15', '18:01'),
        due: day('15', '18:00'),
        lateUntil: day('16'),
      }),
    ]),
    '15',
  ],
  [
    'it takes nothing',
    course([work('w', by('handed_in'), { takes: { text: false, address: false, files: 0, kinds: [] } })]),
    'takes_nothing w',
  ],
  ['scored, without points', course([work('w', by('scored', 60))]), 'no_points w'],
  ['scored, with points', course([work('w', by('scored', 60), { total: 10 })]), '11'],
  ['passed, without a pass mark', course([work('w', by('passed'), { total: 10 })]), 'no_pass_mark w'],
  [
    'passed, with more than there is',
    course([work('w', by('passed'), { total: 10, passAt: 11 })]),
    'pass_beyond w',
  ],
  ['passed', course([work('w', by('passed'), { total: 10, passAt: 10 })]), '11'],
  ['a quiz without a question', course([item('quiz', 'q', by('handed_in'))]), 'asks_nothing q'],
  ['a quiz with one', course([item('quiz', 'q', by('handed_in'), { questions: { q: QUESTION } })]), '11'],
  [
    'a quiz, passed beyond its points',
    course([item('quiz', 'q', by('passed'), { questions: { q: QUESTION }, passAt: 2 })]),
    'pass_beyond q',
  ],
  ['a discussion', course([item('discussion', 'd', by('posted', 3))]), '11'],
  [
    'a discussion that is closed',
    course([item('discussion', 'd', by('posted', 1), { shut: true })]),
    'talk_shut d',
  ],
  ['a film', course([item('video', 'v', by('watched', 90), film)]), '11'],
  [
    'a film at an address',
    course([item('video', 'v', by('watched', 90), { address: 'https://films.example/1' })]),
    'film_not_followed v',
  ],
  ['a meeting', course([meeting()]), '14'],
  ['a meeting without a date', course([meeting({ held: null })]), 'meeting_undated m'],
  ['a meeting of which nobody keeps a list', course([meeting({ attendance: 'none' })]), 'no_list m'],
  ['a meeting that opens in the middle', course([meeting({ opens: day('14', '10:30') })]), '14'],
  [
    'a meeting that opens when it is over',
    course([meeting({ opens: day('14', '11:00') })]),
    'meeting_over m',
  ],
  ['what waits for a meeting', course([meeting(), page('a', after('m'))]), '14'],
  ['done by a moment', course([page('a', { done: { ...by('opened'), byThen: day('12', '12:00') } })]), '11'],
  [
    'done by a moment before it opens',
    course([page('a', { opens: day('13'), done: { ...by('opened'), byThen: day('12', '12:00') } })]),
    'too_late a',
  ],
  [
    'both of two',
    course([work('w', { by: 'all', of: [{ by: 'opened' }, { by: 'scored', least: 1 }] })]),
    'no_points w',
  ],
  [
    'either of two',
    course([work('w', { by: 'any', of: [{ by: 'opened' }, { by: 'scored', least: 1 }] })]),
    '11',
  ],
  [
    'the course closes before it opens',
    course([page('a', { opens: day('25') })], closing),
    'after_the_end a',
  ],
  ['a meeting after the course', course([meeting({ held: day('26', '10:00') })], closing), 'after_the_end m'],
  [
    'so many, and there are fewer',
    course([page('a')], wants(items({ how: 'least', count: 5 }))),
    'too_few course',
  ],
  [
    'so many, and one cannot be done',
    course([page('a'), page('b', after('b'))], wants(items({ how: 'least', count: 1 }))),
    '11',
  ],
  [
    'so many, and too many cannot',
    course([page('a'), page('b', after('b'))], wants(items({ how: 'least', count: 2 }))),
    'circle b',
  ],
  [
    'a share',
    course([page('a'), page('b', { opens: day('20') })], wants(items({ how: 'share', percent: 50 }))),
    '11',
  ],
  [
    'of a kind of which there is none',
    course([page('a')], wants(items({ how: 'any' }, { kind: 'quiz' }))),
    'too_few course',
  ],
  [
    'named, and hidden',
    course([page('a'), page('h', { shown: false })], wants(items({ how: 'all' }, { named: ['h'] }))),
    'not_there h',
  ],
  [
    'so many minutes',
    course([page('a', { minutes: 30 })], wants(items({ how: 'minutes', minutes: 31 }))),
    'too_few_minutes course',
  ],
  [
    'minutes that there are',
    course([page('a', { minutes: 30 })], wants(items({ how: 'minutes', minutes: 30 }))),
    '11',
  ],
  ['either part', course([page('a')], anyOf(items({ how: 'least', count: 9 }), items({ how: 'all' }))), '11'],
  [
    'neither part',
    course([page('a')], anyOf(items({ how: 'least', count: 9 }), items({ how: 'any' }, { kind: 'quiz' }))),
    'too_few course',
  ],
  [
    'a mark in one item',
    course(
      [page('a'), item('assignment', 'w', null, { total: 5, opens: day('17') })],
      wants({ over: 'scored', item: 'w', least: 50 }),
    ),
    '17',
  ],
  [
    'a mark where there is none',
    course([page('a')], wants({ over: 'scored', item: 'a', least: 50 })),
    'no_points a',
  ],
  [
    'attendance',
    course([page('a'), meeting({ done: null })], wants({ over: 'attended', want: { how: 'all' } })),
    '14',
  ],
  [
    'attendance without meetings',
    course([page('a')], wants({ over: 'attended', want: { how: 'any' } })),
    'too_few course',
  ],
  ['all sections', course([page('a')], wants({ over: 'sections', want: { how: 'all' }, named: [] })), '11'],
  [
    'a section with any of its items',
    course(
      [page('a', { opens: day('13') }), page('b', { opens: day('12') })],
      wants({ over: 'sections', want: { how: 'all' }, named: [] }),
      section({ how: 'any' }),
    ),
    '12',
  ],
  [
    'a section that wants more than it has',
    course(
      [page('a')],
      wants({ over: 'sections', want: { how: 'all' }, named: [] }),
      section({ how: 'least', count: 2 }),
    ),
    'too_few A',
  ],
  [
    'a section that names what is hidden',
    course(
      [page('a'), page('h', { shown: false })],
      wants({ over: 'sections', want: { how: 'all' }, named: [] }),
      section({ how: 'all' }, ['h']),
    ),
    'not_there h',
  ],
];

test.each(SITUATIONS)('%s', (_name, of, expected) => {
  const { can, earliest } = feasibility(of, ANY_LEARNER);
  const reasons = reasonsWhyNot(of, ANY_LEARNER).map(({ because, of: id }) => `${because} ${id}`);
  const says = can === 'yes' ? (earliest?.day ?? '').slice(-2) : can === 'no' ? reasons.join(', ') : can;
  expect(says).toBe(expected);
});

test('there are as many as there are to be', () => expect(SITUATIONS.length).toBeGreaterThanOrEqual(60));

test('at the pace of the plan each thing is done on its day, or as soon as it is open', () => {
  const pace = (of: Course): string | null => feasibility(of, ANY_LEARNER).atPace?.day ?? null;
  expect(pace(course([page('a')]))).toBe('2027-01-17');
  expect(pace(course([work('w', by('handed_in'), { due: day('14', '18:00') })]))).toBe('2027-01-14');
  expect(pace(course([meeting()]))).toBe('2027-01-14');
  expect(pace(course([page('a', { opens: day('20') })]))).toBe('2027-01-20');
  // On its day the other one is still to come.
  expect(pace(course([page('a'), page('b', daysAfter('a', 2))]))).toBe('2027-01-19');
});

test('the longest chain of waiting is told from its beginning on', () => {
  const of = course([page('a'), page('b', after('a')), page('c', after('b')), page('x', after('a'))]);
  expect(feasibility(of, ANY_LEARNER).chain.map(({ id }) => id)).toEqual(['a', 'b', 'c']);
  expect(feasibility(course([page('a'), page('b')]), ANY_LEARNER).chain).toEqual([]);
});

test('whoever joins late has missed what was over by then', () => {
  const of = course([meeting(), page('a')]);
  const late = { ...ANY_LEARNER, joinedAt: '2027-01-15T09:00:00.000Z' };
  expect(feasibility(of, late).can).toBe('no');
  expect(feasibility(of, { ...late, joinedAt: '2027-01-13T09:00:00.000Z' }).earliest?.day).toBe('2027-01-14');
});
