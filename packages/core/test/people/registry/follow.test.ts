/** A reading of the registry against who is there, case by case. */
import { describe, expect, test } from '@jest/globals';
import { followRegistry } from '../../../src/people/index.ts';
import type { Following, RegistryPerson } from '../../../src/people/index.ts';
import { given, linked, member, person } from './given.ts';

const toldOf = ({ steps }: Following): string[] =>
  steps.map((step) => {
    if (step.kind === 'comes') return `comes ${step.person.registry}`;
    if ('linked' in step) return `${step.kind} ${step.linked.key}`;
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
      '… and somebody has said that they stay out',
      [[person('x')], [member('x', { state: 'out' })], [linked('x', { staysOut: true })]],
      ['stands x'],
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

  test('of two who lead and are learners from now on, one leads on, and that is told', () => {
    const lead = { role: 'instructor' as const };
    const links = ['x', 'y'].map((key) => linked(key, { said: person(key, lead) }));
    const members = ['x', 'y'].map((key) => member(key, { ...lead, isPlace: false }));
    expect(told([person('x'), person('y')], members, links)).toEqual([
      'stands x role=learner',
      'stands y kept:role',
    ]);
    // One is a learner now, and the other goes: somebody has to lead.
    expect(told([person('x')], members, links)).toEqual(['stands x role=learner', 'stays y']);
  });

  test('so many who go at once are asked for, and only those go of whom it is said', () => {
    const keys = Array.from({ length: 12 }, (_, at) => `l${at}`);
    const [members, links] = [keys.map((key) => member(key)), keys.map((key) => linked(key))];
    const left = (count: number): RegistryPerson[] => keys.slice(count).map((key) => person(key));
    expect(followRegistry(given(left(3), members, links)).held).toEqual([]);
    expect(
      toldOf(followRegistry(given(left(4), members, links))).filter((one) => one.startsWith('goes')),
    ).toHaveLength(4);
    // Five of twenty-four are no large part.
    const wide = Array.from({ length: 24 }, (_, at) => `w${at}`);
    const few = given(
      wide.slice(5).map((key) => person(key)),
      wide.map((key) => member(key)),
      wide.map((key) => linked(key)),
    );
    expect(followRegistry(few).held).toEqual([]);
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
