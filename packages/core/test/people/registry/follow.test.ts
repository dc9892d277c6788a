/** A reading of the registry against who is there: case by case, and at random against what must always hold. */
import { describe, expect, test } from '@jest/globals';
import { changed, followRegistry, isBroken, mendedName } from '../../../src/people/index.ts';
import type {
  FollowInput,
  Following,
  FollowStep,
  Linked,
  RegistryPerson,
  RosterMember,
} from '../../../src/people/index.ts';

const person = (registry: string, more: Partial<RegistryPerson> = {}): RegistryPerson => ({
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
const member = (key: string, more: Partial<RosterMember> = {}): RosterMember => ({
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
const linked = (key: string, more: Partial<Linked> = {}): Linked => ({
  key,
  said: person(key),
  isThere: true,
  kept: [],
  ...more,
});
const NAMES = new Map([
  ['g-a', 'A'],
  ['g-b', 'B'],
]);
function given(
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
const toldOf = ({ steps }: Following): string[] =>
  steps.map((step) => {
    if (step.kind === 'comes') return `comes ${step.person.registry}`;
    if (step.kind === 'goes' || step.kind === 'stays') return `${step.kind} ${step.linked.key}`;
    const changes = step.changes.map(({ field, to }) => `${field}=${[to].flat().join('+')}`);
    return [step.kind, step.member.key, ...changes, ...step.kept.map((field) => `kept:${field}`)].join(' ');
  });
const told = (...input: Parameters<typeof given>): string[] => toldOf(followRegistry(given(...input)));

describe('who the registry has', () => {
  test.each<[string, Parameters<typeof given>, string[]]>([
    ['nobody knows of them', [[person('x')]], ['comes x']],
    ['they wait for a seat', [[person('x')], [], [linked('x')]], ['comes x']],
    [
      'there by their id, added by hand',
      [
        [person('x')],
        [member('m', { id: 'x', given: 'Given', family: 'x', address: 'x@there.example', isListed: false })],
      ],
      ['stands m'],
    ],
    [
      'there by their address, with another name',
      [
        [person('x')],
        [member('m', { id: null, address: 'X@there.example', given: 'Other', family: 'Name' })],
      ],
      ['stands m id=x kept:name'],
    ],
    [
      'there without an address',
      [[person('x')], [member('x', { address: null })]],
      ['stands x address=x@there.example'],
    ],
    ['as before', [[person('x')], [member('x')], [linked('x')]], ['stands x']],
    [
      'another address',
      [[person('x', { address: 'new@there.example' })], [member('x')], [linked('x')]],
      ['stands x address=new@there.example'],
    ],
    [
      'another name',
      [[person('x', { family: 'Wed' })], [member('x')], [linked('x')]],
      ['stands x family=Wed'],
    ],
    [
      'the same name in other capitals',
      [[person('x', { family: 'X' })], [member('x')], [linked('x')]],
      ['stands x'],
    ],
    [
      'no address any more changes nothing',
      [[person('x', { address: null })], [member('x')], [linked('x')]],
      ['stands x'],
    ],
    [
      'another role',
      [[person('x', { role: 'assistant' })], [member('x')], [linked('x')]],
      ['stands x role=assistant'],
    ],
    [
      'staff gave another role, and the registry says the old one',
      [[person('x')], [member('x', { role: 'assistant' })], [linked('x')]],
      ['stands x'],
    ],
    [
      'staff wrote another address, the registry a third',
      [
        [person('x', { address: 'new@there.example' })],
        [member('x', { address: 'hand@there.example' })],
        [linked('x')],
      ],
      ['stands x kept:address'],
    ],
    [
      '… and still does',
      [
        [person('x', { address: 'new@there.example' })],
        [member('x', { address: 'hand@there.example' })],
        [linked('x', { said: person('x', { address: 'new@there.example' }), kept: ['address'] })],
      ],
      ['stands x kept:address'],
    ],
    [
      '… until somebody has settled it',
      [
        [person('x', { address: 'new@there.example' })],
        [member('x', { address: 'hand@there.example' })],
        [linked('x', { said: person('x', { address: 'new@there.example' }) })],
      ],
      ['stands x'],
    ],
    [
      '… or says what staff wrote',
      [
        [person('x', { address: 'Hand@there.example' })],
        [member('x', { address: 'hand@there.example' })],
        [linked('x')],
      ],
      ['stands x'],
    ],
    [
      'another class',
      [[person('x', { classes: ['g-b'] })], [member('x')], [linked('x')]],
      ['stands x classes=B'],
    ],
    [
      'another class beside one of staff’s',
      [[person('x', { classes: ['g-b'] })], [member('x', { classes: ['A', 'Own'] })], [linked('x')]],
      ['stands x classes=Own+B'],
    ],
    [
      'staff moved them, and the registry says what it said',
      [[person('x')], [member('x', { classes: ['B'] })], [linked('x')]],
      ['stands x'],
    ],
    [
      'staff moved them, and the registry says a third',
      [[person('x', { classes: ['g-b'] })], [member('x', { classes: ['Own'] })], [linked('x')]],
      ['stands x kept:classes'],
    ],
    [
      'in two classes',
      [[person('x', { classes: ['g-a', 'g-b'] })], [member('x')], [linked('x')]],
      ['stands x classes=A+B'],
    ],
    [
      'staff took them out',
      [[person('x')], [member('x', { state: 'out' })], [linked('x')]],
      ['stands x kept:standing'],
    ],
    [
      'dropped, and there again',
      [[person('x')], [member('x', { state: 'out' })], [linked('x', { isThere: false })]],
      ['returns x'],
    ],
    [
      'out before the registry had ever had them',
      [[person('x')], [member('x', { state: 'out' })]],
      ['returns x'],
    ],
    ['no longer there', [[], [member('x')], [linked('x')]], ['goes x']],
    [
      'no longer there, brought in by hand',
      [[], [member('x', { isListed: false })], [linked('x')]],
      ['stays x'],
    ],
    ['gone before', [[], [member('x', { state: 'out' })], [linked('x', { isThere: false })]], []],
    ['no longer there, waiting for a seat', [[], [], [linked('x')]], ['goes x']],
    [
      'the last who leads',
      [
        [],
        [member('x', { role: 'instructor', isPlace: false })],
        [linked('x', { said: person('x', { role: 'instructor' }) })],
      ],
      ['stays x'],
    ],
    [
      'one of two who lead',
      [
        [],
        [
          member('x', { role: 'instructor', isPlace: false }),
          member('y', { role: 'instructor', isPlace: false }),
        ],
        [linked('x', { said: person('x', { role: 'instructor' }) })],
      ],
      ['goes x'],
    ],
  ])('%s', (_what, input, expected) => {
    expect(told(...input)).toEqual(expected);
  });

  test('of two who lead and both go, one stays', () => {
    const lead = { role: 'instructor' as const };
    const links = ['x', 'y'].map((key) => linked(key, { said: person(key, lead) }));
    const members = ['x', 'y'].map((key) => member(key, { ...lead, isPlace: false }));
    expect(told([], members, links)).toEqual(['goes x', 'stays y']);
  });

  test('so many who go at once are asked for, and only those go of whom it is said', () => {
    const keys = Array.from({ length: 12 }, (_, at) => `l${at}`);
    const [members, links] = [keys.map((key) => member(key)), keys.map((key) => linked(key))];
    const left = (count: number): RegistryPerson[] => keys.slice(count).map((key) => person(key));
    expect(followRegistry(given(left(3), members, links)).held).toEqual([]);
    expect(
      toldOf(followRegistry(given(left(4), members, links))).filter((one) => one.startsWith('goes')),
    ).toHaveLength(4);
    const many = followRegistry(given(left(5), members, links));
    expect(many.held.map(({ key }) => key)).toEqual(keys.slice(0, 5));
    expect(toldOf(many).filter((one) => one.startsWith('goes'))).toEqual([]);
    const some = followRegistry(given(left(5), members, links, { mayGo: new Set(['l1', 'l2']) }));
    expect(toldOf(some).filter((one) => one.startsWith('goes'))).toEqual(['goes l1', 'goes l2']);
    expect(some.held.map(({ key }) => key)).toEqual(['l0', 'l3', 'l4']);
  });

  test('by name alone somebody is asked, by two keys of two members too', () => {
    const byName = member('m', { id: null, address: null, given: null, family: null, name: 'x Given' });
    const { steps, questions } = followRegistry(given([person('x')], [byName]));
    expect([steps, questions.map(({ kind }) => kind)]).toEqual([[], ['possible']]);
    const entry = questions[0]?.kind === 'possible' ? questions[0].entry.key : '';
    const choices = new Map([[entry, { is: 'member', key: 'm' } as const]]);
    expect(told([person('x')], [byName], [], { choices })).toEqual([
      'stands m id=x given=Given family=x address=x@there.example',
    ]);
    expect(
      told([person('x')], [byName], [], { choices: new Map([[entry, { is: 'new' } as const]]) }),
    ).toEqual(['comes x']);
    const two = [
      member('m', { id: 'x', address: null }),
      member('n', { id: null, address: 'x@there.example' }),
    ];
    expect(followRegistry(given([person('x')], two)).questions).toMatchObject([
      { kind: 'conflict', reason: 'two_members' },
    ]);
  });
});

describe('a name in pieces', () => {
  const pieces = (name: string): string =>
    new TextDecoder('windows-1252').decode(new TextEncoder().encode(name));
  test.each(['Dvořan', 'Inês', 'Šárka', 'Nguyễn', 'Žofie', 'Zenón'])('%s', (name) => {
    expect([isBroken(name), mendedName(pieces(name)), isBroken(pieces(name))]).toEqual([false, name, true]);
  });
  test.each(['', 'Ana', 'Ângela', 'Éa', 'O’Neill', '木村', 'Ãngelo', 'Zoë-Ñandú', 'Sá', 'Bélâ'])(
    '%s is whole',
    (name) => {
      expect(isBroken(name)).toBe(false);
    },
  );
  test.each(['Dvo\ufffdan', 'Dvo?an', 'Dvo\u0001an'])('%j has lost a letter', (name) => {
    expect([isBroken(name), mendedName(name)]).toEqual([true, null]);
  });
  test('changes nothing where a whole one is known, and is told', () => {
    const broken = person('x', { family: pieces('Dvořan') });
    const known = followRegistry(given([broken], [member('x')], [linked('x')]));
    expect([toldOf(known), known.broken]).toEqual([['stands x'], [broken]]);
    expect(told([broken])).toEqual(['comes x']);
  });
});

/** Mulberry32. */
function randomness(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

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
      links.set(registry, { key, said: step.person, isThere: true, kept: [] });
    } else if (step.kind === 'goes' || step.kind === 'stays') {
      links.set(step.linked.said.registry, { ...step.linked, isThere: false, kept: [] });
      if (step.kind === 'goes' && step.member !== null)
        roster.set(step.member.key, { ...step.member, state: 'out' });
    } else {
      const { person: one, member: before, changes, kept } = step;
      links.set(one.registry, { key: before.key, said: one, isThere: true, kept });
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
