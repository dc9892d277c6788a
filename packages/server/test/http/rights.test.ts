/** Every route for every role; and a draft is the same as nothing, on every route, for whoever may not see it. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { ROUTES } from '@itinerary/contract';
import type { Route, RouteAccess, RouteName } from '@itinerary/contract';
import request from 'supertest';
import { newItem } from '@itinerary/core';
import { hashText } from '../../src/text/rich-text.ts';
import type { TalkAnswer, ThreadAnswer, UploadAnswer } from '@itinerary/contract';
import type { Agent, Response } from 'supertest';
import { ARCHIVED, courseIds, DRAFT, fileRef, LIVE, putOn, signedIn, testServer } from '../support/server.ts';
import type { TestServer, Who } from '../support/server.ts';

let server: TestServer;
let ids: Readonly<Record<string, string>>;
/** An item and a text of the live course. */
let item = '';
let hash = '';
let fileHash: string;
/** A picture, and an item whose text shows it. */
let pictureHash = '';
const pictureItem = 'pictured';
const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);
const fileItem = 'words';
let workItem = '';
let quizItem = '';
let question = '';
let talkItem = '';
const ofKind: Record<'video' | 'meeting' | 'survey', string> = { video: '', meeting: '', survey: '' };
let thread = '';
let post = '';
const agents = new Map<Who | 'nobody', Agent>();
const WHO: readonly (Who | 'nobody')[] = [
  'nobody',
  'learner',
  'visitor',
  'outsider',
  'assistant',
  'instructor',
  'staff',
];

beforeAll(async () => {
  server = await testServer();
  ids = await courseIds(server);
  for (const who of WHO)
    agents.set(who, who === 'nobody' ? request.agent(server.address) : await signedIn(server, who));
  const plan = await (agents.get('instructor') as Agent).get(`/api/courses/${ids[LIVE] ?? ''}/plan`);
  const { course } = plan.body as {
    course: {
      description: string;
      sections: { items: { id: string; kind: string; questions?: object }[] }[];
    };
  };
  item = course.sections[0]?.items[0]?.id ?? '';
  workItem =
    course.sections.flatMap(({ items }) => items).find(({ kind }) => kind === 'assignment')?.id ?? '';
  const quiz = course.sections.flatMap(({ items }) => items).find(({ kind }) => kind === 'quiz');
  quizItem = quiz?.id ?? '';
  question = Object.keys(quiz?.questions ?? {})[0] ?? '';
  for (const { id, kind } of course.sections.flatMap(({ items }) => items))
    if (kind in ofKind) ofKind[kind as 'video'] ||= id;
  // The demo's learners talk in one of them.
  for (const { id, kind } of course.sections.flatMap(({ items }) => items)) {
    if (kind !== 'discussion' || thread !== '') continue;
    const at = `/api/learn/${ids[LIVE] ?? ''}/items/${id}/discussion`;
    const { threads } = (await (agents.get('instructor') as Agent).get(at)).body as TalkAnswer;
    if (threads[0] === undefined) continue;
    [talkItem, thread] = [id, threads[0].id];
    const read = await (agents.get('instructor') as Agent).get(`${at}/threads/${thread}`);
    post = (read.body as ThreadAnswer).page[0]?.id ?? '';
  }
  hash = course.description;
  // A file, and an item that holds it.
  const agent = agents.get('instructor') as Agent;
  const at = `/api/courses/${ids[LIVE] ?? ''}`;
  const came = await agent
    .post(`${at}/files?name=words.txt`)
    .set('content-type', 'application/octet-stream')
    .send('High water');
  const file = fileRef(came.body as UploadAnswer);
  fileHash = file.hash;
  const node = newItem('file', { id: fileItem, title: 'Words', file });
  const parent = (course.sections.at(-1) as { id?: string }).id;
  const shown = await agent
    .post(`${at}/files?name=mud.png`)
    .set('content-type', 'application/octet-stream')
    .send(PNG);
  pictureHash = (shown.body as UploadAnswer).hash;
  const html = `<img data-picture="${pictureHash}" alt="Mud" />`;
  const page = { ...newItem('page', { id: pictureItem, title: 'Mud' }), text: hashText(html) };
  const edits = [node, page].map((one) => ({ kind: 'insert', parent, after: null, node: one }));
  await agent
    .post(`${at}/changes`)
    .send({ since: 0, changes: [{ id: 'file', edits }], texts: { [hashText(html)]: html } });
});
afterAll(() => server.stop());

