/** `npm run bench`, or `npm run bench -- NAME` for one: each line `ratio NAME N` compares two ways in one run. */
import { DateTime } from 'luxon';
import rrule from 'rrule';
import {
  applyChange,
  joinChange,
  makeChange,
  openCopy,
  parseCourse,
  planCourse,
  planSections,
} from '../src/index.ts';
import type { Change, Course, CoursePlan } from '../src/index.ts';
import { courseOfPages, courseOfWork, TIMES, WEEKDAYS } from './courses.ts';
import { accessComparisons } from './access.ts';
import { forecastComparisons } from './forecast.ts';
import { listComparisons } from './lists.ts';
import { progressComparisons } from './progress.ts';
import { quizComparisons } from './quizzes.ts';
import { compare } from './measure.ts';
import type { Comparison } from './measure.ts';

const SECTIONS = 40;
const ITEMS = 25;

const large = courseOfPages(SECTIONS, ITEMS);
const setTitle = (at: number): Change => ({
  id: `c${at}`,
  edits: [
    { kind: 'set', target: `s${at % SECTIONS}i${at % ITEMS}`, field: 'title', value: `New ${at}`, was: '' },
  ],
});

const work = courseOfWork();
const ZONE = work.dates.zone;
const MONDAYS = planSections(work).slots.map(({ first }) => first);

/** All due moments as core resolves them, in reading order. */
function planned(plan: CoursePlan): readonly number[] {
  return plan.sections.flatMap(({ section, moments }) =>
    section.items.map(({ id }) => {
      const due = moments.get(id)?.due;
      return due?.kind === 'at' ? due.instant : NaN;
    }),
  );
}

/** The same instants with a date library: the week's first day, its weekday, its time, in the zone. */
function withLuxon(): readonly number[] {
  return MONDAYS.flatMap((monday, section) => {
    const first = DateTime.fromISO(monday, { zone: ZONE });
    return (work.sections[section] as Course['sections'][number]).items.map((_, index) => {
      const [hour, minute] = (TIMES[index % TIMES.length] as string).split(':').map(Number) as [
        number,
        number,
      ];
      const days = (WEEKDAYS[index % WEEKDAYS.length] as number) - 1;
      return first.plus({ days }).set({ hour, minute }).toMillis();
    });
  });
}

/** The same instants with a recurrence library: one weekly rule a weekday and time, the break excepted. */
function withRrule(): readonly number[] {
  const { RRule, RRuleSet } = rrule;
  const days = [RRule.MO, RRule.TU, RRule.WE, RRule.TH, RRule.FR];
  const rules = new Map<string, readonly Date[]>();
  const occurrences = (weekday: number, time: string): readonly Date[] => {
    const key = `${weekday} ${time}`;
    const known = rules.get(key);
    if (known !== undefined) return known;
    const [hour, minute] = time.split(':').map(Number) as [number, number];
    const day = 11 + weekday - 1;
    const set = new RRuleSet();
    set.rrule(
      new RRule({
        freq: RRule.WEEKLY,
        byweekday: [days[weekday - 1] as (typeof days)[number]],
        dtstart: new Date(Date.UTC(2027, 0, day, hour, minute)),
        tzid: ZONE,
        count: 16,
      }),
    );
    // Excepted dates, like the rule's own, are local times written as if they were UTC.
    set.exdate(new Date(Date.UTC(2027, 2, 8 + weekday - 1, hour, minute)));
    const found = set.all();
    rules.set(key, found);
    return found;
  };
  return work.sections.flatMap((section, week) =>
    section.items.map((_, index) => {
      const weekday = WEEKDAYS[index % WEEKDAYS.length] as number;
      const at = occurrences(weekday, TIMES[index % TIMES.length] as string)[week];
      return at === undefined ? NaN : at.getTime();
    }),
  );
}

