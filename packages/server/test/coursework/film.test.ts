/** Watching: what was really played is kept, once however often it is told, and nothing that cannot have been. */
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import type { FilmAnswer, UploadAnswer, WatchedAnswer, WhoWatched } from '@itinerary/contract';
import { newItem } from '@itinerary/core';
import type { Film } from '@itinerary/core';
import type { Agent, Response } from 'supertest';
import { toldClock } from '../../src/config/clock.ts';
import { coreFilm } from '../../src/demo/film/core-film.ts';
import { castOf, openWith, said } from '../support/coursework.ts';
import { changeCourse, fileRef, setting, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

const BEGIN = '2027-03-02T09:00:00.000Z';
const clock = toldClock(BEGIN);
const later = (seconds: number): void =>
  clock.tell(new Date(Date.parse(BEGIN) + seconds * 1000).toISOString());
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
const run = (from: number, to: number): object => ({ from: from * 1000, to: to * 1000 });
const VTT = 'WEBVTT\n\n00:01.000 --> 00:04.000\n<v Inês>One <b>breath</b> &amp; no more\n';

async function open(settings: Partial<Film> = {}) {
  const node = {
    ...newItem('video', { id: '', title: 'One breath' }),
    ...{ seconds: 100, done: { by: 'watched', least: 80 } },
    ...settings,
  };
  const course = await openWith(server, ines, `FILM-${(made += 1)}`, node as never);
  const send = async (name: string, bytes: Buffer | string): Promise<UploadAnswer> =>
    (
      await ines
        .post(`/api/courses/${course.id}/files?name=${name}`)
        .set('content-type', 'application/octet-stream')
        .send(bytes as string)
        .expect(201)
    ).body as UploadAnswer;
  const set = (field: string, value: unknown, was: unknown): Promise<unknown> =>
    changeCourse(ines, course.id, [setting(course.item, field, value, was)]);
  const file = fileRef(await send('one-breath.webm', (await coreFilm()).bytes));
  await set('file', file, null);
  await set('captions', [{ language: 'en', file: fileRef(await send('said.vtt', VTT)) }], []);
  const at = `/api/learn/${course.id}/items/${course.item}/film`;
  const tell = (agent: Agent, runs: readonly object[], what: object = {}): PromiseLike<Response> =>
    agent.post(`${at}/watched`).send({ id: randomUUID(), film: file.hash, runs, position: 0, ...what });
  return {
    ...{ ...course, at, tell, set, send, file },
    look: async (agent: Agent): Promise<FilmAnswer> => (await agent.get(at).expect(200)).body as FilmAnswer,
    watch: async (agent: Agent, ...runs: object[]): Promise<WatchedAnswer> => {
      const { status, body } = await tell(agent, runs);
      if (status !== 200) throw new Error(JSON.stringify(body));
      return body as WatchedAnswer;
    },
    done: () => rows('select person_id from deed where course_id = ? and done_at is not null', [course.id]),
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

describe('what has been watched', () => {
  test('is the union of what was played; jumping adds nothing, and enough of it is done for good', async () => {
    expect(await its.look(noor)).toMatchObject({
      watched: { runs: [], share: 0, position: 0 },
      wanted: 80,
      captions: [{ language: 'en', cues: [{ from: 1000, to: 4000, text: 'One breath & no more' }] }],
    });
    later(60);
    expect(await its.watch(noor, run(0, 30), run(20, 40), run(90, 95))).toMatchObject({
      runs: [run(0, 40), run(90, 95)],
      share: 0.45,
    });
    later(120);
    expect(await its.watch(noor, run(40, 74.9))).toMatchObject({ share: 0.799 });
    expect(await its.done()).toEqual([]);
    later(180);
    expect(await its.watch(noor, run(74.9, 75))).toMatchObject({ share: 0.8 });
    expect(await its.done()).toEqual([{ person_id: its.noor }]);
    expect((await its.look(noor)).watched?.share).toBe(0.8);
    expect((await its.look(hye)).watched).toEqual({ runs: [], share: 0, position: 0 });
  });

  test('what cannot have been played since the report before is not taken, and is taken when it can', async () => {
    await its.look(noor);
    later(3);
    expect(said(await its.tell(noor, [run(0, 48.1)]))).toEqual([409, 'cannot_hand_in', 'too_fast']);
    // All of one report together.
    expect(said(await its.tell(noor, [run(0, 30), run(50, 70)]))).toEqual([
      409,
      'cannot_hand_in',
      'too_fast',
    ]);
    expect(await its.watch(noor, run(0, 48))).toMatchObject({ share: 0.48 });
    expect(said(await its.tell(noor, [run(48, 50)]))).toEqual([409, 'cannot_hand_in', 'too_fast']);
    later(4);
    expect(await its.watch(noor, run(48, 64))).toMatchObject({ share: 0.64 });
    expect(said(await its.tell(hye, [run(0, 1)]))).toEqual([409, 'cannot_hand_in', 'opened']);
  });

  test('sent again it is the same, also eight times at once; eight windows lose nothing', async () => {
    await its.look(noor);
    later(50);
    const id = randomUUID();
    const same = await Promise.all(
      Array.from({ length: 8 }, () => its.tell(noor, [run(0, 50)], { id, position: 50_000 })),
    );
    expect(same.map(({ status }) => status)).toEqual(Array(8).fill(200));
    expect((await its.look(noor)).watched).toEqual({ runs: [run(0, 50)], share: 0.5, position: 50_000 });
    await its.look(hye);
    later(100);
    const windows = await Promise.all(
      Array.from({ length: 8 }, (_, at) => its.tell(hye, [run(at * 10, at * 10 + 10)])),
    );
    // One of them was right behind another: what it has played it tells again.
    const refused = windows.flatMap(({ status }, at) => (status === 200 ? [] : [at]));
    for (const [turn, at] of refused.entries()) {
      later(110 + turn);
      expect((await its.tell(hye, [run(at * 10, at * 10 + 10)])).status).toBe(200);
    }
    expect((await its.look(hye)).watched?.share).toBe(0.8);
  });

  test('is cut to the film, and its last second counts as its end', async () => {
    await its.look(noor);
    later(60);
    expect(await its.watch(noor, run(95, 99.2), run(100, 400))).toMatchObject({ runs: [run(95, 100)] });
    await its.set('seconds', null, 100);
    expect((await its.look(noor)).watched?.share).toBeNull();
  });

  test('another film is watched anew, and the one before keeps what was seen of it', async () => {
    await its.look(noor);
    later(60);
    await its.watch(noor, run(0, 60));
    const other = fileRef(
      await its.send('other.webm', Buffer.concat([(await coreFilm()).bytes, Buffer.of(0)])),
    );
    await its.set('file', other, its.file);
    expect(said(await its.tell(noor, [run(0, 1)]))).toEqual([409, 'changed_elsewhere', 'film']);
    expect((await its.look(noor)).watched?.runs).toEqual([]);
    await its.set('file', its.file, other);
    expect((await its.look(noor)).watched?.runs).toEqual([run(0, 60)]);
  });

  test('of whoever does not learn here nothing is kept; what is wrong is refused', async () => {
    expect((await its.look(adaeze)).watched).toBeNull();
    expect(said(await its.tell(adaeze, [run(0, 1)]))).toEqual([409, 'cannot_hand_in', 'item']);
    expect((await visitor.get(its.at)).status).toBe(404);
    await its.look(noor);
    later(60);
    for (const wrong of [run(5, 5), run(6, 5), run(-1, 5), { from: 0.5, to: 9 }, run(0, 86_401)])
      expect((await its.tell(noor, [wrong])).status).toBe(400);
    expect(
      (
        await its.tell(
          noor,
          Array.from({ length: 201 }, (_, at) => run(at, at + 1)),
        )
      ).status,
    ).toBe(400);
    await its.set('file', null, its.file);
    expect((await noor.get(its.at)).status).toBe(404);
  });

  test('staff see who has watched how much, those who have watched least first', async () => {
    await its.look(noor);
    later(60);
    await its.watch(noor, run(0, 25));
    const who = (await adaeze.get(`/api/courses/${its.id}/items/${its.item}/film`).expect(200))
      .body as WhoWatched;
    expect(who.people.map(({ person, share }) => [person, share])).toEqual([
      [its.hye, null],
      [its.noor, 0.25],
    ]);
    expect((await noor.get(`/api/courses/${its.id}/items/${its.item}/film`)).status).toBe(403);
  });
});

test('captions that cannot be read are none, and markup in them is words', async () => {
  const put = async (text: string): Promise<FilmAnswer['captions']> => {
    const before = (await its.look(noor)).captions;
    void before;
    const { captions } = (await ines.get(`/api/courses/${its.id}/plan`).expect(200)).body.course.sections[0]
      .items[0] as Film;
    await its.set(
      'captions',
      [{ language: 'en', file: fileRef(await its.send('more.vtt', text)) }],
      captions,
    );
    return (await its.look(noor)).captions;
  };
  expect(await put('not captions at all')).toEqual([]);
  const [read] = await put(
    'WEBVTT\n\n00:01.000 --> 00:02.000\n<img src=x onerror=alert(1)>Mud<script>alert(2)</script> &lt;b&gt;\n',
  );
  expect(read?.cues).toEqual([{ from: 1000, to: 2000, text: 'Mudalert(2) <b>' }]);
});