const all = Object.entries(ROUTES) as [RouteName, Route][];
const inCourse = all.filter(([, route]) => route.path.includes('{course}'));

/** A request that gets past the right, and then fails on its input or is harmless. */
async function call(who: Who | 'nobody', route: Route, course: string): Promise<Response> {
  const path = route.path
    .replace('files/{hash}', `files/${fileHash}`)
    .replace('pictures/{hash}', `pictures/${pictureHash}?item=${pictureItem}`)
    .replace('{item}/file', `${fileItem}/file`)
    .replace('{item}/coursework', `${workItem}/coursework`)
    .replace('{item}/quiz', `${quizItem}/quiz`)
    .replace('{item}/film', `${ofKind.video}/film`)
    .replace('{item}/meeting', `${ofKind.meeting}/meeting`)
    .replace('{item}/survey', `${ofKind.survey}/survey`)
    .replace('{item}/discussion', `${talkItem}/discussion`)
    .replace('{thread}', thread)
    .replace('{post}', post)
    .replace('{attempt}', 'never-was')
    .replace('{question}', question)
    .replace('{course}', course)
    .replace('{code}', 'FREE-1')
    .replace('{person}', 'nobody')
    .replace('{item}', item)
    .replace('{picture}', 'lighthouse')
    .replace('{announcement}', 'boots')
    .replace('{page}', 'never-was')
    .replace('{template}', 'never-was')
    .replace('{holiday}', 'never-was')
    .replace('{exception}', 'never-was')
    .replace('{hash}', hash);
  const agent = agents.get(who) as Agent;
  if (route.method === 'get') return agent.get(path);
  if (route.method === 'delete') return agent.delete(path);
  return (route.method === 'put' ? agent.put(path) : agent.post(path)).send({ wrong: true });
}

test('there are routes to walk', () => {
  expect(all.length).toBeGreaterThanOrEqual(18);
  expect(inCourse.length).toBeGreaterThanOrEqual(9);
});

/** Who may, for each right, in the live course of the demo. */
const ALLOWED: Readonly<Record<RouteAccess, readonly (Who | 'nobody')[]>> = {
  anyone: WHO,
  signed_in: ['learner', 'visitor', 'outsider', 'assistant', 'instructor', 'staff'],
  create: ['outsider', 'instructor', 'staff'],
  planner: ['outsider', 'assistant', 'instructor', 'staff'],
  institution: ['staff'],
  read: ['learner', 'assistant', 'instructor', 'staff'],
  knows: ['learner', 'assistant', 'instructor', 'staff'],
  plan: ['assistant', 'instructor', 'staff'],
  members: ['instructor', 'staff'],
  mark: ['assistant', 'instructor', 'staff'],
  state: ['instructor', 'staff'],
};

/** What only some of those may who have the right. */
const FEWER: Partial<Record<RouteName, readonly (Who | 'nobody')[]>> = {
  tick: ['learner'],
  ownLog: ['learner'],
  ownProgress: ['learner'],
  // The post is staff's.
  removePost: ['assistant', 'instructor', 'staff'],
  untick: ['learner'],
};

describe('each role gets what its right says', () => {
  // A stream of events never ends; who gets it is asked in live.test.ts.
  // The words of a page are for learners where the page says so: asked in persons.test.ts.
  // Of comments, attached files, pictures, files of work and answers it is asked in comments.test.ts, face.test.ts and
  // handing-in.test.ts, marking.test.ts, posts-begun.test.ts and quiz-right.test.ts, where there are any.
  const apart = new Set<RouteName>([
    'signOut',
    'demoPeople',
    'events',
    'pageText',
    'announcementFile',
    'removeComment',
    'restoreComment',
    'facePicture',
    'ownWorkFile',
    'ownReceipt',
    'attachment',
    'workExample',
    'postFile',
    'quizPicture',
    // Whose calendar it is, its address says: asked in agenda.test.ts.
    'feed',
  ]);
  test.each(all.filter(([name]) => !apart.has(name)))('%s', async (name, route) => {
    for (const who of WHO) {
      const { status, body } = await call(who, route, ids[LIVE] as string);
      // "Nobody on this course has that id" is an answer to somebody who may ask.
      const { detail } = (body ?? {}) as { detail?: string };
      const refused =
        status === 401 || status === 403 || (status === 404 && detail?.startsWith('There is nothing here'));
      const expected = (FEWER[name] ?? ALLOWED[route.access]).includes(who);
      // Signing in with a wrong body is a 400, never a 401: the right comes first, then the input.
      // Nor does it break on it, or answer what the contract does not have.
      expect({ who, got: !refused, broke: status >= 500 }).toEqual({ who, got: expected, broke: false });
    }
  });
});