function sameInstants(ours: readonly number[], theirs: readonly number[], whose: string): void {
  const at = ours.findIndex((instant, index) => instant !== theirs[index]);
  if (ours.length !== 500 || theirs.length !== 500 || at >= 0) {
    throw new Error(`${whose} gives ${String(theirs[at])} where core gives ${String(ours[at])}, at ${at}`);
  }
}

const ours = planned(planCourse(work));
sameInstants(ours, withLuxon(), 'Luxon');
sameInstants(ours, withRrule(), 'rrule');

/** One item's minutes changed, as somebody types them. */
function retyped(at: number): Course {
  const edits = [
    { kind: 'set' as const, target: `s7w${at % 33}`, field: 'minutes', value: at % 90, was: 30 },
  ];
  const applied = applyChange(work, { id: `m${at}`, edits });
  if (!applied.ok) throw new Error(applied.refusal.code);
  return applied.course;
}
const before = planCourse(work);
const edited = Array.from({ length: 40 }, (_, at) => retyped(at));

const typed = makeChange(openCopy(large, 0), setTitle(0));
if (!typed.ok) throw new Error(typed.refusal.code);
const typing = typed.copy;

const COMPARISONS: readonly Comparison[] = [
  {
    name: 'plan-vs-rrule',
    says: 'planning 15 weeks with 500 due moments, against the same 500 instants by rrule: times as fast',
    count: 60,
    one: () => void planCourse(work),
    other: () => void withRrule(),
    otherCount: 5,
  },
  {
    name: 'plan-vs-luxon',
    says: 'planning 15 weeks with 500 due moments, against the same 500 instants by Luxon: times as fast',
    count: 60,
    one: () => void planCourse(work),
    other: () => void withLuxon(),
    otherCount: 20,
  },
  {
    name: 'replan-vs-plan',
    says: 'planning again after an edit to one item of 500, against planning anew: the share of its time',
    count: 60,
    one: () => void planCourse(work),
    other: (at) => void planCourse(edited[at % edited.length] as Course, {}, before),
  },
  {
    name: 'apply-vs-copy',
    says: 'applyChange, one title among 1,000 items, against a deep copy changed and parsed again: times as fast',
    count: 400,
    one: (at) => void applyChange(large, setTitle(at)),
    other: (at) => {
      const copy = structuredClone(large);
      const item = copy.sections[at % SECTIONS]?.items[at % ITEMS];
      if (item !== undefined) item.title = `New ${at}`;
      parseCourse(copy);
    },
    otherCount: 10,
  },
  {
    name: 'layout-vs-parse',
    says: 'planSections, 40 sections of 25 items, against the same on a course parsed anew: times as fast',
    count: 200,
    one: () => void planSections(large),
    other: () => {
      const parsed = parseCourse(large);
      if (parsed.ok) planSections(parsed.value);
    },
    otherCount: 10,
  },
  {
    name: 'join-vs-replay',
    says: 'one letter typed, joined with the last, against replaying fifty letters from the start: times as fast',
    count: 200,
    one: (at) => void joinChange(typing, { ...setTitle(0), id: `j${at}` }, new Set()),
    other: () => {
      let copy = openCopy(large, 0);
      for (let at = 0; at < 50; at += 1) {
        const attempt = makeChange(copy, setTitle(at * SECTIONS * ITEMS));
        if (attempt.ok) copy = attempt.copy;
      }
    },
    otherCount: 20,
  },
];

const wanted = process.argv[2];
const all = [
  ...COMPARISONS,
  ...(await accessComparisons()),
  ...listComparisons(),
  ...quizComparisons(),
  ...progressComparisons,
  ...forecastComparisons,
];
const chosen = all.filter(({ name }) => wanted === undefined || name === wanted);
if (chosen.length === 0) {
  console.error(
    `There is no comparison "${wanted ?? ''}"; there are: ${all.map(({ name }) => name).join(', ')}, home-lcp-vs-static`,
  );
  process.exitCode = 2;
}
for (const comparison of chosen) await compare(comparison);
