/**
 * A class list held against who is in the course, from what was pasted or sent to what would happen: one reckoning, of
 * which the heading, what is shown before, and what is pressed all speak.
 */
import { decodeList } from '../lists/encoding.ts';
import type { ListEncoding } from '../lists/encoding.ts';
import { refuseList } from '../lists/limits.ts';
import type { ListRefusal } from '../lists/limits.ts';
import type { ListColumn } from '../lists/list-row.ts';
import { readList } from '../lists/read-list.ts';
import type { ListChoices, ListReading } from '../lists/read-list.ts';
import type { Entry } from './entries.ts';
import { entriesIn, isQuestion, reconcile } from './reconcile.ts';
import type { ListChoicesMade, Question, Reconciliation } from './reconcile.ts';
import type { Roster } from './roster.ts';

/** How an earlier list was read. */
export interface KeptColumns {
  readonly heading: readonly string[] | null;
  readonly columns: readonly ListColumn[];
}

export interface Holding {
  /** Pasted, or a file as it is. */
  readonly list: string | Uint8Array;
  readonly roster: Roster;
  readonly choices: ListChoices;
  readonly answers: ListChoicesMade;
  /** Classes of which alone the rows count; null: all. A list may be of more than one course. */
  readonly only: readonly string[] | null;
  /** The latest first. */
  readonly kept: readonly KeptColumns[];
}

export type HeldList =
  | { readonly ok: false; readonly refusal: ListRefusal }
  | {
      readonly ok: true;
      /** Null: it was pasted. */
      readonly encoding: ListEncoding | null;
      readonly reading: ListReading;
      /** Every class that the list names, with its rows. */
      readonly classes: readonly { readonly name: string; readonly rows: number }[];
      /** Its columns were read as those of an earlier list. */
      readonly isKept: boolean;
      readonly reconciliation: Reconciliation;
      /** What is asked before anything has been answered: an answer can be changed. */
      readonly questions: readonly Question[];
      /** Those whom somebody has left out. */
      readonly left: readonly Entry[];
    };

export const HOLDING_STEPS = ['decoding', 'reading', 'reconciling'] as const;
export type HoldingStep = (typeof HOLDING_STEPS)[number];

const isSame = (one: readonly string[], other: readonly string[]): boolean =>
  one.length === other.length && one.every((word, at) => word === other[at]);

/** As an earlier list with these very headings was read; null: there was none, or it is read so anyway. */
function asKept(
  text: string,
  reading: ListReading,
  choices: ListChoices,
  kept: readonly KeptColumns[],
): ListReading | null {
  const withHeading: ListChoices = { ...choices, hasHeading: true };
  const isUnsaid = reading.heading === null && choices.hasHeading === undefined;
  // What nobody recognised as headings may be those that somebody has explained before.
  const { heading } = isUnsaid && kept.length > 0 ? readList(text, withHeading) : reading;
  if (heading === null) return null;
  const same = kept.find((one) => one.heading !== null && isSame(one.heading, heading));
  if (same === undefined) return null;
  const isAnyway = reading.columns.every(({ column }, at) => column === (same.columns[at] ?? column));
  if (isAnyway && !isUnsaid) return null;
  return readList(text, { ...withHeading, columns: Object.fromEntries(same.columns.entries()) });
}

function classesIn({ rows }: ListReading): readonly { readonly name: string; readonly rows: number }[] {
  const counts = new Map<string, number>();
  for (const row of rows) if (row.class !== null) counts.set(row.class, (counts.get(row.class) ?? 0) + 1);
  return [...counts].map(([name, count]) => ({ name, rows: count }));
}

/** @param tell is called before each step, the first of which a pasted list has not */
export function holdList(
  { list, roster, choices, answers, only, kept }: Holding,
  tell: (step: HoldingStep) => void = () => undefined,
): HeldList {
  let text: string;
  let encoding: ListEncoding | null = null;
  if (typeof list === 'string') text = list;
  else {
    tell('decoding');
    ({ text, encoding } = decodeList(list));
  }
  tell('reading');
  const refusal = refuseList(text);
  if (refusal !== null) return { ok: false, refusal };
  const plain = readList(text, choices);
  // What somebody chooses now comes before what they once chose.
  const remembered = choices.columns === undefined ? asKept(text, plain, choices, kept) : null;
  const whole = remembered ?? plain;
  const classes = classesIn(whole);
  const reading =
    only === null
      ? whole
      : { ...whole, rows: whole.rows.filter((row) => row.class !== null && only.includes(row.class)) };
  const isKept = remembered !== null;
  tell('reconciling');
  const reconciliation = reconcile(reading.rows, roster, answers);
  const open = answers.size === 0 ? reconciliation : reconcile(reading.rows, roster);
  const questions = open.outcomes.filter(isQuestion);
  const keys = new Set(reconciliation.outcomes.flatMap((one) => entriesIn(one).map(({ key }) => key)));
  const left = open.outcomes.flatMap((one) => entriesIn(one).filter(({ key }) => !keys.has(key)));
  return { ok: true, encoding, reading, classes, isKept, reconciliation, questions, left };
}
