/**
 * Reconciling once more, from the sentences of docs/semantics.md alone: every row is held against every other and every
 * member, over and over, and nothing is looked up. It shares no code with what it is compared with.
 */
import type { EntryChoice, ListRow, Roster, RosterMember } from '../../src/people/index.ts';

/** As `kind key…` of members and lines of rows, sorted: what both sides are compared by. */
export interface Naive {
  readonly outcomes: readonly string[];
  readonly gone: readonly string[];
}

interface Person {
  readonly rows: ListRow[];
  readonly classes: string[];
}

const words = (...names: readonly (string | null)[]): string[] =>
  names
    .filter((name): name is string => name !== null)
    .join(' ')
    .normalize('NFKC')
    .toLowerCase()
    .split(/[\s,]+/)
    .filter(Boolean)
    .sort();
const nameOf = (one: ListRow | RosterMember): string[] =>
  one.given === null && one.family === null ? words(one.name) : words(one.given, one.family);
const alike = (a: string[], b: string[]): boolean => a.length > 0 && a.join(' ') === b.join(' ');
const sameAddress = (a: string | null, b: string | null): boolean =>
  a !== null && b !== null && a.toLowerCase() === b.toLowerCase();
const equal = (a: string | null, b: string | null): boolean => a !== null && a === b;
const hasKey = (row: ListRow): boolean => row.id !== null || row.address !== null || row.userName !== null;

const CELLS = ['id', 'given', 'family', 'name', 'address', 'userName', 'role', 'group'] as const;
const sameButClass = (a: ListRow, b: ListRow): boolean => CELLS.every((cell) => a[cell] === b[cell]);

function people(rows: readonly ListRow[]): Person[] {
  const found: Person[] = [];
  for (const row of rows) {
    const same = found.find(({ rows: [first] }) => {
      if (first === undefined || !sameButClass(first, row)) return false;
      return hasKey(row) || first.class === row.class;
    });
    if (same === undefined) found.push({ rows: [row], classes: row.class === null ? [] : [row.class] });
    else {
      same.rows.push(row);
      if (row.class !== null && !same.classes.includes(row.class)) same.classes.push(row.class);
    }
  }
  return found;
}

const sharesKey = (row: ListRow, other: ListRow | RosterMember): boolean =>
  equal(row.id, other.id) || sameAddress(row.address, other.address) || equal(row.userName, other.userName);
const differInId = (row: ListRow, member: RosterMember): boolean =>
  row.id !== null && member.id !== null && row.id !== member.id;

function isPlaceOf(row: ListRow, member: RosterMember): boolean {
  if (hasKey(row) || !member.isPlace || member.cells === null) return false;
  const cells = JSON.parse(member.cells) as (string | null)[];
  return [...CELLS.map((cell) => row[cell]), row.class].every((cell, at) => cell === cells[at]);
}

function differs({ rows: [row], classes }: Person, member: RosterMember): boolean {
  if (row === undefined) return false;
  const texts = (['id', 'userName', 'role'] as const).some(
    (field) => row[field] !== null && row[field] !== member[field],
  );
  const isHalf = (row.given === null) !== (row.family === null);
  const inTwo =
    isHalf && member.name !== null
      ? words(row.given, row.family).some((word) => !words(member.name).includes(word))
      : (['given', 'family'] as const).some((field) => row[field] !== null && row[field] !== member[field]);
  const address = row.address !== null && !sameAddress(row.address, member.address);
  const name = row.name !== null && words(row.name).join(' ') !== nameOf(member).join(' ');
  const inClasses = classes.length > 0 && [...classes].sort().join() !== [...member.classes].sort().join();
  return (
    texts ||
    inTwo ||
    address ||
    name ||
    inClasses ||
    (row.group !== null && !member.groups.includes(row.group))
  );
}

const linesOf = (group: readonly Person[]): string =>
  group
    .flatMap(({ rows }) => rows.map(({ line }) => line))
    .sort((a, b) => a - b)
    .join('+');
const keysOf = (members: readonly RosterMember[]): string =>
  members
    .map(({ key }) => key)
    .sort()
    .join('+');

