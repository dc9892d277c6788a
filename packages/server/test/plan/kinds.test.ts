/** One item of every kind there is: stored, read back, shown to a learner, and removed. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { ITEM_KINDS, newItem } from '@itinerary/core';
import type { Agent } from 'supertest';
import { changeCourse, openCourse, putOn, setting, signedIn, testServer, urlOf } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';
import pg from 'pg';

let server: TestServer;
let agent: Agent;
let learner: Agent;
let course: string;
let section: string;

beforeAll(async () => {
  server = await testServer();
  agent = await signedIn(server, 'instructor');
  course = await openCourse(agent, { code: 'KINDS-1', purpose: 'practice', firstDay: '2027-02-15' });
  await putOn(agent, course, 'noor', 'learner');
  learner = await signedIn(server, 'learner');
  const { body } = await agent.get(`/api/courses/${course}/plan`).expect(200);
  section = (body as { course: { sections: { id: string }[] } }).course.sections[0]?.id ?? '';
  const first = newItem('page', { id: 'first', title: 'There first' });
  await changeCourse(agent, course, [
    { kind: 'insert', parent: section, after: null, node: first },
    setting(course, 'state', 'live', 'draft'),
  ]);
});
afterAll(() => server.stop());

const itemsOf = (sections: readonly { items: readonly { id: string; kind: string }[] }[]): string[] =>
  sections.flatMap(({ items }) => items.map(({ id, kind }) => `${id} ${kind}`));

test.each(ITEM_KINDS)('%s', async (kind) => {
  const id = `a-${kind}`;
  const node = newItem(kind, { id, title: `A ${kind}` });
  const planned = async (): Promise<readonly string[]> => {
    const { body } = await agent.get(`/api/courses/${course}/plan`).expect(200);
    const { sections } = (
      body as { course: { sections: Parameters<typeof itemsOf>[0] & { removed: boolean }[] } }
    ).course;
    return sections.flatMap(({ items }) =>
      items.flatMap((item) =>
        (item as { removed?: boolean }).removed === true ? [] : [`${item.id} ${item.kind}`],
      ),
    );
  };
  const shown = async (): Promise<readonly string[]> => {
    const { body } = await learner.get(`/api/learn/${course}`).expect(200);
    return itemsOf((body as { course: { sections: Parameters<typeof itemsOf>[0] } }).course.sections);
  };
  await changeCourse(agent, course, [{ kind: 'insert', parent: section, after: null, node }]);
  expect(await planned()).toContain(`${id} ${kind}`);
  expect(await shown()).toContain(`${id} ${kind}`);
  await changeCourse(agent, course, [{ kind: 'remove', target: id }]);
  expect(await planned()).not.toContain(`${id} ${kind}`);
  expect(await shown()).not.toContain(`${id} ${kind}`);
});

test('what the database does not know is refused for good, in a sentence', async () => {
  const client = new pg.Client({ connectionString: urlOf(server.name) });
  await client.connect();
  try {
    await client.query("delete from node where kind = 'quiz'");
    await client.query("delete from node_kind where name = 'quiz'");
    const node = newItem('quiz', { id: 'unknown', title: 'A quiz' });
    const edits = [{ kind: 'insert', parent: section, after: null, node }];
    const answer = await agent
      .post(`/api/courses/${course}/changes`)
      .send({ since: 0, changes: [{ id: randomUUID(), edits }], texts: {} });
    expect([answer.status, (answer.body as { code: string }).code]).toEqual([400, 'bad_input']);
  } finally {
    await client.end();
  }
});
