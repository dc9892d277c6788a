/** Members of a made-up course, who say nothing but what a test has them say. */
import type { Roster, RosterMember } from '../../src/people/index.ts';

export const UNNAMED = {
  id: null,
  given: null,
  family: null,
  name: null,
  address: null,
  userName: null,
} as const;

export const member = (key: string, what: Partial<RosterMember>): RosterMember => ({
  ...UNNAMED,
  key,
  classes: [],
  groups: [],
  role: 'learner',
  state: 'in',
  isPlace: false,
  isListed: true,
  cells: null,
  ...what,
});

export const rosterOf = (...members: readonly RosterMember[]): Roster =>
  new Map(members.map((one) => [one.key, one]));
