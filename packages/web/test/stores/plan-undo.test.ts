/** Taking back and doing again: the last of it or what a notice is about, and what is said of it. */
import { describe, expect, test } from '@jest/globals';
import { findNode } from '@itinerary/core';
import { miniature } from '../support/mini-server.ts';
import { opened, pass, titleOf, type } from '../support/opened-plan.ts';

const at = miniature();

describe('undo', () => {
  test('takes back, makes again, and both are saved', async () => {
    const plan = await opened();
    expect([plan.canUndo, plan.canRedo]).toEqual([false, false]);
    type(plan, 'Tide');
    await pass(2100);
    plan.undo();
    expect([titleOf(plan.course), plan.canUndo, plan.canRedo]).toEqual(['A', false, true]);
    await pass(10);
    expect(titleOf(at.server.course)).toBe('A');
    plan.redo();
    await pass(10);
    expect(titleOf(at.server.course)).toBe('Tide');
  });

  test('says what it has done, the last of it, until something else is done or it has been read', async () => {
    const plan = await opened();
    const said = (): unknown[] =>
      plan.told.map((one) => (one.kind === 'retraced' ? [one.way, one.edits] : one.kind));
    type(plan, 'Tide');
    await pass(2100);
    plan.undo();
    plan.redo();
    plan.undo();
    expect(said()).toEqual([
      ['undo', [{ kind: 'set', target: 'A', field: 'title', value: 'A', was: 'Tide' }]],
    ]);
    type(plan, 'Ebb');
    expect(said()).toEqual([]);
    await pass(2100);
    plan.undo();
    await pass(7900);
    expect(said()).toHaveLength(1);
    await pass(200);
    expect(said()).toEqual([]);
  });

  test('of what a notice is about takes back that and nothing else, and a notice goes when that is done otherwise', async () => {
    const plan = await opened();
    const remove = (target: string): void => {
      plan.change([{ kind: 'remove', target }]);
      plan.tell({ kind: 'removed', title: target, of: plan.lastStep });
    };
    const removed = (id: string): boolean | undefined => findNode(plan.course!, id)?.node.removed;
    const offers = (): (string | null)[] =>
      plan.told.flatMap((one) => (one.kind === 'removed' ? [one.of] : []));
    remove('a1');
    const [first] = offers();
    remove('a2');
    type(plan, 'Tide');
    plan.undoThat(first ?? '');
    expect([removed('a1'), removed('a2'), titleOf(plan.course)]).toEqual([false, true, 'Tide']);
    expect(offers()).toHaveLength(1);
    plan.undo();
    plan.undo();
    expect([removed('a2'), titleOf(plan.course), offers()]).toEqual([false, 'A', []]);
    // Pressed on what has gone long ago, nothing happens.
    plan.undoThat(first ?? '');
    expect(removed('a1')).toBe(false);
  });

  test('says so where somebody has changed the same since', async () => {
    const plan = await opened();
    type(plan, 'Mine');
    await pass(2100);
    at.server.other({
      id: 'o',
      edits: [{ kind: 'set', target: 'A', field: 'title', value: 'Read, and theirs', was: 'Mine' }],
    });
    await plan.flush();
    plan.undo();
    expect(plan.told).toMatchObject([
      { kind: 'stale_undo', refusal: { code: 'changed_since', now: 'Read, and theirs', wanted: 'A' } },
    ]);
    expect(plan.canUndo).toBe(false);
  });

  test('does not touch acts', async () => {
    const plan = await opened();
    plan.change([{ kind: 'set', target: 'course', field: 'state', value: 'live', was: 'draft' }], {
      undoable: false,
    });
    expect(plan.canUndo).toBe(false);
  });
});
