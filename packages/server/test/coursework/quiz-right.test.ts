/** What an attempt shows of the quiz, and when: what is right is told by no route before it may be, and what is drawn stays. */
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import type { Agent } from 'supertest';
import { toldClock } from '../../src/config/clock.ts';
import { said } from '../support/coursework.ts';
import { png } from '../support/pictures.ts';
import { openQuiz, QUESTIONS, SECRET } from '../support/quiz.ts';
import type { QuizCourse } from '../support/quiz.ts';
import { signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

const BEGIN = '2027-03-02T09:00:00.000Z';
const clock = toldClock(BEGIN);

let server: TestServer;
let ines: Agent;
let noor: Agent;
let made = 0;
const quiz = (settings: object = {}): Promise<QuizCourse> =>
  openQuiz(server, ines, `RIGHT-${(made += 1)}`, settings);

beforeAll(async () => {
  server = await testServer({ clock });
  [ines, noor] = await Promise.all([signedIn(server, 'instructor'), signedIn(server, 'learner')]);
});
afterAll(() => server.stop());
beforeEach(() => clock.tell(BEGIN));

describe('what is right', () => {
  const secrets = (body: unknown): boolean => JSON.stringify(body).includes(SECRET);

  test('is told by no route before it may be, and neither names nor order give it away', async () => {
    const its = await quiz({ reveals: 'over' });
    const attempt = await its.begin(noor);
    const shown = await its.look(noor);
    const text = JSON.stringify(shown);
    for (const word of ['cockle', '"s1"', '"r1"', '"l1"']) expect(text).not.toContain(word);
    const others = await Promise.all([
      noor.get(`/api/learn/${its.id}`),
      noor.get(`/api/learn/${its.id}/items/${its.item}`),
      noor.get(its.desk),
      noor.get(`${its.desk}/questions/grass`),
      noor.get(`/api/courses/${its.id}/plan`),
    ]);
    expect(others.map(({ status }) => status)).toEqual([200, 200, 403, 403, 403]);
    for (const { body } of [{ body: shown }, ...others]) expect(secrets(body)).toBe(false);
    await its.answer(noor, attempt, 'tide', { kind: 'truth', chosen: true });
    const ended = (await its.end(noor, attempt)).body as typeof shown;
    expect([secrets(ended), ended.open?.told]).toEqual([false, []]);
    clock.tell('2027-03-05T12:01:00.000Z');
    const over = await its.look(noor, attempt);
    expect([secrets(over), over.open?.told.length]).toEqual([true, 8]);
  });

  test('a picture to choose is had once it is asked, under no name that says which it is', async () => {
    const its = await quiz();
    const { body } = await ines
      .post(`/api/courses/${its.id}/files`)
      .query({ name: 'the-right-one.png' })
      .set('Content-Type', 'application/octet-stream')
      .send(png(16, 16))
      .expect(201);
    const { hash, size, type } = body as { hash: string; size: number; type: string };
    const picture = { hash, name: 'the-right-one.png', size, type, alt: 'A shell with ribs' };
    const mud = QUESTIONS['mud'] as Extract<(typeof QUESTIONS)[string], { kind: 'single' }>;
    const choices = mud.choices.map((one) =>
      one.id === 'cockle' ? { ...one, picture: { ...picture, author: null, licence: null } } : one,
    );
    await its.set('questions.mud', { ...mud, choices }, mud);
    const address = `${its.at}/pictures/${hash}`;
    expect((await noor.get(address)).status).toBe(404);
    await its.begin(noor);
    const shown = (await its.look(noor)).open?.questions.find(({ id }) => id === 'mud');
    expect(shown).toMatchObject({
      choices: [{ picture: null }, { picture: { hash, alt: 'A shell with ribs' } }],
    });
    expect(JSON.stringify(shown)).not.toContain('the-right-one');
    const { status, headers } = await noor.get(address);
    expect([status, headers['content-type']]).toEqual([200, 'image/png']);
    expect(JSON.stringify(headers)).not.toContain('the-right-one');
    const hye = await signedIn(server, 'outsider');
    expect((await hye.get(address)).status).toBe(404);
    expect((await ines.get(address)).status).toBe(200);
  });

  test('is shown when an answer is checked, and that answer then stands; elsewhere nothing can be checked', async () => {
    const its = await quiz({ reveals: 'at_once' });
    const attempt = await its.begin(noor);
    const check = (question: string, version: number) =>
      noor.post(`${its.at}/attempts/${attempt}/answers/${question}/checked`).send({ version });
    expect(said(await check('tide', 1))).toEqual([409, 'changed_elsewhere', 'version']);
    await its.answer(noor, attempt, 'tide', { kind: 'truth', chosen: false });
    const { body } = await check('tide', 1);
    expect(body).toMatchObject({
      open: { told: [{ question: 'tide', share: 0, solution: { truth: true, why: `${SECRET}why` } }] },
    });
    expect(said(await its.answer(noor, attempt, 'tide', { kind: 'truth', chosen: true }, 1))).toEqual([
      409,
      'changed_elsewhere',
      'checked',
    ]);
    const other = await quiz();
    const second = await other.begin(noor);
    await other.answer(noor, second, 'tide', { kind: 'truth', chosen: false });
    const refused = await noor
      .post(`${other.at}/attempts/${second}/answers/tide/checked`)
      .send({ version: 1 });
    expect(said(refused)).toEqual([409, 'cannot_hand_in', 'item']);
  });

  test('never: what it came to, and nothing of each question', async () => {
    const its = await quiz({ reveals: 'never' });
    const attempt = await its.begin(noor);
    await its.answer(noor, attempt, 'tide', { kind: 'truth', chosen: true });
    const { body } = await its.end(noor, attempt);
    expect(body).toMatchObject({ result: { points: 1 }, open: { told: [] } });
    clock.tell('2027-03-06T12:01:00.000Z');
    expect((await its.look(noor, attempt)).open?.told).toEqual([]);
  });
});

describe('pools and shuffles', () => {
  test('an attempt asks the same whenever it is looked at, and attempts ask unlike', async () => {
    const pools = { shore: { name: 'Shore', draws: 2, at: 1 } };
    const its = await quiz({ pools, shuffleQuestions: true, shuffleChoices: true, tries: 20 });
    for (const id of ['mud', 'salt', 'tide', 'range'])
      await its.set(`questions.${id}`, {
        ...{ at: 3, kind: 'truth', text: id, right: true, why: '', points: 1, required: false },
        pool: 'shore',
      });
    expect((await its.look(noor)).questions).toBe(6);
    const seen = new Set<string>();
    for (let at = 0; at < 8; at += 1) {
      const attempt = await its.begin(noor);
      const first = (await its.look(noor)).open?.questions;
      expect(first).toHaveLength(6);
      expect((await its.look(noor)).open?.questions).toEqual(first);
      seen.add(JSON.stringify(first?.map(({ id }) => id)));
      await its.end(noor, attempt);
    }
    expect(seen.size).toBeGreaterThan(3);
  });
});
