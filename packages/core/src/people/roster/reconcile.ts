/**
 * A class list against who is in the course (docs/semantics.md, Lists of people): whom each row means, what it changes,
 * and what has to be asked first. Nothing is decided silently where a row may mean two people.
 */
import type { ListRow } from '../lists/list-row.ts';
import { nameKey } from '../lists/words.ts';
import { changesOf } from './changes.ts';
import type { MemberChange } from './changes.ts';
import { entriesOf, hasKey, keysOf } from './entries.ts';
import type { Entry } from './entries.ts';
import { calledOf } from './roster.ts';
import type { Roster, RosterMember } from './roster.ts';

/**
 * `nobody`: neither name nor key. `two_rows`: several rows may mean one person. `two_members`: the keys of a row name
 * different members. `other_id`: its member has another id.
 */
export type ConflictReason = 'nobody' | 'two_rows' | 'two_members' | 'other_id';

export type Outcome =
  | { readonly kind: 'added'; readonly entry: Entry }
  | { readonly kind: 'unchanged'; readonly entry: Entry; readonly member: RosterMember }
  | {
      readonly kind: 'changed' | 'returning';
      readonly entry: Entry;
      readonly member: RosterMember;
      readonly changes: readonly MemberChange[];
    }
  /** By name alone: somebody says whether it is one of these. */
  | { readonly kind: 'possible'; readonly entry: Entry; readonly members: readonly RosterMember[] }
  | {
      readonly kind: 'conflict';
      readonly reason: ConflictReason;
      readonly entries: readonly Entry[];
      readonly members: readonly RosterMember[];
    };

/** What somebody has said of a row. */
export type EntryChoice =
  { readonly is: 'member'; readonly key: string } | { readonly is: 'new' } | { readonly is: 'nobody' };
/** By the entry's key. */
export type ListChoicesMade = ReadonlyMap<string, EntryChoice>;

export interface Reconciliation {
  readonly outcomes: readonly Outcome[];
  /** Learners whom an earlier list had and this one has not; never anybody whom an open question may mean. */
  readonly gone: readonly RosterMember[];
}

function put(map: Map<string, RosterMember[]>, key: string, member: RosterMember): void {
  const found = map.get(key);
  if (found === undefined) map.set(key, [member]);
  else found.push(member);
}

class Members {
  readonly all: readonly RosterMember[];
  private readonly byKey = new Map<string, RosterMember[]>();
  private readonly byCells = new Map<string, RosterMember[]>();

  constructor(roster: Roster) {
    this.all = [...roster.values()];
    for (const member of this.all) {
      for (const key of keysOf(member)) put(this.byKey, key, member);
      if (member.isPlace && member.cells !== null) put(this.byCells, member.cells, member);
    }
  }

  /** Those whom no key has decided, by name. */
  names(decided: ReadonlySet<RosterMember>): ReadonlyMap<string, readonly RosterMember[]> {
    const found = new Map<string, RosterMember[]>();
    for (const member of this.all) if (!decided.has(member)) put(found, nameKey(calledOf(member)), member);
    return found;
  }

  withKey = (key: string): readonly RosterMember[] => this.byKey.get(key) ?? [];
  madeOf = (cells: string): readonly RosterMember[] => this.byCells.get(cells) ?? [];
}

/** Both have an id, and they differ: never one person. */
const isOther = (row: ListRow, member: RosterMember): boolean =>
  row.id !== null && member.id !== null && row.id !== member.id;

const isInClass = (member: RosterMember, classes: readonly string[]): boolean =>
  classes.length === 0 || classes.some((one) => member.classes.includes(one));

interface Meant {
  readonly entry: Entry;
  /** By a key, or as the place that the very same row made. */
  readonly by: 'key' | 'name';
  readonly members: readonly RosterMember[];
  readonly reason: ConflictReason | null;
}

function byKeys(entry: Entry, members: Members): Meant | null {
  const { row } = entry;
  const found: RosterMember[] = hasKey(row) ? [] : [...members.madeOf(entry.key)];
  for (const key of entry.keys) {
    for (const member of members.withKey(key)) if (!found.includes(member)) found.push(member);
  }
  const [first] = found;
  if (first === undefined) return null;
  const reason = found.length > 1 ? 'two_members' : isOther(row, first) ? 'other_id' : null;
  return { entry, by: 'key', members: found, reason };
}

function byName(entry: Entry, names: ReturnType<Members['names']>): Meant {
  const { row, classes } = entry;
  const name = nameKey(calledOf(row));
  const found =
    name === '' ? [] : (names.get(name) ?? []).filter((one) => !isOther(row, one) && isInClass(one, classes));
  return { entry, by: 'name', members: found, reason: name === '' && !hasKey(row) ? 'nobody' : null };
}

