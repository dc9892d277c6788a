/**
 * The slow planner: the same rules, walked day by day with nothing of core's but its types. Days are strings,
 * steps are Date's, instants are Temporal's. What core computes in one go has to agree with it.
 */
import type { Course, Section } from '../../src/index.ts';

export interface SlowSpan {
  readonly id: string;
  readonly kind: string;
  readonly first: string | null;
  readonly last: string | null;
}
export interface SlowRow {
  readonly name: string;
  readonly number: number | null;
  readonly first: string;
  readonly last: string;
}
export interface SlowPlan {
  readonly spans: readonly SlowSpan[];
  readonly pauses: readonly SlowRow[];
  readonly slots: readonly (readonly [string, string])[];
  readonly lastDay: string | null;
}

const NEXT = new Map<string, string>();
const WEEKDAYS = new Map<string, number>();

function remember<T>(known: Map<string, T>, day: string, make: () => T): T {
  const value = known.get(day) ?? make();
  known.set(day, value);
  return value;
}
const move = (day: string, by: number): string =>
  new Date(Date.parse(`${day}T12:00:00Z`) + by * 86_400_000).toISOString().slice(0, 10);
export const step = (day: string, by = 1): string =>
  by === 1 ? remember(NEXT, day, () => move(day, 1)) : move(day, by);
export const weekday = (day: string): number =>
  remember(WEEKDAYS, day, () => new Date(`${day}T12:00:00Z`).getUTCDay() || 7);

type Dates = Course['dates'];
type PauseEntry = readonly [string, Dates['pauses'][string]];

const pausesIn = (dates: Dates): PauseEntry[] =>
  Object.entries(dates.pauses).sort(([a, one], [b, other]) =>
    `${one.first} ${one.last} ${a}` < `${other.first} ${other.last} ${b}` ? -1 : 1,
  );
const isPaused = (dates: Dates, day: string): boolean =>
  pausesIn(dates).some(([, { first, last }]) => day >= first && day <= last);

export const daysFrom = (first: string, last: string): string[] => {
  const days: string[] = [];
  for (let day = first; day <= last; day = step(day)) days.push(day);
  return days;
};

/** The pause that a run of days is given to, or null. */
function pauseOf(dates: Dates, days: readonly string[]): PauseEntry | null {
  const teaching = days.filter((day) => dates.teachingDays.includes(weekday(day)));
  if (teaching.length === 0 || !teaching.every((day) => isPaused(dates, day))) return null;
  let best: PauseEntry | null = null;
  let most = 0;
  for (const entry of pausesIn(dates)) {
    const covers = days.filter((day) => day >= entry[1].first && day <= entry[1].last).length;
    if (covers > most) [best, most] = [entry, covers];
  }
  return best;
}

export function firstDayOf(dates: Dates): string | null {
  if (dates.firstDay === null || dates.offWeek !== 'move' || dates.format !== 'weeks') return dates.firstDay;
  for (const by of [0, -1, 1, -2, 2, -3, 3]) {
    const day = step(dates.firstDay, by);
    if (weekday(day) === dates.weekStart) return day;
  }
  throw new Error('a week has seven days');
}

const endOfWeek = (dates: Dates, from: string): string => {
  let day = from;
  while (weekday(step(day)) !== dates.weekStart) day = step(day);
  return day;
};

