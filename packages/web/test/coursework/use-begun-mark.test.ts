/**
 * A mark as it is given: it waits with its work until it is kept, over a reload and whoever is looked at meanwhile, and
 * is kept with the files that are on their way, or not at all.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import type { LookedAtAnswer } from '@itinerary/contract';
import { effectScope } from 'vue';
import type { EffectScope } from 'vue';
import { useBegunMarks } from '../../src/marking/use-begun-mark.ts';
import type { BegunMark } from '../../src/marking/use-begun-mark.ts';
import { pieces, PiecesRequest } from '../support/pieces.ts';

type Mark = LookedAtAnswer['marks'][number];
const realFetch = globalThis.fetch;
const realRequest = globalThis.XMLHttpRequest;
const scopes: EffectScope[] = [];
const standing = (points: number, comment: string): Mark => ({
  ...{ id: `m${points}`, points, comment, files: [], by: 'Adaeze', at: '2027-02-16T09:42:00Z' },
});

/** A page of the marking desk: what is begun of each piece of work. */
function page(person = 'adaeze'): {
  of: (handed: string, mark?: Mark | null) => BegunMark;
  leave: () => void;
} {
  const scope = effectScope();
  scopes.push(scope);
  const of = scope.run(() => useBegunMarks('c', person)) as ReturnType<typeof useBegunMarks>;
  return { of: (handed, mark = null) => of(handed, mark), leave: () => scope.stop() };
}
const file = (name: string): File => new File(['some mud'], name, { type: 'text/plain' });
const ways = async (count: number): Promise<void> => {
  for (let turn = 0; turn < 200 && pieces.onTheWay.length < count; turn += 1) {
    await new Promise((resolve) => setTimeout(resolve, 5));
  }
  expect(pieces.onTheWay).toHaveLength(count);
};

beforeEach(() => {
  localStorage.clear();
  pieces.reset();
  globalThis.XMLHttpRequest = PiecesRequest as unknown as typeof XMLHttpRequest;
  globalThis.fetch = (address) => {
    const name = new URL(String(address), 'http://here').searchParams.get('name') ?? '';
    const body = JSON.stringify({ hash: `hash of ${name}`, name, size: 8, type: 'text/plain' });
    return Promise.resolve(
      new Response(body, { status: 201, headers: { 'content-type': 'application/json' } }),
    );
  };
});
afterEach(() => {
  scopes.splice(0).forEach((scope) => scope.stop());
  globalThis.fetch = realFetch;
  globalThis.XMLHttpRequest = realRequest;
});

test('what is begun waits with its work, on the device too, and with nobody else', () => {
  const desk = page();
  const begun = desk.of('one');
  expect(begun.isBegun.value).toBe(false);
  begun.comment.value = 'Look at the bands';
  begun.points.value = 7;
  expect(desk.of('other').comment.value).toBe('');
  expect(desk.of('one').comment.value).toBe('Look at the bands');
  desk.leave();

  const after = page().of('one');
  expect([after.isBegun.value, after.points.value, after.comment.value]).toEqual([
    true,
    7,
    'Look at the bands',
  ]);
  expect(page('somebody-else').of('one').comment.value).toBe('');
  after.drop();
  expect([after.isBegun.value, after.points.value, after.comment.value]).toEqual([false, null, '']);
  expect(page().of('one').isBegun.value).toBe(false);
});

test('it differs from the mark that stands, and goes back to that one', () => {
  const begun = page().of('one', standing(6, 'Good'));
  expect([begun.points.value, begun.comment.value, begun.isBegun.value]).toEqual([6, 'Good', false]);
  begun.points.value = 8;
  expect(begun.isBegun.value).toBe(true);
  begun.points.value = 6;
  expect([begun.isBegun.value, localStorage.length]).toEqual([false, 0]);
  begun.points.value = 8;
  begun.drop();
  expect(begun.points.value).toBe(6);
});

test('kept while a file is on its way, it is kept with that file', async () => {
  const begun = page().of('one');
  begun.points.value = 8;
  begun.take([file('Notes.txt'), file('Map.txt')]);
  expect(begun.sending.value).toEqual(['Notes.txt', 'Map.txt']);
  let given: unknown = 'not yet';
  const whole = begun.whole().then((what) => (given = what));
  await ways(2);
  pieces.onTheWay[0]?.arrive();
  await new Promise((resolve) => setTimeout(resolve, 20));
  expect(given).toBe('not yet');
  pieces.onTheWay[1]?.arrive();
  await whole;
  const files = [
    { hash: 'hash of Notes.txt', name: 'Notes.txt' },
    { hash: 'hash of Map.txt', name: 'Map.txt' },
  ];
  expect(given).toEqual({ points: 8, comment: '', files });
  begun.comment.value = 'typed while it was being kept';
  begun.kept({ points: 8, comment: '', files }, { ...standing(8, ''), files: [] });
  expect([begun.isBegun.value, begun.comment.value]).toEqual([true, 'typed while it was being kept']);
});

test('a file that is refused is said, and nothing is kept without it until that is pressed again', async () => {
  const begun = page().of('one');
  begun.take([file('tool.exe')]);
  const whole = begun.whole();
  await ways(1);
  pieces.onTheWay[0]?.answer(422, { type: 'urn', title: 'No', status: 422, code: 'file_not_allowed' });
  expect(await whole).toBeNull();
  expect(begun.refused.value).toBeInstanceOf(Error);
  expect(await begun.whole()).toEqual({ points: null, comment: '', files: [] });
});

test('more files than a mark takes are named, and not sent', async () => {
  const begun = page().of('one');
  begun.take(['1', '2', '3', '4', '5', '6', '7'].map((name) => file(`${name}.txt`)));
  expect(begun.leftOut.value).toEqual(['6.txt', '7.txt']);
  expect(begun.sending.value).toHaveLength(5);
  await ways(5);
  begun.take([file('8.txt')]);
  expect(begun.leftOut.value).toEqual(['8.txt']);
});
