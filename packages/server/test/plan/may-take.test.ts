/** Who may say when a course goes live, and what stands in its way; uploads and files as the institution has them. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { DeskAnswer, UploadAnswer } from '@itinerary/contract';
import { newItem } from '@itinerary/core';
import pg from 'pg';
import type { Agent } from 'supertest';
import {
  changeCourse,
  fileRef,
  openCourse,
  putOn,
  setting,
  signedIn,
  testServer,
  urlOf,
} from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

let server: TestServer;
let instructor: Agent;
let assistant: Agent;
let learner: Agent;
let id = '';
let section = '';

async function sql(text: string, values: readonly unknown[] = []): Promise<void> {
  const client = new pg.Client({ connectionString: urlOf(server.name) });
  await client.connect();
  try {
    await client.query(text, [...values]);
  } finally {
    await client.end();
  }
}

beforeAll(async () => {
  server = await testServer();
  instructor = await signedIn(server, 'instructor');
  assistant = await signedIn(server, 'assistant');
  learner = await signedIn(server, 'learner');
  id = await openCourse(instructor, { code: 'MAY-1', firstDay: '2027-03-01' });
  await putOn(instructor, id, 'adaeze', 'assistant');
  const { body } = await instructor.get(`/api/courses/${id}/plan`).expect(200);
  section = (body as { course: { sections: { id: string }[] } }).course.sections[0]?.id ?? '';
});
afterAll(() => server.stop());

const refusals = async (agent: Agent, edit: object): Promise<readonly { readonly code: string }[]> => {
  const changes = [{ id: randomUUID(), edits: [edit] }];
  const { body } = await agent
    .post(`/api/courses/${id}/changes`)
    .send({ since: 0, changes, texts: {} })
    .expect(200);
  return (body as { refused: { refusal: { code: string } }[] }).refused.map(({ refusal }) => refusal);
};

describe('the moment of going live', () => {
  const moment = (time: string): object => setting(id, 'goesLive', { day: '2027-03-01', time });

  test('is not an assistant’s to set, nor to take away', async () => {
    expect(await refusals(assistant, moment('08:00'))).toMatchObject([{ code: 'not_allowed' }]);
    expect(await refusals(assistant, setting(id, 'goesLive', null))).toMatchObject([{ code: 'not_allowed' }]);
    expect(await refusals(assistant, setting(id, 'title', 'Another'))).toEqual([]);
  });

  test('asks for blockers as going live does', async () => {
    const refused = await refusals(instructor, moment('08:00'));
    expect(refused).toMatchObject([{ code: 'blocked', target: id, edit: 0 }]);
    expect((refused[0] as unknown as { rules: string[] }).rules).toContain('no_item');
    const node = newItem('page', { id: 'there', title: 'There', minutes: 10 });
    await changeCourse(instructor, id, [{ kind: 'insert', parent: section, after: null, node }]);
    expect(await refusals(instructor, moment('08:00'))).toEqual([]);
  });
});

describe('a course of another institution', () => {
  test('is found by nobody here, whoever may find it there', async () => {
    await changeCourse(instructor, id, [
      setting(id, 'find', 'anyone', 'members'),
      setting(id, 'state', 'live', 'draft'),
    ]);
    const found = async (): Promise<readonly string[]> =>
      ((await learner.get('/api/desk').expect(200)).body as DeskAnswer).found.map((one) => one.code);
    expect(await found()).toContain('MAY-1');
    await sql(
      "insert into institution (id, name, zone, largest_upload) values ('elsewhere', 'Elsewhere', 'UTC', 50)",
    );
    await sql(
      "update course set institution_id = 'elsewhere', department = null, term = null where id = $1",
      [id],
    );
    expect(await found()).not.toContain('MAY-1');
    await sql(
      'update course set institution_id = (select institution_id from person where id = (select person_id from member where course_id = $1 limit 1)) where id = $1',
      [id],
    );
    expect(await found()).toContain('MAY-1');
  });
});

describe('a file', () => {
  const send = (name: string, bytes: Buffer): ReturnType<Agent['post']> =>
    instructor
      .post(`/api/courses/${id}/files?name=${name}`)
      .set('content-type', 'application/octet-stream')
      .send(bytes);

  test('above the institution’s limit is refused, though the course’s own is higher', async () => {
    await sql('update institution set largest_upload = 1');
    await changeCourse(instructor, id, [setting(id, 'largestUpload', 5)]);
    const refused = await send('notes.txt', Buffer.alloc(1_500_000, 'a'));
    expect([refused.status, (refused.body as { detail: string }).detail]).toEqual([
      413,
      'notes.txt is larger than the 1 MB that this course takes',
    ]);
    expect((await send('notes.txt', Buffer.alloc(900_000, 'a'))).status).toBe(201);
  });

  test('goes out as what its content is, whatever the plan says it is', async () => {
    const came = (await send('words.txt', Buffer.from('Words and nothing else'))).body as UploadAnswer;
    const claimed = { ...fileRef(came), type: 'text/html', name: 'words.html' };
    const node = newItem('file', { id: 'claims', title: 'Claims', file: claimed });
    await changeCourse(instructor, id, [{ kind: 'insert', parent: section, after: null, node }]);
    const sent = await instructor.get(`/api/learn/${id}/items/claims/file`).expect(200);
    expect(sent.headers['content-type']).toMatch(/^text\/plain/);
    expect(sent.headers['content-disposition']).toMatch(/^attachment/);
  });
});
