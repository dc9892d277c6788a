/** A section that waits for another course: what somebody has done there opens it here, and for them alone. */
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { CourseView } from '@itinerary/core';
import type { Agent } from 'supertest';
import { changeCourse, openCourse, putOn, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

let server: TestServer;
let ines: Agent;
let noor: Agent;
let first = '';
let second = '';

const change = (course: string, edits: readonly object[]): Promise<void> => changeCourse(ines, course, edits);

/** A live course with a section, and in it two pages that are ticked as done. */
async function liveCourse(code: string): Promise<string> {
  const id = await openCourse(ines, { code, firstDay: '2027-02-01', weeks: 8, zone: 'Europe/Lisbon' });
  const { course } = (await ines.get(`/api/courses/${id}/plan`).expect(200)).body as {
    course: { sections: { id: string }[] };
  };
  const parent = course.sections[0]?.id;
  const page = (at: number): object => ({
    kind: 'insert',
    parent,
    after: at === 1 ? null : `${code}-${at - 1}`,
    node: {
      id: `${code}-${at}`,
      kind: 'page',
      title: `${code} ${at}`,
      minutes: 10,
      shown: true,
      done: { by: 'ticked' },
    },
  });
  await change(id, [page(1), page(2)]);
  await change(id, [{ kind: 'set', target: id, field: 'state', value: 'live', was: 'draft' }]);
  return id;
}

const itemStatus = async (who: Agent): Promise<number> =>
  (await who.get(`/api/learn/${second}/items/TWO-1`)).status;
const tick = (item: string): Promise<unknown> =>
  noor.put(`/api/learn/${first}/items/${item}/done`).expect(204) as unknown as Promise<unknown>;

beforeAll(async () => {
  server = await testServer();
  ines = await signedIn(server, 'instructor');
  noor = await signedIn(server, 'learner');
  first = await liveCourse('ONE');
  second = await liveCourse('TWO');
  await putOn(ines, second, 'noor', 'learner');
  const rule = {
    when: { kind: 'all', of: [{ kind: 'course', course: first, title: 'Course ONE' }] },
    until: null,
    then: 'look',
  };
  await change(second, [{ kind: 'set', target: 'TWO-1', field: 'rule', value: rule, was: null }]);
});
afterAll(() => server.stop());

test('closed to whoever is not even on the other course: they see its name, and cannot open it', async () => {
  expect(await itemStatus(noor)).toBe(404);
  const { course } = (await noor.get(`/api/learn/${second}`).expect(200)).body as { course: CourseView };
  const item = course.sections.flatMap(({ items }) => items).find(({ id }) => id === 'TWO-1');
  expect(item).toMatchObject({ title: 'TWO 1', state: 'named' });
});

test('opened by doing all that counts there, and not before the last of it', async () => {
  await putOn(ines, first, 'noor', 'learner');
  await tick('ONE-1');
  expect(await itemStatus(noor)).toBe(404);
  await tick('ONE-2');
  expect(await itemStatus(noor)).toBe(200);
});

test('for nobody else', async () => {
  await putOn(ines, second, 'hye', 'learner');
  const hye = await signedIn(server, 'outsider');
  expect(await itemStatus(hye)).toBe(404);
  // The course itself is theirs, and what waits for nothing.
  await hye.get(`/api/learn/${second}/items/TWO-2`).expect(200);
});

test('closed again when a tick is taken back, or when there is more to do there', async () => {
  await noor.delete(`/api/learn/${first}/items/ONE-2/done`).expect(204);
  expect(await itemStatus(noor)).toBe(404);
  await tick('ONE-2');
  expect(await itemStatus(noor)).toBe(200);
  // Less to do there is still all of it; more is not.
  await change(first, [
    {
      kind: 'set',
      target: 'ONE-2',
      field: 'done',
      value: null,
      was: { by: 'ticked' },
    },
  ]);
  expect(await itemStatus(noor)).toBe(200);
  await change(first, [
    {
      kind: 'insert',
      parent: (
        (await ines.get(`/api/courses/${first}/plan`)).body as { course: { sections: { id: string }[] } }
      ).course.sections[1]?.id,
      after: null,
      node: { id: 'ONE-3', kind: 'page', title: 'ONE 3', minutes: 10, shown: true, done: { by: 'ticked' } },
    },
  ]);
  expect(await itemStatus(noor)).toBe(404);
});
