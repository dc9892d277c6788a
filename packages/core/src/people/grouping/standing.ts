/** Who is where in each grouping (project groups, lab groups), and who is nowhere. */

export interface Grouping {
  readonly id: string;
  /** Ids of its groups, in their order. */
  readonly groups: readonly string[];
}

export interface GroupingStanding {
  readonly grouping: string;
  /** By group, in its order; each person once in a grouping that is as it should be. */
  readonly groups: readonly { readonly group: string; readonly people: readonly string[] }[];
  readonly nowhere: readonly string[];
  /** In more than one group of it. */
  readonly twice: readonly string[];
}

/**
 * @param people who could be in one, in the order in which they are shown
 * @param groupsOf the groups that a person is in, of any grouping
 */
export function standingIn(
  { id, groups }: Grouping,
  people: readonly string[],
  groupsOf: (person: string) => readonly string[],
): GroupingStanding {
  const within = new Map(people.map((one) => [one, groupsOf(one).filter((group) => groups.includes(group))]));
  const having = (test: (count: number) => boolean): readonly string[] =>
    people.filter((one) => test(within.get(one)?.length ?? 0));
  return {
    grouping: id,
    groups: groups.map((group) => ({
      group,
      people: people.filter((one) => within.get(one)?.includes(group) === true),
    })),
    nowhere: having((count) => count === 0),
    twice: having((count) => count > 1),
  };
}
