/** A meeting: what is shown before and after it, being there by a code, and the list that staff keep. */
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import type { AttendanceAnswer, MeetingAnswer } from '@itinerary/contract';
import { newItem } from '@itinerary/core';
import type { Meeting } from '@itinerary/core';
import type { Agent, Response } from 'supertest';
import { toldClock } from '../../src/config/clock.ts';
import { castOf, openWith, said } from '../support/coursework.ts';
import { changeCourse, putOn, setting, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

const BEGIN = '2027-03-05T09:30:00.000Z';
const clock = toldClock(BEGIN);
const MINUTE = 60_000;
const at = (minutes: number): string => new Date(Date.parse(BEGIN) + minutes * MINUTE).toISOString();
const ROOM = 'https://rooms.example/mudflat';
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

async function open(settings: Partial<Meeting> = {}) {
  const node = {
    ...newItem('meeting', { id: '', title: 'Mudflat visit' }),
    ...{ held: { kind: 'fixed', day: '2027-03-05', time: '09:30' }, minutes: 90, room: ROOM },
    ...{ attendance: 'code', afterwards: 'Bring the logs.', recording: `${ROOM}/again` },
    ...{ done: { by: 'attended' } },
    ...settings,
  };
  const course = await openWith(server, ines, `MEET-${(made += 1)}`, node as never);
  const own = `/api/learn/${course.id}/items/${course.item}/meeting`;
  const desk = `/api/courses/${course.id}/items/${course.item}/meeting`;
  return {
    ...{ ...course, own, desk },
    look: async (agent: Agent): Promise<MeetingAnswer> =>
      (await agent.get(own).expect(200)).body as MeetingAnswer,
    list: async (agent: Agent = ines): Promise<AttendanceAnswer> =>
      (await agent.get(desk).expect(200)).body as AttendanceAnswer,
    here: (agent: Agent, code: string): PromiseLike<Response> => agent.post(`${own}/here`).send({ code }),
    code: async (id: string = randomUUID()): Promise<string> => {
      const { body } = await ines.post(`${desk}/codes`).send({ id }).expect(200);
      return (body as AttendanceAnswer).code?.code ?? '';
    },
    say: (agent: Agent, ...people: object[]): PromiseLike<Response> =>
      agent.put(`${desk}/people`).send({ people }),
    set: (field: string, value: unknown, was: unknown) =>
      changeCourse(ines, course.id, [setting(course.item, field, value, was)]),
    done: () => rows('select person_id from deed where course_id = ? and done_at is not null', [course.id]),
  };
}
const one = (person: string, attended: string | null, was: string | null = null): object => ({
  ...{ person, attended, was },
});

beforeAll(async () => {
  server = await testServer({ clock });
  ({ ines, adaeze, noor, hye, visitor } = await castOf(server));
});
afterAll(() => server.stop());
beforeEach(async () => {
  clock.tell(at(-1));
  its = await open();
});

describe('a meeting', () => {
  test('has its room until it is over, and from then on what is left of it', async () => {
    expect(await its.look(noor)).toMatchObject({
      ...{ phase: 'before', begins: BEGIN, ends: at(90), room: ROOM, afterwards: null, recording: null },
    });
    clock.tell(BEGIN);
    expect((await its.look(noor)).phase).toBe('now');
    clock.tell(at(90 - 0.001));
    expect(await its.look(noor)).toMatchObject({ phase: 'now', room: ROOM });
    clock.tell(at(90));
    expect(await its.look(noor)).toMatchObject({
      ...{ phase: 'over', room: null, afterwards: 'Bring the logs.', recording: `${ROOM}/again` },
    });
    await its.set('held', null, { kind: 'fixed', day: '2027-03-05', time: '09:30' });
    expect(await its.look(noor)).toMatchObject({ phase: 'undated', begins: null, room: ROOM });
  });

  test('its room is for those who take part', async () => {
    await putOn(ines, its.id, 'kenji', 'visitor');
    await changeCourse(ines, its.id, [setting(its.id, 'visitors', 'anyone', 'off')]);
    const seen = await visitor.get(its.own);
    expect([200, 404]).toContain(seen.status);
    expect(JSON.stringify(seen.body)).not.toContain(ROOM);
    clock.tell(at(100));
    expect(JSON.stringify((await visitor.get(its.own)).body)).not.toContain('Bring the logs');
  });
});

describe('being there', () => {
  test('by the code that is good now, typed as people type it; ten minutes, and not a millisecond more', async () => {
    expect(said(await its.here(noor, 'ABC234'))).toEqual([409, 'cannot_hand_in', 'code']);
    const code = await its.code();
    expect(code).toMatch(/^[0-9A-Z]{6}$/);
    expect(await its.look(noor)).toMatchObject({ mine: null, mayEnter: true });
    const answer = await its.here(noor, ` ${code.slice(0, 3).toLowerCase()}-${code.slice(3)} `);
    expect(answer.body).toMatchObject({ mine: 'there', mayEnter: false });
    expect((await its.here(noor, code)).status).toBe(200);
    expect(await its.done()).toEqual([{ person_id: its.noor }]);
    clock.tell(at(9 - 0.001));
    expect((await its.list()).code?.code).toBe(code);
    clock.tell(at(9));
    expect(said(await its.here(hye, code))).toEqual([409, 'cannot_hand_in', 'code']);
    expect((await its.list()).code).toBeNull();
    expect(await its.list()).toMatchObject({
      people: expect.arrayContaining([
        expect.objectContaining({ person: its.noor, attended: 'there', byCode: true, by: null }),
      ]),
    });
  });

  test('a new code ends the one before; asked for again it is the same; eight at once are one', async () => {
    const id = randomUUID();
    const codes = await Promise.all(Array.from({ length: 8 }, () => its.code(id)));
    expect(new Set(codes).size).toBe(1);
    const next = await its.code();
    expect(next).not.toBe(codes[0]);
    expect(said(await its.here(noor, codes[0] ?? ''))).toEqual([409, 'cannot_hand_in', 'code']);
    const all = await Promise.all(Array.from({ length: 8 }, () => its.here(noor, next)));
    expect(all.map(({ status }) => status)).toEqual(Array(8).fill(200));
    expect(await rows('select person_id from attendance where course_id = ?', [its.id])).toHaveLength(1);
  });

  test('guessing is stopped after ten, and keeps nobody else out', async () => {
    const code = await its.code();
    for (let tries = 0; tries < 10; tries += 1)
      expect(said(await its.here(noor, 'AAAAAA'))[1]).toBe('cannot_hand_in');
    expect((await its.here(noor, code)).status).toBe(429);
    expect((await its.here(hye, code)).status).toBe(200);
  });

  test('nobody but a learner to whom it is open, and only where codes are taken', async () => {
    const code = await its.code();
    expect(said(await its.here(adaeze, code))).toEqual([409, 'cannot_hand_in', 'item']);
    expect((await its.here(visitor, code)).status).toBe(404);
    expect((await noor.post(`${its.desk}/codes`).send({ id: randomUUID() })).status).toBe(403);
    await its.set('attendance', 'list', 'code');
    expect(said(await its.here(noor, code))).toEqual([409, 'cannot_hand_in', 'item']);
    expect(said(await ines.post(`${its.desk}/codes`).send({ id: randomUUID() }))[1]).toBe('cannot_hand_in');
    const other = await open();
    expect(said(await other.here(noor, code))).toEqual([409, 'cannot_hand_in', 'code']);
  });
});

describe('the list', () => {
  test('says who was there, all of what is said or none, built on what stood there', async () => {
    expect((await its.list(adaeze)).people.map(({ person }) => person).sort()).toEqual(
      [its.noor, its.hye].sort(),
    );
    expect((await its.say(adaeze, one(its.noor, 'late'), one(its.hye, 'away'))).status).toBe(200);
    expect(await its.done()).toEqual([{ person_id: its.noor }]);
    expect(said(await its.say(ines, one(its.hye, 'there', 'away'), one(its.noor, 'away', null)))).toEqual([
      ...[409, 'changed_elsewhere', 'people'],
    ]);
    const { people } = await its.list();
    expect(people.map(({ attended, by }) => [attended, by])).toEqual([
      ['away', 'Adaeze Okpara'],
      ['late', 'Adaeze Okpara'],
    ]);
    expect(await its.look(noor)).toMatchObject({ mine: 'late' });
  });

  test('taken back, whoever was done is not; of eight who say at once one is taken', async () => {
    await its.say(ines, one(its.noor, 'there'));
    const all = await Promise.all(
      Array.from({ length: 8 }, () => its.say(ines, one(its.noor, 'excused', 'there'))),
    );
    expect(all.map(({ status }) => status).sort()).toEqual([200, ...Array<number>(7).fill(409)]);
    expect(await its.done()).toEqual([]);
    await its.say(ines, one(its.noor, 'there', 'excused'));
    expect(await its.done()).toHaveLength(1);
    expect((await its.say(ines, one(its.noor, null, 'there'))).status).toBe(200);
    expect([(await its.look(noor)).mine, await its.done()]).toEqual([null, []]);
  });

  test('what staff have said stands against a code, and who does not learn here is not on it', async () => {
    await its.say(ines, one(its.noor, 'away'));
    const code = await its.code();
    expect((await its.here(noor, code)).body).toMatchObject({ mine: 'away' });
    expect(said(await its.say(ines, one('nobody', 'there')))).toEqual([400, 'bad_input', 'people']);
    expect(said(await its.say(ines, one(its.hye, 'there'), one(its.hye, 'away')))[1]).toBe('bad_input');
    expect((await its.say(noor, one(its.noor, 'there', 'away'))).status).toBe(403);
    expect((await noor.get(its.desk)).status).toBe(403);
  });
});
