/** What an answer brings besides changes, several notices at once, and what stops saving and what does not. */
import { describe, expect, jest, test } from '@jest/globals';
import { usePlan } from '../../src/stores/plan.ts';
import { miniature } from '../support/mini-server.ts';

const at = miniature();
const pass = (ms: number): Promise<void> => jest.advanceTimersByTimeAsync(ms);

async function opened(): Promise<ReturnType<typeof usePlan>> {
  const plan = usePlan();
  await plan.open('course');
  return plan;
}

test('learners and groups are those of the last answer', async () => {
  const plan = await opened();
  expect(plan.learners).toBe(2);
  at.server.learners = 7;
  at.server.groupSizes = { k: 4 };
  plan.set('A', 'shown', false, true);
  await pass(10);
  expect([plan.learners, plan.groupSizes]).toEqual([7, { k: 4 }]);
});

test('several notices stand until each is put away; of many, the last five', async () => {
  const plan = await opened();
  for (const title of ['One', 'Two', 'Three']) plan.tell({ kind: 'removed', title, of: null });
  const titles = (): unknown[] => plan.told.map((one) => ('title' in one ? one.title : one.kind));
  expect(titles()).toEqual(['One', 'Two', 'Three']);
  plan.dismiss(plan.told[1]?.id ?? '');
  expect(titles()).toEqual(['One', 'Three']);
  for (const title of ['Four', 'Five', 'Six', 'Seven']) plan.tell({ kind: 'removed', title, of: null });
  expect(titles()).toEqual(['Three', 'Four', 'Five', 'Six', 'Seven']);
});

describe('what goes wrong', () => {
  test('too many requests are sent again, and saved', async () => {
    const plan = await opened();
    at.server.trouble = 'too many';
    plan.set('A', 'shown', false, true);
    await pass(10);
    expect(plan.saving).toBe('retrying');
    at.server.trouble = 'none';
    await pass(20_000);
    expect([plan.saving, at.server.course.sections[0]?.shown]).toEqual(['saved', false]);
  });

  test('what breaks the server every time is not sent for ever', async () => {
    const plan = await opened();
    at.server.trouble = 'broken';
    plan.set('A', 'shown', false, true);
    await pass(120_000);
    expect(plan.saving).toBe('stopped');
    expect(plan.told).toMatchObject([{ kind: 'problem', code: 'internal' }]);
    expect(at.server.sent).toHaveLength(3);
    await pass(600_000);
    expect(at.server.sent).toHaveLength(3);
    at.server.trouble = 'none';
    plan.resume();
    await pass(10);
    expect(plan.saving).toBe('saved');
  });

  test('a server that breaks once, and then is away for long, is tried again', async () => {
    const plan = await opened();
    at.server.trouble = 'broken';
    plan.set('A', 'shown', false, true);
    await pass(1500);
    at.server.trouble = 'away';
    await pass(300_000);
    expect(plan.saving).toBe('retrying');
    at.server.trouble = 'none';
    await pass(20_000);
    expect(plan.saving).toBe('saved');
  });
});

test('whoever may not change the plan, and whoever looks at an archived course, reads', async () => {
  const plan = await opened();
  expect(plan.isReadonly).toBe(false);
  plan.set('course', 'state', 'archived', 'draft');
  expect(plan.isReadonly).toBe(true);
  plan.set('course', 'state', 'draft', 'archived');
  plan.rights = { plan: false, state: false, members: false };
  expect(plan.isReadonly).toBe(true);
});
