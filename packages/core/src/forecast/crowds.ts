/** Days on which many have nothing to do, and days on which many do the same. */
import type { Frame } from './frame.ts';
import type { Learning } from './gait.ts';
import { NEVER } from './walk.ts';

/** A run of days on which many stand still. */
export interface Still {
  /** Indices of days, both included. */
  readonly first: number;
  readonly last: number;
  /** The most of them on one of these days. */
  readonly learners: number;
  /** What opens next for most of them: its id; null: nothing does. */
  readonly until: string | null;
}

/** A day on which much more is done than on those around it. */
export interface Peak {
  readonly day: number;
  /** How many learners do something then, and how many times as much as usual. */
  readonly learners: number;
  readonly times: number;
  /** Ids of what is done then most, the most first. */
  readonly items: readonly string[];
}

/** So many days in a row, of so large a part of those who have not finished. */
const LEAST_STILL = 3;
const PART_STILL = 0.25;
const MOST_SHOWN = 3;

export function stillIn(
  people: readonly Learning[],
  done: readonly Int32Array[],
  today: number,
): readonly Still[] {
  const days = people[0]?.frame.works.length ?? 0;
  const still = new Int32Array(days);
  const left = new Int32Array(days);
  people.forEach(({ frame }, at) => {
    const own = done[at] as Int32Array;
    const things = thingsToDo(frame, own);
    // Whoever does nothing later does not stand still: they have finished, or given up.
    const last = own.reduce((most, day) => (day === NEVER ? most : Math.max(most, day)), -1);
    for (let day = today; day <= last; day += 1) {
      left[day] = (left[day] as number) + 1;
      if (things[day] === 0) still[day] = (still[day] as number) + 1;
    }
  });
  const works = (day: number): boolean => people[0]?.frame.works[day] === true;
  const runs: Still[] = [];
  let first = -1;
  for (let day = today; day <= days; day += 1) {
    if (day < days && !works(day)) continue;
    const isStill = day < days && (still[day] as number) >= Math.max(1, PART_STILL * (left[day] as number));
    if (isStill && first < 0) first = day;
    if (isStill || first < 0) continue;
    const most = still.subarray(first, day).reduce((a, b) => Math.max(a, b), 0);
    if (day - first >= LEAST_STILL && day < days)
      runs.push({ first, last: day - 1, learners: most, until: opensNext(people, done, day) });
    first = -1;
  }
  return runs.sort((a, b) => b.learners - a.learners || a.first - b.first).slice(0, MOST_SHOWN);
}

/** By day: how many things one could do, whether one has begun with them or not. */
function thingsToDo({ items, works }: Frame, done: Int32Array): Int32Array {
  const things = new Int32Array(works.length + 1);
  items.forEach(({ opens, closes, waits }, at) => {
    const from = waits.reduce((most, one) => Math.max(most, (done[one.at] as number) + one.later), opens);
    const to = Math.min(done[at] as number, closes, works.length - 1);
    if (from > to) return;
    things[from] = (things[from] as number) + 1;
    things[to + 1] = (things[to + 1] as number) - 1;
  });
  for (let day = 1; day < works.length; day += 1)
    things[day] = (things[day] as number) + (things[day - 1] as number);
  return things;
}

/** What most of them do first from that day on. */
function opensNext(people: readonly Learning[], done: readonly Int32Array[], day: number): string | null {
  const counts = new Map<string, number>();
  people.forEach(({ frame }, at) => {
    let best: { readonly id: string; readonly opens: number } | null = null;
    frame.items.forEach(({ id, opens }, item) => {
      const when = (done[at] as Int32Array)[item] as number;
      if (when >= day && when !== NEVER && (best === null || opens < best.opens)) best = { id, opens };
    });
    const found = best as { readonly id: string } | null;
    if (found !== null) counts.set(found.id, (counts.get(found.id) ?? 0) + 1);
  });
  return mostOf(counts)[0] ?? null;
}

/** Beside which days a day is told to be much, and how much of it. */
const AROUND = 10;
const TIMES = 2.5;
const PART_BUSY = 0.25;

export function peaksIn(
  people: readonly Learning[],
  done: readonly Int32Array[],
  today: number,
): readonly Peak[] {
  const days = people[0]?.frame.works.length ?? 0;
  const minutes = new Float64Array(days);
  const busy = new Int32Array(days);
  people.forEach(({ frame }, at) => {
    const seen = new Set<number>();
    (done[at] as Int32Array).forEach((day, item) => {
      const one = frame.items[item];
      if (day < today || day >= days || one === undefined || one.isHeld) return;
      minutes[day] = (minutes[day] as number) + one.weight;
      if (!seen.has(day)) busy[day] = (busy[day] as number) + 1;
      seen.add(day);
    });
  });
  const peaks: Omit<Peak, 'items'>[] = [];
  for (let day = today; day < days; day += 1) {
    const from = Math.max(today, day - AROUND);
    const around = minutes.subarray(from, Math.min(days, day + AROUND + 1));
    const usual =
      (around.reduce((sum, one) => sum + one, 0) - (minutes[day] as number)) / (around.length - 1);
    const isMuch = around.length > AROUND && (minutes[day] as number) >= TIMES * usual;
    if (!isMuch || (busy[day] as number) < Math.max(2, PART_BUSY * people.length)) continue;
    const times = usual === 0 ? Infinity : (minutes[day] as number) / usual;
    peaks.push({ day, learners: busy[day] as number, times });
  }
  return peaks
    .sort((a, b) => b.learners * Math.min(b.times, 10) - a.learners * Math.min(a.times, 10))
    .slice(0, MOST_SHOWN)
    .map((peak) => ({ ...peak, items: doneOn(people, done, peak.day).slice(0, MOST_SHOWN) }));
}

function doneOn(people: readonly Learning[], done: readonly Int32Array[], day: number): readonly string[] {
  const counts = new Map<string, number>();
  people.forEach(({ frame }, at) => {
    frame.items.forEach(({ id, isHeld }, item) => {
      if (!isHeld && (done[at] as Int32Array)[item] === day) counts.set(id, (counts.get(id) ?? 0) + 1);
    });
  });
  return mostOf(counts);
}

const mostOf = (counts: ReadonlyMap<string, number>): readonly string[] =>
  [...counts].sort(([, a], [, b]) => b - a).map(([id]) => id);
