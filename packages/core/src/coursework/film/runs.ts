/**
 * What of a film has really been watched: the union of the runs that were played, whatever was jumped to
 * (docs/semantics.md, Work). A run is [from, to) in whole milliseconds of the film.
 */
export type Run = readonly [from: number, to: number];

/** Nobody plays a film in more pieces than that; beyond it the shortest go. */
export const MAX_RUNS = 5000;

/** As many times as fast as time passes: what is said to have been played in less time was not. */
const FASTEST = 16;

/** What is missing to the end by less than that is the end: files are a little shorter or longer than they say. */
const END_MS = 1000;

/** Sorted, and each apart from the next. @param runs in any order; empty ones are nothing */
export function united(runs: readonly Run[]): readonly Run[] {
  const apart: [number, number][] = [];
  for (const [from, to] of [...runs].sort((a, b) => a[0] - b[0])) {
    const last = apart.at(-1);
    if (to <= from) continue;
    if (last !== undefined && from <= last[1]) last[1] = Math.max(last[1], to);
    else apart.push([from, to]);
  }
  return apart;
}

/** Cut to what there is of the film. @param seconds its length; null: it is not known */
export function runsWithin(runs: readonly Run[], seconds: number | null): readonly Run[] {
  if (seconds === null) return runs.filter(([from, to]) => to > from);
  const end = seconds * 1000;
  return runs
    .map(([from, to]): Run => [Math.max(0, from), to > end - END_MS ? end : to])
    .filter(([from, to]) => to > from);
}

/** From nought to one; null: its length is not known. */
export function shareWatched(runs: readonly Run[], seconds: number | null): number | null {
  if (seconds === null || seconds === 0) return null;
  const played = united(runsWithin(runs, seconds)).reduce((sum, [from, to]) => sum + (to - from), 0);
  return played / (seconds * 1000);
}

/** @param sinceMs how much time has passed since the report before, or since it was opened */
export function isTooFast(runs: readonly Run[], sinceMs: number): boolean {
  const played = runs.reduce((sum, [from, to]) => sum + Math.max(0, to - from), 0);
  return played > FASTEST * Math.max(0, sinceMs);
}
