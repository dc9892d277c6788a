/**
 * How learners work, read off what they have done: minutes on a day on which there was something to do, and how many days
 * before it is wanted (docs/semantics.md, Forecast). Of whoever has done little it is mostly as with all of them.
 */
import { beginsOn, NEVER } from './walk.ts';
import type { Frame } from './frame.ts';
import type { Gait } from './walk.ts';

/** Of what lies so many days back, half counts. */
const HALF_LIFE = 21;
/** As many days of the whole class's pace stand behind each learner's own. */
const BEHIND = 4;
/** Done so much before or after it is wanted, or more: what is beyond says no more. */
const MOST_LEAD = 28;
const LEAST_LEAD = -14;
/** Before anybody has done anything. */
export const PLANNED_LEAD = 7;
const PLANNED_SLACK = 1.25;
const LEAST_PACE = 0.5;
/** How far off a pace may be, as a share of it: one's own and everybody's, after one day; less with more of them. */
const OWN = 0.7;
const COMMON = 0.5;
const LEAST_SPREAD = 0.08;
const PLANNED_OWN = 0.15;
const PLANNED_COMMON = 0.1;

export interface Learnt {
  readonly gait: Gait;
  /** How far off the pace may be, as a share of it. */
  readonly spread: number;
}

/** One learner, with what they have done already. */
export interface Learning {
  readonly frame: Frame;
  /** By item the day on which it was done, or `NEVER`. */
  readonly known: Int32Array;
}

export interface Cohort {
  readonly basis: 'plan' | 'learners';
  readonly learnt: readonly Learnt[];
  /** How far off all of them together may be. */
  readonly spread: number;
  /** Of the whole class: what of it is said. */
  readonly gait: Gait;
}

/** A quarter more than what an even spread of the work would ask of a day. */
export function paceOfPlan({ items, works, last }: Frame): number {
  const can = items.filter(({ opens }) => opens !== Infinity);
  const from = can.reduce((least, { opens }) => Math.min(least, opens), Infinity);
  const to = Math.min(
    can.reduce((most, { wanted, opens }) => Math.max(most, wanted === Infinity ? opens : wanted), -Infinity),
    last,
    works.length - 1,
  );
  const days = works.filter((is, day) => is && day >= from && day <= to).length;
  const minutes = can.reduce((sum, { weight }) => sum + weight, 0);
  return Math.max(LEAST_PACE, (PLANNED_SLACK * minutes) / Math.max(1, days));
}

/** Minutes done, and days that they took; what lies back counts for less. */
interface Seen {
  readonly minutes: number;
  readonly days: number;
  /** Of runs that were over on the day on which they began: no more is known of them than that so much can be done. */
  readonly atOnce: readonly (readonly [minutes: number, counts: number])[];
}

/** By past day: how many things there were to do, how many of them were done, and how many minutes these took. */
interface Past {
  readonly open: Int32Array;
  readonly count: Int32Array;
  readonly minutes: Float64Array;
}

function pastOf({ frame, known }: Learning, today: number, gait: Gait): Past {
  const open = new Int32Array(today + 1);
  const count = new Int32Array(today);
  const minutes = new Float64Array(today);
  for (let at = 0; at < frame.items.length; at += 1) {
    const item = frame.items[at] as Frame['items'][number];
    const done = known[at] as number;
    if (item.isHeld) continue;
    if (done < today) {
      count[done] = (count[done] as number) + 1;
      minutes[done] = (minutes[done] as number) + item.weight;
    }
    const from = Math.max(0, Math.min(beginsOn(item, gait), done));
    const to = Math.min(done, today - 1, item.closes);
    if (from > to) continue;
    open[from] = (open[from] as number) + 1;
    open[to + 1] = (open[to + 1] as number) - 1;
  }
  for (let day = 1; day < today; day += 1) open[day] = (open[day] as number) + (open[day - 1] as number);
  return { open, count, minutes };
}

/**
 * Day after day with something to do is a run: they had as many minutes as they did in it, and of its last day, on which
 * nothing was left any more, half was left over, as far as anybody knows.
 */
function seen(learning: Learning, today: number, gait: Gait): Seen {
  const { works } = learning.frame;
  const past = pastOf(learning, today, gait);
  const atOnce: [number, number][] = [];
  let [minutes, days, ran, did] = [0, 0, 0, 0];
  const over = (day: number, isCleared: boolean): void => {
    const counts = weightOf(today - day);
    if (isCleared && ran <= 1) {
      if (did > 0) atOnce.push([did, counts]);
    } else {
      minutes += did * counts;
      days += (ran - (isCleared ? 0.5 : 0)) * counts;
    }
    [ran, did] = [0, 0];
  };
  for (let day = 0; day < today; day += 1) {
    const open = past.open[day] as number;
    if (open === 0) {
      if (ran > 0 || did > 0) over(day, false);
      continue;
    }
    if (works[day] === true) ran += 1;
    did += past.minutes[day] as number;
    if ((past.count[day] as number) >= open) over(day, true);
  }
  if (ran > 0 || did > 0) over(today - 1, false);
  return { minutes, days, atOnce };
}

