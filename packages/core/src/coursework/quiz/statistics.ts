/** How a quiz went, question by question. */
import type { JudgedAnswer } from './attempt.ts';
import { readShare } from './planned.ts';
import { toNumber } from './rational.ts';

export interface QuestionFigures {
  readonly question: string;
  /** Attempts in which it was asked. */
  readonly asked: number;
  readonly unanswered: number;
  /** Open ones, which staff have still to mark, are left out of what follows. */
  readonly open: number;
  /** The mean share, 0…1; null: none is judged. */
  readonly right: number | null;
  /**
   * How well it tells those who know from those who do not: the correlation (Pearson) of its share with the share of all
   * other questions of the same attempt, −1…1. Null: of fewer than `FEWEST`, or where all are alike.
   */
  readonly tells: number | null;
}

/** Fewer attempts than these say nothing of how well a question tells. */
export const FEWEST = 5;

/** @param attempts those that have ended, each as it was judged, with what staff have given */
export function figuresOf(attempts: readonly (readonly JudgedAnswer[])[]): readonly QuestionFigures[] {
  const rows = new Map<
    string,
    { shares: number[]; rests: number[]; asked: number; unanswered: number; open: number }
  >();
  for (const attempt of attempts) {
    const judged = attempt.filter(({ isOpen }) => !isOpen);
    const worth = judged.map((one) => ({ one, share: toNumber(readShare(one.share)) }));
    const [sum, most] = worth.reduce(
      ([got, all], { one, share }) => [got + share * one.points, all + one.points],
      [0, 0],
    );
    for (const answer of attempt) {
      const row = rows.get(answer.question) ?? { shares: [], rests: [], asked: 0, unanswered: 0, open: 0 };
      rows.set(answer.question, row);
      row.asked += 1;
      if (answer.isUnanswered) row.unanswered += 1;
      if (answer.isOpen) {
        row.open += 1;
        continue;
      }
      const share = toNumber(readShare(answer.share));
      const rest = most - answer.points;
      row.shares.push(share);
      row.rests.push(rest === 0 ? Number.NaN : (sum - share * answer.points) / rest);
    }
  }
  return [...rows].map(([question, { shares, rests, asked, unanswered, open }]) => ({
    question,
    asked,
    unanswered,
    open,
    right: shares.length === 0 ? null : mean(shares),
    tells: correlation(shares, rests),
  }));
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

function correlation(shares: readonly number[], rests: readonly number[]): number | null {
  const pairs = shares
    .map((share, at) => [share, rests[at] as number] as const)
    .filter(([, rest]) => !Number.isNaN(rest));
  if (pairs.length < FEWEST) return null;
  const [x, y] = [mean(pairs.map(([a]) => a)), mean(pairs.map(([, b]) => b))];
  let [xy, xx, yy] = [0, 0, 0];
  for (const [a, b] of pairs) {
    xy += (a - x) * (b - y);
    xx += (a - x) ** 2;
    yy += (b - y) ** 2;
  }
  // What is alike but for the last bits of a division is alike.
  return xx < 1e-12 || yy < 1e-12 ? null : xy / Math.sqrt(xx * yy);
}
