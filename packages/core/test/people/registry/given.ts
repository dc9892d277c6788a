/** People of a registry, members and what links them, with little to say. */
import type { FollowInput, Linked, RegistryPerson, RosterMember } from '../../../src/people/index.ts';

export const person = (registry: string, more: Partial<RegistryPerson> = {}): RegistryPerson => ({
  registry,
  id: registry,
  given: 'Given',
  family: registry,
  address: `${registry}@there.example`,
  userName: null,
  role: 'learner',
  classes: ['g-a'],
  ...more,
});
export const member = (key: string, more: Partial<RosterMember> = {}): RosterMember => ({
  key,
  id: key,
  given: 'Given',
  family: key,
  name: null,
  address: `${key}@there.example`,
  userName: null,
  role: 'learner',
  classes: ['A'],
  groups: [],
  state: 'in',
  isPlace: true,
  isListed: true,
  cells: null,
  ...more,
});
export const linked = (key: string, more: Partial<Linked> = {}): Linked => ({
  key,
  said: person(key),
  isThere: true,
  kept: [],
  staysOut: false,
  ...more,
});
export const NAMES = new Map([
  ['g-a', 'A'],
  ['g-b', 'B'],
]);
export function given(
  people: readonly RegistryPerson[],
  members: readonly RosterMember[] = [],
  links: readonly Linked[] = [],
  more: Partial<FollowInput> = {},
): FollowInput {
  return {
    roster: new Map(members.map((one) => [one.key, one])),
    linked: new Map(links.map((one) => [one.said.registry, one])),
    people,
    names: NAMES,
    choices: new Map(),
    mayGo: new Set(),
    ...more,
  };
}