describe('a draft is the same as a course that does not exist', () => {
  test.each(inCourse)('%s', async (_name, route) => {
    for (const who of ['nobody', 'learner', 'visitor', 'outsider'] as const) {
      const draft = await call(who, route, ids[DRAFT] as string);
      const nothing = await call(who, route, 'never-was');
      expect({ status: draft.status, body: draft.body as unknown }).toEqual({
        status: nothing.status,
        body: nothing.body as unknown,
      });
      expect(draft.status).toBe(who === 'nobody' ? 401 : 404);
    }
  });

  test('also for a learner who is on it', async () => {
    const instructor = agents.get('instructor') as Agent;
    const draft = ids[DRAFT] as string;
    await putOn(instructor, draft, 'noor', 'learner');
    for (const [, route] of inCourse) {
      const on = await call('learner', route, draft);
      const nothing = await call('learner', route, 'never-was');
      expect([on.status, on.body]).toEqual([404, nothing.body]);
    }
    const desk = await (agents.get('learner') as Agent).get('/api/desk');
    expect(JSON.stringify(desk.body)).not.toContain(draft);
  });
});

describe('a learner reads', () => {
  const get = async (path: string): Promise<Response> => (agents.get('learner') as Agent).get(path);
  interface Read {
    course: {
      sections: { id: string; title: string; current: boolean; items: { id: string; title: string }[] }[];
    };
    descriptionHtml: string;
    staff: string[];
  }

  test('a live course, its pages, and the way on', async () => {
    const read = (await get(`/api/learn/${ids[LIVE] ?? ''}`)).body as Read;
    expect(read.staff).toEqual(['Inês Carvalhal', 'Tunde Balewa-Price']);
    expect(read.descriptionHtml).toContain('one small estuary');
    expect(read.course.sections.find(({ current }) => current)?.title).toBe('Field day one');
    const [first, second] = read.course.sections[0]?.items ?? [];
    const page = (await get(`/api/learn/${ids[LIVE] ?? ''}/items/${first?.id ?? ''}`)).body as object;
    expect(page).toMatchObject({
      item: { number: '1.1', title: 'Start here' },
      previous: null,
      next: { id: second?.id },
    });
    expect(JSON.stringify(page)).toContain('Welcome to the mud');
  });

  test('nothing of what is hidden or removed, by any address', async () => {
    const instructor = agents.get('instructor') as Agent;
    const live = ids[LIVE] as string;
    const { course } = (await get(`/api/learn/${live}`)).body as Read;
    const [section, other] = course.sections as [
      Read['course']['sections'][number],
      Read['course']['sections'][number],
    ];
    const edits = [
      { kind: 'set', target: section.items[0]!.id, field: 'shown', value: false, was: true },
      { kind: 'remove', target: section.items[1]!.id },
      { kind: 'set', target: other.id, field: 'shown', value: false, was: true },
    ];
    await instructor
      .post(`/api/courses/${live}/changes`)
      .send({ since: 0, changes: [{ id: 'hide', edits }], texts: {} })
      .expect(200);
    const hidden = [section.items[0]!, section.items[1]!, ...other.items];
    const nothing = await get(`/api/learn/${live}/items/never-was`);
    for (const item of hidden) {
      const answer = await get(`/api/learn/${live}/items/${item.id}`);
      expect([answer.status, answer.body]).toEqual([404, nothing.body]);
    }
    const now = JSON.stringify((await get(`/api/learn/${live}`)).body);
    for (const item of hidden) expect(now).not.toContain(item.id);
  });

  test('an archived course that they were on', async () => {
    const instructor = agents.get('instructor') as Agent;
    const archived = ids[ARCHIVED] as string;
    const edit = { kind: 'set', target: archived, field: 'title', value: 'Rewritten', was: '' };
    const answer = await instructor
      .post(`/api/courses/${archived}/changes`)
      .send({ since: 0, changes: [{ id: 'x', edits: [edit] }], texts: {} });
    expect((answer.body as { refused: unknown[] }).refused).toMatchObject([
      { id: 'x', refusal: { code: 'archived' } },
    ]);
  });
});
