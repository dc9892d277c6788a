/** A course is read from its rows once for each of its changes, and never from before one. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Agent } from 'supertest';
import { loadCourse } from '../../src/db/course-rows.ts';
import { keptCourse, keptCourses } from '../../src/db/kept-courses.ts';
import type { KeptCourse } from '../../src/db/kept-courses.ts';
import { CourseRow } from '../../src/db/entities.ts';
import { courseIds, DRAFT, LIVE, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

let server: TestServer;
let ines: Agent;
let id: string;
beforeAll(async () => {
  server = await testServer();
  ines = await signedIn(server, 'instructor');
  id = (await courseIds(server))[DRAFT] as string;
});
afterAll(() => server.stop());

async function kept(): Promise<KeptCourse> {
  const found = await keptCourse(server.database.em.fork(), id);
  if (found === null) throw new Error('the course is gone');
  return found;
}

async function retitle(title: string): Promise<void> {
  const { title: was } = (await kept()).course;
  const change = {
    id: randomUUID(),
    edits: [{ kind: 'set', target: id, field: 'title', value: title, was }],
  };
  const answer = await ines
    .post(`/api/courses/${id}/changes`)
    .send({ since: 0, changes: [change], texts: {} });
  expect(answer.body).toMatchObject({ refused: [] });
}

test('the same course for whoever asks, until a change', async () => {
  const before = await kept();
  expect((await kept()).course).toBe(before.course);
  await retitle('Another title');
  const after = await kept();
  expect(after.course).not.toBe(before.course);
  expect(after.course.title).toBe('Another title');
  expect(after.row.seq).toBe(before.row.seq + 1);
  expect((await kept()).course).toBe(after.course);
  expect(after.course).toEqual((await loadCourse(server.database.em.fork(), id))?.course);
});

test('whoever has looked at the number before a change that another has read gets the course of after it', async () => {
  const em = server.database.em.fork();
  const early = await em.find(CourseRow, { id });
  await retitle('Changed in between');
  await kept();
  const [found] = await keptCourses(em, early);
  expect(found?.course.title).toBe('Changed in between');
  expect(found?.row.seq).toBe((early[0]?.seq ?? 0) + 1);
  expect((await kept()).course.title).toBe('Changed in between');
});

test('many who ask while it changes never get a mixture, nor an older one than they have seen', async () => {
  const titles = Array.from({ length: 12 }, (_, at) => `Title ${at}`);
  let isOver = false;
  const reading = Array.from({ length: 4 }, async () => {
    let seen = -1;
    while (!isOver) {
      const { row, course } = await kept();
      expect(row.seq).toBeGreaterThanOrEqual(seen);
      if (titles.includes(course.title)) expect(course.title).toBe(titles[row.seq - first]);
      seen = row.seq;
    }
  });
  const first = (await kept()).row.seq + 1;
  for (const title of titles) await retitle(title);
  isOver = true;
  await Promise.all(reading);
  expect((await kept()).course.title).toBe('Title 11');
});

test('several in the order of their rows, and no course that is not there', async () => {
  const em = server.database.em.fork();
  const live = (await courseIds(server))[LIVE] as string;
  const rows = await em.find(CourseRow, { id: { $in: [id, live] } });
  const backwards = [...rows].reverse();
  expect((await keptCourses(em, backwards)).map(({ course }) => course.id)).toEqual(
    backwards.map((row) => row.id),
  );
  expect(await keptCourse(em, '00000000-0000-4000-8000-000000000000')).toBeNull();
});
