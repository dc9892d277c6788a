/** What a course is for one person: new since last time, done so far, and found; of all of it only what is theirs. */
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { createHash, randomUUID } from 'node:crypto';
import type { AllNewsAnswer, FoundAnswer, NewsAnswer, OwnLogAnswer, PlanAnswer } from '@itinerary/contract';
import { newItem } from '@itinerary/core';
import type { Agent } from 'supertest';
import { toldClock } from '../../src/config/clock.ts';
import { castOf, openWith } from '../support/coursework.ts';
import { changeCourse, putOn, setting, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

const BEGIN = '2027-03-02T09:00:00.000Z';
const LATER = '2027-03-04T09:00:00.000Z';
const clock = toldClock(BEGIN);
const fixed = (day: string, time: string) => ({ kind: 'fixed' as const, day, time });
let server: TestServer;
let ines: Agent;
let adaeze: Agent;
let noor: Agent;
let hye: Agent;
let visitor: Agent;
let made = 0;
let its: Awaited<ReturnType<typeof openWith>>;
let section = '';

const put = (...nodes: readonly object[]): Promise<unknown> =>
  changeCourse(
    ines,
    its.id,
    nodes.map((node) => ({ kind: 'insert', parent: section, after: null, node })),
  );
const set = (target: string, field: string, value: unknown, was: unknown = null): Promise<unknown> =>
  changeCourse(ines, its.id, [setting(target, field, value, was)]);
const visit = (agent: Agent, item = its.item): Promise<unknown> =>
  agent.get(`/api/learn/${its.id}/items/${item}`).expect(200);
const news = async (agent: Agent): Promise<NewsAnswer> =>
  (await agent.get(`/api/learn/${its.id}/news`).expect(200)).body as NewsAnswer;
const told = async (agent: Agent): Promise<string[]> =>
  (await news(agent)).things.map(({ what, title, count }) => `${what} ${title} ${count}`).sort();
const find = async (agent: Agent, words: string): Promise<FoundAnswer> =>
  (await agent.get(`/api/learn/${its.id}/found`).query({ find: words }).expect(200)).body as FoundAnswer;
const titles = async (agent: Agent, words: string): Promise<string[]> =>
  (await find(agent, words)).found.map(({ where, title }) => `${where} ${title}`);
const log = async (agent: Agent, before?: string): Promise<OwnLogAnswer> =>
  (
    await agent
      .get(`/api/learn/${its.id}/log`)
      .query(before === undefined ? {} : { before })
      .expect(200)
  ).body as OwnLogAnswer;
const text = async (item: string, html: string): Promise<void> => {
  const { body } = await ines.get(`/api/courses/${its.id}/plan`).expect(200);
  const { seq } = body as PlanAnswer;
  const hash = createHash('sha256').update(html).digest('hex');
  await ines
    .post(`/api/courses/${its.id}/changes`)
    .send({
      since: seq,
      changes: [{ id: randomUUID(), edits: [setting(item, 'text', hash, null)] }],
      texts: { [hash]: html },
    })
    .expect(200);
};

beforeAll(async () => {
  server = await testServer({ clock });
  ({ ines, adaeze, noor, hye, visitor } = await castOf(server));
});
afterAll(() => server.stop());
beforeEach(async () => {
  clock.tell(BEGIN);
  made += 1;
  const node = { ...newItem('discussion', { id: '', title: 'Where?' }) };
  its = await openWith(server, ines, `OWN-${made}`, node);
  const { body } = await ines.get(`/api/courses/${its.id}/plan`);
  section = (body as PlanAnswer).course.sections[0]?.id ?? '';
});

describe('what is new', () => {
  test('is for whoever only looks around all but what is said, which stays with those who take part', async () => {
    await putOn(ines, its.id, 'kenji', 'visitor');
    await visit(visitor);
    await visit(noor);
    clock.tell(LATER);
    await put(newItem('page', { id: `seen-${made}`, title: 'Seen' }));
    await hye
      .post(`/api/learn/${its.id}/items/${its.item}/discussion/threads`)
      .send({ id: randomUUID(), post: randomUUID(), title: 'Tagus', html: '<p>Mud.</p>' })
      .expect(200);
    expect(await told(noor)).toEqual(['added Seen 1', 'posted Where? 1']);
    expect(await told(visitor)).toEqual(['added Seen 1']);
    expect(await titles(noor, 'tagus')).toEqual(['thread Tagus']);
    expect(await titles(visitor, 'tagus')).toEqual([]);
  });

  test('is what came, opened, was said or marked since one was there last, and is gone once one has been', async () => {
    await put(newItem('page', { id: `later-${made}`, title: 'Later', opens: fixed('2027-03-03', '08:00') }));
    expect(await news(noor)).toMatchObject({ since: null, things: [] });
    await visit(noor);
    clock.tell('2027-03-03T09:00:00.000Z');
    await put(newItem('page', { id: `fresh-${made}`, title: 'Fresh' }));
    await put(newItem('page', { id: `hidden-${made}`, title: 'marker-hidden', shown: false }));
    await set(its.item, 'due', fixed('2027-03-09', '12:00'));
    const discussion = `/api/learn/${its.id}/items/${its.item}/discussion/threads`;
    for (const title of ['Tagus', 'Sado'])
      await hye.post(discussion).send({ id: randomUUID(), post: randomUUID(), title, html: '<p>Mud.</p>' });
    clock.tell(LATER);
    expect(await told(noor)).toEqual([
      'added Fresh 1',
      'changed Where? 1',
      'opened Later 1',
      'posted Where? 2',
    ]);
    expect((await noor.get('/api/news').expect(200)).body as AllNewsAnswer).toMatchObject({
      courses: expect.arrayContaining([{ course: its.id, count: 5 }]) as unknown,
    });
    // One's own doing is no news, and what one does not get is nobody's.
    expect(await told(ines)).not.toContain('added Fresh 1');
    await visitor.get(`/api/learn/${its.id}/news`).expect(404);
    await visit(noor);
    clock.tell('2027-03-04T12:00:00.000Z');
    // Read or not, posts are new until they are read; everything else has been seen.
    expect(await told(noor)).toEqual(['posted Where? 2']);
  });

  test('what is held back is not told of before it is released', async () => {
    await visit(noor);
    clock.tell('2027-03-03T09:00:00.000Z');
    const id = `held-${made}`;
    await put(newItem('page', { id, title: 'Held' }));
    clock.tell('2027-03-03T10:00:00.000Z');
    await visit(noor, id);
    clock.tell('2027-03-03T12:00:00.000Z');
    const { body } = await ines.get(`/api/courses/${its.id}/plan`);
    const node = (body as PlanAnswer).course.sections[0]?.items.find((one) => one.id === id);
    await set(its.id, `heldBack.${id}`, { node, release: null });
    await text(id, '<p>marker-held</p>');
    expect(await told(noor)).toEqual([]);
    clock.tell('2027-03-03T13:00:00.000Z');
    await visit(noor);
    clock.tell('2027-03-03T14:00:00.000Z');
    await set(its.id, `heldBack.${id}`, null, { node, release: null });
    expect(await told(noor)).toEqual(['changed Held 1']);
  });
});

describe('a log of one’s own', () => {
  test('says what was opened, begun, handed in and posted, and when; it is nobody else’s', async () => {
    const quiz = `quiz-${made}`;
    await put(
      newItem('quiz', {
        id: quiz,
        title: 'Salt',
        questions: {
          a: {
            kind: 'truth',
            text: 'Salt?',
            why: '',
            points: 1,
            required: false,
            pool: null,
            at: 1,
            right: true,
          },
        },
      }),
    );
    await visit(noor);
    clock.tell('2027-03-02T09:05:00.000Z');
    await visit(noor);
    await noor
      .post(`/api/learn/${its.id}/items/${its.item}/discussion/threads`)
      .send({ id: randomUUID(), post: randomUUID(), title: 'Tagus', html: '<p>Mud.</p>' })
      .expect(200);
    clock.tell('2027-03-02T09:10:00.000Z');
    const attempt = randomUUID();
    const at = `/api/learn/${its.id}/items/${quiz}/quiz/attempts`;
    await noor.post(at).send({ id: attempt }).expect(200);
    await noor
      .put(`${at}/${attempt}/answers/a`)
      .send({ version: 0, answer: { kind: 'truth', chosen: true } })
      .expect(200);
    clock.tell('2027-03-02T09:12:00.000Z');
    await noor
      .post(`${at}/${attempt}/handed`)
      .send({ answers: { a: 1 } })
      .expect(200);
    const { entries, more } = await log(noor);
    expect(
      entries.map(({ what, item, at: when }) => `${when.slice(11, 16)} ${what} ${item?.title ?? ''}`),
    ).toEqual([
      '09:12 ended_quiz Salt',
      '09:10 began_quiz Salt',
      '09:05 posted Where?',
      '09:00 opened Where?',
    ]);
    expect(more).toBe(false);
    expect((await log(hye)).entries).toEqual([]);
    for (const agent of [ines, visitor])
      expect((await agent.get(`/api/learn/${its.id}/log`)).status).toBe(404);
    // What is not theirs any more keeps its name for itself.
    await set(quiz, 'shown', false, true);
    expect((await log(noor)).entries[0]).toMatchObject({ what: 'ended_quiz', item: null });
    await set(its.id, 'ownLog', false, true);
    expect((await noor.get(`/api/learn/${its.id}/log`)).status).toBe(404);
  });

  test('says what is done by the rule as it is now, and nothing of it where nothing counts', async () => {
    const page = `page-${made}`;
    await put(newItem('page', { id: page, title: 'Boots', done: { by: 'opened' } }));
    await visit(noor, page);
    const done = async (): Promise<string[]> =>
      (await log(noor)).entries.flatMap(({ what, at }) => (what === 'done' ? [at] : []));
    expect(await done()).toEqual([BEGIN]);
    await set(page, 'done', { by: 'ticked' }, { by: 'opened' });
    expect(await done()).toEqual([]);
    clock.tell('2027-03-02T10:00:00.000Z');
    await noor.put(`/api/learn/${its.id}/items/${page}/done`).expect(204);
    expect(await done()).toEqual(['2027-03-02T10:00:00.000Z']);
    await set(page, 'done', { by: 'opened' }, { by: 'ticked' });
    expect(await done()).toEqual([BEGIN]);
    await set(its.id, 'progress', false, true);
    expect(await done()).toEqual([]);
  });

  test('comes a page at a time, each deed once', async () => {
    const ids = Array.from({ length: 230 }, (_, at) => `p${at}-${made}`);
    const em = server.database.em.fork();
    for (const [at, id] of ids.entries()) {
      // Some in one moment: those come together.
      const when = new Date(Date.parse(BEGIN) + Math.floor(at / 3) * 60_000).toISOString();
      await em.execute('insert into item_opened values (?, ?, ?, ?, ?)', [its.id, its.noor, id, when, when]);
    }
    const seen: string[] = [];
    let before: string | undefined;
    for (;;) {
      const page: OwnLogAnswer = await log(noor, before);
      seen.push(...page.entries.map(({ at }) => at));
      if (!page.more) break;
      before = page.entries.at(-1)?.at;
    }
    expect(seen).toHaveLength(230);
    expect(seen).toEqual(seen.toSorted().toReversed());
  });
});

describe('looking for words', () => {
  test('finds them in titles, texts, announcements and posts, whatever their accents', async () => {
    const page = `page-${made}`;
    await put(newItem('page', { id: page, title: 'Sediment', summary: 'Grains and how they settle' }));
    await text(page, `<p>${'mud '.repeat(40)}The Sado <strong>estuário</strong> drains south.</p>`);
    await hye.post(`/api/learn/${its.id}/items/${its.item}/discussion/threads`).send({
      ...{ id: randomUUID(), post: randomUUID(), title: 'Boats', html: '<p>The estuario at night.</p>' },
    });
    const { found } = await find(noor, 'ESTUARIO');
    expect(found.map(({ where, title }) => [where, title])).toEqual([
      ['item', 'Sediment'],
      ['thread', 'Boats'],
    ]);
    expect(found[0]?.around).toMatch(/^… .*The Sado estuário drains south\.$/);
    expect(await titles(noor, 'settle grains')).toEqual(['item Sediment']);
    expect(await titles(noor, 'sedi')).toEqual(['item Sediment']);
    expect(await titles(noor, 'nowhere')).toEqual([]);
    expect(await titles(noor, 'Mud')).toContain('section Mud');
  });

  test('finds nothing of what one does not get', async () => {
    const [hidden, closed] = [`hidden-${made}`, `closed-${made}`];
    await put(
      newItem('page', { id: hidden, title: 'marker-hidden', shown: false }),
      newItem('page', {
        ...{ id: closed, title: 'Closed page', summary: 'marker-closed', closed: 'name' },
        opens: fixed('2027-05-01', '08:00'),
      }),
      newItem('page', { id: `staff-${made}`, title: 'marker-staff', staffOnly: true }),
    );
    await text(hidden, '<p>marker-text</p>');
    await text(closed, '<p>marker-text</p>');
    for (const words of ['marker-hidden', 'marker-closed', 'marker-staff', 'marker-text', 'marker'])
      expect(await titles(noor, words)).toEqual([]);
    // Its name is told, and nothing else of it.
    expect(await titles(noor, 'closed page')).toEqual(['item Closed page']);
    expect(await titles(adaeze, 'marker-staff')).toEqual(['item marker-staff']);
    expect((await visitor.get(`/api/learn/${its.id}/found`).query({ find: 'mud' })).status).toBe(404);
    expect((await noor.get(`/api/learn/${its.id}/found`).query({ find: ' ' })).status).toBe(400);
  });
});
