/** Taking a quiz: begun once, kept as it is answered, ended by whoever answers or by its time, judged on the server. */
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import type { Course } from '@itinerary/core';
import type { Agent } from 'supertest';
import { toldClock } from '../../src/config/clock.ts';
import { said } from '../support/coursework.ts';
import { openQuiz, QUESTIONS, rightAnswers } from '../support/quiz.ts';
import type { QuizCourse } from '../support/quiz.ts';
import { changeCourse, setting, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

const BEGIN = '2027-03-02T09:00:00.000Z';
const clock = toldClock(BEGIN);
const later = (ms: number): string => new Date(Date.parse(BEGIN) + ms).toISOString();
const MINUTE = 60_000;

let server: TestServer;
let ines: Agent;
let noor: Agent;
let hye: Agent;
let made = 0;
const quiz = (settings: object = {}): Promise<QuizCourse> =>
  openQuiz(server, ines, `QUIZ-${(made += 1)}`, settings);
const rows = (sql: string, values: readonly unknown[] = []): Promise<Record<string, unknown>[]> =>
  server.database.em.fork().execute(sql, [...values]);

beforeAll(async () => {
  server = await testServer({ clock });
  [ines, noor, hye] = await Promise.all([
    signedIn(server, 'instructor'),
    signedIn(server, 'learner'),
    signedIn(server, 'outsider'),
  ]);
});
afterAll(() => server.stop());
beforeEach(() => clock.tell(BEGIN));

describe('an attempt', () => {
  test('one of each kind, answered right: the points but for what staff look at; a receipt; the score waits', async () => {
    const its = await quiz();
    expect(await its.look(noor)).toMatchObject({ questions: 8, total: 12, fault: null, open: null });
    const attempt = await its.begin(noor);
    const begun = await its.look(noor);
    expect(begun.open?.questions).toHaveLength(8);
    for (const [question, answer] of Object.entries(rightAnswers(begun)))
      expect((await its.answer(noor, attempt, question, answer)).body).toMatchObject({ version: 1 });
    const kept = await its.look(noor);
    expect(kept.open?.answers.map(({ question }) => question).sort()).toEqual(
      Object.keys(rightAnswers(begun)).sort(),
    );
    expect(kept.open?.answers.find(({ question }) => question === 'steps')?.answer).toEqual(
      rightAnswers(begun)['steps'],
    );
    clock.tell(later(5 * MINUTE));
    const ended = (await its.end(noor, attempt)).body as typeof kept;
    expect(ended.attempts).toMatchObject([
      { number: 1, ended: later(5 * MINUTE), endedBy: 'hand', isLate: false, points: 8, isFinal: false },
    ]);
    expect(ended.attempts[0]?.hash).toMatch(/^[0-9a-f]{64}$/);
    expect(ended.result).toEqual({ points: 8, share: 8 / 12, isFinal: false, hasPassed: null });
    // What is not final meets no rule.
    expect(await rows('select score, done_at from deed where course_id = ?', [its.id])).toEqual([
      { score: null, done_at: null },
    ]);
    expect((await its.end(noor, attempt)).body).toMatchObject({ attempts: [{ ended: later(5 * MINUTE) }] });
  });

  test('of eight windows that begin at once one attempt comes, and it is under way for all of them', async () => {
    const its = await quiz();
    const answers = await Promise.all(Array.from({ length: 8 }, () => its.tryBegin(noor)));
    expect(answers.map(({ status }) => status).sort()).toEqual([200, ...Array<number>(7).fill(409)]);
    expect(answers.filter(({ status }) => status === 409).map(said)).toEqual(
      Array(7).fill([409, 'cannot_hand_in', 'under_way']),
    );
    const id = randomUUID();
    const other = await quiz();
    const same = await Promise.all(Array.from({ length: 8 }, () => other.tryBegin(noor, id)));
    expect(same.map(({ status }) => status)).toEqual(Array(8).fill(200));
    expect((await other.look(noor)).tries.used).toBe(1);
    expect(said(await its.tryBegin(hye, id))).toEqual([409, 'cannot_hand_in', 'known']);
  });

  test('what is built on another answer is not taken; of eight at once one is', async () => {
    const its = await quiz();
    const attempt = await its.begin(noor);
    const put = (version: number, text: string) =>
      its.answer(noor, attempt, 'notes', { kind: 'long', text }, version);
    const all = await Promise.all(Array.from({ length: 8 }, (_, at) => put(0, `first ${at}`)));
    expect(all.map(({ status }) => status).sort()).toEqual([200, ...Array<number>(7).fill(409)]);
    expect((await put(1, 'second')).body).toMatchObject({ version: 2 });
    expect(said(await put(1, 'stale'))).toEqual([409, 'changed_elsewhere', 'version']);
    expect(said(await put(7, 'from nowhere'))).toEqual([409, 'changed_elsewhere', 'version']);
    expect((await its.look(noor)).open?.answers).toMatchObject([{ answer: { text: 'second' }, version: 2 }]);
  });

  test('nothing is handed in that whoever hands it in has not before them', async () => {
    const its = await quiz();
    const attempt = await its.begin(noor);
    const hand = (answers: object) => noor.post(`${its.at}/attempts/${attempt}/handed`).send({ answers });
    await its.answer(noor, attempt, 'tide', { kind: 'truth', chosen: true });
    for (const seen of [{}, { tide: 2 }, { mud: 1 }, { tide: 1, mud: 1 }])
      expect(said(await hand(seen))).toEqual([409, 'changed_elsewhere', 'answers']);
    expect((await its.look(noor)).attempts[0]?.ended).toBeNull();
    expect((await hand({ tide: 1 })).status).toBe(200);
  });

  test('a question that was taken out meanwhile keeps nobody from handing in', async () => {
    const its = await quiz();
    const attempt = await its.begin(noor);
    await its.answer(noor, attempt, 'tide', { kind: 'truth', chosen: true });
    await its.answer(noor, attempt, 'notes', { kind: 'long', text: 'Mud.' });
    await its.set('questions.notes', null, QUESTIONS['notes']);
    expect((await its.end(noor, attempt)).status).toBe(200);
    expect((await its.look(noor)).attempts[0]).toMatchObject({ points: 1, isFinal: true, endedBy: 'hand' });
  });

  test('its time ends it: the last millisecond counts, the first after it is kept apart', async () => {
    const its = await quiz({ limit: 10 });
    const attempt = await its.begin(noor);
    expect((await its.look(noor)).attempts[0]?.end).toBe(later(10 * MINUTE));
    clock.tell(later(10 * MINUTE - 1));
    const yes = { kind: 'truth', chosen: true } as const;
    expect((await its.answer(noor, attempt, 'tide', yes)).status).toBe(200);
    clock.tell(later(10 * MINUTE));
    expect(said(await its.answer(noor, attempt, 'mud', { kind: 'single', chosen: null }))).toEqual([
      409,
      'cannot_hand_in',
      'over',
    ]);
    expect(await rows('select question_id from quiz_late_answer where attempt_id = ?', [attempt])).toEqual([
      { question_id: 'mud' },
    ]);
    const [ended] = (await its.look(noor)).attempts;
    expect(ended).toMatchObject({ ended: later(10 * MINUTE - 1), endedBy: 'time', points: 1, isFinal: true });
    // By handing in nothing more is changed.
    expect((await its.end(noor, attempt)).status).toBe(200);
    expect((await its.look(noor)).attempts).toEqual([ended]);
  });

  test('somebody has more time, a group has, and whoever has both their own; elsewhere there is none to have', async () => {
    const its = await quiz({ limit: 10 });
    const more = (factor: number, node = its.item) =>
      ines
        .put(`/api/courses/${its.id}/exceptions/${randomUUID()}`)
        .send({ person: its.noor, node, opens: null, due: null, until: null, factor });
    expect((await more(1.5)).body).toMatchObject({ exceptions: [{ factor: 1.5 }] });
    const group = { name: 'Boat', kind: 'group', at: 1 };
    const ofGroup = { for: 'g', node: its.item, opens: null, due: null, until: null, factor: 2, at: 1 };
    await changeCourse(ines, its.id, [
      setting(its.id, 'groups.g', group),
      setting(its.id, 'exceptions.e', ofGroup),
    ]);
    for (const person of [its.noor, its.hye])
      await ines
        .put(`/api/courses/${its.id}/members/${person}/groups`)
        .send({ groups: ['g'] })
        .expect(200);
    await its.begin(noor);
    await its.begin(hye);
    expect((await its.look(noor)).attempts[0]?.end).toBe(later(15 * MINUTE));
    expect((await its.look(hye)).attempts[0]?.end).toBe(later(20 * MINUTE));
    expect(said(await more(0.5))).toEqual([400, 'bad_input', 'factor']);
    const { course } = (await ines.get(`/api/courses/${its.id}/plan`)).body as { course: Course };
    expect(said(await more(2, course.sections[0]?.id))).toEqual([400, 'bad_input', 'factor']);
  });

  test('the last moment at which anything is taken ends it too, with its grace, or a late end', async () => {
    const its = await quiz({ limit: 120, grace: 5 });
    // Due at noon in Lisbon, and the minute counts.
    clock.tell('2027-03-05T11:30:00.000Z');
    const attempt = await its.begin(noor);
    expect((await its.look(noor)).attempts[0]?.end).toBe('2027-03-05T12:06:00.000Z');
    // Of the grace as such nobody is told.
    expect((await its.look(noor)).takenTo).toBe('2027-03-05T12:01:00.000Z');
    await its.answer(noor, attempt, 'tide', { kind: 'truth', chosen: true });
    clock.tell('2027-03-05T12:30:00.000Z');
    expect((await its.look(noor)).attempts).toMatchObject([
      { ended: '2027-03-05T12:05:59.999Z', endedBy: 'time', isLate: false },
    ]);
    expect(said(await its.tryBegin(noor))).toEqual([409, 'cannot_hand_in', 'over']);
  });

  test('handed in after the due minute it is late, and an answer that waits while it ends does not count', async () => {
    const its = await quiz({ lateUntil: { kind: 'fixed', day: '2027-03-06', time: '12:00' } });
    clock.tell('2027-03-05T12:30:00.000Z');
    const attempt = await its.begin(noor);
    await its.answer(noor, attempt, 'tide', { kind: 'truth', chosen: true });
    const other = server.database.em.fork();
    await other.begin();
    await other.execute('select id from quiz_attempt where id = ? for update', [attempt]);
    // It has looked at the attempt, which is under way, and waits to write.
    const waiting = Promise.resolve(its.answer(noor, attempt, 'mud', { kind: 'single', chosen: null }));
    const isWaiting = async (): Promise<boolean> =>
      (
        await rows(
          `select pid from pg_stat_activity where wait_event_type = 'Lock' and query like 'with open as%'`,
        )
      ).length > 0;
    const sent = waiting.then(said);
    while (!(await isWaiting())) await new Promise((resolve) => setTimeout(resolve, 20));
    await other.execute(`update quiz_attempt set ended = ?, ended_by = 'hand', judged = '[]' where id = ?`, [
      '2027-03-05T12:30:00.000Z',
      attempt,
    ]);
    await other.commit();
    expect(await sent).toEqual([409, 'cannot_hand_in', 'over']);
    expect(await rows('select question_id from quiz_answer where attempt_id = ?', [attempt])).toEqual([
      { question_id: 'tide' },
    ]);
    const theirs = await its.begin(hye);
    await its.answer(hye, theirs, 'tide', { kind: 'truth', chosen: true });
    await its.end(hye, theirs);
    expect((await its.look(hye)).attempts[0]).toMatchObject({ isLate: true, endedBy: 'hand' });
  });

  test('though nobody looks it ends by itself; with nothing in it nothing is handed in', async () => {
    const its = await quiz({ limit: 10, done: { by: 'handed_in' } });
    await its.begin(noor);
    const answered = await its.begin(hye);
    await its.answer(hye, answered, 'tide', { kind: 'truth', chosen: false });
    clock.tell(later(11 * MINUTE));
    await rows(`update graphile_worker._private_jobs set run_at = now() where key like 'attempt %'`);
    await server.jobs.runNow();
    expect(
      await rows('select ended, ended_by from quiz_attempt where course_id = ? order by ended_by', [its.id]),
    ).toEqual([
      { ended: later(10 * MINUTE - 1), ended_by: 'nothing' },
      { ended: later(10 * MINUTE - 1), ended_by: 'time' },
    ]);
    const done = await rows('select person_id from deed where course_id = ? and done_at is not null', [
      its.id,
    ]);
    expect(done).toEqual([{ person_id: its.hye }]);
  });

  test('as often as it may be, with a wait between; what is required is asked back for', async () => {
    const its = await quiz({ tries: 2, wait: 30 });
    await its.set('questions.tide', {
      ...{ at: 3, kind: 'truth', text: 'Two high tides a day?', right: true },
      ...{ why: '', points: 1, required: true, pool: null },
    });
    const first = await its.begin(noor);
    expect(said(await its.end(noor, first))).toEqual([409, 'cannot_hand_in', 'required']);
    await its.answer(noor, first, 'tide', { kind: 'truth', chosen: false });
    expect((await its.end(noor, first)).status).toBe(200);
    expect(said(await its.tryBegin(noor))).toEqual([409, 'cannot_hand_in', 'wait']);
    expect(await its.look(noor)).toMatchObject({ fault: 'wait', from: later(30 * MINUTE) });
    clock.tell(later(30 * MINUTE));
    const second = await its.begin(noor);
    await its.answer(noor, second, 'tide', { kind: 'truth', chosen: true });
    await its.end(noor, second);
    clock.tell(later(120 * MINUTE));
    expect(said(await its.tryBegin(noor))).toEqual([409, 'cannot_hand_in', 'no_tries']);
    expect((await its.look(noor)).result?.points).toBe(1);
    await its.set('counts', 'average', 'best');
    expect((await its.look(noor)).result?.points).toBe(0.5);
  });

  test('somebody else’s attempt is nothing, answers of another kind or size are none, and staff take none', async () => {
    const its = await quiz();
    const attempt = await its.begin(noor);
    const yes = { kind: 'truth', chosen: true } as const;
    expect((await its.answer(hye, attempt, 'tide', yes)).status).toBe(404);
    expect((await its.end(hye, attempt)).status).toBe(404);
    expect((await hye.get(its.at).query({ attempt })).status).toBe(404);
    expect((await its.answer(noor, attempt, 'nowhere', yes)).status).toBe(404);
    expect(said(await its.answer(noor, attempt, 'mud', yes))).toEqual([400, 'bad_input', 'answer.kind']);
    const long = { kind: 'long', text: 'a'.repeat(1_000_000) } as const;
    expect([400, 413]).toContain((await its.answer(noor, attempt, 'notes', long)).status);
    expect(said(await its.tryBegin(ines))).toEqual([409, 'cannot_hand_in', 'item']);
    // What it names and does not know was not chosen.
    await its.answer(noor, attempt, 'mud', { kind: 'single', chosen: 'cockle' });
    await its.end(noor, attempt);
    expect((await its.look(noor)).attempts[0]?.points).toBe(0);
  });
});
