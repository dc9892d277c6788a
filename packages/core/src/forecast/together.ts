/**
 * Where learners wait for one another: what a group hands in as one is done when the last of it has got to it, and nobody
 * answers others before somebody else has said something.
 */
import type { Frame, FrameItem } from './frame.ts';
import type { Learning } from './gait.ts';
import { NEVER } from './walk.ts';

export interface Waiting {
  /** The item. */
  readonly id: string;
  /** How many learners wait there, and how many days in the middle. */
  readonly learners: number;
  readonly days: number;
}

/** What is done with others, of each frame in which there is any: indices of items. */
function sharedIn(people: readonly Learning[]): ReadonlyMap<Frame, readonly number[]> {
  const shared = new Map<Frame, readonly number[]>();
  for (const frame of new Set(people.map((one) => one.frame))) {
    const its = frame.items.flatMap(({ together }, at) => (together === null ? [] : [at]));
    if (its.length > 0) shared.set(frame, its);
  }
  return shared;
}

/**
 * @param groups of each learner
 * @param done by learner and item, as if nobody waited
 * @returns by learner and item, the day before which it is not done; null: nobody waits for anybody
 */
export function holdsOf(
  people: readonly Learning[],
  groups: readonly (readonly string[])[],
  done: readonly Int32Array[],
): readonly (Int32Array | null)[] | null {
  const shared = sharedIn(people);
  if (shared.size === 0) return null;
  const firsts = new Map<string, number[]>();
  const keysOf = (at: number, item: number): readonly string[] => {
    const { frame } = people[at] as Learning;
    const one = frame.items[item];
    if (one === undefined || one.together === null) return [];
    const { course } = frame.counting.plan;
    const own = (groups[at] ?? []).filter((id) => course.groups[id]?.kind === 'group');
    if (one.together === 'group') return own.map((id) => `${one.id} ${id}`);
    return own.length === 0 ? [`${one.id} `] : own.map((id) => `${one.id} ${id}`);
  };
  let isAny = false;
  people.forEach(({ frame }, at) => {
    shared.get(frame)?.forEach((item) => {
      const day = (done[at] as Int32Array)[item] as number;
      for (const key of keysOf(at, item)) {
        isAny = true;
        firsts.set(key, [...(firsts.get(key) ?? []), day]);
      }
    });
  });
  if (!isAny) return null;
  const until = new Map<string, number>();
  for (const [key, days] of firsts) {
    const got = days.filter((day) => day !== NEVER).sort((a, b) => a - b);
    until.set(`group ${key}`, got.at(-1) ?? NEVER);
    until.set(`talk ${key}`, got[1] ?? NEVER);
  }
  return people.map(({ frame, known }, at) => {
    if (!shared.has(frame)) return null;
    return Int32Array.from(frame.items, ({ together }, item) => {
      if (known[item] !== NEVER) return 0;
      const days = keysOf(at, item).map((key) => until.get(`${String(together)} ${key}`) ?? NEVER);
      return days.length === 0 ? 0 : Math.min(...days);
    });
  });
}

/** @param ready when each has got to it, as if nobody waited; those with the longest waits first */
export function waitingIn(
  people: readonly Learning[],
  ready: readonly Int32Array[],
  done: readonly Int32Array[],
  today: number,
): readonly Waiting[] {
  const waits = new Map<string, number[]>();
  const shared = sharedIn(people);
  people.forEach(({ frame }, at) => {
    shared.get(frame)?.forEach((item) => {
      const { id } = frame.items[item] as FrameItem;
      const from = (ready[at] as Int32Array)[item] as number;
      const to = (done[at] as Int32Array)[item] as number;
      if (from < today || from === NEVER || to <= from) return;
      const days = to === NEVER ? frame.works.length - from : to - from;
      waits.set(id, [...(waits.get(id) ?? []), days]);
    });
  });
  return [...waits]
    .map(([id, days]): Waiting => {
      const sorted = [...days].sort((a, b) => a - b);
      return { id, learners: days.length, days: sorted[Math.floor(sorted.length / 2)] as number };
    })
    .sort((a, b) => b.learners * b.days - a.learners * a.days);
}
