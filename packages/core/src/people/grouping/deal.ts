/**
 * People dealt into groups at random: as many groups as are wanted, or as many as a size makes, each about as large, and
 * with about as many of each kind (a class, a column of a list) as any other. Who is in one already stays there.
 */

export interface Dealt {
  readonly person: string;
  /** What is to be spread evenly; null: nothing is said of them, which is a kind too. */
  readonly of: string | null;
}

export type GroupCount =
  { readonly by: 'number'; readonly groups: number } | { readonly by: 'size'; readonly most: number };

/** @returns how many groups that makes: with a size, none is larger. At least one. */
export function groupsFor(people: number, count: GroupCount): number {
  const wanted = count.by === 'number' ? count.groups : Math.ceil(people / Math.max(1, count.most));
  return Math.max(1, Math.floor(wanted));
}

/** Fisher and Yates. @param random at least 0, less than 1 */
function shuffled<T>(all: readonly T[], random: () => number): T[] {
  const next = [...all];
  for (let at = next.length - 1; at > 0; at -= 1) {
    const other = Math.floor(random() * (at + 1));
    [next[at], next[other]] = [next[other] as T, next[at] as T];
  }
  return next;
}

/**
 * @param standing who is in each group already; as many groups as there will be
 * @param random at least 0, less than 1: given, so that the same can be dealt again
 * @returns who is added to each. Where nobody stood before, groups differ by one at most, in all and of each kind.
 */
export function dealGroups(
  people: readonly Dealt[],
  standing: readonly (readonly Dealt[])[],
  random: () => number,
): readonly (readonly string[])[] {
  const groups = standing.map((there) => ({ there, size: there.length, added: [] as string[] }));
  const kinds = new Map<string | null, Dealt[]>();
  for (const one of people) {
    const kind = kinds.get(one.of);
    if (kind === undefined) kinds.set(one.of, [one]);
    else kind.push(one);
  }
  for (const [kind, members] of kinds) {
    const ofKind = groups.map(({ there }) => there.filter(({ of }) => of === kind).length);
    for (const { person } of shuffled(members, random)) {
      const order = shuffled([...groups.keys()], random);
      const [at] = order.sort(
        (a, b) => (ofKind[a] ?? 0) - (ofKind[b] ?? 0) || (groups[a]?.size ?? 0) - (groups[b]?.size ?? 0),
      );
      const group = at === undefined ? undefined : groups[at];
      if (at === undefined || group === undefined) return [];
      group.added.push(person);
      group.size += 1;
      ofKind[at] = (ofKind[at] ?? 0) + 1;
    }
  }
  return groups.map(({ added }) => added);
}
