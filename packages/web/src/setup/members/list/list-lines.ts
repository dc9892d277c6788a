/** A list as it will be taken in, a line a row: who it is, and what happens. */
import type { SentRow } from '@itinerary/contract';
import { calledOf, entriesIn } from '@itinerary/core/people';
import type { Entry, HeldList, ListRow, MemberChange, Outcome, RosterMember } from '@itinerary/core/people';

export const HAPPENINGS = ['added', 'changed', 'returning', 'unchanged', 'asked', 'left'] as const;
export type Happening = (typeof HAPPENINGS)[number];

export interface ListLine {
  /** Of its entry. */
  readonly key: string;
  readonly line: string;
  readonly name: string;
  readonly id: string;
  readonly address: string;
  readonly userName: string;
  readonly classes: string;
  readonly group: string;
  readonly role: ListRow['role'];
  readonly happens: Happening;
  readonly changes: readonly MemberChange[];
  readonly doubts: ListRow['doubts'];
}

type Held = Extract<HeldList, { ok: true }>;

/** A place or member by what tells them from others of their name. */
export function memberWords(member: RosterMember): string {
  const more = [member.id ?? member.userName ?? member.address, ...member.classes].filter(
    (word) => word !== null,
  );
  const name = calledOf(member) || (member.address ?? '–');
  return more.length === 0 ? name : `${name} (${more.join(', ')})`;
}

export function lineWords(row: ListRow): string {
  return calledOf(row) || (row.address ?? row.userName ?? row.id ?? '–');
}

function lineOf(entry: Entry, happens: Happening, changes: readonly MemberChange[]): ListLine {
  const { key, row, lines, classes } = entry;
  return {
    key,
    line: lines.join(', '),
    name: calledOf(row),
    id: row.id ?? '',
    address: row.address ?? '',
    userName: row.userName ?? '',
    classes: classes.join(', '),
    group: row.group ?? '',
    role: row.role,
    happens,
    changes,
    doubts: row.doubts,
  };
}

const happeningOf = ({ kind }: Outcome): Happening =>
  kind === 'possible' || kind === 'conflict' ? 'asked' : kind;

/** In the order of the list. */
export function listLines({ reconciliation, left }: Held): readonly ListLine[] {
  const lines = reconciliation.outcomes.flatMap((outcome) =>
    entriesIn(outcome).map((entry) =>
      lineOf(entry, happeningOf(outcome), 'changes' in outcome ? outcome.changes : []),
    ),
  );
  const all = [...lines, ...left.map((entry) => lineOf(entry, 'left', []))];
  return all.sort((a, b) => Number.parseInt(a.line) - Number.parseInt(b.line));
}

export function countsOf(lines: readonly ListLine[]): Readonly<Record<Happening, number>> {
  const counts = { added: 0, changed: 0, returning: 0, unchanged: 0, asked: 0, left: 0 };
  for (const { happens } of lines) counts[happens] += 1;
  return counts;
}

const FIELDS = ['id', 'given', 'family', 'name', 'address', 'userName', 'class', 'role', 'group'] as const;

/** What is not said is not sent. */
export function sentRows(rows: readonly ListRow[]): SentRow[] {
  return rows.map((row) => {
    const sent: Record<string, unknown> = { line: row.line };
    for (const field of FIELDS) if (row[field] !== null) sent[field] = row[field];
    return sent as unknown as SentRow;
  });
}

/** The most that one cell may hold of a person; the server takes no more. */
export const MOST_IN_CELL = 300;
export function tooLong(rows: readonly ListRow[]): { readonly line: number; readonly value: string } | null {
  for (const row of rows) {
    for (const field of FIELDS) {
      const value = row[field];
      if (value !== null && value.length > MOST_IN_CELL) return { line: row.line, value: value.slice(0, 60) };
    }
  }
  return null;
}
