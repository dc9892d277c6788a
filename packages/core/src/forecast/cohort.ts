/**
 * Where a class is going: how many will have finished by when, with a band; where they will stand still, wait for one
 * another, or all work on one evening (docs/semantics.md, Forecast). Nothing of it is certain, and all that it takes for
 * given is said with it.
 */
import { toDay, toDayNumber } from '../calendar/day-number.ts';
import { hashed } from '../course/hashed.ts';
import type { Course } from '../course/schema/schema.ts';
import { joinedDay, planFor } from '../access/plan-for.ts';
import { ANY_LEARNER } from '../access/roles.ts';
import type { Viewer } from '../access/roles.ts';
import { normals } from './chance.ts';
import { frameOf } from './frame.ts';
import type { Frame } from './frame.ts';
import { cohortOf, knownOf } from './gait.ts';
import type { Cohort, Learning } from './gait.ts';
import { finishOf } from './finish.ts';
import { peaksIn, stillIn } from './crowds.ts';
import type { Peak, Still } from './crowds.ts';
import { holdsOf, waitingIn } from './together.ts';
import type { Waiting } from './together.ts';
import { NEVER, Walker } from './walk.ts';
import type { Gait } from './walk.ts';

export interface CohortLearner {
  readonly viewer: Viewer;
  /** By item, the day on which it was done (ISO, in the course's zone). */
  readonly done: Readonly<Record<string, string>>;
  /** The day on which they were done with the course; null: they are not. */
  readonly since: string | null;
}

export interface ForecastAsked {
  readonly course: Course;
  readonly learners: readonly CohortLearner[];
  /** In the course's zone; not over yet. */
  readonly today: string;
  /** How often it is gone through by chance, beside the one way that is most like it; as many as there is time for. */
  readonly draws?: number;
}

/** A tenth of the ways are below the low one, a tenth above the high one. */
export interface Band {
  readonly low: number;
  readonly middle: number;
  readonly high: number;
}

export interface Forecast {
  readonly basis: Cohort['basis'];
  readonly learners: number;
  readonly draws: number;
  /** From the first day on, ISO. */
  readonly days: readonly string[];
  /** The index of today. */
  readonly today: number;
  /** How many have finished by the end of each day: until yesterday, as it is; from today on, as it may be. */
  readonly finished: readonly Band[];
  /** How much of all that counts is done, from 0 to 1, in the same way. */
  readonly share: readonly Band[];
  /** How much of it would be done if each thing was done on its day. */
  readonly planned: readonly number[];
  /** By learner: in which part of the ways they finish, from 0 to 1. */
  readonly chances: readonly number[];
  /** By learner: what they have not done and can do no more, the first of it by its id; null: there is no such thing. */
  readonly missed: readonly (string | null)[];
  readonly gait: Gait;
  /** Nobody can work in it any more: all of it is as it is. */
  readonly isOver: boolean;
  readonly still: readonly Still[];
  readonly peaks: readonly Peak[];
  readonly waiting: readonly Waiting[];
}

const MOST_DAYS = 400;
/** Where a course has no last day, it is looked ahead so far beyond its plan. */
const BEYOND = 28;
const LEARNERS_AT_ONCE = 40_000;
const FEWEST_DRAWS = 9;
const MOST_DRAWS = 49;

export function forecast({ course, learners, today, draws }: ForecastAsked): Forecast | null {
  if (learners.length === 0 || !course.progress) return null;
  const span = spanOf(course, learners, today);
  const numberOf = dayNumbers();
  const frames = new Map<string, { frame: Frame; walker: Walker }>();
  const people = learners.map(({ viewer, done }): Learning & { readonly walker: Walker } => {
    const key = frameKey(course, viewer);
    let its = frames.get(key);
    if (its === undefined) {
      const frame = frameOf(course, viewer, span.first, span.days);
      its = { frame, walker: new Walker(frame) };
      frames.set(key, its);
    }
    return { ...its, known: knownOf(its.frame, done, (day) => numberOf(day) - span.first) };
  });
  const counted = people.reduce((sum, { frame }) => sum + frame.items.length, 0);
  if (counted === 0) return null;
  const cohort = cohortOf(people, span.today);
  const many = draws ?? drawsFor(learners.length);
  const finishes = people.map(() => 0);
  const chance = normals(hashed(course.id));
  const finishedIn: Int32Array[] = [];
  const doneIn: Int32Array[] = [];
  let central: Pick<Forecast, 'still' | 'peaks' | 'waiting'> = { still: [], peaks: [], waiting: [] };
  for (let draw = 0; draw <= many; draw += 1) {
    // The first goes as all of them go in the middle.
    const all = draw === 0 ? 0 : cohort.spread * chance();
    const gaits = cohort.learnt.map(({ gait, spread }): Gait => ({
      ...gait,
      pace: gait.pace * Math.exp(all + (draw === 0 ? 0 : spread * chance())),
    }));
    const walks = walkAll(people, learners, gaits, span.today);
    const finished = new Int32Array(span.days);
    const done = new Int32Array(span.days);
    walks.done.forEach((own, at) => {
      const { frame } = people[at] as Learning;
      const since = learners[at]?.since ?? null;
      const end = since === null ? finishOf(frame, own) : toDayNumber(since) - span.first;
      if (end < span.days) {
        finished[Math.max(0, end)] = (finished[Math.max(0, end)] as number) + 1;
        finishes[at] = (finishes[at] as number) + 1;
      }
      for (const day of own)
        if (day < span.days) done[Math.max(0, day)] = (done[Math.max(0, day)] as number) + 1;
    });
    if (draw === 0) {
      central = {
        still: stillIn(people, walks.done, span.today),
        peaks: peaksIn(people, walks.done, span.today),
        waiting: waitingIn(people, walks.ready, walks.done, span.today),
      };
    }
    finishedIn.push(summed(finished));
    doneIn.push(summed(done));
  }
  return {
    ...{ basis: cohort.basis, learners: learners.length, draws: many, today: span.today, gait: cohort.gait },
    days: Array.from({ length: span.days }, (_one, day) => toDay(span.first + day)),
    finished: bandOf(finishedIn, 1),
    share: bandOf(doneIn, counted),
    planned: plannedIn(people, span.days, counted),
    // With the way in the middle.
    chances: finishes.map((count) => count / (many + 1)),
    missed: people.map(
      ({ frame, known }) =>
        frame.items.find(({ closes }, at) => known[at] === NEVER && closes < span.today)?.id ?? null,
    ),
    isOver: people.every(({ frame }) => frame.last < span.today),
    ...central,
  };
}

