/** A discussion: begun and gone on with once however often it is sent, by the groups, and by whoever has posted first. */
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import type { TalkAnswer, ThreadAnswer, WhoPosted } from '@itinerary/contract';
import { newItem } from '@itinerary/core';
import type { Discussion } from '@itinerary/core';
import type { Agent, Response } from 'supertest';
import { toldClock } from '../../src/config/clock.ts';
import { noteRead } from '../../src/usecases/coursework/talk/reading.ts';
import { ALL } from '../../../core/test/support/runs.ts';
import { castOf, openWith, said } from '../support/coursework.ts';
import { changeCourse, putOn, setting, testServer } from '../support/server.ts';
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
let its: Awaited<ReturnType<typeof open>>;
const rows = (sql: string, values: readonly unknown[] = []): Promise<Record<string, unknown>[]> =>
  server.database.em.fork().execute(sql, [...values]);

async function open(settings: Partial<Discussion> = {}) {
  const node = {
    ...newItem('discussion', { id: '', title: 'Where is your estuary?' }),
    done: { by: 'posted', least: 2 },
    ...settings,
  };
  const course = await openWith(server, ines, `TALK-${(made += 1)}`, node as never);
  const at = `/api/learn/${course.id}/items/${course.item}/discussion`;
  const tryStart = (agent: Agent, what: object = {}): PromiseLike<Response> =>
    agent.post(`${at}/threads`).send({
      id: randomUUID(),
      post: randomUUID(),
      title: 'Tagus',
      html: '<p>Mine is the Tagus.</p>',
      ...what,
    });
  return {
    ...course,
    at,
    tryStart,
    start: async (agent: Agent, what: object = {}): Promise<ThreadAnswer> => {
      const { status, body } = await tryStart(agent, what);
      if (status !== 200) throw new Error(JSON.stringify(body));
      return body as ThreadAnswer;
    },
    talk: async (agent: Agent, find?: string): Promise<TalkAnswer> =>
      (
        await agent
          .get(at)
          .query(find === undefined ? {} : { find })
          .expect(200)
      ).body as TalkAnswer,
    read: async (agent: Agent, thread: string, after = 0): Promise<ThreadAnswer> =>
      (await agent.get(`${at}/threads/${thread}`).query({ after }).expect(200)).body as ThreadAnswer,
    post: (agent: Agent, thread: string, html: string, what: object = {}): PromiseLike<Response> =>
      agent.post(`${at}/threads/${thread}/posts`).send({ id: randomUUID(), html, answers: null, ...what }),
    change: (agent: Agent, thread: string, post: string, html: string, was: string | null = null) =>
      agent.put(`${at}/threads/${thread}/posts/${post}`).send({ html, was }),
    remove: (agent: Agent, thread: string, post: string) =>
      agent.delete(`${at}/threads/${thread}/posts/${post}`),
    lead: (agent: Agent, thread: string, what: object) => agent.put(`${at}/threads/${thread}`).send(what),
    set: (field: string, value: unknown, was: unknown) =>
      changeCourse(ines, course.id, [setting(course.item, field, value, was)]),
  };
}

beforeAll(async () => {
  server = await testServer({ clock });
  ({ ines, adaeze, noor, hye, visitor } = await castOf(server));
});
afterAll(() => server.stop());
beforeEach(async () => {
  clock.tell(BEGIN);
  its = await open();
});

