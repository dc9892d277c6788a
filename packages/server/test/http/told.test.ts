/** What is told to whom: pictures with the text they stand in, codes without their courses, and the archive read only. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { newItem, newSection } from '@itinerary/core';
import request from 'supertest';
import type { Agent } from 'supertest';
import { hashText } from '../../src/text/rich-text.ts';
import {
  ARCHIVED,
  changeCourse,
  courseIds,
  fileRef,
  openCourse,
  putOn,
  setting,
  signedIn,
  testServer,
} from '../support/server.ts';
import type { TestServer, Who } from '../support/server.ts';
import { png } from '../support/pictures.ts';

let server: TestServer;
const agents = new Map<Who, Agent>();
const as = (who: Who): Agent => agents.get(who) as Agent;
let id: string;
beforeAll(async () => {
  server = await testServer();
  for (const who of ['instructor', 'coInstructor', 'assistant', 'learner', 'outsider', 'staff'] as const)
    agents.set(who, await signedIn(server, who));
  id = await openCourse(as('instructor'), { code: 'TOLD-1', title: 'Told', firstDay: '2027-02-15' });
  await putOn(as('instructor'), id, 'noor', 'learner');
  await putOn(as('instructor'), id, 'adaeze', 'assistant');
  const ours = newItem('page', { id: 'ours', title: 'Ours', changedBy: 'learners' });
  const section = newSection({ id: 'wiki', outside: true, items: [ours] });
  await changeCourse(as('instructor'), id, [
    { kind: 'insert', parent: id, after: null, node: section },
    setting(id, 'state', 'live', 'draft'),
    setting(id, 'find', 'here', 'members'),
  ]);
});
afterAll(() => server.stop());

async function upload(name: string, bytes: Buffer) {
  const answer = await as('instructor')
    .post(`/api/courses/${id}/files?name=${name}`)
    .set('Content-Type', 'application/octet-stream')
    .send(bytes)
    .expect(201);
  return fileRef(answer.body as never);
}

describe('a picture', () => {
  test('of a card is for those who read the course, not for those who only know of it', async () => {
    const file = await upload('face.png', png(60, 60));
    const picture = { file, width: 60, height: 60, focus: { x: 0.5, y: 0.5 }, zoom: 1 };
    const card = { who: 'other', name: 'The boatman', does: null, mail: null, phone: null, link: null };
    await changeCourse(as('instructor'), id, [
      setting(id, 'contacts.boatman', { ...card, reach: null, hours: null, picture, at: 1, shown: true }),
    ]);
    const at = `/api/learn/${id}/face/card?id=boatman&width=160`;
    await as('learner').get(at).expect(200);
    const named = await as('outsider').get(`/api/learn/${id}`);
    expect((named.body as { course: { access: string } }).course.access).toBe('named');
    await as('outsider').get(at).expect(404);
    await request(server.address).get(at).expect(401);
  });

  test('that is hidden is not got by writing its hash into a page of one’s own', async () => {
    const hidden = await upload('hidden.png', png(30, 30));
    const secret = `<p>Answers</p><img data-picture="${hidden.hash}" alt="Answers">`;
    const theirs = newItem('page', { id: 'theirs', title: 'Theirs', staffOnly: true });
    const node = { ...theirs, text: hashText(secret) };
    await changeCourse(as('instructor'), id, [{ kind: 'insert', parent: 'wiki', after: null, node }], {
      [hashText(secret)]: secret,
    });
    const write = (html: string, was: string | null = null) =>
      as('learner').put(`/api/learn/${id}/items/ours/text`).send({ html, was });
    for (const html of [
      `<p>x</p><img data-picture="${hidden.hash}" alt="">`,
      `<IMG DATA-PICTURE='${hidden.hash}'>`,
      `<p>x<img/data-picture=${hidden.hash}></p>`,
    ]) {
      const refused = await write(html);
      expect(refused.status).toBe(400);
      expect(refused.body).toMatchObject({
        errors: [{ path: 'html', expected: 'words, headings, lists and links' }],
      });
    }
    await write('<p>Only words</p>').expect(200);
    for (const item of ['ours', 'theirs'])
      await as('learner').get(`/api/learn/${id}/pictures/${hidden.hash}?item=${item}`).expect(404);
    await as('learner').get(`/api/learn/${id}/pictures/${hidden.hash}`).expect(404);
  });

  test('of the library is for all who plan a course, in lists as in taking it', async () => {
    for (const who of ['assistant', 'instructor', 'staff'] as const) {
      const { pictures } = (await as(who).get('/api/library').expect(200)).body as {
        pictures: { id: string }[];
      };
      await as(who)
        .get(`/api/library/${pictures[0]?.id ?? ''}`)
        .expect(200);
      await as(who)
        .post(`/api/courses/${id}/pictures`)
        .send({ from: 'library', id: pictures[0]?.id })
        .expect(201);
    }
    await as('learner').get('/api/library').expect(403);
    await as('learner').get('/api/library/lighthouse').expect(403);
  });
});

test('a code that is taken is said to be, and by what only to whoever knows of it', async () => {
  const draft = await openCourse(as('instructor'), { code: 'HID-7', title: 'MARKER of a draft' });
  const asked = async (who: Who) => (await as(who).get('/api/codes/HID-7').expect(200)).body as object;
  expect(await asked('outsider')).toMatchObject({ free: false, heldBy: null, proposal: 'HID-8' });
  expect(await asked('instructor')).toMatchObject({
    free: false,
    heldBy: { title: 'MARKER of a draft', code: 'HID-7' },
  });
  expect(await asked('staff')).toMatchObject({ heldBy: { title: 'MARKER of a draft' } });
  const body = {
    purpose: 'learners',
    department: null,
    term: null,
    firstDay: '2027-03-01',
    weeks: 3,
    zone: 'UTC',
  };
  const taken = await as('outsider')
    .post('/api/courses')
    .send({ ...body, title: 'Mine', code: 'HID-7' });
  expect([taken.status, taken.text.includes('MARKER')]).toEqual([409, false]);
  expect(taken.body).toMatchObject({ detail: 'The code HID-7 is taken; HID-8 is free' });
  expect(draft).not.toBe('');
});

test('ticking is for learners and what is open to them, and is refused as such to everybody else', async () => {
  const node = newItem('page', { id: 'ticked', title: 'Ticked', done: { by: 'ticked' } });
  const plain = newItem('page', { id: 'plain', title: 'Plain' });
  await changeCourse(as('instructor'), id, [
    { kind: 'insert', parent: 'wiki', after: null, node },
    { kind: 'insert', parent: 'wiki', after: null, node: plain },
  ]);
  const tick = (who: Who, item: string) => as(who).put(`/api/learn/${id}/items/${item}/done`);
  await tick('learner', 'ticked').expect(204);
  await tick('learner', 'plain').expect(400);
  for (const who of ['assistant', 'instructor', 'staff'] as const) await tick(who, 'ticked').expect(403);
});

test('words that gather in something held are nobody’s to change or read who learns, wherever they have been moved', async () => {
  const shared = (words: string) => ({
    ...newItem('page', { id: 'gathering', title: 'Gathering', changedBy: 'learners' }),
    text: hashText(words),
  });
  const [was, unseen] = ['<p>As it was</p>', '<p>MARKER unseen</p>'];
  const kept = newSection({ id: 'kept', outside: true, items: [shared(was)] });
  const texts = { [hashText(was)]: was, [hashText(unseen)]: unseen };
  await changeCourse(as('instructor'), id, [{ kind: 'insert', parent: id, after: null, node: kept }], texts);
  const at = `/api/learn/${id}/items/gathering/text`;
  expect((await as('learner').get(at).expect(200)).text).toContain('As it was');
  await changeCourse(
    as('instructor'),
    id,
    [
      setting(id, 'heldBack.kept', { node: kept, release: null }),
      { kind: 'move', target: 'gathering', parent: 'wiki', after: null },
      setting('gathering', 'text', hashText(unseen), hashText(was)),
    ],
    texts,
  );
  expect((await as('learner').get(`/api/learn/${id}/items/gathering`).expect(200)).text).toContain(
    'As it was',
  );
  const asked = await as('learner').get(at);
  expect([asked.status, asked.text.includes('MARKER')]).toEqual([403, false]);
  const body = { html: '<p>Mine</p>', was: hashText(unseen) };
  await as('learner').put(at).send(body).expect(403);
  await changeCourse(as('instructor'), id, [setting(id, 'heldBack.kept', null)]);
  expect((await as('learner').get(at).expect(200)).text).toContain('MARKER');
});

describe('what is in the archive is only read', () => {
  test('whatever would change it', async () => {
    const archived = (await courseIds(server))[ARCHIVED] as string;
    const at = `/api/courses/${archived}`;
    const { members } = (await as('instructor').get(`${at}/members`).expect(200)).body as {
      members: { person: string; role: string }[];
    };
    const person = members.find(({ role }) => role === 'learner')?.person ?? '';
    const moments = { person, node: 'x', opens: null, due: null, until: null };
    const tries: readonly (readonly [string, () => PromiseLike<{ status: number; body: unknown }>])[] = [
      ['passphrase', () => as('instructor').put(`${at}/passphrase`).send({ passphrase: 'nine grey seals' })],
      ['own moments', () => as('instructor').put(`${at}/exceptions/x`).send(moments)],
      ['own moments away', () => as('instructor').delete(`${at}/exceptions/x`)],
      [
        'members',
        () =>
          as('staff')
            .post(`${at}/members`)
            .send({ people: [person], role: 'learner' }),
      ],
      ['a member away', () => as('instructor').delete(`${at}/members/${person}`)],
      ['groups', () => as('instructor').put(`${at}/members/${person}/groups`).send({ groups: [] })],
      [
        'a picture',
        () => as('instructor').post(`${at}/pictures`).send({ from: 'library', id: 'lighthouse' }),
      ],
      [
        'a file',
        () =>
          as('instructor')
            .post(`${at}/files?name=a.txt`)
            .set('Content-Type', 'application/octet-stream')
            .send('x'),
      ],
    ];
    for (const [what, send] of tries) {
      const { status, body } = await send();
      expect({ what, status, code: (body as { code: string }).code }).toEqual({
        what,
        status: 403,
        code: 'not_allowed',
      });
    }
    await as('instructor').get(`${at}/members`).expect(200);
    await as('instructor').get(`${at}/plan`).expect(200);
  });
});
