/**
 * What a whole class is told at one moment has every open page of it ask again. They are told one after the other,
 * so that the server answers them one after the other, and nobody waits for the rest.
 */

/** What one page's answers, and looking up what comes next for its reader, take of one processor. */
const EACH_MS = 12;
/** Whoever only reads does not mind this long. */
const LONGEST_MS = 10_000;

/**
 * @param listeners how many may be told the same at this moment.
 * @param chance from 0 to below 1.
 * @returns milliseconds to wait before one of them is told.
 */
export function spreadOf(listeners: number, chance: number): number {
  return Math.floor(chance * Math.min(LONGEST_MS, listeners * EACH_MS));
}

/** Done once for all who call for it meanwhile, when the turn has come. */
export function inTurn(
  listeners: () => number,
  act: () => void,
): { readonly soon: () => void; readonly stop: () => void } {
  let turn: ReturnType<typeof setTimeout> | undefined;
  return {
    soon: () => {
      turn ??= setTimeout(
        () => {
          turn = undefined;
          act();
        },
        spreadOf(listeners(), Math.random()),
      );
    },
    stop: () => clearTimeout(turn),
  };
}
