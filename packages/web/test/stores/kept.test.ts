/** What is not sent yet is on the device: it outlives the page, comes back in order, and goes when it has been sent. */
import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import type { Change, Course } from '@itinerary/core';
import { clear, createStore, entries, set } from 'idb-keyval';
import type { Kept } from '../../src/stores/device/kept.ts';
import { keptFor, THIS_PAGE } from '../../src/stores/device/kept.ts';
import { usePlan } from '../../src/stores/plan.ts';
import { useSession } from '../../src/stores/session.ts';
import { hashText, useTexts } from '../../src/stores/texts.ts';
import { miniature } from '../support/mini-server.ts';

const at = miniature();
const ROOM = createStore('itinerary', 'kept');

/** Lets time pass, and what a device does meanwhile. */
async function pass(ms: number): Promise<void> {
  await jest.advanceTimersByTimeAsync(ms);
  for (let turn = 0; turn < 20; turn += 1) await jest.advanceTimersByTimeAsync(1);
}

async function during<T>(doing: Promise<T>): Promise<T> {
  let isDone = false;
  void doing.finally(() => (isDone = true)).catch(() => undefined);
  for (let turn = 0; turn < 500 && !isDone; turn += 1) await jest.advanceTimersByTimeAsync(1);
  return doing;
}

const signedIn = (id: string): void => {
  const me = { person: { id }, now: '2027-01-13T09:00:00.000Z', clockStands: true };
  useSession().me = me as unknown as ReturnType<typeof useSession>['me'];
};

beforeEach(async () => {
  // A device answers in its own time.
  jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'nextTick', 'setImmediate', 'clearImmediate'] });
  signedIn('ines');
  await during(clear(ROOM));
});

async function opened(): Promise<ReturnType<typeof usePlan>> {
  const plan = usePlan();
  await during(plan.open('course'));
  return plan;
}

const onDevice = async (): Promise<readonly Kept[]> =>
  (await during(entries<string, Kept>(ROOM))).map(([, kept]) => kept);
const titleOf = (course: Course | null, section = 0): string | null =>
  course?.sections[section]?.title ?? null;
const title = (id: string, target: string, value: string, was: string): Change => ({
  id,
  edits: [{ kind: 'set', target, field: 'title', value, was }],
});
async function leave(kept: Partial<Kept>): Promise<void> {
  const whole: Kept = {
    person: 'ines',
    course: 'course',
    page: 'gone',
    seq: 0,
    changes: [],
    texts: {},
    ...kept,
  };
  await during(set(JSON.stringify([whole.person, whole.course, whole.page]), whole, ROOM));
}

describe('what is not sent yet', () => {
  test('is not said to be on the device before it is', async () => {
    const plan = await opened();
    at.server.trouble = 'away';
    plan.set('A', 'title', 'One', 'A');
    await pass(10);
    expect([plan.isKept, plan.onDevice]).toEqual([true, 1]);
    plan.set('A', 'title', 'Two', 'One');
    expect([plan.isKept, plan.onDevice, plan.unsent]).toEqual([false, 1, 2]);
    await pass(10);
    expect([plan.isKept, plan.onDevice]).toEqual([true, 2]);
  });

  test('is on the device at once, and gone from it when it has been sent', async () => {
    const plan = await opened();
    at.server.trouble = 'away';
    plan.set('A', 'title', 'One', 'A');
    plan.set('A', 'title', 'Two', 'One');
    await pass(10);
    expect([plan.saving, plan.isKept, plan.unsent]).toEqual(['retrying', true, 2]);
    const [kept] = await onDevice();
    expect(kept).toMatchObject({ person: 'ines', course: 'course', page: THIS_PAGE, seq: 0 });
    expect(kept?.changes.map(({ edits }) => edits[0])).toMatchObject([{ value: 'One' }, { value: 'Two' }]);
    at.server.trouble = 'none';
    await pass(3000);
    expect([plan.saving, plan.unsent]).toEqual(['saved', 0]);
    expect(await onDevice()).toEqual([]);
  });

  test('is kept with the long texts that it names', async () => {
    const plan = await opened();
    at.server.trouble = 'away';
    await during(plan.setText('a1', 'text', '<p>Mud, two pages of it</p>'));
    await pass(10);
    const hash = await hashText('<p>Mud, two pages of it</p>');
    expect((await onDevice())[0]?.texts).toEqual({ [hash]: '<p>Mud, two pages of it</p>' });
  });

  test('is said to be under way for so long, and then to be kept', async () => {
    const plan = await opened();
    const answer = at.server.fetch;
    globalThis.fetch = (_path, init) =>
      new Promise((_resolve, reject) => {
        init?.signal?.addEventListener('abort', () => reject(new DOMException('aborted', 'AbortError')));
      });
    plan.set('A', 'shown', false, true);
    await pass(1000);
    expect(plan.saving).toBe('saving');
    await pass(4000);
    expect(plan.saving).toBe('retrying');
    // A line that is dead is given up, and another is tried.
    globalThis.fetch = answer;
    await pass(70_000);
    expect([plan.saving, at.server.course.sections[0]?.shown]).toEqual(['saved', false]);
  });

  test('is said to be nowhere else where the device takes nothing', async () => {
    const plan = await opened();
    const put = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('no room', 'QuotaExceededError');
    });
    at.server.trouble = 'away';
    plan.set('A', 'title', 'One', 'A');
    await pass(10);
    expect([plan.saving, plan.isKept, plan.unsent]).toEqual(['retrying', false, 1]);
    put.mockRestore();
  });
});

