/**
 * A class list against who is in the course (docs/semantics.md, Lists of people): whom each row means, what it changes,
 * and what has to be asked first. Nothing is decided silently where a row may mean two people.
 */
import type { ListRow } from '../lists/list-row.ts';
import { nameKey } from '../lists/words.ts';
import { changesOf } from './changes.ts';
import type { MemberChange } from './changes.ts';
import { entriesOf, hasKey, isAlone } from './entries.ts';
import type { Entry } from './entries.ts';
import { addressKey, calledOf } from './roster.ts';
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

/** A member in this reckoning: how many rows may mean them. */
interface Standing {
  readonly member: RosterMember;
  rows: number;
  /** A key has decided who it is. */
  isDecided: boolean;
}
type Found = Standing | Standing[];

/** Nearly all stand alone under their key: only those who share one are put in a list. */
function put(map: Map<string, Found>, key: string, one: Standing): void {
  const found = map.get(key);
  if (found === undefined) map.set(key, one);
  else if (Array.isArray(found)) found.push(one);
  else map.set(key, [found, one]);
}
const listed = (found: Found | undefined): readonly Standing[] =>
  found === undefined ? [] : Array.isArray(found) ? found : [found];
const NOBODY: readonly Standing[] = [];

class Members {
  readonly all: readonly Standing[];
  private readonly byId = new Map<string, Found>();
  private readonly byAddress = new Map<string, Found>();
  private readonly byUserName = new Map<string, Found>();
  private readonly byCells = new Map<string, Found>();

  constructor(roster: Roster) {
    this.all = Array.from(roster.values(), (member) => ({ member, rows: 0, isDecided: false }));
    for (const one of this.all) {
      const { id, address, userName, cells, isPlace } = one.member;
      if (id !== null) put(this.byId, id, one);
      if (address !== null) put(this.byAddress, addressKey(address), one);
      if (userName !== null) put(this.byUserName, userName, one);
      if (isPlace && cells !== null) put(this.byCells, cells, one);
    }
  }

  /** Those whom no key has decided, by name. */
  names(): ReadonlyMap<string, Found> {
    const found = new Map<string, Found>();
    for (const one of this.all) if (!one.isDecided) put(found, nameKey(calledOf(one.member)), one);
    return found;
  }

  /** By any key of a row, in the order of the keys; the same one once. */
  withKeysOf({ id, address, userName }: ListRow): readonly Standing[] {
    const first = id === null ? undefined : this.byId.get(id);
    const second = address === null ? undefined : this.byAddress.get(addressKey(address));
    const third = userName === null ? undefined : this.byUserName.get(userName);
    // As it mostly is: one member, by whichever key.
    const one = first ?? second ?? third;
    if (one === undefined) return NOBODY;
    const isOne = (second === undefined || second === one) && (third === undefined || third === one);
    if (isOne && !Array.isArray(one)) return [one];
    return [...new Set([first, second, third].flatMap(listed))];
  }
  madeOf = (cells: string): readonly Standing[] => listed(this.byCells.get(cells));
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
  readonly reason: ConflictReason | null;
}

function byKeys(entry: Entry, members: Members): Meant | null {
  const { row } = entry;
  const found = hasKey(row) ? members.withKeysOf(row) : members.madeOf(entry.key);
  const [first] = found;
  if (first === undefined) return null;
  for (const one of found) one.isDecided = true;
  const reason = found.length > 1 ? 'two_members' : isOther(row, first.member) ? 'other_id' : null;
  return { entry, by: 'key', members: found, reason };
}

function byName(entry: Entry, names: ReturnType<Members['names']>): Meant {
  const { row, classes } = entry;
  const name = names.size === 0 && hasKey(row) ? '' : nameKey(calledOf(row));
  const found =
    name === ''
      ? NOBODY
      : listed(names.get(name)).filter(({ member }) => !isOther(row, member) && isInClass(member, classes));
  return { entry, by: 'name', members: found, reason: name === '' && !hasKey(row) ? 'nobody' : null };
}

/** Nobody else is meant by it, and it means nobody whom another may mean: as nearly all do. */
const standsAlone = ({ entry, members }: Meant): boolean =>
  isAlone(entry) && members.every(({ rows }) => rows === 1);

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

/** In the order of the list: what belongs together stands where the first of it does. */
function outcomesOf(meant: readonly Meant[]): readonly Outcome[] {
  for (const { members } of meant) for (const one of members) one.rows += 1;
  const outcomes: (Outcome | null)[] = [];
  const rest: Meant[] = [];
  const places = new Map<Meant, number>();
  for (const one of meant) {
    if (standsAlone(one)) outcomes.push(outcomeOf(one));
    else {
      places.set(one, outcomes.length);
      outcomes.push(null);
      rest.push(one);
    }
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

function outcomeOf({ entry, by, reason, members }: Meant): Outcome {
  if (reason !== null) return { kind: 'conflict', reason, entries: [entry], members: membersOf(members) };
  const [one] = members;
  if (one === undefined) return { kind: 'added', entry };
  if (by === 'name') return { kind: 'possible', entry, members: membersOf(members) };
  return outcomeFor(entry, one.member);
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
  const names = members.names();
  const meant = entries.map((entry, at) => keyed[at] ?? byName(entry, names));
  const found = outcomesOf(meant);
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
