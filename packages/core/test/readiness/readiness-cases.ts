/** For each rule of readiness the courses that it finds something in, and how grave that is. */
import { AREAS, newItem, SHUT_WAY } from '../../src/index.ts';
import type {
  WorkItem,
  Course,
  DoorFacts,
  FactsByText,
  WayIn,
  Film,
  Item,
  Leads,
  Meeting,
  OpeningRule,
  Price,
  PlannedMoment,
  Quiz,
  ReadinessFacts,
  Survey,
  TextFacts,
} from '../../src/index.ts';
import { smallCourse } from '../support/arbitraries.ts';

export const BEFORE = '2027-01-05T09:00:00Z';
export const ready = (): Course => {
  const base = smallCourse();
  const text = 'a'.repeat(64);
  return {
    ...base,
    description: text,
    sections: base.sections.map((section) => ({
      ...section,
      items: section.items.map((item) => (item.kind === 'page' ? { ...item, text } : item)),
    })),
  };
};
const ALL_SECTIONS: NonNullable<Course['done']>['of'][number] = {
  over: 'sections',
  want: { how: 'all' },
  named: [],
};
/** Its sections want so many of what counts in them. */
const wanting = (count: number, course: Course): Course => ({
  ...course,
  sections: course.sections.map((section) => ({
    ...section,
    done: { want: { how: 'least', count }, named: [] },
  })),
});
const at = (day: string): PlannedMoment => ({ kind: 'fixed', day, time: '12:00' });
/** Ways that are on, but for what is said of them. */
const withWays = (ways: Readonly<Record<string, Partial<WayIn>>>): Course => ({
  ...ready(),
  ways: Object.fromEntries(
    Object.entries(ways).map(([way, own]) => [way, { ...SHUT_WAY, on: true, ...own }]),
  ),
});
const PRICE: Price = {
  currency: 'EUR',
  amount: 12_000,
  reduced: null,
  byKind: { teaching: null, staff: null, learner: null, visitor: null },
  months: null,
};
const DOOR: DoorFacts = {
  hasMail: true,
  hasDesk: true,
  bounced: 0,
  unanswered: 0,
  requests: 0,
  waiting: [],
  instructors: 2,
  ungrouped: 0,
  leftClasses: [],
  registry: null,
};
export const FOLLOWS = { listed: 30, asked: 0, readAt: '2027-01-10T08:00:00.000Z', isAway: false };
/** Joined by a code. */
export const byLink = (way: Partial<WayIn>): Course => ({
  ...ready(),
  ways: { link: { ...SHUT_WAY, on: true, ...way } },
});
export const dates = (of: Course, change: Partial<Course['dates']>): Course => ({
  ...of,
  dates: { ...of.dates, ...change },
});

const empty = (): Course => ({
  ...ready(),
  sections: ready().sections.map((one) => (one.id === 'B' ? { ...one, items: [] } : one)),
});
const third = (): Course => ({
  ...ready(),
  sections: [
    ...ready().sections,
    { ...ready().sections[1]!, id: 'C', items: [{ ...ready().sections[1]!.items[0]!, id: 'c1' }] },
  ],
});
/** What the one text of the ready course holds. */
const textWith = (facts: Partial<TextFacts>): FactsByText =>
  new Map([['a'.repeat(64), { pictures: [], silent: 0, links: [], ...facts }]]);
const SPRING = {
  name: 'Spring break',
  first: '2027-01-18',
  last: '2027-01-24',
  policy: 'between',
} as const;
const pattern = { weekdays: [2], time: '10:00', minutes: 60, place: null };
const picture = {
  hash: 'a'.repeat(64),
  name: 'a.png',
  size: 9_000_000,
  type: 'image/png',
  alt: null,
  author: null,
  licence: null,
};
/** The ready course with more items in its second section. */
const withItems = (...more: Item[]): Course => ({
  ...ready(),
  sections: ready().sections.map((one) =>
    one.id === 'B' ? { ...one, items: [...one.items, ...more] } : one,
  ),
});
const work = (
  id: string,
  due: PlannedMoment | null,
  more: Partial<Extract<WorkItem, { kind: 'assignment' }>> = {},
): Item => newItem('assignment', { id, title: id, text: 'a'.repeat(64), due, ...more });
const truth = (at: number, points = 1, pool: string | null = null) =>
  ({
    kind: 'truth',
    text: `Is it so? ${at}`,
    why: '',
    points,
    required: false,
    pool,
    at,
    right: true,
  }) as const;