function slowWeeks(dates: Dates, first: string): Pick<SlowPlan, 'slots' | 'pauses'> {
  const until = dates.ends === 'weeks' ? null : dates.lastDay;
  const slots: [string, string][] = [];
  const pauses: (SlowRow & { readonly pause: string })[] = [];
  let number = 0;
  let from = first;
  let isFirst = true;
  while (until === null ? number < dates.weeks : number < 104) {
    let days = daysFrom(from, step(from, 6));
    if (isFirst && dates.offWeek === 'short') {
      days = daysFrom(from, endOfWeek(dates, from));
      if (!days.some((day) => dates.teachingDays.includes(weekday(day)))) {
        days = daysFrom(from, step(endOfWeek(dates, from), 7));
      }
    }
    isFirst = false;
    from = step(days.at(-1) as string);
    if (until !== null) days = days.filter((day) => day <= until);
    if (!days.some((day) => dates.teachingDays.includes(weekday(day)))) break;
    const [begin, end] = [days[0] as string, days.at(-1) as string];
    const pause = pauseOf(dates, days);
    if (pause === null) {
      number += 1;
      slots.push([begin, end]);
      continue;
    }
    const [id, { name, policy }] = pause;
    if (policy === 'silent') continue;
    const previous = pauses.at(-1);
    const joins = policy === 'between' && previous?.pause === id && step(previous.last) === begin;
    // Between a pause's weeks nothing else may stand, not even a slot.
    if (joins && !slots.some(([slotFirst]) => slotFirst > previous.first)) {
      pauses[pauses.length - 1] = { ...previous, last: end };
      continue;
    }
    if (policy === 'counted') number += 1;
    pauses.push({ pause: id, name, number: policy === 'counted' ? number : null, first: begin, last: end });
  }
  return {
    slots,
    pauses: pauses.map(({ name, number: of, first: a, last: b }) => ({
      name,
      number: of,
      first: a,
      last: b,
    })),
  };
}

function slowUnits(dates: Dates, sections: readonly Section[]): ([string, string] | null)[] {
  let end: string | null = null;
  return sections.map(({ span, pin }) => {
    let start: string;
    if (pin !== null) start = pin;
    else if (end === null) {
      if (dates.firstDay === null) return null;
      start = dates.firstDay;
      while (isPaused(dates, start)) start = step(start);
    } else {
      start = step(end);
      if (span.unit === 'days') while (isPaused(dates, start)) start = step(start);
      else {
        while (
          weekday(start) !== dates.weekStart ||
          isPaused(dates, start) ||
          pauseOf(dates, daysFrom(start, step(start, 6))) !== null
        )
          start = step(start);
      }
    }
    let day = start;
    if (span.unit === 'days') {
      let left = span.count - (isPaused(dates, day) ? 0 : 1);
      while (left > 0) {
        day = step(day);
        if (!isPaused(dates, day)) left -= 1;
      }
    } else {
      day = endOfWeek(dates, start);
      let left = span.count - 1;
      let week = day;
      while (left > 0) {
        const next = daysFrom(step(week), step(week, 7));
        week = step(week, 7);
        if (pauseOf(dates, next) === null) {
          left -= 1;
          day = week;
        }
      }
    }
    end = day;
    return [start, day];
  });
}

interface SlowMeeting {
  readonly key: string;
  /** Original day and time: the order of sections. */
  readonly order: string;
  readonly day: string;
  readonly takes: boolean;
}

function slowMeetings(dates: Dates): readonly SlowMeeting[] {
  const found: SlowMeeting[] = [];
  const until = dates.ends === 'weeks' ? null : dates.lastDay;
  let held = 0;
  const patterns = Object.entries(dates.patterns);
  const limit = until === null ? dates.meetings : 200;
  if (dates.firstDay !== null && patterns.length > 0) {
    for (
      let day = dates.firstDay, walked = 0;
      walked < 2800 && (until === null || day <= until);
      walked += 1, day = step(day)
    ) {
      if (isPaused(dates, day)) continue;
      const today = patterns
        .filter(([, { weekdays }]) => weekdays.includes(weekday(day)))
        .sort(([a, one], [b, other]) => (`${one.time}${a}` < `${other.time}${b}` ? -1 : 1));
      for (const [id, pattern] of today) {
        if (held === limit) continue;
        const change = dates.changes[`${id}_${day}`];
        const isCancelled = change?.kind === 'cancelled';
        if (!isCancelled) held += 1;
        found.push({
          key: `${id}_${day}`,
          order: `${day} ${pattern.time}`,
          day: change?.kind === 'moved' ? change.day : day,
          takes: !isCancelled || change.sections === 'keep',
        });
      }
    }
  }
  for (const [key, change] of Object.entries(dates.changes)) {
    if (change.kind !== 'added') continue;
    found.push({ key, order: `${change.day} ${change.time}`, day: change.day, takes: true });
  }
  return found
    .sort((a, b) => (a.order === b.order ? (a.key < b.key ? -1 : 1) : a.order < b.order ? -1 : 1))
    .filter(({ takes }) => takes);
}