describe('threads and posts', () => {
  test('begun, answered, unread until they are read, and done once there are enough', async () => {
    const { id } = await its.start(noor);
    expect((await its.talk(hye)).threads).toMatchObject([
      { id, title: 'Tagus', posts: 1, unread: 1, isOwn: false, isAnswered: false },
    ]);
    const opening = (await its.read(hye, id)).page[0]!;
    expect((await its.talk(hye)).threads[0]?.unread).toBe(0);
    clock.tell('2027-03-02T09:05:00.000Z');
    const answer = await its.post(hye, id, '<p>Mine is <strong>the Sado</strong>.</p>', {
      answers: opening.id,
    });
    expect((answer.body as ThreadAnswer).page).toMatchObject([
      { number: 2, answers: 1, isOwn: true, html: '<p>Mine is <strong>the Sado</strong>.</p>' },
    ]);
    expect((await its.talk(noor)).threads[0]).toMatchObject({
      unread: 1,
      lastAt: '2027-03-02T09:05:00.000Z',
    });
    const done = (): Promise<Record<string, unknown>[]> =>
      rows('select person_id from deed where course_id = ? and done_at is not null', [its.id]);
    expect(await done()).toEqual([]);
    await its.post(hye, id, '<p>And another one.</p>');
    expect(await done()).toEqual([{ person_id: its.hye }]);
  });

  test('sent eight times at once it is one post; of eight at once each has its number', async () => {
    const { id } = await its.start(noor);
    const one = randomUUID();
    const same = await Promise.all(
      Array.from({ length: 8 }, () => its.post(noor, id, '<p>Once.</p>', { id: one })),
    );
    expect(same.map(({ status }) => status)).toEqual(Array(8).fill(200));
    const others = await Promise.all(
      Array.from({ length: 8 }, (_, at) => its.post([noor, hye][at % 2]!, id, `<p>Post ${at}</p>`)),
    );
    expect(others.map(({ status }) => status)).toEqual(Array(8).fill(200));
    const { page, count } = await its.read(ines, id);
    expect([count, page.map(({ number }) => number)]).toEqual([
      10,
      Array.from({ length: 10 }, (_, at) => at + 1),
    ]);
    expect(said(await its.post(hye, id, '<p>Mine</p>', { id: one }))).toEqual([
      409,
      'cannot_hand_in',
      'known',
    ]);
    const [thread, post] = [randomUUID(), randomUUID()];
    const begun = await Promise.all(
      Array.from({ length: 8 }, () => its.tryStart(noor, { id: thread, post })),
    );
    expect(begun.map(({ status }) => status)).toEqual(Array(8).fill(200));
    expect((await its.talk(noor)).threads).toHaveLength(2);
  });

  test('scripts are cleaned away, pieces refused, nothing but space is nothing, and hurrying is stopped', async () => {
    const { id } = await its.start(noor);
    const hostile = '<p onclick="x()">Mud<script>alert(1)</script><img src=x onerror=y()></p>';
    const { page } = (await its.post(noor, id, hostile)).body as ThreadAnswer;
    expect(page[0]?.html).toBe('<p>Mud</p>');
    expect(said(await its.post(noor, id, `<img data-picture="${'a'.repeat(64)}">`))).toEqual([
      400,
      'bad_input',
      'html',
    ]);
    expect(said(await its.post(noor, id, '<p> &nbsp; </p>'))).toEqual([400, 'bad_input', 'html']);
    expect([400, 413]).toContain((await its.post(noor, id, 'a'.repeat(1_000_000))).status);
    const many = await Promise.all(Array.from({ length: 30 }, (_, at) => its.post(noor, id, `<p>${at}</p>`)));
    expect(many.filter(({ status }) => status === 200)).toHaveLength(18);
    expect(many.filter(({ status }) => status === 429)).toHaveLength(12);
  });

  test('thousands at once from one person: as many as anybody has to say, in words to them, and in nobody’s way', async () => {
    const { id } = await its.start(noor);
    const most = ALL ? 10_000 : 300;
    let left = most;
    const answers: Response[] = [];
    const lane = async (): Promise<void> => {
      while ((left -= 1) >= 0) answers.push(await its.post(noor, id, `<p>${'mud '.repeat(500)}${left}</p>`));
    };
    const hurried = Promise.all(Array.from({ length: 20 }, lane));
    // Somebody else is answered meanwhile.
    const others = [
      await its.post(hye, id, '<p>Quietly.</p>'),
      await its.post(adaeze, id, '<p>As well.</p>'),
    ];
    await hurried;
    expect(others.map(({ status }) => status)).toEqual([200, 200]);
    const refused = answers.filter(({ status }) => status === 429);
    expect([answers.length - refused.length, refused.length]).toEqual([19, most - 19]);
    expect((refused[0]?.body as { detail?: string }).detail).toBe('At most 20 posts in 5 minutes');
    expect(Number(refused[0]?.headers['retry-after'])).toBeGreaterThan(0);
    expect((await its.read(hye, id)).count).toBe(22);
  }, 900_000);

  test('a long thread comes fifty at a time, and is found by a word of any post', async () => {
    const { id } = await its.start(noor, { title: 'Long one' });
    await rows(
      `insert into post (id, thread_id, course_id, item_id, author_id, number, at, html, plain)
         select 'p' || n || '-' || thread.id, thread.id, course_id, item_id, author_id, n, at, '<p>Post ' || n || '</p>',
           'post ' || n from thread, generate_series(2, 120) n where thread.id = ?`,
      [id],
    );
    await rows('update thread set posts = 120 where id = ?', [id]);
    const first = await its.read(hye, id);
    expect([first.count, first.page.length, first.unread]).toEqual([120, 50, 70]);
    const next = await its.read(hye, id, 50);
    expect(next.page.map(({ number }) => number).at(0)).toBe(51);
    // Read backwards, what was read stays so.
    await its.read(hye, id);
    expect((await its.talk(hye)).threads[0]?.unread).toBe(20);
    // Nor does a window that was slower.
    await noteRead(server.database.em.fork(), id, its.hye, 10);
    expect((await its.talk(hye)).threads[0]?.unread).toBe(20);
    expect((await its.talk(hye, 'POST 117')).threads).toHaveLength(1);
    expect((await its.talk(hye, 'lóng')).threads).toHaveLength(1);
    expect((await its.talk(hye, 'nowhere')).threads).toHaveLength(0);
  });

  test('one’s own can be changed and taken away, and is kept for staff; others’ are not touched', async () => {
    const { id, page } = await its.start(noor);
    const post = page[0]!.id;
    clock.tell('2027-03-02T09:10:00.000Z');
    expect((await its.change(noor, id, post, '<p>Mine is the Sado.</p>')).status).toBe(200);
    expect(said(await its.change(noor, id, post, '<p>Stale</p>'))).toEqual([409, 'changed_elsewhere', 'was']);
    expect(await rows('select html from post_before where post_id = ?', [post])).toEqual([
      { html: '<p>Mine is the Tagus.</p>' },
    ]);
    expect((await its.change(hye, id, post, '<p>Not mine</p>')).status).toBe(403);
    expect((await its.remove(hye, id, post)).status).toBe(403);
    expect((await its.remove(noor, id, post)).status).toBe(200);
    expect((await its.read(hye, id)).page[0]).toMatchObject({ isRemoved: true, html: '' });
    expect((await its.read(ines, id)).page[0]).toMatchObject({
      isRemoved: true,
      html: '<p>Mine is the Sado.</p>',
    });
    expect((await its.talk(hye, 'sado')).threads).toEqual([]);
    const other = (await its.start(hye)).page[0]!.id;
    const [thread] = (await its.talk(hye)).threads;
    expect((await its.remove(adaeze, thread!.id, other)).status).toBe(200);
    await its.set('ownEdits', false, true);
    const third = await its.start(noor);
    expect((await its.change(noor, third.id, third.page[0]!.id, '<p>x</p>')).status).toBe(403);
  });

  test('staff pin and close, whoever began it says what answers it, and nobody else', async () => {
    const { id } = await its.start(noor);
    const second = await its.start(hye, { title: 'Sado' });
    const reply = ((await its.post(hye, id, '<p>At low tide.</p>')).body as ThreadAnswer).page[0]!.id;
    expect((await its.lead(noor, id, { pinned: true })).status).toBe(403);
    expect((await its.lead(hye, id, { answer: reply })).status).toBe(403);
    expect((await its.lead(noor, id, { answer: reply })).body).toMatchObject({ isAnswered: true });
    expect((await its.lead(noor, id, { answer: 'nowhere' })).status).toBe(404);
    expect((await its.lead(adaeze, second.id, { pinned: true, closed: true })).status).toBe(200);
    expect((await its.talk(noor)).threads.map(({ title }) => title)).toEqual(['Sado', 'Tagus']);
    expect(said(await its.post(hye, second.id, '<p>More</p>'))).toEqual([409, 'cannot_hand_in', 'closed']);
    expect((await its.post(ines, second.id, '<p>The last word.</p>')).status).toBe(200);
  });
});

