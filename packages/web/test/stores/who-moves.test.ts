/** A change by which somebody could be done with more or less is asked about, decided, and made as was said. */
import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { newItem } from '@itinerary/core';
import type { Course, DoneRule, Edit, FieldValue } from '@itinerary/core';
import { usePlan } from '../../src/stores/plan.ts';
import { miniature } from '../support/mini-server.ts';

const at = miniature();
const LOSES = { gains: [], loses: [{ person: 'p', name: 'Noor', of: ['boots'] }], keeping: 1 };
const pass = (ms = 20): Promise<void> => jest.advanceTimersByTimeAsync(ms);

const page = newItem('page', { id: 'boots', title: 'Boots', done: { by: 'ticked' } });
const rule = (value: DoneRule | null): Edit => ({
  ...{ kind: 'set', target: 'boots', field: 'done' },
  ...{ value: value as FieldValue, was: { by: 'ticked' } },
});
const ruleOf = (course: Course | null): unknown => {
  const item = course?.sections[0]?.items.find(({ id }) => id === 'boots');
  return item !== undefined && 'done' in item ? item.done : undefined;
};

async function opened(): Promise<ReturnType<typeof usePlan>> {
  const plan = usePlan();
  await plan.open('course');
  return plan;
}

beforeEach(() => {
  const [first, ...rest] = at.server.course.sections;
  if (first === undefined) throw new Error('no section');
  at.server.course = {
    ...at.server.course,
    sections: [{ ...first, items: [page, ...first.items] }, ...rest],
  };
  at.server.moves = LOSES;
});

describe('a rule that becomes another one', () => {
  test('it stands here at once, and nobody else has it until it is decided; left, it is as it was', async () => {
    const plan = await opened();
    expect(plan.change([rule({ by: 'opened' })])).toBe(true);
    expect(ruleOf(plan.course)).toEqual({ by: 'opened' });
    await pass(5000);
    expect([plan.weighed?.answer, plan.saving]).toEqual([LOSES, 'saving']);
    expect([at.server.log, at.server.weighed.length]).toEqual([[], 1]);
    const asked = at.server.sent.length;
    await pass(60_000);
    expect(at.server.sent).toHaveLength(asked);
    plan.decide('leave');
    await pass();
    expect([plan.weighed, ruleOf(plan.course), at.server.log]).toEqual([null, { by: 'ticked' }, []]);
    expect([plan.saving, plan.canUndo]).toEqual(['saved', false]);
  });

  test.each([
    ['change', undefined],
    ['keep', true],
  ] as const)('decided: %s', async (how, keepsEarned) => {
    const plan = await opened();
    plan.change([rule({ by: 'opened' })]);
    await pass();
    plan.decide(how);
    await pass();
    expect(ruleOf(at.server.course)).toEqual({ by: 'opened' });
    const changes = at.server.sent.flatMap((one) => one.changes);
    expect(changes.map((one) => one.keepsEarned)).toEqual([keepsEarned]);
    plan.undo();
    expect(ruleOf(plan.course)).toEqual({ by: 'ticked' });
  });

  test('nobody moves: it is made without a word', async () => {
    at.server.moves = { gains: [], loses: [], keeping: 0 };
    const plan = await opened();
    plan.change([rule({ by: 'opened' })]);
    await pass();
    expect([plan.weighed, ruleOf(at.server.course)]).toEqual([null, { by: 'opened' }]);
  });

  test('one after the other, none lost; what came before is sent before it is asked, what comes after waits', async () => {
    const plan = await opened();
    plan.set('A', 'title', 'Tide', 'A', { typing: true });
    plan.change([rule({ by: 'opened' })]);
    plan.set('B', 'title', 'Ebb', 'B');
    plan.change([{ kind: 'remove', target: 'boots' }]);
    await pass();
    expect(at.server.course.sections.map(({ title }) => title)).toEqual(['Tide', 'B']);
    expect(at.server.weighed).toHaveLength(1);
    plan.decide('change');
    await pass();
    expect(at.server.course.sections.map(({ title }) => title)).toEqual(['Tide', 'Ebb']);
    expect(plan.weighed?.change.edits).toMatchObject([{ kind: 'remove' }]);
    plan.decide('leave');
    await pass();
    expect(ruleOf(plan.course)).toEqual({ by: 'opened' });
    expect(at.server.log.flatMap(({ change }) => change.edits.map(({ kind }) => kind))).toEqual([
      'set',
      'set',
      'set',
    ]);
    expect([plan.saving, plan.course]).toEqual(['saved', at.server.course]);
  });

  test('what leans on what is left goes with it, and that is told', async () => {
    const plan = await opened();
    plan.change([{ kind: 'remove', target: 'boots' }]);
    plan.change([{ kind: 'insert', parent: 'A', after: 'a1', node: { ...page, id: 'boots' } }]);
    await pass();
    plan.decide('leave');
    await pass();
    expect(plan.told.map(({ kind }) => kind)).toEqual(['refused']);
    expect(ruleOf(plan.course)).toEqual({ by: 'ticked' });
    expect(plan.saving).toBe('saved');
  });

  test('taken away by a colleague while it is asked about, nobody has to decide, and what comes after is sent', async () => {
    const plan = await opened();
    at.server.other({ id: 'theirs', edits: [{ kind: 'remove', target: 'boots' }] });
    plan.change([{ kind: 'move', target: 'boots', parent: 'B', after: null }, rule(null)]);
    plan.set('B', 'title', 'Ebb', 'B');
    await pass(5000);
    expect(plan.weighed).toBeNull();
    expect(at.server.course.sections[1]?.title).toBe('Ebb');
    expect(plan.saving).toBe('saved');
  });

  test('it cannot be told: that is said, and it is decided all the same', async () => {
    at.server.moves = null;
    const plan = await opened();
    plan.change([rule(null)]);
    await pass();
    expect([plan.weighed?.answer, at.server.log]).toEqual([null, []]);
    plan.decide('change');
    await pass();
    expect(ruleOf(at.server.course)).toBeNull();
  });

  test('not asked: what moves nobody, what is typed, undoing, and a course whose progress is off', async () => {
    const plan = await opened();
    plan.set('boots', 'title', 'Wellies', 'Boots');
    plan.change([rule({ by: 'opened' })], { typing: true });
    plan.undo();
    plan.set('course', 'progress', false, true);
    plan.change([rule({ by: 'opened' })]);
    await pass(3000);
    expect([at.server.weighed, ruleOf(at.server.course)]).toEqual([[], { by: 'opened' }]);
  });
});