function slowMeetingSlots(dates: Dates): [string, string][] {
  const meetings = slowMeetings(dates);
  return meetings.map(({ day }) => {
    const later = meetings
      .map((one) => one.day)
      .filter((other) => other > day)
      .sort();
    let last = later.length > 0 ? step(later[0] as string, -1) : endOfWeek(dates, day);
    if (later.length === 0 && dates.ends !== 'weeks' && dates.lastDay !== null && dates.lastDay < last) {
      last = dates.lastDay;
    }
    return [day, last < day ? day : last];
  });
}

function slowOwn(course: Course, sections: readonly Section[], joined: string): [string, string][] {
  const { dates } = course;
  const start = dates.firstDay !== null && dates.firstDay > joined ? dates.firstDay : joined;
  const lengths =
    dates.format === 'weeks'
      ? Array.from({ length: dates.weeks }, () => 7)
      : sections.map(({ span }) => (span.unit === 'weeks' ? 7 * span.count : span.count));
  let day = step(start, -1);
  const nextOwn = (): string => {
    do day = step(day);
    while (dates.pausesForJoiners && isPaused(dates, day));
    return day;
  };
  return lengths.map((length) => {
    const first = nextOwn();
    for (let at = 1; at < length; at += 1) nextOwn();
    return [first, day];
  });
}

export function slowPlan(course: Course, joined: string | null): SlowPlan {
  const { dates } = course;
  const living = course.sections.filter(({ removed }) => !removed);
  const inside = living.filter(({ outside }) => !outside);
  const spanOf = (kind: string, days: readonly [string, string] | null = null): Omit<SlowSpan, 'id'> => ({
    kind,
    first: days?.[0] ?? null,
    last: days?.[1] ?? null,
  });
  let taken: Omit<SlowSpan, 'id'>[] = [];
  let slots: readonly (readonly [string, string])[] = [];
  let pauses: readonly SlowRow[] = [];
  const take = (all: readonly [string, string][]): void => {
    slots = all;
    taken = inside.map((_, at) => (all[at] === undefined ? spanOf('unplaced') : spanOf('slot', all[at])));
  };
  const own = dates.pace === 'joining' && dates.format !== 'meetings' && dates.format !== 'item';
  const first = firstDayOf(dates);
  if (dates.format === 'item') taken = inside.map(() => spanOf('aside'));
  else if (dates.format === 'meetings') take(slowMeetingSlots(dates));
  else if (dates.pace === 'none') taken = inside.map(() => spanOf('undated'));
  else if (own && joined !== null) take(slowOwn(course, inside, joined));
  else if (own) {
    const room = dates.format === 'weeks' ? dates.weeks : inside.length;
    taken = inside.map((_, at) => spanOf(at < room ? 'own' : 'unplaced'));
  } else if (dates.format === 'weeks') {
    const weeks = first === null ? { slots: [], pauses: [] } : slowWeeks(dates, first);
    take(weeks.slots as [string, string][]);
    pauses = weeks.pauses;
  } else {
    const units = slowUnits(dates, inside);
    slots = units.filter((unit) => unit !== null);
    taken = units.map((unit) => (unit === null ? spanOf('undated') : spanOf('slot', unit)));
  }
  const at = new Map(inside.map(({ id }, index) => [id, taken[index] as Omit<SlowSpan, 'id'>]));
  const spans = living.map(({ id }) => ({ id, ...(at.get(id) ?? spanOf('outside')) }));
  return { spans, slots, pauses, lastDay: slowLastDay(dates, first, slots, pauses, own) };
}

function slowLastDay(
  dates: Dates,
  first: string | null,
  slots: readonly (readonly [string, string])[],
  pauses: readonly SlowRow[],
  own: boolean,
): string | null {
  if (dates.ends !== 'weeks' && dates.lastDay !== null && !own) return dates.lastDay;
  const ends = [
    ...slots.map(([, last]) => last),
    ...pauses.filter(({ number }) => number !== null).map(({ last }) => last),
  ];
  if (ends.length > 0) return ends.sort().at(-1) as string;
  const spansWeeks = dates.format === 'item' || (dates.pace === 'none' && dates.format === 'weeks');
  return spansWeeks && first !== null ? step(first, 7 * dates.weeks - 1) : null;
}
