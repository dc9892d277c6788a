/** What staff make of a quiz: answers that are alike marked at once, how questions went, and all judged anew. */
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import type { AlikeAnswers, AnewAnswer, QuizAnswer } from '@itinerary/contract';
import type { Course } from '@itinerary/core';
import type { Agent } from 'supertest';
import { toldClock } from '../../src/config/clock.ts';
import { said } from '../support/coursework.ts';
import { called, openQuiz, QUESTIONS, rightAnswers } from '../support/quiz.ts';
import type { QuizCourse } from '../support/quiz.ts';
import { changeCourse, setting, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

const BEGIN = '2027-03-02T09:00:00.000Z';

let server: TestServer;
let ines: Agent;
let adaeze: Agent;
let noor: Agent;
let hye: Agent;
let made = 0;
let its: QuizCourse;

const rows = (sql: string, values: readonly unknown[] = []): Promise<Record<string, unknown>[]> =>
  server.database.em.fork().execute(sql, [...values]);

beforeAll(async () => {
  server = await testServer({ clock: toldClock(BEGIN) });
  [ines, adaeze, noor, hye] = await Promise.all([
    signedIn(server, 'instructor'),
    signedIn(server, 'assistant'),
    signedIn(server, 'learner'),
    signedIn(server, 'outsider'),
  ]);
});
afterAll(() => server.stop());
beforeEach(async () => {
  its = await openQuiz(server, ines, `QMARK-${(made += 1)}`);
});

/** Takes it, with these answers and no others. */
async function take(agent: Agent, answers: Readonly<Record<string, QuizAnswer>>): Promise<string> {
  const attempt = await its.begin(agent);
  for (const [question, answer] of Object.entries(answers))
    expect((await its.answer(agent, attempt, question, answer)).status).toBe(200);
  expect((await its.end(agent, attempt)).status).toBe(200);
  return attempt;
}
const alike = async (question: string, agent = ines): Promise<AlikeAnswers> =>
  (await agent.get(`${its.desk}/questions/${question}`).expect(200)).body as AlikeAnswers;
const mark = (question: string, body: object, agent = ines) =>
  agent.post(`${its.desk}/questions/${question}/marks`).send({ comment: '', ...body });
const of = (group: AlikeAnswers['answers'][number] | undefined) =>
  (group?.from ?? []).map(({ attempt, mark: after }) => ({ attempt, after }));

describe('marking by question', () => {
  test('what says the same is marked once for all, by an assistant too; every mark is kept, and the result is final', async () => {
    const zostera = (text: string): QuizAnswer => ({ kind: 'short', text });
    await take(noor, { grass: zostera('Eel grass'), tide: { kind: 'truth', chosen: true } });
    await take(hye, { grass: zostera('  EEL   GRÂSS ') });
    const [group, ...others] = (await alike('grass')).answers;
    expect([group?.from.length, group?.isOpen, others]).toEqual([2, true, []]);
    expect((await its.list()).people.map(({ isFinal }) => isFinal)).toEqual([false, false]);
    const marked = await mark('grass', { answers: of(group), points: 0.5, comment: 'Nearly' }, adaeze);
    expect(marked.status).toBe(200);
    expect((marked.body as AlikeAnswers).answers).toMatchObject([
      { isOpen: false, share: 0.5, mark: { points: 0.5, comment: 'Nearly' } },
    ]);
    // Somebody who looked at it before sees that it has been marked.
    expect(said(await mark('grass', { answers: of(group), points: 1 }))).toEqual([
      409,
      'changed_elsewhere',
      'after',
    ]);
    const [again] = (await alike('grass')).answers;
    expect(said(await mark('grass', { answers: of(again), points: 1.5 }))).toEqual([
      400,
      'bad_input',
      'points',
    ]);
    expect((await mark('grass', { answers: of(again), points: 1 })).status).toBe(200);
    expect(await rows('select points from quiz_mark order by at, points')).toHaveLength(4);
    expect((await its.list()).people).toMatchObject([
      { points: 1, isFinal: true },
      { points: 2, isFinal: true },
    ]);
    const own = await its.look(noor);
    expect(own.result).toMatchObject({ points: 2, isFinal: true });
    const told = (await its.look(noor, own.attempts[0]!.id)).open?.told;
    expect(told?.find(({ question }) => question === 'grass')).toMatchObject({ share: 1, comment: '' });
    const deeds = await rows('select score from deed where course_id = ? and person_id = ?', [
      its.id,
      its.noor,
    ]);
    expect(deeds).toEqual([{ score: (2 / 12) * 100 }]);
  });

  test('of eight at once one mark stands; what was not answered, or is under way, is not marked', async () => {
    const attempt = await take(noor, { notes: { kind: 'long', text: 'Mud.' } });
    const all = await Promise.all(
      Array.from({ length: 8 }, () => mark('notes', { answers: [{ attempt, after: null }], points: 3 })),
    );
    expect(all.map(({ status }) => status).sort()).toEqual([200, ...Array<number>(7).fill(409)]);
    expect(await rows('select id from quiz_mark where attempt_id = ?', [attempt])).toHaveLength(1);
    const nothing = { answers: [{ attempt, after: null }], points: 1 };
    expect(said(await mark('grass', nothing))).toEqual([400, 'bad_input', 'answers']);
    const open = await its.begin(hye);
    await its.answer(hye, open, 'notes', { kind: 'long', text: 'Sand.' });
    expect(said(await mark('notes', { answers: [{ attempt: open, after: null }], points: 1 }))).toEqual([
      400,
      'bad_input',
      'answers',
    ]);
    expect((await mark('notes', nothing, noor)).status).toBe(403);
    expect((await noor.get(its.desk)).status).toBe(403);
  });
});

test('how each question went: who was asked, who had it right, what waits for staff', async () => {
  const attempt = await its.begin(noor);
  const right = rightAnswers(await its.look(noor));
  for (const [question, answer] of Object.entries(right)) await its.answer(noor, attempt, question, answer);
  await its.end(noor, attempt);
  await take(hye, { tide: { kind: 'truth', chosen: false } });
  const { questions } = await its.list();
  expect(
    questions.map(({ number, asked, unanswered, open, right: share }) => [
      number,
      asked,
      unanswered,
      open,
      share,
    ]),
  ).toEqual([
    [1, 2, 1, 0, 0.5],
    [2, 2, 1, 0, 0.5],
    [3, 2, 0, 0, 0.5],
    [4, 2, 1, 0, 0.5],
    [5, 2, 1, 0, 0.5],
    [6, 2, 1, 0, 0.5],
    [7, 2, 1, 0, 0.5],
    [8, 2, 1, 1, 0],
  ]);
});

describe('a question mended', () => {
  const anew = async (): Promise<AnewAnswer> =>
    (await ines.get(`${its.desk}/anew`).expect(200)).body as AnewAnswer;

  test('who it moves is shown first, exactly that is done, and nobody’s share of an answer is lowered', async () => {
    const shown = await its.begin(noor);
    const look = await its.look(noor);
    await its.answer(noor, shown, 'mud', { kind: 'single', chosen: called(look, 'mud', 'Limpet') });
    await its.end(noor, shown);
    const other = await its.begin(hye);
    const theirs = await its.look(hye);
    await its.answer(hye, other, 'mud', { kind: 'single', chosen: called(theirs, 'mud', 'Cockle') });
    await its.end(hye, other);
    expect(await anew()).toMatchObject({ attempts: 0, people: [] });
    await its.set('questions.mud', { ...QUESTIONS['mud'], right: 'limpet', points: 3 });
    const preview = await anew();
    expect(
      preview.people.map(({ person, from, to }) => [person === its.noor, from?.points, to?.points]),
    ).toEqual(
      expect.arrayContaining([
        [true, 0, 3],
        [false, 1, 3],
      ]),
    );
    // As it was judged until somebody says so.
    expect((await its.look(noor)).attempts[0]?.points).toBe(0);
    await its.set('questions.mud', { ...QUESTIONS['mud'], right: 'limpet', points: 2 });
    const judge = (token: string) => ines.post(`${its.desk}/anew`).send({ token });
    expect(said(await judge(preview.token))).toEqual([409, 'changed_elsewhere', 'token']);
    const both = await Promise.all(Array.from({ length: 4 }, async () => judge((await anew()).token)));
    expect(both.some(({ status }) => status === 200)).toBe(true);
    expect((await its.list()).people.map(({ points }) => points)).toEqual([2, 2]);
    expect((await its.look(noor)).result?.points).toBe(2);
    expect(await anew()).toMatchObject({ attempts: 0, people: [] });
  });

  test('while the quiz is held, it is asked and judged as learners have it, whatever has been written since', async () => {
    const { course } = (await ines.get(`/api/courses/${its.id}/plan`).expect(200)).body as { course: Course };
    const node = course.sections[0]?.items[0];
    const hold = setting(its.id, `heldBack.${its.item}`, { node, release: null });
    await changeCourse(ines, its.id, [hold]);
    await its.set('questions.tide', { ...QUESTIONS['tide'], right: false, text: 'Rewritten?' });
    await take(noor, { tide: { kind: 'truth', chosen: true } });
    expect((await its.look(noor)).result?.points).toBe(1);
    expect((await its.list()).questions[2]?.text).toBe('Two high tides a day?');
    expect(await anew()).toMatchObject({ attempts: 0 });
    await changeCourse(ines, its.id, [
      setting(its.id, `heldBack.${its.item}`, null, { node, release: null }),
    ]);
    // Released, it is another question; what was reached stays until all are judged anew, and then too.
    expect(await anew()).toMatchObject({ attempts: 0 });
    await take(hye, { tide: { kind: 'truth', chosen: true } });
    expect((await its.look(hye)).result?.points).toBe(0);
  });

  test('a question that was taken out counts no more', async () => {
    await take(noor, { tide: { kind: 'truth', chosen: true } });
    await its.set('questions.notes', null, QUESTIONS['notes']);
    const { token, people } = await anew();
    expect(people).toEqual([
      {
        person: its.noor,
        name: expect.any(String),
        from: { points: 1, share: 1 / 12 },
        to: { points: 1, share: 1 / 8 },
      },
    ]);
    await ines.post(`${its.desk}/anew`).send({ token }).expect(200);
    expect((await its.look(noor)).result).toMatchObject({ points: 1, share: 1 / 8 });
  });
});