const ASKED = { a: truth(1) };
const pictured = (alt: string | null): Quiz['questions'][string] => {
  const file = { hash: 'a'.repeat(64), name: 'shell.png', size: 9, type: 'image/png' };
  const picture = { ...file, alt, author: null, licence: null };
  const choices = ['x', 'y'].map((id) => ({ id, text: id, why: '', picture }));
  return {
    ...{ kind: 'single', text: 'Which?', why: '', points: 1, required: false, pool: null, at: 5 },
    ...{ choices, right: 'x' },
  } as const;
};
const quiz = (more: Partial<Quiz> = {}): Item =>
  newItem('quiz', { id: 'q', title: 'Salt', questions: ASKED, ...more });
const SILT = { hash: 'c'.repeat(64), name: 'silt.webm', size: 900, type: 'video/webm' };
const NO_WORDS = { alt: null, author: null, licence: null };
const WATCHED = { by: 'watched' as const, least: 80 };
/** A minute of silt, with what is said. */
const film = (more: Partial<Film>): Item =>
  newItem('video', {
    ...{ id: 'v', title: 'Silt', seconds: 60, file: { ...SILT, ...NO_WORDS } },
    captions: [{ language: 'en', file: { ...SILT, name: 'silt.vtt', ...NO_WORDS } }],
    ...more,
  });
const meeting = (more: Partial<Meeting>): Item => newItem('meeting', { id: 'm', title: 'Boats', ...more });
const survey = (more: Partial<Survey>): Item =>
  newItem('survey', {
    ...{ id: 's', title: 'How it went', asks: { a: { kind: 'open', text: 'What is muddy?', at: 1 } } },
    ...more,
  });
