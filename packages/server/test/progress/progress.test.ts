/** What learners do is written down once, with where they stand; staff see all of them, and learners themselves alone. */
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import type {
  AllProgressAnswer,
  GridAnswer,
  LearnerAnswer,
  PlanAnswer,
  ProgressAnswer,
} from '@itinerary/contract';
import { newItem, reckon, countingFor, planFor } from '@itinerary/core';
import type { Facts } from '@itinerary/core';
import type { Agent } from 'supertest';
import { toldClock } from '../../src/config/clock.ts';
import { castOf, openWith } from '../support/coursework.ts';
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
let section = '';
const ticked = { by: 'ticked' } as const;

const rows = (sql: string, values: readonly unknown[] = []): Promise<Record<string, unknown>[]> =>
  server.database.em.fork().execute(sql, [...values]);
const set = (target: string, field: string, value: unknown, was: unknown = null): Promise<unknown> =>
  changeCourse(ines, its.id, [setting(target, field, value, was)]);
const put = (...nodes: readonly object[]): Promise<unknown> =>
  changeCourse(
    ines,
    its.id,
    nodes.map((node) => ({ kind: 'insert', parent: section, after: null, node })),
  );
const tick = (agent: Agent, item: string): PromiseLike<{ status: number }> =>
  agent.put(`/api/learn/${its.id}/items/${item}/done`);
const untick = (agent: Agent, item: string): PromiseLike<{ status: number }> =>
  agent.delete(`/api/learn/${its.id}/items/${item}/done`);
const own = async (agent: Agent): Promise<ProgressAnswer> =>
  (await agent.get(`/api/learn/${its.id}/progress`).expect(200)).body as ProgressAnswer;
const grid = async (agent = ines): Promise<GridAnswer> =>
  (await agent.get(`/api/courses/${its.id}/progress`).expect(200)).body as GridAnswer;
const cells = async (): Promise<Record<string, string>> =>
  Object.fromEntries((await grid()).people.map(({ person, cells: one }) => [person, one]));
const say = (
  agent: Agent,
  item: string,
  what: string,
  ...people: string[]
): PromiseLike<{ status: number }> =>
  agent.post(`/api/courses/${its.id}/items/${item}/done`).send({ people, what, reason: 'Seen on the shore' });

beforeAll(async () => {
  server = await testServer({ clock });
  ({ ines, adaeze, noor, hye, visitor } = await castOf(server));
});
afterAll(() => server.stop());
beforeEach(async () => {
  clock.tell(BEGIN);
  made += 1;
  its = await openWith(server, ines, `PROG-${made}`, {
    ...newItem('page', { id: '', title: 'Boots', done: ticked, minutes: 20 }),
  });
  const { course } = (await ines.get(`/api/courses/${its.id}/plan`)).body as PlanAnswer;
  section = course.sections.find(({ items }) => items.some(({ id }) => id === its.item))?.id ?? '';
  await put({ ...newItem('page', { id: 'tides', title: 'Tides', done: { by: 'opened' }, minutes: 40 }) });
});

