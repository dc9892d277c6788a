/** Histories of readings at random: what must hold of all of them. */
import { expect, test } from '@jest/globals';
import { changed, followRegistry } from '../../../src/people/index.ts';
import type { FollowInput, FollowStep } from '../../../src/people/index.ts';
import { randomness } from '../../support/randomness.ts';
import { given, member, NAMES, person } from './given.ts';

/** As the server does it, without seats. */
function carryOut(input: FollowInput, steps: readonly FollowStep[]): Pick<FollowInput, 'roster' | 'linked'> {
  const roster = new Map(input.roster);
  const links = new Map(input.linked);
  for (const step of steps) {
    if (step.kind === 'comes') {
      const { registry, id, given: first, family, address, userName, role, classes } = step.person;
      const key = step.key ?? `m-${registry}`;
      const names = classes.flatMap((one) => NAMES.get(one) ?? []);
      roster.set(key, member(key, { id, given: first, family, address, userName, role, classes: names }));
      links.set(registry, { key, said: step.person, isThere: true, kept: [], staysOut: false });
    } else if ('linked' in step) {
      links.set(step.linked.said.registry, { ...step.linked, isThere: false, kept: [] });
      if (step.kind === 'goes' && step.member !== null)
        roster.set(step.member.key, { ...step.member, state: 'out' });
    } else {
      const { person: one, member: before, changes, kept } = step;
      links.set(one.registry, { key: before.key, said: one, isThere: true, kept, staysOut: false });
      const next = changed(before, changes);
      roster.set(before.key, step.kind === 'returns' ? { ...next, state: 'in', isListed: true } : next);
    }
  }
  return { roster, linked: links };
}

test('2,000 random histories: followed twice is once, what staff wrote stands, and without them the registry is mirrored', () => {
  const random = randomness(20_261_129);
  const pick = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)] as T;
  const keys = ['a', 'b', 'c', 'd', 'e', 'f'];
  let byHand = 0;
  for (let history = 0; history < 2000; history += 1) {
    const hasStaff = history % 2 === 0;
    let state: Pick<FollowInput, 'roster' | 'linked'> = { roster: new Map(), linked: new Map() };
    const hands = new Map<string, string>();
    for (let reading = 0; reading < 6; reading += 1) {
      const people = keys
        .filter(() => random() < 0.7)
        .map((key) =>
          person(key, {
            address: pick([`${key}@one.example`, `${key}@two.example`]),
            role: pick(['learner', 'learner', 'assistant'] as const),
            classes: pick([['g-a'], ['g-b'], ['g-a', 'g-b']]),
          }),
        );
      const input = { ...given(people), ...state };
      const following = followRegistry({ ...input, mayGo: new Set(keys) });
      state = carryOut(input, following.steps);
      for (const [key, address] of hands) {
        const now = state.roster.get(key);
        // Written by hand it stands, whatever was said since.
        if (now !== undefined) expect(now.address).toBe(address);
      }
      const again = followRegistry({ ...given(people), ...state, mayGo: new Set(keys) });
      expect(again.steps.filter((step) => step.kind !== 'stands' || step.changes.length > 0)).toEqual([]);
      expect(carryOut({ ...given(people), ...state }, again.steps).roster).toEqual(state.roster);
      if (!hasStaff) {
        const there = [...state.roster.values()].filter(({ state: is }) => is === 'in');
        const mirrored = people.map((one) => ({
          id: one.id,
          address: one.address,
          role: one.role,
          classes: one.classes.map((id) => NAMES.get(id)).sort(),
        }));
        const seen = there.map(({ id, address, role, classes }) => ({
          id,
          address,
          role,
          classes: [...classes].sort(),
        }));
        const order = (one: { id: string | null }): string => one.id ?? '';
        expect(seen.sort((x, y) => (order(x) < order(y) ? -1 : 1))).toEqual(mirrored);
      } else if (random() < 0.5 && state.roster.size > 0) {
        const one = pick([...state.roster.values()]);
        const address = `${one.key}@hand.example`;
        hands.set(one.key, address);
        byHand += 1;
        state = { ...state, roster: new Map(state.roster).set(one.key, { ...one, address }) };
      }
    }
  }
  expect(byHand).toBeGreaterThan(1000);
});