describe('who gets what', () => {
  test('before they have posted, learners see what staff have begun, and nobody else’s words', async () => {
    its = await open({ firstPost: true });
    const prompt = await its.start(ines, { title: 'Say where', html: '<p>Only-staff-asked</p>' });
    const other = await its.start(noor, { title: 'Hidden-title', html: '<p>hidden-words</p>' });
    await its.post(noor, prompt.id, '<p>hidden-reply</p>');
    const before = await its.talk(hye);
    expect(before).toMatchObject({ mustPost: true, threads: [{ id: prompt.id, posts: null, unread: 0 }] });
    const opening = await its.read(hye, prompt.id, 1);
    expect(opening.page.map(({ html }) => html)).toEqual(['<p>Only-staff-asked</p>']);
    expect(JSON.stringify([before, opening, await its.talk(hye, 'hidden')])).not.toContain('hidden-');
    expect((await hye.get(`${its.at}/threads/${other.id}`)).status).toBe(404);
    await its.post(hye, prompt.id, '<p>Here.</p>');
    expect((await its.talk(hye)).threads).toHaveLength(2);
    expect((await its.read(hye, prompt.id)).page).toHaveLength(3);
  });

  test('groups apart see nothing of each other, groups beside read and do not post', async () => {
    for (const [at, [who, group]] of [
      [its.noor, 'a'],
      [its.hye, 'b'],
    ].entries()) {
      const value = { name: `Boat ${group ?? ''}`, kind: 'group', at };
      await changeCourse(ines, its.id, [setting(its.id, `groups.${group ?? ''}`, value)]);
      await ines
        .put(`/api/courses/${its.id}/members/${who ?? ''}/groups`)
        .send({ groups: [group] })
        .expect(200);
    }
    await its.set('groupWork', 'apart', null);
    const own = await its.start(noor);
    expect(own.group).toBe('Boat a');
    expect((await its.talk(hye)).threads).toEqual([]);
    expect((await hye.get(`${its.at}/threads/${own.id}`)).status).toBe(404);
    expect((await its.post(hye, own.id, '<p>x</p>')).status).toBe(404);
    const staffs = await its.start(ines, { title: 'For all' });
    expect((await its.talk(hye)).threads.map(({ id }) => id)).toEqual([staffs.id]);
    expect((await its.talk(ines)).threads).toHaveLength(2);
    await its.set('groupWork', 'beside', 'apart');
    expect((await its.talk(hye)).threads).toHaveLength(2);
    expect((await its.read(hye, own.id)).mayPost).toBe(false);
    expect(said(await its.post(hye, own.id, '<p>x</p>'))).toEqual([409, 'cannot_hand_in', 'shut']);
  });

  test('closed it is read and not posted in; where staff begin, learners answer', async () => {
    const { id } = await its.start(noor);
    await its.set('shut', true, false);
    expect(await its.talk(noor)).toMatchObject({ mayStart: false, shut: true });
    expect(said(await its.post(noor, id, '<p>x</p>'))).toEqual([409, 'cannot_hand_in', 'shut']);
    expect(said(await its.post(ines, id, '<p>x</p>'))).toEqual([409, 'cannot_hand_in', 'shut']);
    await its.set('shut', false, true);
    await its.set('starts', 'staff', 'everybody');
    expect(said(await its.tryStart(noor))).toEqual([409, 'cannot_hand_in', 'starts']);
    expect((await its.post(noor, id, '<p>x</p>')).status).toBe(200);
    // Whoever only looks gets the item, and nobody’s words.
    await putOn(ines, its.id, 'kenji', 'visitor');
    expect((await visitor.get(`/api/learn/${its.id}/items/${its.item}`)).status).toBe(200);
    expect((await visitor.get(its.at)).status).toBe(404);
  });

  test('staff see who has not posted; learners do not', async () => {
    await its.start(noor);
    const at = `/api/courses/${its.id}/items/${its.item}/discussion`;
    const { people } = (await adaeze.get(at).expect(200)).body as WhoPosted;
    expect(people.map(({ person, posts }) => [person, posts])).toEqual([
      [its.hye, 0],
      [its.noor, 1],
    ]);
    expect((await noor.get(at)).status).toBe(403);
  });

  test('names are told as the course tells them', async () => {
    const { id } = await its.start(noor);
    await changeCourse(ines, its.id, [setting(its.id, 'names', 'staff', 'everybody')]);
    expect((await its.read(hye, id)).page[0]?.author).toBeNull();
    expect((await its.read(adaeze, id)).page[0]?.author).toBe('Noor Rahimi');
  });
});