/** Rows that share a key, or may mean the same member, belong together. */
function together(meant: readonly Meant[]): readonly (readonly Meant[])[] {
  const parent = meant.map((_, at) => at);
  const root = (at: number): number => {
    let one = at;
    while (parent[one] !== one) one = parent[one] ?? one;
    parent[at] = one;
    return one;
  };
  const first = new Map<string | RosterMember, number>();
  const join = (name: string | RosterMember, at: number): void => {
    const before = first.get(name);
    if (before === undefined) first.set(name, at);
    else parent[root(at)] = root(before);
  };
  meant.forEach(({ entry, members }, at) => {
    for (const key of entry.keys) join(key, at);
    for (const member of members) join(member, at);
  });
  const groups = new Map<number, Meant[]>();
  meant.forEach((one, at) => {
    const group = groups.get(root(at));
    if (group === undefined) groups.set(root(at), [one]);
    else group.push(one);
  });
  return [...groups.values()];
}

function outcomeOf(group: readonly Meant[]): Outcome {
  if (group.length > 1) {
    const members = [...new Set(group.flatMap((one) => one.members))];
    return { kind: 'conflict', reason: 'two_rows', entries: group.map(({ entry }) => entry), members };
  }
  const [only] = group as readonly [Meant];
  const { entry, reason, members } = only;
  if (reason !== null) return { kind: 'conflict', reason, entries: [entry], members };
  const [member] = members;
  if (member === undefined) return { kind: 'added', entry };
  if (only.by === 'name') return { kind: 'possible', entry, members };
  return outcomeFor(entry, member);
}

function outcomeFor(entry: Entry, member: RosterMember): Outcome {
  const changes = changesOf(entry, member);
  if (member.state === 'out') return { kind: 'returning', entry, member, changes };
  return changes.length === 0
    ? { kind: 'unchanged', entry, member }
    : { kind: 'changed', entry, member, changes };
}

export type Question = Extract<Outcome, { kind: 'possible' | 'conflict' }>;
export const isQuestion = (one: Outcome): one is Question =>
  one.kind === 'possible' || one.kind === 'conflict';
export const entriesIn = (one: Outcome): readonly Entry[] =>
  one.kind === 'conflict' ? one.entries : [one.entry];

/** What somebody has chosen, where it answers the question; a row that is nobody is no outcome. */
function settle(outcome: Outcome, roster: Roster, choices: ListChoicesMade): readonly Outcome[] {
  const entries = entriesIn(outcome);
  const chosen = entries.map(({ key }) => choices.get(key));
  if (!isQuestion(outcome)) return chosen[0]?.is === 'nobody' ? [] : [outcome];
  const keys = chosen.flatMap((one) => (one?.is === 'member' ? [one.key] : []));
  const isAnswered =
    chosen.every((one) => one !== undefined) &&
    new Set(keys).size === keys.length &&
    keys.every((key) => outcome.members.some((member) => member.key === key));
  if (!isAnswered) return [outcome];
  return entries.flatMap((entry, at): readonly Outcome[] => {
    const choice = chosen[at];
    if (choice === undefined || choice.is === 'nobody') return [];
    const member = choice.is === 'member' ? roster.get(choice.key) : undefined;
    return [member === undefined ? { kind: 'added', entry } : outcomeFor(entry, member)];
  });
}

/**
 * @param choices of what was asked; an answer that answers nothing, or names somebody twice, leaves the question open
 * @returns outcomes in the order of the list
 */
export function reconcile(
  rows: readonly ListRow[],
  roster: Roster,
  choices: ListChoicesMade = new Map(),
): Reconciliation {
  const members = new Members(roster);
  const entries = entriesOf(rows);
  const keyed = entries.map((entry) => byKeys(entry, members));
  const decided = new Set<RosterMember>();
  for (const one of keyed) one?.members.forEach((member) => decided.add(member));
  const names = members.names(decided);
  const meant = entries.map((entry, at) => keyed[at] ?? byName(entry, names));
  const found = together(meant).map(outcomeOf);
  const outcomes = choices.size === 0 ? found : found.flatMap((one) => settle(one, roster, choices));
  const spoken = new Set<RosterMember>();
  for (const one of outcomes) {
    if (isQuestion(one)) one.members.forEach((member) => spoken.add(member));
    else if (one.kind !== 'added') spoken.add(one.member);
  }
  const gone = members.all.filter(
    (one) => one.role === 'learner' && one.state === 'in' && one.isListed && !spoken.has(one),
  );
  return { outcomes, gone };
}
