/** Ratios, never times: each comparison prints how many times one thing takes what another does, in one run. */

const ROUNDS = 9;

type Work = (at: number) => void | Promise<void>;

/** The middle of several measurements, in milliseconds for `count` runs. */
async function measure(count: number, work: Work, rounds = ROUNDS): Promise<number> {
  const times: number[] = [];
  for (let round = 0; round < rounds; round += 1) {
    const start = performance.now();
    for (let at = 0; at < count; at += 1) {
      const under = work(at);
      if (under instanceof Promise) await under;
    }
    times.push(performance.now() - start);
  }
  return times.sort((a, b) => a - b)[Math.floor(rounds / 2)] as number;
}

export interface Comparison {
  /** As in `ratio NAME N`. */
  readonly name: string;
  /** What N says, for whoever reads it. */
  readonly says: string;
  readonly count: number;
  readonly one: Work;
  readonly other: Work;
  /** How often the slower of the two runs, where it is much slower. */
  readonly otherCount?: number;
  /** Of how many measurements the middle is taken; fewer, where one takes long. */
  readonly rounds?: number;
}

/** Prints time of `other` divided by time of `one`, each for a single run. */
export async function compare({
  name,
  says,
  count,
  one,
  other,
  otherCount = count,
  rounds,
}: Comparison): Promise<void> {
  await measure(Math.ceil(count / 5), one, rounds);
  await measure(Math.ceil(otherCount / 5), other, rounds);
  const theirs = (await measure(otherCount, other, rounds)) / otherCount;
  const ratio = theirs / ((await measure(count, one, rounds)) / count);
  console.log(`ratio ${name} ${ratio < 1 ? ratio.toFixed(3) : ratio.toFixed(1)}`);
  console.log(`  ${says}`);
}