describe('where one stands', () => {
  test('by items and minutes, with what is next and why not yet; others’ is not told', async () => {
    expect((await own(noor)).share).toEqual({
      items: { done: 0, counted: 2 },
      minutes: { done: 0, counted: 60 },
    });
    await tick(noor, its.item);
    const now = await own(noor);
    expect(now.share).toEqual({ items: { done: 1, counted: 2 }, minutes: { done: 20, counted: 60 } });
    expect(now.next).toBe('tides');
    expect(now.items.map(({ title, since, conditions }) => [title, since, conditions[0]?.by])).toEqual([
      ['Tides', null, 'opened'],
      ['Boots', BEGIN, 'ticked'],
    ]);
    expect((await own(hye)).share?.items).toEqual({ done: 0, counted: 2 });
    await noor.get(`/api/learn/${its.id}/items/tides`).expect(200);
    expect((await own(noor)).since).toBe(BEGIN);
    const { courses } = (await noor.get('/api/progress').expect(200)).body as AllProgressAnswer;
    expect(courses.find(({ course }) => course === its.id)).toMatchObject({
      share: { done: 2, counted: 2 },
      since: BEGIN,
      next: null,
    });
  });

  test('an untick undoes that alone; ticked again it counts from then', async () => {
    await tick(noor, its.item);
    clock.tell('2027-03-02T10:00:00.000Z');
    await untick(noor, its.item);
    expect((await own(noor)).share?.items?.done).toBe(0);
    await tick(noor, its.item);
    const item = (await own(noor)).items.find(({ id }) => id === its.item);
    expect(item?.since).toBe('2027-03-02T10:00:00.001Z');
  });

  test('ticked eight times at once it is one deed, and the kept reckoning is that from nothing', async () => {
    await Promise.all(Array.from({ length: 8 }, () => tick(noor, its.item)));
    await Promise.all([tick(hye, its.item), noor.get(`/api/learn/${its.id}/items/tides`)]);
    const log = await rows('select item_id, deed from deed_log where course_id = ? and person_id = ?', [
      its.id,
      its.noor,
    ]);
    expect(log.map(({ item_id: item }) => item).sort()).toEqual([its.item, 'tides'].sort());
    const [kept] = await rows(
      'select done, reached, letters from progress where course_id = ? and person_id = ?',
      [its.id, its.noor],
    );
    const facts = await rows('select item_id, facts from deed where course_id = ? and person_id = ?', [
      its.id,
      its.noor,
    ]);
    const { course } = (await ines.get(`/api/courses/${its.id}/plan`)).body as PlanAnswer;
    const anew = reckon(
      countingFor(planFor(course, { role: 'learner', institutionStaff: false }), []),
      new Map(facts.map(({ item_id: item, facts: one }) => [String(item), one as Facts])),
    );
    expect([kept?.['done'], kept?.['reached'], kept?.['letters']]).toEqual([
      Object.fromEntries(anew.done),
      Object.fromEntries(anew.reached),
      'dd',
    ]);
  });

  test('another rule counts what was done before it; a section that was done stays so with an item more', async () => {
    await noor.get(`/api/learn/${its.id}/items/${its.item}`).expect(200);
    expect((await own(noor)).share?.items?.done).toBe(0);
    await hye.get(`/api/learn/${its.id}/items/${its.item}`).expect(200);
    await set(its.item, 'done', { by: 'opened' }, ticked);
    expect((await own(noor)).share?.items?.done).toBe(1);
    // Whoever has done nothing since is reckoned anew too, all of them at once.
    const at = (await grid()).items.findIndex(({ id }) => id === its.item);
    const letters = await cells();
    expect([its.noor, its.hye].map((person) => letters[person]?.[at])).toEqual(['d', 'd']);
    await noor.get(`/api/learn/${its.id}/items/tides`).expect(200);
    expect((await own(noor)).since).toBe(BEGIN);
    await put({ ...newItem('page', { id: 'more', title: 'More', done: ticked }) });
    const now = await own(noor);
    expect([now.share?.items, now.since]).toEqual([{ done: 2, counted: 3 }, BEGIN]);
    expect(now.sections.find(({ id }) => id === section)?.since).toBe(BEGIN);
  });

  test('switched off, nothing of it is anywhere; switched on again it is there', async () => {
    await tick(noor, its.item);
    await set(its.id, 'progress', false, true);
    expect((await noor.get(`/api/learn/${its.id}/progress`)).status).toBe(404);
    expect((await tick(noor, 'tides')).status).toBe(400);
    const page = (await noor.get(`/api/learn/${its.id}/items/${its.item}`).expect(200)).body as object;
    expect(JSON.stringify(page)).not.toContain('"conditions"');
    const { courses } = (await noor.get('/api/progress').expect(200)).body as AllProgressAnswer;
    expect(courses.some(({ course }) => course === its.id)).toBe(false);
    expect((await grid()).items).toEqual([]);
    await set(its.id, 'progress', true, false);
    expect((await own(noor)).share?.items).toEqual({ done: 1, counted: 2 });
  });

  test('what the course does not show is not told; with nothing of it shown there is no such page', async () => {
    await set(its.id, 'paceShown', false, true);
    expect((await own(noor)).behind).toBeNull();
    await set(its.id, 'shareShown', false, true);
    await tick(noor, its.item);
    const without = await own(noor);
    expect([without.share, without.sections.map(({ share }) => share)]).toEqual([null, [null]]);
    expect(without.items.map(({ id }) => id)).toEqual(['tides', its.item]);
    const { courses } = (await noor.get('/api/progress').expect(200)).body as AllProgressAnswer;
    expect(courses.some(({ course }) => course === its.id)).toBe(false);
    await set(its.id, 'shareShown', true, false);
    await set(its.id, 'marksShown', false, true);
    const unmarked = await own(noor);
    expect([unmarked.share?.items?.done, unmarked.sections]).toEqual([1, []]);
    expect(unmarked.items.map(({ id }) => id)).toEqual(['tides']);
    await set(its.id, 'shareShown', false, true);
    expect((await noor.get(`/api/learn/${its.id}/progress`)).status).toBe(404);
  });

  test('an item that they do not get has no name in it', async () => {
    await set('tides', 'title', 'MARKER-SECRET', 'Tides');
    await set('tides', 'opens', { kind: 'fixed', day: '2027-05-01', time: null });
    await set('tides', 'closed', 'leave_out');
    const { body } = await noor.get(`/api/learn/${its.id}/progress`).expect(200);
    expect(JSON.stringify(body)).not.toContain('MARKER-SECRET');
    expect((body as ProgressAnswer).share?.items?.counted).toBe(2);
  });
});

