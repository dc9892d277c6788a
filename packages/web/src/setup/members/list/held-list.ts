/** What goes to the worker that holds a list against the course, and what comes back. */
import { holdList } from '@itinerary/core/people';
import type {
  EntryChoice,
  HeldList,
  HoldingStep,
  KeptColumns,
  ListChoices,
  RosterMember,
} from '@itinerary/core/people';
import { isPacked, openBook } from './book.ts';
import type { BookRefusal } from './book.ts';

/** As it can be sent: maps are lists. */
export interface ListTask {
  readonly list: string | Uint8Array;
  readonly roster: readonly RosterMember[];
  readonly choices: ListChoices;
  readonly answers: readonly (readonly [string, EntryChoice])[];
  readonly only: readonly string[] | null;
  readonly kept: readonly KeptColumns[];
}

/** Or what it came packed in was none. */
export type HeldOrNot = HeldList | { readonly ok: false; readonly refusal: BookRefusal };

export type ListNews =
  { readonly step: HoldingStep } | { readonly held: HeldOrNot } | { readonly failed: string };

export async function workOn(
  { list, roster, choices, answers, only, kept }: ListTask,
  tell: (news: ListNews) => void,
): Promise<void> {
  let text = list;
  if (typeof list !== 'string' && isPacked(list)) {
    tell({ step: 'decoding' });
    const opened = await openBook(list);
    if (!opened.ok) return tell({ held: opened });
    ({ text } = opened);
  }
  const members = new Map(roster.map((member) => [member.key, member]));
  const held = holdList(
    { list: text, roster: members, choices, answers: new Map(answers), only, kept },
    (step) => tell({ step }),
  );
  tell({ held });
}