const fixed = (on: string, time = '23:59'): PlannedMoment => ({ kind: 'fixed', day: on, time });
const OPEN_AN_HOUR = { opens: fixed('2027-01-20', '09:00'), due: fixed('2027-01-20', '09:59') };
const after = (item: string): PlannedMoment => ({
  kind: 'relative',
  anchor: { of: 'due', item },
  shift: { by: 1, unit: 'days' },
  weekday: null,
  time: null,
});
const HANDED_IN = { by: 'handed_in' as const };
const BOAT = { name: 'Morning boat', kind: 'group' as const, at: 0 };
const waitsFor = (id: string): OpeningRule => ({
  when: { kind: 'all', of: [{ kind: 'done', items: [id] }] },
  until: null,
  then: 'look',
});
const sundayOf = (at: 'start' | 'end'): PlannedMoment => ({
  kind: 'relative',
  anchor: { of: 'section', at, section: null },
  shift: null,
  weekday: 7,
  time: null,
});
const units = (): Course => {
  const of = dates(ready(), { format: 'units', ends: 'day', lastDay: '2027-01-20' });
  return {
    ...of,
    sections: of.sections.map((one) => (one.id === 'B' ? { ...one, pin: '2027-01-14' } : one)),
  };
};
const titled = (title: string): Course => ({
  ...ready(),
  sections: ready().sections.map((one) => (one.id === 'B' ? { ...one, title } : one)),
});
const TERM = { name: 'Spring 2027', firstDay: '2027-01-11', lastDay: '2027-01-20' };
const SECTIONS: Leads = { to: 'area', area: 'sections' };
const menu = (...all: readonly Leads[]): Course => ({
  ...ready(),
  menu: Object.fromEntries(
    all.map((leads, at) => [
      `m${at}`,
      { leads, names: {}, at, shown: true, staffOnly: false, removed: false },
    ]),
  ),
});
const named = (label: string): Course => {
  const of = menu(SECTIONS);
  return { ...of, menu: { m0: { ...of.menu['m0']!, names: { en: label } } } };
};
const FACE = {
  pages: [],
  staff: [{ id: 'p', name: 'Ines', mail: 'ines@college.example', role: 'instructor' as const }],
};
const PICTURE = {
  hash: 'b'.repeat(64),
  name: 'shore.png',
  size: 9,
  type: 'image/png',
  alt: null,
  author: null,
  licence: null,
};
const FIXED: PlannedMoment = { kind: 'fixed', day: '2027-02-01', time: null };
const told = (from: PlannedMoment, until: PlannedMoment | null = null): Course => ({
  ...ready(),
  announcements: {
    a: {
      subject: 'Boots',
      text: null,
      files: [],
      pinned: false,
      from,
      until,
      comments: false,
      ready: true,
    },
  },
});
const CARD = {
  who: 'staff' as const,
  person: 'gone',
  mailShown: true,
  reach: null,
  hours: null,
  phone: null,
  link: null,
  picture: null,
  at: 1,
  shown: true,
};
export const CASES: readonly (readonly [string, Course, 'blocker' | 'advice', Partial<ReadinessFacts>?])[] = [
  ['no_description', { ...ready(), description: null }, 'advice'],
  ['no_first_day', dates(ready(), { firstDay: null }), 'blocker'],
  [
    'no_first_day',
    dates(ready(), { firstDay: null, format: 'meetings', pace: 'none', patterns: { p: pattern } }),
    'blocker',
  ],
  ['mid_week', dates(ready(), { firstDay: '2027-01-13' }), 'advice'],
  ['dates_past', ready(), 'blocker', { moment: '2028-01-01T00:00:00Z' }],
  ['dates_past', ready(), 'advice', { moment: '2027-01-14T00:00:00Z' }],
  ['ends_before_start', dates(ready(), { ends: 'day', lastDay: '2027-01-02' }), 'blocker'],
  ['no_pattern', dates(ready(), { format: 'meetings' }), 'blocker'],
  [
    'no_days',
    dates(ready(), {
      ends: 'day',
      lastDay: '2027-01-22',
      pauses: { p: { ...SPRING, first: '2027-01-04' } },
    }),
    'blocker',
  ],
  [
    'meeting_pace',
    dates(ready(), { format: 'meetings', pace: 'none', meetings: 2, patterns: { p: pattern } }),
    'advice',
  ],
  ['around_missing', dates(ready(), { format: 'item', around: 'nobody' }), 'blocker'],
  ['past_term', ready(), 'advice', { term: TERM }],
  ['spare_weeks', dates(ready(), { weeks: 3 }), 'advice'],
  ['spare_weeks', dates(ready(), { format: 'meetings', meetings: 4, patterns: { p: pattern } }), 'advice'],
  ['unplaced_sections', third(), 'blocker'],
  ['unplaced_sections', dates(third(), { pace: 'joining' }), 'blocker'],
  [
    'unplaced_sections',
    dates(third(), { format: 'meetings', meetings: 2, patterns: { p: pattern } }),
    'blocker',
  ],
  ['past_last_day', dates(ready(), { format: 'units', ends: 'term', lastDay: '2027-01-20' }), 'blocker'],
  ['unit_overlap', units(), 'advice'],
  ['no_item', { ...ready(), sections: [] }, 'blocker'],
  ['empty_section', empty(), 'advice'],
  ['empty_item', { ...ready(), sections: smallCourse().sections }, 'advice'],
  [
    'empty_item',
    withItems(newItem('video', { id: 'v', title: 'V' }), newItem('file', { id: 'f', title: 'F' })),
    'advice',
  ],
  ['typed_numbers', titled('Week 2: Quadrats'), 'advice'],
  ['work_undated', withItems(work('w', after('nobody'))), 'advice'],
  ['work_undated', dates(withItems(work('w', sundayOf('end'))), { pace: 'none' }), 'advice'],
  ['work_circle', withItems(work('w', after('x')), work('x', after('w'))), 'blocker'],
  ['work_outside', withItems(work('w', fixed('2027-01-12'))), 'advice'],
  ['work_in_pause', dates(withItems(work('w', fixed('2027-01-20'))), { pauses: { p: SPRING } }), 'advice'],
  [
    'work_at_clock_change',
    dates(withItems(work('w', fixed('2027-03-28', '01:30'))), { firstDay: '2027-03-15' }),
    'advice',
  ],
  [
    'work_before_opening',
    withItems(work('w', fixed('2027-01-20'), { opens: fixed('2027-01-21') })),
    'blocker',
  ],
  [
    'takes_nothing',
    withItems(work('w', null, { takes: { text: false, address: false, files: 0, kinds: [] } })),
    'advice',
  ],
  [
    'late_before_due',
    withItems(work('w', fixed('2027-01-20', '12:00'), { lateUntil: fixed('2027-01-20', '11:00') })),
    'advice',
  ],
  ['pass_out_of_reach', withItems(work('w', null, { total: 20, passAt: 25 })), 'advice'],
  ['pass_out_of_reach', withItems(work('w', null, { passAt: 25 })), 'advice'],
  [
    'late_before_due',
    withItems(quiz({ due: fixed('2027-01-20', '12:00'), lateUntil: fixed('2027-01-20', '11:00') })),
    'advice',
  ],
  ['pass_out_of_reach', withItems(quiz({ passAt: 3 })), 'advice'],
  [
    'discussion_shut',
    withItems(
      newItem('discussion', {
        id: 'd',
        title: 'Mud',
        text: 'a'.repeat(64),
        shut: true,
        done: { by: 'posted', least: 1 },
      }),
    ),
    'advice',
  ],
  ['film_silent', withItems(film({ captions: [] })), 'advice'],
  ['film_silent', withItems(film({ file: null, address: 'https://films.example/silt' })), 'advice'],
  ['watch_unnoticed', withItems(film({ seconds: null, done: WATCHED })), 'advice'],
  [
    'watch_unnoticed',
    withItems(film({ file: null, address: 'https://films.example/silt', done: WATCHED })),
    'advice',
  ],
  ['chapter_beyond', withItems(film({ chapters: [{ at: 60, title: 'Silt' }] })), 'advice'],
  ['meeting_nowhere', withItems(meeting({})), 'advice'],
  ['attendance_unnoticed', withItems(meeting({ place: 'Hall', done: { by: 'attended' } })), 'advice'],
  ['survey_asks_nothing', withItems(survey({ asks: {} })), 'advice'],
  [
    'survey_asks_nothing',
    withItems(survey({ asks: { a: { kind: 'single', text: 'Pace?', at: 1, choices: [] } } })),
    'advice',
  ],
  ['survey_too_few', withItems(survey({ least: 8 })), 'advice', { learners: 6 }],
  ['no_questions', withItems(quiz({ questions: {} })), 'advice'],
  [
    'question_unanswerable',
    withItems(quiz({ questions: { ...ASKED, b: { ...truth(2), right: null } } })),
    'advice',
  ],
  ['choice_unseen', withItems(quiz({ questions: { ...ASKED, p: pictured(null) } })), 'advice'],
  ['points_unlike_total', withItems(quiz({ total: 10 })), 'advice'],
  [
    'pool_uneven',
    withItems(
      quiz({
        questions: { a: truth(1, 1, 'p'), b: truth(2, 3, 'p') },
        pools: { p: { name: 'Shore', draws: 1, at: 1 } },
      }),
    ),
    'advice',
  ],
  [
    'pool_uneven',
    withItems(quiz({ questions: { a: truth(1, 1, 'p') }, pools: { p: { name: 'Shore', draws: 4, at: 1 } } })),
    'advice',
  ],
  ['limit_too_short', withItems(quiz({ limit: 10, minutes: 25 })), 'advice'],
  ['limit_beyond_opening', withItems(quiz({ limit: 240, ...OPEN_AN_HOUR })), 'advice'],
  ['no_time_between', withItems(quiz({ tries: 3, wait: 60, ...OPEN_AN_HOUR })), 'advice'],
  ['largest_beyond', { ...withItems(work('w', null, { largest: 100 })), largestUpload: 50 }, 'advice'],
  [
    'work_same_night',
    withItems(work('w', fixed('2027-01-20')), work('x', fixed('2027-01-20', '09:00'))),
    'advice',
  ],
  [
    'work_no_such_weekday',
    dates(withItems(work('w', sundayOf('end'))), { ends: 'day', lastDay: '2027-01-22' }),
    'advice',
  ],
  ['heavy_sections', { ...withItems(work('w', null, { minutes: 300 })), hoursAWeek: 5 }, 'advice'],
  ['stated_hours', { ...withItems(work('w', null, { minutes: 300 })), statedHours: 40 }, 'advice'],
  ['outcome_unassessed', { ...ready(), outcomes: { o: { text: 'Read a tide table', at: 1 } } }, 'advice'],
  ['largest_upload', { ...ready(), largestUpload: 900 }, 'advice'],
  [
    'largest_upload',
    {
      ...withItems(newItem('file', { id: 'f', title: 'F', file: { ...picture, alt: '' } })),
      largestUpload: 5,
    },
    'advice',
  ],
  ['picture_alt', withItems(newItem('file', { id: 'f', title: 'F', file: picture })), 'advice'],
  ['link_gone', ready(), 'advice', { texts: textWith({ links: ['never-was'] }) }],
  ['picture_alt', ready(), 'advice', { texts: textWith({ silent: 1 }) }],
  [
    'nothing_open',
    {
      ...ready(),
      sections: ready().sections.map((one) => ({ ...one, opens: fixed('2027-01-20', '08:00') })),
    },
    'advice',
  ],
  [
    'closed_before_due',
    {
      ...dates(withItems(work('w', fixed('2027-02-20'))), { ends: 'day', lastDay: '2027-01-24' }),
      window: { before: 'open', after: 'closed' },
    },
    'advice',
  ],
  [
    'rules_circle',
    withItems(
      work('w', null, { done: HANDED_IN, rule: waitsFor('v') }),
      work('v', null, { done: HANDED_IN, rule: waitsFor('w') }),
    ),
    'blocker',
  ],
  [
    'rules_never',
    withItems(
      work('w', null, { done: HANDED_IN, shown: false }),
      work('v', null, { rule: waitsFor('w'), done: HANDED_IN }),
    ),
    'blocker',
  ],
  [
    'rules_due_after_end',
    {
      ...dates(
        withItems(
          work('w', fixed('2027-02-20'), { done: HANDED_IN }),
          work('v', null, { rule: waitsFor('w') }),
        ),
        { ends: 'day', lastDay: '2027-01-24' },
      ),
      window: { before: 'open', after: 'closed' },
    },
    'advice',
  ],
  [
    'nothing_to_look_at',
    {
      ...ready(),
      window: { before: 'look', after: 'open' },
      sections: ready().sections.map((one) => ({ ...one, opens: fixed('2027-01-11', '00:00') })),
    },
    'advice',
  ],
  ['live_too_late', { ...ready(), goesLive: { day: '2027-01-12', time: '08:00' } }, 'advice'],
  ['visitors_lost', { ...ready(), visitors: 'anyone' }, 'advice'],
  [
    'passphrase_easy',
    { ...ready(), visitors: 'passphrase', find: 'here' },
    'blocker',
    { passphrase: 'none' },
  ],
  ['passphrase_easy', { ...ready(), visitors: 'passphrase', find: 'here' }, 'advice', { passphrase: 'easy' }],
  ['nothing_counted', { ...ready(), done: { match: 'all', of: [ALL_SECTIONS] } }, 'advice'],
  [
    'cannot_finish',
    {
      ...withItems(work('w', null, { done: { by: 'ticked' } })),
      done: {
        match: 'all',
        of: [{ over: 'items', want: { how: 'least', count: 5 }, kind: null, named: [] }],
      },
    },
    'advice',
  ],
  ['section_cannot_give', wanting(3, withItems(work('w', null, { done: { by: 'ticked' } }))), 'advice'],
  ['counted_unlisted', withItems(work('w', null, { done: { by: 'ticked' }, listed: false })), 'advice'],
  [
    'all_due_at_once',
    withItems(
      ...['w', 'x', 'y', 'z'].map((id) => work(id, at('2027-01-14'), { done: { by: 'ticked' }, total: 10 })),
    ),
    'advice',
  ],
  [
    'counts_otherwise_stated',
    {
      ...withItems(
        work('w', null, { minutes: 240, done: { by: 'ticked' } }),
        work('x', null, { minutes: 360, done: null }),
      ),
      statedHours: 10,
    },
    'advice',
  ],
  ['samples_showing', withItems(work('w', null, { sample: true })), 'advice'],
  ['groups_missing', withItems(work('w', null, { audience: ['gone'] })), 'blocker'],
  [
    'groups_missing',
    { ...withItems(work('w', null, { audience: ['g'] })), groups: { g: BOAT } },
    'blocker',
    { groupSizes: { g: 0 } },
  ],
  ['group_work_without', { ...ready(), groupWork: 'apart' }, 'advice'],
  ['group_work_without', withItems(work('w', null, { groupWork: 'beside' })), 'advice'],
  ['no_learners', ready(), 'advice', { learners: 0 }],
  ['seats_short', { ...ready(), seats: 1 }, 'advice', { learners: 2 }],
  ['way_never', byLink({ opens: at('2027-01-20'), closes: at('2027-01-19') }), 'advice'],
  ['way_never', byLink({ opens: at('2030-01-20') }), 'advice'],
  [
    'way_never',
    {
      ...byLink({ closes: at('2027-01-08') }),
      state: 'draft',
      goesLive: { day: '2027-01-09', time: '08:00' },
    },
    'advice',
  ],
  ['ways_contradict', withWays({ link: {}, request: {} }), 'advice'],
  ['ways_contradict', { ...withWays({ invitation: { seats: 9 } }), seats: 5 }, 'advice'],
  [
    'line_stuck',
    withWays({ link: { on: false } }),
    'advice',
    { door: { ...DOOR, waiting: [{ way: 'link', count: 2 }] } },
  ],
  [
    'line_stuck',
    withWays({ request: { closes: at('2027-01-02') } }),
    'advice',
    { door: { ...DOOR, waiting: [{ way: 'request', count: 1 }] } },
  ],
  ['letters_wait', withWays({ invitation: {} }), 'advice', { door: { ...DOOR, hasMail: false } }],
  ['letters_wait', withWays({ request: {} }), 'advice', { door: { ...DOOR, hasMail: false } }],
  [
    'invitations_open',
    withWays({ invitation: {} }),
    'advice',
    { door: { ...DOOR, bounced: 1, unanswered: 4 } },
  ],
  ['invitations_open', withWays({ invitation: {} }), 'advice', { door: { ...DOOR, unanswered: 4 } }],
  ['requests_open', withWays({ request: {} }), 'advice', { door: { ...DOOR, requests: 3 } }],
  ['ungrouped', { ...ready(), groupWork: 'apart' }, 'advice', { door: { ...DOOR, ungrouped: 2 } }],
  [
    'class_left_out',
    { ...ready(), groupWork: 'apart', groups: { a: { name: 'Class A', kind: 'class', at: 1 } } },
    'advice',
    { door: { ...DOOR, leftClasses: ['a'] } },
  ],
  ['registry_empty', withWays({ registry: {} }), 'advice', { door: DOOR }],
  [
    'registry_over_seats',
    { ...withWays({ registry: { seats: 20 } }), seats: 25 },
    'advice',
    { door: { ...DOOR, registry: FOLLOWS } },
  ],
  [
    'registry_asks',
    withWays({ registry: {} }),
    'advice',
    { door: { ...DOOR, registry: { ...FOLLOWS, asked: 2 } } },
  ],
  [
    'registry_away',
    withWays({ registry: {} }),
    'advice',
    { door: { ...DOOR, registry: { ...FOLLOWS, readAt: '2026-12-01T08:00:00.000Z', isAway: true } } },
  ],
  [
    'registry_away',
    withWays({ registry: {} }),
    'advice',
    { door: { ...DOOR, registry: { ...FOLLOWS, readAt: null, isAway: true } } },
  ],
  ['pays_nothing', withWays({ paying: {} }), 'advice'],
  ['pays_nothing', withWays({ paying: { price: { ...PRICE, amount: 0 } } }), 'advice'],
  ['pays_nothing', withWays({ paying: { price: PRICE } }), 'advice', { door: { ...DOOR, hasDesk: false } }],
  ['instructor_alone', ready(), 'advice', { learners: 40, door: { ...DOOR, instructors: 1 } }],
  ['menu_long', menu(...AREAS.map((area): Leads => ({ to: 'area', area }))), 'advice'],
  ['menu_twice', menu(SECTIONS, SECTIONS), 'advice'],
  [
    'menu_empty_page',
    {
      ...withItems(newItem('page', { id: 'e', title: 'Empty' })),
      menu: menu(SECTIONS, { to: 'item', item: 'e' }).menu,
    },
    'advice',
  ],
  ['menu_tool_first', menu({ to: 'area', area: 'members' }, SECTIONS), 'advice'],
  ['menu_no_start', menu({ to: 'area', area: 'members' }), 'advice'],
  ['menu_no_start', { ...ready(), areas: { sections: 'off', home: 'off' } }, 'advice'],
  ['menu_no_contact', { ...menu(SECTIONS), panels: {} }, 'advice', { face: FACE }],
  ['menu_no_contact', ready(), 'advice', { face: { pages: [], staff: [] } }],
  ['menu_address', menu(SECTIONS, { to: 'address', address: 'http://tides.example/' }), 'advice'],
  ['menu_address', menu(SECTIONS, { to: 'address', address: 'https://library' }), 'advice'],
  ['menu_label_long', named('A label that no phone has room for'), 'advice'],
  ['arrive_lost', { ...ready(), firstArrive: { at: 'page', item: 'gone' } }, 'advice'],
  ['arrive_lost', { ...ready(), areas: { home: 'off' } }, 'advice'],
  [
    'course_picture_silent',
    { ...ready(), banner: { file: PICTURE, width: 9, height: 9, focus: { x: 0.5, y: 0.5 }, zoom: 1 } },
    'advice',
  ],
  ['announcement_undated', told({ kind: 'usual' }), 'advice'],
  ['announcement_undated', told(FIXED, { kind: 'fixed', day: '2026-01-01', time: null }), 'advice'],
  ['contact_gone', { ...ready(), contacts: { c: CARD } }, 'advice', { face: FACE }],
];