describe('what a page has left behind', () => {
  test('is made again in its order by the next one that opens the course', async () => {
    const html = '<p>Kept</p>';
    const hash = await hashText(html);
    await leave({
      changes: [
        title('k1', 'A', 'One', 'A'),
        title('k2', 'A', 'Two', 'One'),
        { id: 'k3', edits: [{ kind: 'set', target: 'a1', field: 'text', value: hash, was: null }] },
      ],
      texts: { [hash]: html },
    });
    const plan = await opened();
    expect(titleOf(plan.course)).toBe('Two');
    expect(useTexts().known.get(hash)).toBe(html);
    await pass(10);
    expect(at.server.log.map(({ change }) => change.id)).toEqual(['k1', 'k2', 'k3']);
    expect(at.server.texts.get(hash)).toBe(html);
    expect([plan.saving, plan.unsent, plan.told]).toEqual(['saved', 0, []]);
    expect(await onDevice()).toEqual([]);
  });

  test('stays on the device for as long as the server is away', async () => {
    await leave({ changes: [title('k1', 'A', 'One', 'A')] });
    const plan = usePlan();
    at.server.trouble = 'away';
    await during(plan.open('course'));
    expect(titleOf(plan.course)).toBe('A');
    expect((await onDevice()).map(({ page }) => page)).toEqual(['gone']);
  });

  test.each(['away from the database', 'signed out', 'too many', 'broken'] as const)(
    'stays on the device while the server is %s: nobody knows what it has taken',
    async (trouble) => {
      await leave({ changes: [{ id: 'k1', edits: [{ kind: 'remove', target: 'b1' }] }] });
      const plan = usePlan();
      at.server.trouble = trouble;
      await during(plan.open('course'));
      expect([plan.unsent, plan.told]).toEqual([0, []]);
      expect((await onDevice()).map(({ page }) => page)).toEqual(['gone']);
    },
  );

  test('stays where it is when the device takes nothing more', async () => {
    await leave({ changes: [title('k1', 'A', 'One', 'A')] });
    const put = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('no room', 'QuotaExceededError');
    });
    const plan = await opened();
    expect(titleOf(plan.course)).toBe('One');
    expect((await onDevice()).map(({ page }) => page)).toContain('gone');
    put.mockRestore();
  });

  test('is not made twice where the server had taken it', async () => {
    at.server.take({ since: 0, changes: [title('k1', 'A', 'One', 'A')], texts: {} });
    at.server.other(title('t1', 'A', 'Read, and theirs', 'One'));
    await leave({ changes: [title('k1', 'A', 'One', 'A')] });
    const plan = await opened();
    await pass(10);
    expect([titleOf(plan.course), plan.unsent, plan.told]).toEqual(['Read, and theirs', 0, []]);
    expect(await onDevice()).toEqual([]);
  });

  test('meets what a colleague did meanwhile, and both are told', async () => {
    at.server.other(title('t1', 'A', 'Theirs', 'A'));
    at.server.other({ id: 't2', edits: [{ kind: 'remove', target: 'b1' }] });
    await leave({ changes: [title('k1', 'A', 'Mine', 'A'), title('k2', 'b1', 'Lost words', 'b1')] });
    const plan = await opened();
    await pass(10);
    expect(titleOf(at.server.course)).toBe('Mine');
    expect(plan.told).toMatchObject([
      { kind: 'replaced', yours: 'Mine', theirs: 'Theirs', by: 'Tunde', stands: 'yours' },
      { kind: 'refused', change: { id: 'k2' }, refusal: { code: 'removed_target' } },
    ]);
  });

  test('of somebody else on the same machine is left alone', async () => {
    await leave({ person: 'tunde', changes: [title('k1', 'A', 'Not hers', 'A')] });
    const plan = await opened();
    await pass(10);
    expect([titleOf(plan.course), at.server.log]).toEqual(['A', []]);
    expect(await during(keptFor('tunde'))).toHaveLength(1);
  });

  test('is never sent in the name of who signed in meanwhile', async () => {
    const plan = await opened();
    at.server.trouble = 'away';
    plan.set('A', 'title', 'Hers', 'A');
    await pass(10);
    signedIn('tunde');
    at.server.trouble = 'none';
    await pass(60_000);
    expect(at.server.log).toEqual([]);
    expect(await during(keptFor('ines'))).toHaveLength(1);
  });

  test('of this very page is there again after another course was open', async () => {
    const plan = await opened();
    at.server.trouble = 'away';
    plan.set('A', 'title', 'Mine', 'A');
    await pass(10);
    at.server.trouble = 'none';
    await during(plan.open('course'));
    await pass(10);
    expect(titleOf(at.server.course)).toBe('Mine');
    expect(await onDevice()).toEqual([]);
  });
});
