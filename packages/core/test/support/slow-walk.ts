/** One learner's way through a course the plain way: each day all items are looked through, again and again. */
import type { Frame } from '../../src/forecast/frame.ts';
import { beginsOn, NEVER } from '../../src/forecast/walk.ts';
import type { Gait } from '../../src/forecast/walk.ts';

export function slowWalk(
  { items, works, last }: Frame,
  gait: Gait,
  known: ArrayLike<number>,
  today: number,
  holds: ArrayLike<number> | null = null,
): readonly number[] {
  const done = Array.from(known);
  /** When its own work was over, though others were waited for. */
  const over = items.map((_one, at) => done[at] !== NEVER);
  const left = items.map(({ weight }) => weight);
  const isOpen = (at: number, day: number): boolean => {
    const item = items[at];
    if (item === undefined || over[at] === true || day > item.closes) return false;
    if (day < Math.max(today, beginsOn(item, gait))) return false;
    return item.waits.every((one) => {
      const when = done[one.at] ?? NEVER;
      return when !== NEVER && when + one.later <= day;
    });
  };
  const comesFirst = (one: number, other: number): boolean => {
    const [a, b] = [items[one], items[other]];
    if (a === undefined || b === undefined) return false;
    if (a.isHeld !== b.isHeld) return a.isHeld;
    if (a.isHeld || a.wanted === b.wanted) return one < other;
    return a.wanted < b.wanted;
  };
  const next = (day: number): number => {
    let best = -1;
    for (let at = 0; at < items.length; at += 1)
      if (isOpen(at, day) && (best < 0 || comesFirst(at, best))) best = at;
    return best;
  };
  for (let day = today; day < works.length && day <= last; day += 1) {
    if (works[day] !== true) continue;
    let minutes = gait.pace;
    let at = next(day);
    while (at >= 0) {
      const wants = left[at] as number;
      if (wants > minutes && items[at]?.isHeld !== true) {
        left[at] = wants - minutes;
        break;
      }
      minutes = Math.max(0, minutes - wants);
      over[at] = true;
      const when = Math.max(day, holds?.[at] ?? day);
      if (when <= last && when < works.length) done[at] = when;
      at = next(day);
    }
  }
  return done;
}
