/** What can be asked in a quiz, and how each kind is answered. */
import type { AnswerLanguage } from './number-answer.ts';
import type { Folds } from './folding.ts';

interface Asked {
  readonly id: string;
  /** What it gives at most. */
  readonly points: number;
}

export interface Choice {
  readonly id: string;
  readonly text: string;
}

/** `whole`: right only where all of it is; `by_part`: for as much of it as is right. */
export type Credit = 'whole' | 'by_part';

/** By how far an answer may be off: in the right answer's unit, or as a share of it. */
export interface Tolerance {
  readonly of: 'absolute' | 'share';
  readonly value: number;
}

export interface Unit {
  readonly name: string;
  /** How many of the right answer's unit it is. */
  readonly factor: number;
}

export type Question = Asked &
  (
    | { readonly kind: 'single'; readonly choices: readonly Choice[]; readonly right: string | null }
    | {
        readonly kind: 'several';
        readonly choices: readonly Choice[];
        /** At least one. */
        readonly right: readonly string[];
        readonly credit: Credit;
      }
    | { readonly kind: 'truth'; readonly right: boolean | null }
    | {
        readonly kind: 'short';
        readonly accepted: readonly { readonly text: string; readonly share: number }[];
        readonly folds: Folds;
        /** What nothing matches is wrong, or left to staff. */
        readonly otherwise: 'wrong' | 'staff';
      }
    | {
        readonly kind: 'number';
        /** Null, here and above: nobody has said yet. */
        readonly right: number | null;
        readonly tolerance: Tolerance;
        /** Empty: no unit is wanted. The right answer is in one whose factor is one. */
        readonly units: readonly Unit[];
      }
    | {
        readonly kind: 'matching';
        readonly lefts: readonly Choice[];
        readonly rights: readonly Choice[];
        /** By the left, the right. */
        readonly pairs: Readonly<Record<string, string>>;
        readonly credit: Credit;
      }
    /** In their right order. */
    | { readonly kind: 'order'; readonly entries: readonly Choice[]; readonly credit: Credit }
    | { readonly kind: 'long' }
  );
export type QuestionKind = Question['kind'];

export type QuestionAnswer =
  | { readonly kind: 'single'; readonly chosen: string | null }
  | { readonly kind: 'several'; readonly chosen: readonly string[] }
  | { readonly kind: 'truth'; readonly chosen: boolean | null }
  /** The language in which the question was read is kept with it. */
  | { readonly kind: 'short' | 'long'; readonly text: string }
  | { readonly kind: 'number'; readonly text: string; readonly language: AnswerLanguage }
  | { readonly kind: 'matching'; readonly placed: Readonly<Record<string, string>> }
  /** Null: the order first shown has been neither moved nor confirmed. */
  | { readonly kind: 'order'; readonly placed: readonly string[] | null };
