/**
 * By when an assignment is on time, late, and no longer taken (docs/semantics.md, Work). Instants are milliseconds; each
 * end is the first instant that is after it.
 */
import { endOf } from '../calendar/moments.ts';
import type { Resolved } from '../calendar/moments.ts';
import type { NodeMoments } from '../calendar/node-moments.ts';

const MINUTE_MS = 60_000;

export interface HandInWindow {
  /** After the due minute, as it is told; null: it has none. */
  readonly due: number | null;
  /** With its grace, which nobody is told of. */
  readonly onTimeTo: number | null;
  /** Null: it is taken without an end. */
  readonly takenTo: number | null;
}

export type Punctual = 'on_time' | 'late' | 'over';

/** An undated moment is none. */
const endIn = (moment: Resolved | undefined): number | null => (moment?.kind === 'at' ? endOf(moment) : null);

/** @param grace in minutes */
export function handInWindow({ due, late }: Pick<NodeMoments, 'due' | 'late'>, grace: number): HandInWindow {
  const dueEnd = endIn(due);
  const lateEnd = endIn(late);
  // Without a due moment nothing is late, and a late end is simply the end.
  if (dueEnd === null) return { due: null, onTimeTo: lateEnd, takenTo: lateEnd };
  const onTimeTo = dueEnd + grace * MINUTE_MS;
  return { due: dueEnd, onTimeTo, takenTo: Math.max(onTimeTo, lateEnd ?? onTimeTo) };
}

export function punctualAt({ onTimeTo, takenTo }: HandInWindow, at: number): Punctual {
  if (takenTo !== null && at >= takenTo) return 'over';
  return onTimeTo === null || at < onTimeTo ? 'on_time' : 'late';
}