describe('what staff see and say', () => {
  test('a letter a cell, counts by item, and nobody but staff', async () => {
    await tick(noor, its.item);
    const now = await grid(adaeze);
    const at = now.items.findIndex(({ id }) => id === its.item);
    expect((await cells())[its.noor]?.[at]).toBe('d');
    expect((await cells())[its.hye]).toBe('oo');
    expect(now.items[at]).toMatchObject({ done: 1, of: now.people.length });
    expect(now.people.find(({ person }) => person === its.noor)).toMatchObject({ done: 1, counted: 2 });
    for (const [agent, status] of [
      [noor, 403],
      [visitor, 404],
    ] as const) {
      expect((await agent.get(`/api/courses/${its.id}/progress`)).status).toBe(status);
      expect((await agent.get(`/api/courses/${its.id}/progress/${its.hye}`)).status).toBe(status);
      expect((await agent.get(`/api/courses/${its.id}/progress.csv`)).status).toBe(status);
      expect((await say(agent, its.item, 'marked', its.noor)).status).toBe(status);
    }
  });

  test('marked as done with a reason that is kept, by whom; an untick leaves it; taken back it is gone', async () => {
    expect((await say(adaeze, its.item, 'marked', its.noor, its.hye)).status).toBe(200);
    await untick(noor, its.item);
    const told = (await own(noor)).items.find(({ id }) => id === its.item);
    expect([told?.since, told?.by]).toEqual([BEGIN, 'staff']);
    const { deeds, progress } = (await ines.get(`/api/courses/${its.id}/progress/${its.noor}`).expect(200))
      .body as LearnerAnswer;
    expect(progress.share?.items?.done).toBe(1);
    expect(deeds.find(({ deed }) => deed.kind === 'marked')).toMatchObject({
      by: 'Adaeze Okpara',
      reason: 'Seen on the shore',
    });
    await say(ines, its.item, 'unmarked', its.noor);
    expect((await own(noor)).share?.items?.done).toBe(0);
    expect((await own(hye)).share?.items?.done).toBe(1);
  });

  test('taken back, what was done before counts no more, and what is done after it does', async () => {
    await tick(noor, its.item);
    await say(ines, its.item, 'taken_back', its.noor);
    expect((await own(noor)).share?.items?.done).toBe(0);
    clock.tell('2027-03-02T11:00:00.000Z');
    await tick(noor, its.item);
    expect((await own(noor)).share?.items?.done).toBe(1);
  });

  test('all of them or none; said eight times at once it is one; nonsense is told with its place', async () => {
    const wrong = await say(ines, its.item, 'marked', its.noor, 'nobody');
    expect(wrong.status).toBe(400);
    expect((await own(noor)).share?.items?.done).toBe(0);
    const all = await Promise.all(Array.from({ length: 8 }, () => say(ines, its.item, 'marked', its.noor)));
    expect(all.map(({ status }) => status)).toEqual(Array<number>(8).fill(200));
    expect(
      await rows(`select 1 from deed_log where course_id = ? and deed ->> 'kind' = 'marked'`, [its.id]),
    ).toHaveLength(1);
    expect((await say(ines, 'nowhere', 'marked', its.noor)).status).toBe(404);
    expect((await say(ines, its.item, 'finished', its.noor)).status).toBe(400);
  });

  test('as a table, and as statements that say who did what, when, and who said so', async () => {
    await tick(noor, its.item);
    await say(adaeze, 'tides', 'marked', its.noor);
    const csv = (await ines.get(`/api/courses/${its.id}/progress.csv`).expect(200)).text.split('\r\n');
    expect(csv[0]).toBe('name,address,done,counted,completed,Tides,Boots');
    expect(csv.find((line) => line.includes('Noor'))).toContain(`,2,2,${BEGIN},${BEGIN},${BEGIN}`);
    const statements = JSON.parse(
      (await ines.get(`/api/courses/${its.id}/progress.xapi`).expect(200)).text,
    ) as Record<string, never>[];
    expect(statements).toHaveLength(2);
    expect(statements[0]).toMatchObject({
      actor: { objectType: 'Agent', account: { name: its.noor } },
      verb: { id: 'http://adlnet.gov/expapi/verbs/completed' },
      result: { completion: true },
      timestamp: BEGIN,
      version: '2.0.0',
    });
    expect(statements[1]).toMatchObject({
      context: { instructor: { objectType: 'Agent', name: 'Adaeze Okpara' } },
      result: { completion: true, response: 'Seen on the shore' },
    });
    expect(new Set(statements.map(({ id }) => id)).size).toBe(2);
  });
});