/** Minutes on a day, where somebody else's pace stands behind it for so many days. */
function paceIn({ minutes, days, atOnce }: Seen, pace: number): number {
  const far = (minutes + BEHIND * pace) / (days + BEHIND);
  // What was done within a day says something only where it is more.
  const more = atOnce.filter(([one]) => one > far);
  const did = more.reduce((sum, [one, counts]) => sum + one * counts, minutes);
  const took = more.reduce((sum, [, counts]) => sum + counts, days);
  return Math.max(LEAST_PACE, (did + BEHIND * pace) / (took + BEHIND));
}

const weightOf = (age: number): number => 2 ** (-age / HALF_LIFE);

/** How many things were done so many days before they were wanted, from the least to the most; what is beyond, there. */
type Leads = Int32Array;

function leadsOf({ frame, known }: Learning, today: number, all: Leads): Leads {
  const own = new Int32Array(MOST_LEAD - LEAST_LEAD + 1);
  const { items } = frame;
  for (let at = 0; at < items.length; at += 1) {
    const { wanted, isHeld } = items[at] as Frame['items'][number];
    const done = known[at] as number;
    if (isHeld || wanted === Infinity || done >= today) continue;
    const place = Math.min(MOST_LEAD, Math.max(LEAST_LEAD, wanted - done)) - LEAST_LEAD;
    own[place] = (own[place] as number) + 1;
    all[place] = (all[place] as number) + 1;
  }
  return own;
}

const countOf = (leads: Leads): number => leads.reduce((sum, one) => sum + one, 0);

/** The one in the middle; null: there is none. */
function middle(leads: Leads): number | null {
  const half = (countOf(leads) + 1) / 2;
  let below = 0;
  for (let place = 0; place < leads.length; place += 1) {
    below += leads[place] as number;
    if (below > 0 && below >= Math.floor(half)) return place + LEAST_LEAD;
  }
  return null;
}

/** As many of one's own leads, and they are one's own lead. */
const ENOUGH_LEADS = 3;

/** @param today the first day that is not over */
export function cohortOf(learners: readonly Learning[], today: number): Cohort {
  const plans = new Map<Frame, number>();
  for (const { frame } of learners) if (!plans.has(frame)) plans.set(frame, paceOfPlan(frame));
  const planned = mean(learners.map(({ frame }) => plans.get(frame) ?? LEAST_PACE)) ?? LEAST_PACE;
  const allLeads = new Int32Array(MOST_LEAD - LEAST_LEAD + 1);
  const leads = learners.map((one) => leadsOf(one, today, allLeads));
  const isBegun = learners.some(({ known }) => known.some((day) => day !== NEVER));
  const lead = isBegun ? (middle(allLeads) ?? PLANNED_LEAD) : PLANNED_LEAD;
  const own = learners.map((one, at): Seen & { readonly lead: number } => {
    const of = leads[at] as Leads;
    const its = countOf(of) < ENOUGH_LEADS ? null : middle(of);
    const gait = { pace: planned, lead: its ?? lead };
    return { ...seen(one, today, gait), lead: gait.lead };
  });
  const all: Seen = {
    minutes: own.reduce((sum, { minutes }) => sum + minutes, 0),
    days: own.reduce((sum, { days }) => sum + days, 0),
    atOnce: own.flatMap(({ atOnce }) => atOnce),
  };
  const pace = paceIn(all, planned);
  return {
    basis: isBegun ? 'learners' : 'plan',
    gait: { pace, lead },
    spread: isBegun ? COMMON / Math.sqrt(1 + all.days / learners.length) : PLANNED_COMMON,
    learnt: own.map((one) => ({
      gait: { pace: paceIn(one, pace), lead: one.lead },
      spread: isBegun ? Math.max(LEAST_SPREAD, OWN / Math.sqrt(1 + one.days)) : PLANNED_OWN,
    })),
  };
}

const mean = (numbers: readonly number[]): number | null =>
  numbers.length === 0 ? null : numbers.reduce((sum, one) => sum + one, 0) / numbers.length;

/** By item, from the days on which things were done. */
export function knownOf(
  { counting, items }: Frame,
  done: Readonly<Record<string, string>>,
  indexOf: (day: string) => number,
): Int32Array {
  const known = new Int32Array(items.length).fill(NEVER);
  for (const id in done) {
    const at = counting.indexOf.get(id);
    if (at !== undefined) known[at] = indexOf(done[id] as string);
  }
  return known;
}
