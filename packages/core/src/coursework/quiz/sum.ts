/** Many fractions added: what has one denominator is added as whole numbers, and only the few sums as fractions. */
import { exactly, plus, rational, times, ZERO } from './rational.ts';
import type { Rational } from './rational.ts';

/** So far no product of two of them leaves what a number holds exactly, nor does a sum of ten thousand. */
const SMALL = 100_000;

export class Sum {
  /** By denominator, whole numbers. */
  private readonly small = new Map<number, number>();
  private rest: Rational = ZERO;

  /** Points × share. */
  add(points: number, { n, d }: Rational): void {
    const [top, bottom] = [Number(n), Number(d)];
    if (Number.isInteger(points) && points < SMALL && Math.abs(top) < SMALL && bottom < SMALL)
      this.small.set(bottom, (this.small.get(bottom) ?? 0) + points * top);
    else this.rest = plus(this.rest, times(exactly(points), { n, d }));
  }

  whole(): Rational {
    return [...this.small].reduce((sum, [d, n]) => plus(sum, rational(n, d)), this.rest);
  }
}
