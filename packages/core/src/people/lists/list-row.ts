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

/** Who somebody is, as far as it is said. Null: it is not. */
export interface Named {
  /** Given by the institution. */
  readonly id: string | null;
  readonly given: string | null;
  readonly family: string | null;
  /** In one, where nobody has said it in two: it is never split. With it, `given` and `family` are null. */
  readonly name: string | null;
  readonly address: string | null;
  readonly userName: string | null;
}

/** A person as a list names them. */
export interface ListRow extends Named {
  /** Of the text, from 1. */
  readonly line: number;
  readonly class: string | null;
  readonly role: ListRole | null;
  readonly group: string | null;
  readonly doubts: readonly Doubt[];
}