/** @param choice what somebody says of a person on the list, known by the first line */
export function naively(
  rows: readonly ListRow[],
  roster: Roster,
  choice: (line: number) => EntryChoice | undefined = () => undefined,
): Naive {
  const members = [...roster.values()];
  const all = people(rows);
  const byKey = all.map(({ rows: [row] }) =>
    members.filter((one) => row !== undefined && (sharesKey(row, one) || isPlaceOf(row, one))),
  );
  const decided = members.filter((one) => byKey.some((found) => found.includes(one)));
  const may = all.map(({ rows: [row], classes }, at) => {
    const found = byKey[at] ?? [];
    if (found.length > 0 || row === undefined) return found;
    return members.filter(
      (one) =>
        alike(nameOf(row), nameOf(one)) &&
        !decided.includes(one) &&
        !differInId(row, one) &&
        (classes.length === 0 || classes.some((name) => one.classes.includes(name))),
    );
  });
  // Groups grow until no row outside shares anything with a row inside.
  const groups: number[][] = all.map((_, at) => [at]);
  const touches = (a: number, b: number): boolean => {
    const [one, other] = [all[a]?.rows[0], all[b]?.rows[0]];
    return (
      (one !== undefined && other !== undefined && sharesKey(one, other)) ||
      (may[a] ?? []).some((member) => may[b]?.includes(member))
    );
  };
  for (let isGrowing = true; isGrowing;) {
    isGrowing = false;
    for (let a = 0; a < groups.length; a += 1) {
      for (let b = groups.length - 1; b > a; b -= 1) {
        if (!(groups[a] ?? []).some((one) => (groups[b] ?? []).some((other) => touches(one, other))))
          continue;
        groups[a]?.push(...(groups.splice(b, 1)[0] ?? []));
        isGrowing = true;
      }
    }
  }

  const outcomes: string[] = [];
  const spoken = new Set<RosterMember>();
  const settle = (at: number, member: RosterMember | undefined): void => {
    const person = all[at] as Person;
    const where = linesOf([person]);
    if (member === undefined) outcomes.push(`added ${where}`);
    else {
      spoken.add(member);
      const kind = member.state === 'out' ? 'returning' : differs(person, member) ? 'changed' : 'unchanged';
      outcomes.push(`${kind} ${where} ${member.key}`);
    }
  };
  for (const group of groups) {
    const group0 = group[0] as number;
    const persons = group.map((at) => all[at] as Person);
    const found = [...new Set(group.flatMap((at) => may[at] ?? []))];
    const said = persons.map(({ rows: [row] }) => choice(row?.line ?? 0));
    const [row] = persons[0]?.rows ?? [];
    if (row === undefined) continue;
    const decidedByKey = (byKey[group0] ?? []).length > 0;
    const isNobody = nameOf(row).length === 0 && !hasKey(row) && !decidedByKey;
    const isClear =
      group.length === 1 &&
      !isNobody &&
      (found.length === 0 ||
        (found.length === 1 && decidedByKey && !differInId(row, found[0] as RosterMember)));
    if (isClear) {
      if (said[0]?.is !== 'nobody') settle(group0, found[0]);
      continue;
    }
    const named = said.flatMap((one) => (one?.is === 'member' ? [one.key] : []));
    const isAnswered =
      said.every((one) => one !== undefined) &&
      named.every((key, at) => named.indexOf(key) === at && found.some((one) => one.key === key));
    if (isAnswered) {
      group.forEach((at, index) => {
        const one = said[index];
        if (one?.is !== 'nobody') settle(at, one?.is === 'member' ? roster.get(one.key) : undefined);
      });
      continue;
    }
    found.forEach((one) => spoken.add(one));
    const isPossible = group.length === 1 && !isNobody && !decidedByKey;
    outcomes.push(`${isPossible ? 'possible' : 'conflict'} ${linesOf(persons)} ${keysOf(found)}`.trim());
  }
  const gone = members.filter(
    (one) => one.state === 'in' && one.role === 'learner' && one.isListed && !spoken.has(one),
  );
  return { outcomes: outcomes.sort(), gone: gone.map(({ key }) => key).sort() };
}
