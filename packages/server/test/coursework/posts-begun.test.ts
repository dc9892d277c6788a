/** Posts as they are begun, with what goes with them, and whoever is written to when one is there. */
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import type { PostDraft, TalkAnswer, ThreadAnswer } from '@itinerary/contract';
import { newItem } from '@itinerary/core';
import type { Agent, Response } from 'supertest';
import { toldClock } from '../../src/config/clock.ts';
import { castOf, openWith, said } from '../support/coursework.ts';
import { png } from '../support/pictures.ts';
import { changeCourse, setting, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

const BEGIN = '2027-03-02T09:00:00.000Z';
const clock = toldClock(BEGIN);
let server: TestServer;
let ines: Agent;
let adaeze: Agent;
let noor: Agent;
let hye: Agent;
let visitor: Agent;
let made = 0;
let its: Awaited<ReturnType<typeof openWith>>;
let at: string;
const rows = (sql: string, values: readonly unknown[] = []): Promise<Record<string, unknown>[]> =>
  server.database.em.fork().execute(sql, [...values]);
const set = (field: string, value: unknown, was: unknown): Promise<unknown> =>
  changeCourse(ines, its.id, [setting(its.item, field, value, was)]);

const draft = async (agent: Agent, place = 'new'): Promise<PostDraft> =>
  (await agent.get(`${at}/drafts/${place}`).expect(200)).body as PostDraft;
const keep = (agent: Agent, version: number, what: object = {}, place = 'new'): PromiseLike<Response> =>
  agent.put(`${at}/drafts/${place}`).send({ version, title: '', html: '', files: [], ...what });
const upload = (agent: Agent, name: string, bytes: Buffer, place = 'new'): PromiseLike<Response> =>
  agent
    .post(`${at}/drafts/${place}/files`)
    .query({ name })
    .set('Content-Type', 'application/octet-stream')
    .send(bytes);
const start = (agent: Agent, what: object = {}): PromiseLike<Response> =>
  agent
    .post(`${at}/threads`)
    .send({ id: randomUUID(), post: randomUUID(), title: 'Tagus', html: '<p>Mud.</p>', ...what });
const reply = (agent: Agent, thread: string, what: object = {}): PromiseLike<Response> =>
  agent
    .post(`${at}/threads/${thread}/posts`)
    .send({ id: randomUUID(), html: '<p>More mud.</p>', answers: null, ...what });
const begun = async (agent: Agent, what: object = {}): Promise<ThreadAnswer> => {
  const { status, body } = await start(agent, what);
  if (status !== 200) throw new Error(JSON.stringify(body));
  return body as ThreadAnswer;
};

beforeAll(async () => {
  server = await testServer({ clock });
  ({ ines, adaeze, noor, hye, visitor } = await castOf(server));
});
afterAll(() => server.stop());
beforeEach(async () => {
  clock.tell(BEGIN);
  made += 1;
  its = await openWith(server, ines, `BEGUN-${made}`, newItem('discussion', { id: '', title: 'Where?' }));
  at = `/api/learn/${its.id}/items/${its.item}/discussion`;
});

describe('what is begun', () => {
  test('is there on another device, each change built on the one before, and gone once it is posted', async () => {
    expect(await draft(noor)).toEqual({ version: 0, title: '', html: '', files: [], megabytes: 200 });
    expect((await keep(noor, 0, { title: 'Ta', html: '<p>Lo' })).status).toBe(200);
    expect(said(await keep(noor, 0, { html: 'other' }))).toEqual([409, 'changed_elsewhere', 'version']);
    const eight = await Promise.all(
      Array.from({ length: 8 }, (_, n) => keep(noor, 1, { html: `<p>${n}</p>` })),
    );
    expect(eight.map(({ status }) => status).sort()).toEqual([200, ...Array<number>(7).fill(409)]);
    expect(await draft(noor)).toMatchObject({ version: 2, title: '' });
    // It is nobody else's.
    expect(await draft(hye)).toMatchObject({ version: 0 });
    const { id } = await begun(noor);
    expect(await draft(noor)).toMatchObject({ version: 0, html: '' });
    await keep(noor, 0, { html: '<p>A reply' }, id);
    expect(await draft(noor, id)).toMatchObject({ version: 1, html: '<p>A reply' });
    await reply(noor, id);
    expect(await draft(noor, id)).toMatchObject({ version: 0 });
    await keep(noor, 0, { html: '<p>Given up' }, id);
    expect((await noor.delete(`${at}/drafts/${id}`)).body).toMatchObject({ version: 0 });
  });

  test('has a place: none is kept where there is nothing to answer or to change', async () => {
    const { id, page } = await begun(noor);
    expect((await keep(hye, 0, {}, 'nowhere')).status).toBe(404);
    expect((await keep(hye, 0, {}, page[0]!.id)).status).toBe(404);
    expect((await keep(noor, 0, {}, page[0]!.id)).status).toBe(200);
    expect((await keep(visitor, 0, {}, id)).status).toBe(404);
    expect(await rows('select count(*)::int as n from post_draft where course_id = ?', [its.id])).toEqual([
      { n: 1 },
    ]);
  });
});

describe('files', () => {
  test('go with a post that names them, and are had by whoever is shown it', async () => {
    const came = (await upload(noor, 'Sketch.png', png(20, 20))).body as PostDraft;
    const [file] = came.files;
    expect(came.files).toMatchObject([{ name: 'Sketch.png', type: 'image/png' }]);
    // Somebody else's is none of theirs.
    expect(said(await start(hye, { files: [file!.hash] }))).toEqual([400, 'bad_input', 'files.0']);
    const { id, page } = await begun(noor, { files: [file!.hash] });
    expect(page[0]?.files).toMatchObject([{ hash: file!.hash, name: 'Sketch.png' }]);
    const address = `${at}/threads/${id}/posts/${page[0]!.id}/files/${file!.hash}`;
    for (const agent of [noor, hye, adaeze]) {
      expect((await agent.get(address)).headers['content-type']).toBe('image/png');
    }
    expect((await visitor.get(address)).status).toBe(404);
    expect((await hye.get(address.replace(file!.hash, 'a'.repeat(64)))).status).toBe(404);
    // Changed, they stay where they are named, and go where they are not; what it was is kept.
    const change = (files: readonly string[], was: string | null) =>
      noor.put(`${at}/threads/${id}/posts/${page[0]!.id}`).send({ html: '<p>Mud.</p>', files, was });
    expect(((await change([file!.hash], null)).body as ThreadAnswer).page[0]).toMatchObject({
      files: [{ hash: file!.hash }],
      editedAt: null,
    });
    expect(((await change([], null)).body as ThreadAnswer).page[0]?.files).toEqual([]);
    expect((await hye.get(address)).status).toBe(404);
  });

  test('of a post that was taken away, or that one may not see yet, are had by nobody but staff', async () => {
    await set('firstPost', true, false);
    const [file] = ((await upload(noor, 'a.png', png(8, 8))).body as PostDraft).files;
    const { id, page } = await begun(noor, { files: [file!.hash] });
    const address = `${at}/threads/${id}/posts/${page[0]!.id}/files/${file!.hash}`;
    expect((await hye.get(address)).status).toBe(404);
    await begun(hye, { title: 'Mine' });
    expect((await hye.get(address)).status).toBe(200);
    await noor.delete(`${at}/threads/${id}/posts/${page[0]!.id}`).expect(200);
    const read = (await hye.get(`${at}/threads/${id}`)).body as ThreadAnswer;
    expect(read.page[0]).toMatchObject({ isRemoved: true, files: [] });
    expect((await hye.get(address)).status).toBe(404);
    expect((await noor.get(address)).status).toBe(404);
    expect((await ines.get(address)).status).toBe(200);
  });

  test('programs, too many of them, and any where none may go, are refused in words', async () => {
    const exe = Buffer.concat([Buffer.from('MZ'), Buffer.alloc(200)]);
    expect((await upload(noor, 'Sketch.png', exe)).status).toBe(400);
    for (let n = 0; n < 5; n += 1) expect((await upload(noor, `${n}.png`, png(8 + n, 8))).status).toBe(201);
    expect(said(await upload(noor, '6.png', png(40, 8)))).toEqual([400, 'bad_input', 'file']);
    const { files } = await draft(noor);
    await set('mayAttach', false, true);
    expect(said(await start(noor, { files: files.map(({ hash }) => hash) }))).toEqual([
      409,
      'cannot_hand_in',
      'files',
    ]);
    expect(said(await upload(hye, 'a.png', png(8, 8)))).toEqual([409, 'cannot_hand_in', 'files']);
    expect((await start(noor)).status).toBe(200);
  });
});

describe('following', () => {
  const letters = async (): Promise<Record<string, unknown>[]> => {
    await server.jobs.runNow();
    return rows(
      `select address, facts ->> 'by' as by, facts ->> 'thread' as thread, facts ->> 'path' as path
         from letter where course_id = ? and kind = 'posted' order by made_at, address`,
      [its.id],
    );
  };
  const follow = (agent: Agent, thread: string, isOn: boolean): PromiseLike<Response> =>
    agent.put(`${at}/threads/${thread}/following`).send({ follow: isOn });

  test('whoever began it is written to once, and again only once they have read up to there', async () => {
    const { id, isFollowed } = await begun(noor);
    expect(isFollowed).toBe(true);
    await reply(hye, id);
    await reply(hye, id);
    const path = `/courses/${its.id}/items/${its.item}?thread=${id}`;
    const first = { address: 'noor.rahimi@ternpoint.example', by: 'Hye-jin Baek', thread: 'Tagus', path };
    expect(await letters()).toEqual([first]);
    await reply(hye, id);
    expect(await letters()).toEqual([first]);
    await noor.get(`${at}/threads/${id}`).expect(200);
    await reply(hye, id);
    expect(await letters()).toEqual([first, first]);
    // Their own words are no news to them.
    await noor.get(`${at}/threads/${id}`).expect(200);
    await reply(noor, id);
    expect(await letters()).toHaveLength(2);
    expect(((await noor.get(at)).body as TalkAnswer).threads[0]?.isFollowed).toBe(true);
  });

  test('it is chosen and given up, and nobody is written to of what they do not get', async () => {
    const { id } = await begun(ines);
    expect(((await follow(hye, id, true)).body as ThreadAnswer).isFollowed).toBe(true);
    await follow(noor, id, true);
    await follow(noor, id, true);
    expect(((await follow(noor, id, false)).body as ThreadAnswer).isFollowed).toBe(false);
    await ines
      .post(`/api/courses/${its.id}/members/edit`)
      .send({ act: 'remove', people: [its.hye] })
      .expect(200);
    await reply(adaeze, id);
    expect((await letters()).map(({ address }) => address)).toEqual(['ines.carvalhal@ternpoint.example']);
    expect((await follow(visitor, id, true)).status).toBe(404);
  });

  test('two runs of the queue at once write once', async () => {
    const { id } = await begun(noor);
    await reply(hye, id);
    await Promise.all([server.jobs.runNow(), server.jobs.runNow()]);
    expect(await letters()).toHaveLength(1);
  });
});
