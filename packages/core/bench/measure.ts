/** Ratios, never times: each comparison prints how many times one thing takes what another does, in one run. */

const ROUNDS = 9;

/** The middle of several measurements, in milliseconds for `count` runs. */
function measure(count: number, work: (at: number) => void): number {
  const times = Array.from({ length: ROUNDS }, () => {
    const start = performance.now();
    for (let at = 0; at < count; at += 1) work(at);
    return performance.now() - start;
  });
  return times.sort((a, b) => a - b)[Math.floor(ROUNDS / 2)] as number;
}

export interface Comparison {
  /** As in `ratio NAME N`. */
  readonly name: string;
  /** What N says, for whoever reads it. */
  readonly says: string;
  readonly count: number;
  readonly one: (at: number) => void;
  readonly other: (at: number) => void;
  /** How often the slower of the two runs, where it is much slower. */
  readonly otherCount?: number;
}

/** Prints time of `other` divided by time of `one`, each for a single run. */
export function compare({ name, says, count, one, other, otherCount = count }: Comparison): void {
  measure(Math.ceil(count / 5), one);
  measure(Math.ceil(otherCount / 5), other);
  const ratio = measure(otherCount, other) / otherCount / (measure(count, one) / count);
  console.log(`ratio ${name} ${ratio < 1 ? ratio.toFixed(3) : ratio.toFixed(1)}`);
  console.log(`  ${says}`);
}