/** Fewer where there are many learners: what is said of many differs less from one way to the next. */
export const drawsFor = (learners: number): number =>
  Math.min(MOST_DRAWS, Math.max(FEWEST_DRAWS, Math.floor(LEARNERS_AT_ONCE / learners)));

interface SpanOf {
  /** The day number of the first day. */
  readonly first: number;
  readonly days: number;
  readonly today: number;
}

/** Numbers of days; a class does many things on the same one. */
function dayNumbers(): (day: string) => number {
  const numbers = new Map<string, number>();
  return (day) => {
    const known = numbers.get(day) ?? toDayNumber(day);
    numbers.set(day, known);
    return known;
  };
}

function spanOf(course: Course, learners: readonly CohortLearner[], today: string): SpanOf {
  const now = toDayNumber(today);
  const plans = [...new Set(learners.map(({ viewer }) => planFor(course, viewer)))];
  const begins = plans.flatMap(({ firstDay }) => (firstDay === null ? [] : [toDayNumber(firstDay)]));
  const joins = learners.flatMap(({ viewer }) => {
    const joined = joinedDay(course, viewer);
    return joined === null ? [] : [toDayNumber(joined)];
  });
  let early = today;
  for (const { done } of learners)
    for (const id in done) if ((done[id] as string) < early) early = done[id] as string;
  const ends = plans.flatMap(({ lastDay }) => (lastDay === null ? [] : [toDayNumber(lastDay)]));
  const least = (numbers: readonly number[]): number => numbers.reduce((a, b) => Math.min(a, b), now);
  const most = (numbers: readonly number[]): number => numbers.reduce((a, b) => Math.max(a, b), now);
  const first = Math.max(least([...begins, ...joins, toDayNumber(early)]), now - MOST_DAYS);
  const last = Math.min(most(ends.length === 0 ? [now + BEYOND] : ends), now + MOST_DAYS);
  return { first, days: Math.max(last, now) - first + 1, today: now - first };
}

function frameKey(course: Course, viewer: Viewer): string {
  const { groups = [], exceptions = [] } = viewer;
  const joined = joinedDay(course, viewer) ?? '';
  return JSON.stringify([joined, [...groups].sort(), exceptions]);
}

interface Walks {
  /** By learner and item: when one has got to it oneself, and when it is done. */
  readonly ready: readonly Int32Array[];
  readonly done: readonly Int32Array[];
}

/** Where some of them wait for others, all of them go twice: first as if nobody waited. */
function walkAll(
  people: readonly (Learning & { readonly walker: Walker })[],
  learners: readonly CohortLearner[],
  gaits: readonly Gait[],
  today: number,
): Walks {
  const go = (holds: readonly (Int32Array | null)[]): readonly Int32Array[] =>
    people.map(({ walker, known }, at) =>
      walker.walk(gaits[at] as Gait, known, today, holds[at] ?? null).slice(),
    );
  const alone = go([]);
  const holds = holdsOf(
    people,
    learners.map(({ viewer }) => viewer.groups ?? []),
    alone,
  );
  return { ready: alone, done: holds === null ? alone : go(holds) };
}

function summed(counts: Int32Array): Int32Array {
  for (let day = 1; day < counts.length; day += 1)
    counts[day] = (counts[day] as number) + (counts[day - 1] as number);
  return counts;
}

function bandOf(ways: readonly Int32Array[], of: number): readonly Band[] {
  return Array.from(ways[0] ?? [], (_one, day): Band => {
    const sorted = ways.map((one) => one[day] as number).sort((a, b) => a - b);
    const at = (share: number): number => sorted[Math.round(share * (sorted.length - 1))] as number;
    return { low: at(0.1) / of, middle: at(0.5) / of, high: at(0.9) / of };
  });
}

function plannedIn(people: readonly Learning[], days: number, counted: number): readonly number[] {
  const wanted = new Int32Array(days);
  for (const { frame } of people) {
    for (const item of frame.items) {
      const day = item.isHeld ? item.opens : item.wanted;
      if (day < days) wanted[Math.max(0, day)] = (wanted[Math.max(0, day)] as number) + 1;
    }
  }
  return Array.from(summed(wanted), (count) => count / counted);
}

/** Nobody in particular, for a course in which nobody learns yet. */
export const nobodyYet = (many: number): readonly CohortLearner[] =>
  Array.from({ length: many }, () => ({ viewer: ANY_LEARNER, done: {}, since: null }));
