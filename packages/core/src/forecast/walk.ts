/**
 * How one learner goes through what is left, day by day: so many minutes on each day on which anybody works, always for
 * what is wanted first among what is open and begun (docs/semantics.md, Forecast).
 *
 * What is open is kept in a heap and what opens in a list for its day, so that a day costs what happens on it.
 */
import type { Frame } from './frame.ts';

/** How somebody works. */
export interface Gait {
  /** Minutes on a day. */
  readonly pace: number;
  /** How many days before it is wanted a thing is done; less than nothing: after it. */
  readonly lead: number;
}

/** The day of what is never done. */
export const NEVER = 0x3fffffff;

/**
 * The day on which somebody begins with an item that nothing holds up: in time for all that is wanted with it, and however
 * late they are, in time for the last day on which it can be done.
 */
export function beginsOn(
  { opens, wanted, closes, beside, isHeld }: Frame['items'][number],
  { pace, lead }: Gait,
): number {
  if (wanted === Infinity || isHeld) return opens;
  return Math.max(opens, Math.min(wanted - lead, closes) - Math.floor(beside / pace));
}

/** Buffers are taken again with each walk: what it gives is there until the next one. */
export class Walker {
  readonly #frame: Frame;
  readonly #done: Int32Array;
  readonly #left: Float64Array;
  readonly #needs: Int32Array;
  /** By item, the day from which it can be begun, by what is known so far. */
  readonly #from: Int32Array;
  /** What opens on a day, as a chain from item to item. */
  readonly #head: Int32Array;
  readonly #next: Int32Array;
  readonly #heap: Int32Array;
  #size = 0;
  /** By item, those that wait for it. */
  readonly #after: readonly (readonly { readonly at: number; readonly later: number }[])[];
  readonly #byRank: readonly number[];

  constructor(frame: Frame) {
    const { items, works, rank } = frame;
    this.#frame = frame;
    this.#done = new Int32Array(items.length);
    this.#left = new Float64Array(items.length);
    this.#needs = new Int32Array(items.length);
    this.#from = new Int32Array(items.length);
    this.#head = new Int32Array(works.length);
    this.#next = new Int32Array(items.length);
    this.#heap = new Int32Array(items.length + 1);
    const after = items.map((): { at: number; later: number }[] => []);
    items.forEach(({ waits }, at) => waits.forEach((one) => after[one.at]?.push({ at, later: one.later })));
    this.#after = after;
    const byRank = new Array<number>(items.length).fill(0);
    rank.forEach((place, at) => (byRank[place] = at));
    this.#byRank = byRank;
  }

  /**
   * @param known by item, the day on which it was done already, or `NEVER`
   * @param today the first day of the walk
   * @returns by item, the day on which it is done, or `NEVER`
   * @param holds by item, the day before which it is not done whenever one has got to it, as with what a group does as one
   */
  walk(gait: Gait, known: Int32Array, today: number, holds: Int32Array | null = null): Int32Array {
    const { items, works, last } = this.#frame;
    const end = Math.min(works.length - 1, last);
    this.#begin(gait, known, today, end);
    let left = this.#count(known);
    for (let day = today; day <= end && left > 0; day += 1) {
      this.#open(day);
      left -= this.#drop(day);
      if (works[day] !== true) continue;
      let minutes = gait.pace;
      while (this.#size > 0) {
        const at = this.#byRank[this.#heap[1] as number] as number;
        const wants = this.#left[at] as number;
        if (wants > minutes && items[at]?.isHeld !== true) {
          this.#left[at] = wants - minutes;
          break;
        }
        minutes = Math.max(0, minutes - wants);
        this.#pop();
        left -= 1;
        const done = Math.max(day, holds?.[at] ?? day);
        if (done <= end) this.#finish(at, done, day, end);
        left -= this.#drop(day);
      }
    }
    return this.#done;
  }

  #count(known: Int32Array): number {
    let left = 0;
    for (const day of known) if (day === NEVER) left += 1;
    return left;
  }

  #begin(gait: Gait, known: Int32Array, today: number, end: number): void {
    const { items } = this.#frame;
    this.#size = 0;
    this.#head.fill(-1);
    for (let at = 0; at < items.length; at += 1) {
      this.#done[at] = known[at] as number;
      if (this.#done[at] !== NEVER) continue;
      const item = items[at] as Frame['items'][number];
      this.#left[at] = item.weight;
      let from = Math.max(today, Math.min(NEVER, beginsOn(item, gait)));
      let needs = 0;
      for (const one of item.waits) {
        const day = known[one.at] as number;
        if (day === NEVER) needs += 1;
        else from = Math.max(from, day + one.later);
      }
      this.#needs[at] = needs;
      this.#from[at] = from;
      if (needs === 0) this.#line(at, from, end);
    }
  }

  #line(at: number, day: number, end: number): void {
    if (day > end) return;
    this.#next[at] = this.#head[day] as number;
    this.#head[day] = at;
  }

  #open(day: number): void {
    for (let at = this.#head[day] as number; at >= 0; at = this.#next[at] as number) this.#push(at);
  }

  /** What would come first and is closed is let go of. @returns how many */
  #drop(day: number): number {
    const { items } = this.#frame;
    for (let dropped = 0; ; dropped += 1) {
      const at = this.#size === 0 ? undefined : this.#byRank[this.#heap[1] as number];
      const closes = at === undefined ? Infinity : (items[at]?.closes ?? Infinity);
      if (closes >= day) return dropped;
      this.#pop();
    }
  }

  #finish(at: number, done: number, today: number, end: number): void {
    this.#done[at] = done;
    for (const one of this.#after[at] ?? []) {
      if (this.#done[one.at] !== NEVER) continue;
      const from = Math.max(this.#from[one.at] as number, done + one.later);
      this.#from[one.at] = from;
      this.#needs[one.at] = (this.#needs[one.at] as number) - 1;
      if (this.#needs[one.at] !== 0) continue;
      if (from <= today) this.#push(one.at);
      else this.#line(one.at, from, end);
    }
  }

  #push(at: number): void {
    const heap = this.#heap;
    const rank = this.#frame.rank[at] as number;
    this.#size += 1;
    let place = this.#size;
    while (place > 1 && (heap[place >> 1] as number) > rank) {
      heap[place] = heap[place >> 1] as number;
      place >>= 1;
    }
    heap[place] = rank;
  }

  #pop(): void {
    const heap = this.#heap;
    const last = heap[this.#size] as number;
    this.#size -= 1;
    let place = 1;
    for (;;) {
      let child = 2 * place;
      if (child > this.#size) break;
      if (child < this.#size && (heap[child + 1] as number) < (heap[child] as number)) child += 1;
      if ((heap[child] as number) >= last) break;
      heap[place] = heap[child] as number;
      place = child;
    }
    heap[place] = last;
  }
}
