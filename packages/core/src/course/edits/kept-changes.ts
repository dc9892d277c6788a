/** Changes that were made on this device, and whose answer never came: the page was closed, or the line was down. */
import type { Change } from './edits.ts';
import { makeChange, remember, replacedBy, whatStands } from './working-copy.ts';
import type { Notice, TakenChange, WorkingCopy } from './working-copy.ts';

export interface KeptChanges {
  /** What their author had seen of the course. */
  readonly seq: number;
  /** In the order in which they were made. */
  readonly changes: readonly Change[];
}

/**
 * Makes them again, in their order, in a copy that has been opened since. Those that the server had taken
 * although nobody heard of it are not made twice; those that no longer apply are dropped and said.
 *
 * @param since what the server has taken since `kept.seq`, in its order.
 */
export function takeUpKept(
  copy: WorkingCopy,
  kept: KeptChanges,
  since: readonly TakenChange[],
): { readonly copy: WorkingCopy; readonly notices: readonly Notice[] } {
  const seen = since.filter(({ seq }) => seq <= copy.seq);
  const own = new Set(kept.changes.map(({ id }) => id));
  const taken = new Set(seen.map(({ change }) => change.id));
  const waiting = new Set(copy.pending.map(({ id }) => id));
  const refused: Notice[] = [];
  let next = copy;
  for (const change of kept.changes) {
    if (taken.has(change.id) || waiting.has(change.id)) continue;
    const attempt = makeChange(next, change);
    if (attempt.ok) next = attempt.copy;
    else refused.push({ kind: 'refused', change, refusal: attempt.refusal });
  }
  const mine = kept.changes.reduce((so, change) => remember(so, change, copy.course), {});
  const replaced = seen
    .filter(({ change }) => !own.has(change.id))
    .flatMap((one) => replacedBy(copy.course, one, mine));
  return { copy: next, notices: [...whatStands(next.course, replaced), ...refused] };
}
