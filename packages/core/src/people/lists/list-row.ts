/** What a class list says: what its columns can be, and a row of it as it is read. */

/** What a column of a list can be. `ignored` is one that nothing is read from. */
export const LIST_COLUMNS = [
  'id',
  'given',
  'family',
  'familyGiven',
  'name',
  'address',
  'userName',
  'class',
  'role',
  'group',
  'ignored',
] as const;
export type ListColumn = (typeof LIST_COLUMNS)[number];

/** `said` by its heading, `seen` by what stands in it, `chosen` by somebody. */
export type Certainty = 'chosen' | 'said' | 'seen';

export const LIST_ROLES = ['learner', 'assistant', 'instructor'] as const;
export type ListRole = (typeof LIST_ROLES)[number];

/** What could not be taken from a cell, which counts as empty. */
export interface Doubt {
  /** `power`, `date`: a spreadsheet has made that of an id. */
  readonly code: 'power' | 'date' | 'no_address' | 'unknown_role' | 'cut_off';
  readonly column: ListColumn;
  /** As it stands in the list. */
  readonly value: string;
}

/** A person as a list names them. Null: the list does not say. */
export interface ListRow {
  /** Of the text, from 1. */
  readonly line: number;
  /** Given by the institution. */
  readonly id: string | null;
  readonly given: string | null;
  readonly family: string | null;
  /** In one, where the list does not have it in two: it is never split. With it, `given` and `family` are null. */
  readonly name: string | null;
  readonly address: string | null;
  readonly userName: string | null;
  readonly class: string | null;
  readonly role: ListRole | null;
  readonly group: string | null;
  readonly doubts: readonly Doubt[];
}
