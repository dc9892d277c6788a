/** Waiting for a seat, seats that are offered and lapse, and asking to join. */
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import type { JoinedAnswer, JoinPageAnswer, WaysInAnswer } from '@itinerary/contract';
import { SHUT_WAY } from '@itinerary/core';
import type { Agent, Response } from 'supertest';
import { toldClock } from '../../src/config/clock.ts';
import { changeCourse, NOW, openCourse, serverOn, setting, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

const clock = toldClock(NOW);
const later = (hours: number): void =>
  clock.tell(new Date(Date.parse(NOW) + hours * 3_600_000).toISOString());
const WAY = { ...SHUT_WAY, on: true };

let server: TestServer;
let ines: Agent;
let noor: Agent;
let hye: Agent;
let kenji: Agent;
let id = '';
let code = '';
let made = 0;

const rows = (sql: string, values: readonly unknown[] = []): Promise<Record<string, unknown>[]> =>
  server.database.em.fork().execute(sql, [...values]);
const byCode = (agent: Agent): PromiseLike<Response> => agent.post(`/api/join/${code}`).send({});
const known = (agent: Agent, body: object): PromiseLike<Response> =>
  agent.post(`/api/join/to/${id}`).send(body);
const pageOf = async (agent: Agent): Promise<JoinPageAnswer> =>
  (await agent.get(`/api/join/to/${id}`).expect(200)).body as JoinPageAnswer;
const ways = async (): Promise<WaysInAnswer> =>
  (await ines.get(`/api/courses/${id}/ways`).expect(200)).body as WaysInAnswer;
const is = ({ status, body }: Response): unknown => [status, (body as JoinedAnswer).is];
const letters = async (): Promise<unknown[]> =>
  (await rows(`select kind, address, lang from letter where course_id = ? order by made_at, kind`, [id])).map(
    ({ kind, address }) => `${String(kind)} ${String(address).split('.')[0] ?? ''}`,
  );

beforeAll(async () => {
  server = await testServer({ clock });
  [ines, noor, hye, kenji] = await Promise.all([
    signedIn(server, 'instructor'),
    signedIn(server, 'learner'),
    signedIn(server, 'outsider'),
    signedIn(server, 'visitor'),
  ]);
});
afterAll(() => server.stop());
/** A live course with one seat and a line for more, joined by its code or on request. */
beforeEach(async () => {
  clock.tell(NOW);
  made += 1;
  id = await openCourse(ines, { code: `LINE-${made}` });
  await changeCourse(ines, id, [
    setting(id, 'ways.link', WAY),
    setting(id, 'ways.request', { ...WAY, question: 'What do you want to find out?' }),
    setting(id, 'seats', 1),
    setting(id, 'line', true, false),
    setting(id, 'answerHours', 24, 48),
  ]);
  ({ code } = (await ines.post(`/api/courses/${id}/ways/code`).send({}).expect(200)).body as {
    code: string;
  });
  await rows(`update course set state = 'live', seq = seq + 1 where id = ?`, [id]);
});

describe('the line', () => {
  test('a free seat is offered to the first, is theirs alone until it lapses, and then the next one’s', async () => {
    expect(is(await byCode(noor))).toEqual([200, 'in']);
    expect(is(await byCode(hye))).toEqual([200, 'waiting']);
    expect(is(await byCode(kenji))).toEqual([200, 'waiting']);
    // Pressed again, nobody moves.
    expect(is(await byCode(hye))).toEqual([200, 'waiting']);
    expect((await pageOf(kenji)).ways[0]).toMatchObject({
      way: 'link',
      answer: { can: 'wait', line: 'course', place: 2, isIn: true },
    });
    expect((await ways()).waiting.map(({ name }) => name)).toEqual(['Hye-jin Baek', 'Kenji Morisawa']);
    await noor.post(`/api/learn/${id}/leave`).send({}).expect(204);
    // Before the job has come to it, whoever comes by themselves still comes after those who wait.
    expect(is(await byCode(noor))).toEqual([200, 'waiting']);
    await server.jobs.runNow();
    expect(await letters()).toEqual(['offer hye']);
    const offer = (await pageOf(hye)).ways[0];
    expect(offer).toMatchObject({
      isOffered: true,
      answer: { can: 'yes', until: Date.parse(NOW) + 86_400_000 },
    });
    expect((await pageOf(kenji)).ways[0]?.answer).toMatchObject({ can: 'wait', place: 1 });
    // The very instant at which it lapses it is the next one's.
    later(24);
    await server.jobs.runNow();
    expect(await letters()).toEqual(['offer hye', 'offer kenji']);
    // They find the course no more than before; by the code they may come again, to the end.
    await hye.get(`/api/join/to/${id}`).expect(404);
    expect((await hye.get(`/api/join/${code}`)).body).toMatchObject({
      ways: [{ isOffered: false, answer: { can: 'wait', place: 2, isIn: false } }],
    });
    expect(is(await known(kenji, { way: 'link' }))).toEqual([200, 'in']);
    expect((await ways()).learners).toEqual([{ way: 'link', count: 1 }]);
    expect(await rows('select * from held_seat where course_id = ?', [id])).toEqual([]);
  });

  test('an offer that is declined goes on at once; whoever leaves the line is out of it', async () => {
    await byCode(noor);
    await byCode(hye);
    await byCode(kenji);
    await noor.post(`/api/learn/${id}/leave`).send({}).expect(204);
    await server.jobs.runNow();
    await hye.delete(`/api/join/to/${id}`).expect(204);
    expect((await pageOf(kenji)).ways[0]).toMatchObject({ isOffered: true });
    await hye.delete(`/api/join/to/${id}`).expect(404);
    const [person] = (await rows(`select holder from held_seat where course_id = ?`, [id])).map(
      ({ holder }) => holder,
    );
    await ines
      .post(`/api/courses/${id}/ways/line`)
      .send({ people: [person] })
      .expect(200);
    expect((await ways()).held).toEqual([]);
  });

  test('more seats move it, and staff who add somebody who waits take them out of it', async () => {
    await byCode(noor);
    await byCode(hye);
    await byCode(kenji);
    await changeCourse(ines, id, [setting(id, 'seats', 2, 1)]);
    await server.jobs.runNow();
    expect((await ways()).held).toMatchObject([{ name: 'Hye-jin Baek', kind: 'offer', way: 'link' }]);
    const [waiting] = (await ways()).waiting;
    const body = { people: [waiting?.person], role: 'learner' };
    await ines.post(`/api/courses/${id}/members`).send(body).expect(200);
    expect((await ways()).waiting).toEqual([]);
  });

  test('the database keeps no seat beyond those there are', async () => {
    await byCode(noor);
    await expect(
      rows(
        `insert into held_seat (course_id, holder, kind, way, lapses_at) values (?, 'somebody', 'offer', 'link', 9e15)`,
        [id],
      ),
    ).rejects.toThrow(/no seat left/);
  });
});

test('500 at once for 100 seats, through two servers: 100 are in, 400 wait in order, nobody twice', async () => {
  const many = 500;
  const seats = 100;
  const other = await serverOn(server.name, { clock });
  try {
    await changeCourse(ines, id, [setting(id, 'seats', seats, 1)]);
    await rows(
      `insert into person (id, institution_id, name, address, password_hash, kind)
       select 'crowd-' || n, (select institution_id from person where place_in is null limit 1), 'Crowd ' || n,
         'crowd.' || n || '@ternpoint.example', '', 'learner' from generate_series(1, ${many}) n`,
    );
    // Straight to what the route calls: signing in so many would measure passwords.
    const { joinByKey } = await import('../../src/usecases/joining/join.ts');
    const people = Array.from({ length: many }, (_, at) => `crowd-${at + 1}`);
    // A tenth of them press twice.
    const presses = [...people, ...people.filter((_, at) => at % 10 === 0)];
    const results = await Promise.all(
      presses.map(async (personId, at) => {
        const em = (at % 2 === 0 ? server : other).database.em.fork();
        const person = await em.findOneOrFail('PersonRow', { id: personId });
        const { is: came } = await joinByKey(
          em.fork(),
          code,
          id,
          person as Parameters<typeof joinByKey>[3],
          NOW,
        );
        return [personId, came] as const;
      }),
    );
    const inIt = new Set(results.filter(([, came]) => came === 'in').map(([person]) => person));
    const waiting = new Set(results.filter(([, came]) => came === 'waiting').map(([person]) => person));
    expect([inIt.size, waiting.size]).toEqual([seats, many - seats]);
    expect([...inIt].filter((person) => waiting.has(person))).toEqual([]);
    const learners = await rows(`select person_id from member where course_id = ? and role = 'learner'`, [
      id,
    ]);
    expect(new Set(learners.map((row) => row['person_id']))).toEqual(inIt);
    const line = (await ways()).waiting;
    expect(new Set(line.map(({ person }) => person))).toEqual(waiting);
    // Ten leave: the first ten of the line, in its order, are offered a seat.
    const gone = [...inIt].slice(0, 10);
    await rows(
      `update member set left_at = ?, left_how = 'left' where course_id = ? and person_id in
         (select jsonb_array_elements_text(?::jsonb))`,
      [NOW, id, JSON.stringify(gone)],
    );
    await Promise.all([server.jobs.runNow(), other.jobs.runNow()]);
    const held = (await ways()).held.map(({ name }) => name);
    expect(new Set(held)).toEqual(new Set(line.slice(0, 10).map(({ name }) => name)));
    expect(held).toHaveLength(10);
  } finally {
    await other.stop();
  }
});

describe('asking to join', () => {
  const ask = (agent: Agent, answer: string | null): PromiseLike<Response> =>
    known(agent, { way: 'request', answer });
  const decide = (body: object): PromiseLike<Response> =>
    ines.post(`/api/courses/${id}/ways/requests`).send(body);

  beforeEach(async () => {
    // Whoever is signed in here finds it.
    await changeCourse(ines, id, [setting(id, 'find', 'here', 'members')]);
  });

  test('the question wants an answer; asked six times at once it is asked once; each instructor is told', async () => {
    const [way] = (await pageOf(hye)).ways;
    expect(way).toMatchObject({
      way: 'request',
      question: 'What do you want to find out?',
      answer: { can: 'yes' },
    });
    expect((await ask(hye, null)).status).toBe(400);
    const asked = await Promise.all(Array.from({ length: 6 }, () => ask(hye, 'How mud moves')));
    expect(asked.map(is)).toEqual(asked.map(() => [200, 'asked']));
    expect(await letters()).toEqual(['asked ines']);
    expect((await ways()).requests).toMatchObject([
      { name: 'Hye-jin Baek', answer: 'How mud moves', state: 'open' },
    ]);
    expect((await pageOf(hye)).request).toMatchObject({ state: 'open' });
    await hye.delete(`/api/join/to/${id}`).expect(204);
    expect((await ways()).requests).toEqual([]);
    // Again and again, it is no letter more.
    for (let again = 0; again < 3; again += 1) {
      expect(is(await ask(hye, 'How mud moves'))).toEqual([200, 'asked']);
      await hye.delete(`/api/join/to/${id}`).expect(204);
    }
    expect(await letters()).toEqual(['asked ines']);
  });

  test('a no has its reason, which they are told and may answer by asking anew; a yes lets them in', async () => {
    await ask(hye, 'How mud moves');
    const [request] = (await ways()).requests;
    const people = [request?.person];
    expect((await decide({ say: 'no', people, reason: '' })).status).toBe(400);
    expect((await decide({ say: 'no', people, reason: 'Take the first course before' })).status).toBe(200);
    expect((await pageOf(hye)).request).toMatchObject({
      state: 'no',
      reason: 'Take the first course before',
    });
    // Answered, it is answered: somebody else's yes comes too late.
    expect((await decide({ say: 'yes', people })).status).toBe(200);
    expect((await ways()).learners).toEqual([]);
    expect(is(await ask(hye, 'I have taken it'))).toEqual([200, 'asked']);
    expect((await decide({ say: 'yes', people })).body).toMatchObject({ stopped: [] });
    expect((await ways()).learners).toEqual([{ way: 'request', count: 1 }]);
    expect(await letters()).toEqual(['accepted hye', 'asked ines', 'asked ines', 'refused hye']);
    await hye.get(`/api/learn/${id}`).expect(200);
  });

  test('a yes does not go beyond the seats: whoever asked first has it, the next waits; without a line it stays open', async () => {
    await ask(hye, 'Mud');
    later(1);
    await ask(kenji, 'Sand');
    const people = (await ways()).requests.map(({ person }) => person);
    await decide({ say: 'yes', people: [...people].reverse() });
    expect((await ways()).learners).toEqual([{ way: 'request', count: 1 }]);
    expect((await ways()).waiting).toMatchObject([
      { name: 'Kenji Morisawa', way: 'request', line: 'course' },
    ]);
    await changeCourse(ines, id, [setting(id, 'line', false, true)]);
    expect((await ask(noor, 'Water')).status).toBe(403);
    await changeCourse(ines, id, [setting(id, 'seats', 2, 1)]);
    await server.jobs.runNow();
    // Offered on the request, it is taken without another question.
    expect(is(await known(kenji, { way: 'request' }))).toEqual([200, 'in']);
  });

  test('asked in time, it is answered in time', async () => {
    await ask(hye, 'Mud');
    const closed = { ...WAY, question: 'What do you want to find out?' };
    const closes = { kind: 'fixed', day: '2027-02-16', time: null };
    await changeCourse(ines, id, [setting(id, 'ways.request', { ...closed, closes }, closed)]);
    later(48);
    expect((await ask(kenji, 'Sand')).status).toBe(403);
    const people = (await ways()).requests.map(({ person }) => person);
    expect((await decide({ say: 'yes', people })).body).toMatchObject({ stopped: [] });
    expect((await ways()).learners).toEqual([{ way: 'request', count: 1 }]);
  });

  test('whoever may not know of the course gets nothing by any of it', async () => {
    await changeCourse(ines, id, [setting(id, 'find', 'members', 'here')]);
    await hye.get(`/api/join/to/${id}`).expect(404);
    expect((await ask(hye, 'Mud')).status).toBe(404);
    await hye.delete(`/api/join/to/${id}`).expect(404);
    await hye.get(`/api/courses/${id}/ways`).expect(404);
    expect(await rows('select * from join_request where course_id = ?', [id])).toEqual([]);
  });
});
