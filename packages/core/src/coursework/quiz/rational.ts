/** Exact fractions: what is judged in the open must come out the same to the last point, whatever order it is added in. */
export interface Rational {
  readonly n: bigint;
  /** Greater than nought, and without a factor in common with `n`. */
  readonly d: bigint;
}

function gcd(a: bigint, b: bigint): bigint {
  let [one, other] = [a < 0n ? -a : a, b];
  while (other !== 0n) [one, other] = [other, one % other];
  return one;
}

/** @throws RangeError for a denominator of nought */
export function rational(n: bigint | number, d: bigint | number = 1): Rational {
  const [top, bottom] = [BigInt(n), BigInt(d)];
  if (bottom === 0n) throw new RangeError('a fraction over nought');
  const by = gcd(top, bottom < 0n ? -bottom : bottom) * (bottom < 0n ? -1n : 1n);
  return { n: top / by, d: bottom / by };
}

export const ZERO = rational(0);
export const ONE = rational(1);

/** Parts of few: what most answers come to, made once. */
const FEW = 32;
const parts: Rational[] = [];
export function partOf(n: number, d: number): Rational {
  if (n < 0 || n > d || d > FEW || d === 0) return rational(n, d);
  return (parts[d * (FEW + 1) + n] ??= rational(n, d));
}

export const plus = (a: Rational, b: Rational): Rational => rational(a.n * b.d + b.n * a.d, a.d * b.d);
export const minus = (a: Rational, b: Rational): Rational => rational(a.n * b.d - b.n * a.d, a.d * b.d);
export const times = (a: Rational, b: Rational): Rational => rational(a.n * b.n, a.d * b.d);
/** @throws RangeError for nought */
export const over = (a: Rational, b: Rational): Rational => rational(a.n * b.d, a.d * b.n);
/** Below, at, or above nought as `a` is below, at, or above `b`. */
export const compared = (a: Rational, b: Rational): number => {
  const left = a.n * b.d;
  const right = b.n * a.d;
  return left < right ? -1 : left > right ? 1 : 0;
};
export const absolute = (a: Rational): Rational => (a.n < 0n ? { n: -a.n, d: a.d } : a);
export const largest = (a: Rational, b: Rational): Rational => (compared(a, b) < 0 ? b : a);
export const sumOf = (all: readonly Rational[]): Rational => all.reduce(plus, ZERO);

/** 0.1 in the document is one tenth: by its shortest decimal writing, not by what a binary fraction makes of it. */
export function exactly(value: number): Rational {
  if (Number.isSafeInteger(value)) return { n: BigInt(value), d: 1n };
  const [mantissa = '0', power = '0'] = String(value).toLowerCase().split('e');
  const [whole = '0', part = ''] = mantissa.split('.');
  return scaled(BigInt(whole + part), Number(power) - part.length);
}

/** `digits` × 10 to the `power`. */
export const scaled = (digits: bigint, power: number): Rational =>
  power >= 0 ? rational(digits * 10n ** BigInt(power)) : rational(digits, 10n ** BigInt(-power));

/** As near as a number comes. */
export function toNumber({ n, d }: Rational): number {
  const isSafe = (value: bigint): boolean => Number.isSafeInteger(Number(value));
  return isSafe(n) && isSafe(d) ? Number(n) / Number(d) : Number((n * 10n ** 15n) / d) / 1e15;
}
