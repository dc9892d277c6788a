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
import { listed, Members } from './standing.ts';
import type { ByKeys, Names, Standing } from './standing.ts';

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

/** Both have an id, and they differ: never one person. */
const isOther = (row: ListRow, member: RosterMember): boolean =>
  row.id !== null && member.id !== null && row.id !== member.id;

const isInClass = (member: RosterMember, classes: readonly string[]): boolean =>
  classes.length === 0 || classes.some((one) => member.classes.includes(one));

interface Meant {
  readonly entry: Entry;
  /** By a key, or as the place that the very same row made. */
  readonly by: 'key' | 'name';
  readonly members: readonly Standing[];
}

function byName(entry: Entry, names: Names): readonly Standing[] {
  const { row, classes } = entry;
  const name = nameKey(calledOf(row));
  if (name === '') return [];
  const found = listed(names.get(name)).filter(
    ({ member }) => !isOther(row, member) && isInClass(member, classes),
  );
  for (const one of found) one.rows += 1;
  return found;
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
  const first = new Map<string | Standing, number>();
  const join = (name: string | Standing, at: number): void => {
    const before = first.get(name);
    if (before === undefined) first.set(name, at);
    else parent[root(at)] = root(before);
  };
  meant.forEach(({ entry, members }, at) => {
    for (const key of keysOf(entry.row)) join(key, at);
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

const isSeveral = (found: ByKeys | Meant): found is readonly Standing[] => Array.isArray(found);

/** The entries, and of each: plainly one, or whom it may mean and by what. */
function meantOf(
  rows: readonly ListRow[],
  members: Members,
): { readonly entries: readonly Entry[]; readonly meant: readonly (Standing | Meant)[] } {
  const keyed = members.meantBy(rows);
  const isKnown = (at: number): boolean => {
    const found = keyed[at] as ByKeys;
    return !isSeveral(found) && found.rows === 1;
  };
  const { entries, firsts } = entriesOf(rows, isKnown);
  const found = entries.map((entry, at): ByKeys => {
    if (hasKey(entry.row)) return keyed[firsts[at] as number] as ByKeys;
    const made = members.madeOf(entry.key);
    for (const one of made) one.rows += 1;
    return made;
  });
  const names = members.names();
  const meant = found.map((one, at): Standing | Meant => {
    if (!isSeveral(one)) return one;
    const entry = entries[at] as Entry;
    return one.length > 0
      ? { entry, by: 'key', members: one }
      : { entry, by: 'name', members: byName(entry, names) };
  });
  return { entries, meant };
}

/** In the order of the list: what belongs together stands where the first of it does. */
function outcomesOf({ entries, meant }: ReturnType<typeof meantOf>): readonly Outcome[] {
  const outcomes: (Outcome | null)[] = [];
  const rest: Meant[] = [];
  const places = new Map<Meant, number>();
  for (let at = 0; at < entries.length; at += 1) {
    const entry = entries[at] as Entry;
    const found = meant[at] as Standing | Meant;
    const isOne = 'member' in found;
    // Nobody else is meant by it, and it means nobody whom another may mean: as nearly all do.
    if (entry.isAlone && (isOne ? found.rows === 1 : found.members.every(({ rows }) => rows === 1))) {
      outcomes.push(isOne ? outcomeForKey(entry, found.member) : outcomeOf(found));
      continue;
    }
    const one: Meant = isOne ? { entry, by: 'key', members: [found] } : found;
    places.set(one, outcomes.length);
    outcomes.push(null);
    rest.push(one);
  }
  if (rest.length === 0) return outcomes as Outcome[];
  for (const group of together(rest)) outcomes[places.get(group[0] as Meant) as number] = outcomeOfAll(group);
  return outcomes.filter((one) => one !== null);
}

const membersOf = (meant: readonly Standing[]): readonly RosterMember[] => meant.map(({ member }) => member);

function outcomeOfAll(group: readonly Meant[]): Outcome {
  const [only] = group;
  if (only !== undefined && group.length === 1) return outcomeOf(only);
  const members = membersOf([...new Set(group.flatMap((one) => one.members))]);
  return { kind: 'conflict', reason: 'two_rows', entries: group.map(({ entry }) => entry), members };
}

function outcomeOf({ entry, by, members }: Meant): Outcome {
  const [one] = members;
  if (one === undefined) {
    const isNobody = !hasKey(entry.row) && nameKey(calledOf(entry.row)) === '';
    return isNobody
      ? { kind: 'conflict', reason: 'nobody', entries: [entry], members: [] }
      : { kind: 'added', entry };
  }
  if (by === 'name') return { kind: 'possible', entry, members: membersOf(members) };
  if (members.length === 1) return outcomeForKey(entry, one.member);
  return { kind: 'conflict', reason: 'two_members', entries: [entry], members: membersOf(members) };
}

function outcomeForKey(entry: Entry, member: RosterMember): Outcome {
  return isOther(entry.row, member)
    ? { kind: 'conflict', reason: 'other_id', entries: [entry], members: [member] }
    : outcomeFor(entry, member);
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
  const found = outcomesOf(meantOf(rows, members));
  const outcomes = choices.size === 0 ? found : found.flatMap((one) => settle(one, roster, choices));
  const spoken = choices.size === 0 ? null : spokenOf(outcomes);
  const isSpokenOf = ({ member, rows: times }: Standing): boolean =>
    spoken === null ? times > 0 : spoken.has(member);
  const gone = members.all.filter((one) => {
    const { role, state, isListed } = one.member;
    return role === 'learner' && state === 'in' && isListed && !isSpokenOf(one);
  });
  return { outcomes, gone: membersOf(gone) };
}

/** Whom anything says anything of, once questions have been answered. */
function spokenOf(outcomes: readonly Outcome[]): ReadonlySet<RosterMember> {
  const spoken = new Set<RosterMember>();
  for (const one of outcomes) {
    if (isQuestion(one)) one.members.forEach((member) => spoken.add(member));
    else if (one.kind !== 'added') spoken.add(one.member);
  }
  return spoken;
}
