/** Long texts as a page asks for them: right, each its own, and all of one moment in one question. */
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { courseView } from '@itinerary/core';
import { keptCourse } from '../../src/db/kept-courses.ts';
import type { EntityManager } from '../../src/db/orm.ts';
import { keepText, textReader } from '../../src/usecases/plan/texts.ts';
import type { TextReader } from '../../src/usecases/plan/texts.ts';
import { courseIds, LIVE, NOW, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

let server: TestServer;
let id: string;
const hash = (at: number): string => String(at).padStart(64, '0');
beforeAll(async () => {
  server = await testServer();
  id = (await courseIds(server))[LIVE] as string;
  const em = server.database.em.fork();
  for (let at = 0; at < 6; at += 1) keepText(em, id, hash(at), `<p>Text ${at}</p>`);
  await em.flush();
});
afterAll(() => server.stop());

async function reader(): Promise<{ readonly texts: TextReader; readonly questions: () => number }> {
  const em: EntityManager = server.database.em.fork();
  const course = (await keptCourse(em, id))?.course;
  const view = course && courseView(course, { role: 'learner', institutionStaff: false }, NOW);
  if (!view) throw new Error('the course is not there for a learner');
  let count = 0;
  const find = em.find.bind(em) as (...wanted: unknown[]) => unknown;
  Object.assign(em, {
    find: (...wanted: unknown[]) => {
      count += 1;
      return find(...wanted);
    },
  });
  return { texts: textReader(em, view), questions: () => count };
}

test('what is asked for at one moment is one question, and each gets its own', async () => {
  const { texts, questions } = await reader();
  const wanted = [3, 1, 5, 1];
  const got = await Promise.all([
    ...wanted.map((at) => texts.read(hash(at), null)),
    texts.read(null, null),
    texts.read(hash(9), null),
  ]);
  expect(got).toEqual([...wanted.map((at) => `<p>Text ${at}</p>`), null, null]);
  expect(questions()).toBe(1);
});

test('what is asked for later is another question', async () => {
  const { texts, questions } = await reader();
  expect(await texts.read(hash(0), null)).toBe('<p>Text 0</p>');
  expect(await texts.read(hash(2), null)).toBe('<p>Text 2</p>');
  expect(questions()).toBe(2);
});
