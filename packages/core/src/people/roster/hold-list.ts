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
import { reconcile } from './reconcile.ts';
import type { ListChoicesMade, Reconciliation } from './reconcile.ts';
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
      /** Its columns were read as those of an earlier list. */
      readonly isKept: boolean;
      readonly reconciliation: Reconciliation;
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

/** @param tell is called before each step, the first of which a pasted list has not */
export function holdList(
  { list, roster, choices, answers, kept }: Holding,
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
  const reading = remembered ?? plain;
  const isKept = remembered !== null;
  tell('reconciling');
  return { ok: true, encoding, reading, isKept, reconciliation: reconcile(reading.rows, roster, answers) };
}
