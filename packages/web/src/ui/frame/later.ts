/**
 * What lies below the view when a long page is opened is made a little later: one part after another, whenever the
 * browser has nothing else to do, so that what is seen, and the next press, need not wait for all of it.
 */

/** The page that was opened is drawn first, and whoever presses again at once is answered first. */
const REST_MS = 250;
/** However busy the browser is. */
const LONGEST_MS = 1500;

const waiting = new Set<() => void>();
let isUnderWay = false;

function whenIdle(run: () => void): void {
  // Not every browser says when it is idle.
  if (typeof requestIdleCallback === 'function') requestIdleCallback(run, { timeout: LONGEST_MS });
  else setTimeout(run, 30);
}

function next(): void {
  const [make] = waiting;
  isUnderWay = make !== undefined;
  if (make === undefined) return;
  waiting.delete(make);
  make();
  whenIdle(next);
}

/** @returns takes it back: it is made already, or nobody needs it any more. */
export function makeLater(make: () => void): () => void {
  waiting.add(make);
  if (!isUnderWay) {
    isUnderWay = true;
    setTimeout(() => whenIdle(next), REST_MS);
  }
  return () => void waiting.delete(make);
}

/** For whoever looks for something by its name: all of the page is asked for now. */
export function makeAll(): void {
  for (const make of [...waiting]) {
    waiting.delete(make);
    make();
  }
}
