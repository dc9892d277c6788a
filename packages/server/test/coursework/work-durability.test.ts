/**
 * The server, and in turn PostgreSQL, killed at random moments while learners type, send files, hand in, answer and post:
 * what was acknowledged is there afterwards, nothing counts twice, and no attempt is begun twice. ITINERARY_KILLS says how
 * many (`npm run kills -- 200 work`), under the work of as many learners as ITINERARY_WRITERS.
 */
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { createHash, randomUUID } from 'node:crypto';
import type { OwnQuizAnswer, OwnWorkAnswer, Problem } from '@itinerary/contract';
import { newItem, newSection } from '@itinerary/core';
import { connect } from '../../src/db/orm.ts';
import { ALL } from '../../../core/test/support/runs.ts';
import { randomness } from '../../../core/test/support/randomness.ts';
import { pause } from '../support/mortal.ts';
import { killInTurn, startMortalServer } from '../support/mortal-server.ts';
import type { Asked, MortalServer } from '../support/mortal-server.ts';
import { PEOPLE } from '../support/server.ts';
import { QUESTIONS } from '../support/quiz.ts';

const SEED = 20270302;
const KILLS = Number(process.env['ITINERARY_KILLS'] ?? (ALL ? '8' : '4'));
const LEARNERS = Number(process.env['ITINERARY_WRITERS'] ?? '4');
const ANSWERS_BETWEEN_KILLS = 8;
/** Fewer than the pace at which anybody may post, and than anybody may hand in. */
const MOST_POSTS = 15;
const MOST_TURNS = 90;

let mortal: MortalServer;
beforeAll(async () => {
  mortal = await startMortalServer('work');
}, 60_000);
afterAll(() => mortal.remove());

const [WORK, QUIZ, TALK] = ['notes', 'marsh', 'talk'];
const hashOf = (bytes: Buffer): string => createHash('sha256').update(bytes).digest('hex');

/** A live course with one of each, and as many who learn in it. */
async function opened(ines: string): Promise<{ readonly id: string; readonly cookies: readonly string[] }> {
  const { id } = (await mortal.ask(ines, '/api/courses', {
    ...{ title: 'Falling', code: 'FALL-1', purpose: 'learners', department: null, term: null },
    ...{ firstDay: null, weeks: 1, zone: 'UTC' },
  })) as { id: string };
  const section = newSection({
    id: 'S',
    title: 'Mud',
    items: [
      newItem('assignment', { id: WORK!, title: 'Notes', done: { by: 'handed_in' } }),
      newItem('quiz', { id: QUIZ!, title: 'Marsh', questions: QUESTIONS }),
      newItem('discussion', { id: TALK!, title: 'Where?' }),
    ],
  });
  const edits = [{ kind: 'insert', parent: id, after: null, node: section }];
  await mortal.ask(ines, `/api/courses/${id}/changes`, {
    since: 0,
    texts: {},
    changes: [{ id: 's', edits }],
  });
  const found = (await mortal.ask(ines, `/api/courses/${id}/candidates?find=`)) as {
    people: { id: string; address: string }[];
  };
  const people = found.people.slice(0, LEARNERS);
  expect(people).toHaveLength(LEARNERS);
  await mortal.ask(ines, `/api/courses/${id}/members`, {
    people: people.map((one) => one.id),
    role: 'learner',
  });
  const database = await connect(mortal.databaseUrl());
  await database.em.fork().execute(`update course set state = 'live', seq = seq + 1 where id = ?`, [id]);
  await database.close(true);
  const cookies: string[] = [];
  for (const { address } of people) cookies.push(await mortal.signIn(address));
  return { id, cookies };
}

test(
  'what was handed in, sent, answered and posted is there, and all of it once',
  async () => {
    const random = randomness(SEED);
    const ines = await mortal.signIn(PEOPLE.instructor);
    const { id, cookies } = await opened(ines);
    const item = (which: string | undefined): string => `/api/learn/${id}/items/${which ?? ''}`;
    const handed = new Map<string, { readonly text: string; readonly files: readonly string[] }>();
    const posted: string[] = [];
    const attempts = new Map<string, number>();
    let answers = 0;
    let unanswered = 0;
    let isDone = false;

    /** Sent again until it is answered, as the browser does; null: all is over. */
    async function until(
      cookie: string,
      method: string,
      path: string,
      body?: unknown,
    ): Promise<Asked | null> {
      for (;;) {
        const answer = await mortal.send(cookie, method, path, body);
        if (answer !== null) {
          answers += 1;
          return answer;
        }
        unanswered += 1;
        if (isDone) return null;
        await pause(30);
      }
    }
    const codeOf = ({ body }: Asked): string => (body as Problem).code;
    async function work(cookie: string): Promise<OwnWorkAnswer | null> {
      const answer = await until(cookie, 'GET', `${item(WORK)}/coursework`);
      return answer === null ? null : (answer.body as OwnWorkAnswer);
    }

    async function handIn(cookie: string, turn: number): Promise<void> {
      const text = `Turn ${turn} ${randomUUID()}`;
      const bytes = Buffer.from(`levels of ${text}`);
      for (;;) {
        const now = await work(cookie);
        if (now === null) return;
        const files = (now.draft?.files ?? []).map(({ hash }) => hash);
        if (now.draft?.text === text) break;
        const body = { version: now.draft?.version ?? 0, text, address: '', files };
        const kept = await until(cookie, 'PUT', `${item(WORK)}/coursework/draft`, body);
        if (kept === null) return;
        // An answer that was lost may have been given: then it is there already.
        if (kept.status !== 200 && codeOf(kept) !== 'changed_elsewhere')
          throw new Error(JSON.stringify(kept));
      }
      const sent = await until(cookie, 'POST', `${item(WORK)}/coursework/files?name=levels.txt`, bytes);
      if (sent === null) return;
      expect(sent.status).toBe(201);
      const { draft } = sent.body as OwnWorkAnswer;
      const one = randomUUID();
      const receipt = await until(cookie, 'POST', `${item(WORK)}/coursework/handed`, {
        id: one,
        version: draft?.version ?? 0,
      });
      if (receipt === null) return;
      expect(receipt.status).toBe(200);
      handed.set(one, { text, files: [hashOf(bytes)] });
    }

    async function answerQuiz(cookie: string): Promise<void> {
      const attempt = randomUUID();
      const begun = await until(cookie, 'POST', `${item(QUIZ)}/quiz/attempts`, { id: attempt });
      if (begun === null) return;
      expect(begun.status).toBe(200);
      let given = 0;
      for (const question of ['tide', 'notes']) {
        const answer =
          question === 'tide' ? { kind: 'truth', chosen: true } : { kind: 'long', text: `Mud ${attempt}` };
        const at = `${item(QUIZ)}/quiz/attempts/${attempt}/answers/${question}`;
        const kept = await until(cookie, 'PUT', at, { version: 0, answer });
        if (kept === null) return;
        // Sent again it is built on what is there by now: whoever has the same there has lost nothing.
        expect([200, 409]).toContain(kept.status);
        given += 1;
        attempts.set(attempt, given);
      }
      const ended = await until(cookie, 'POST', `${item(QUIZ)}/quiz/attempts/${attempt}/handed`, {
        answers: { tide: 1, notes: 1 },
      });
      if (ended === null) return;
      expect(ended.status).toBe(200);
      expect((ended.body as OwnQuizAnswer).attempts.find((one) => one.id === attempt)?.ended).not.toBeNull();
    }

    const thread = randomUUID();
    async function post(cookie: string): Promise<void> {
      const one = randomUUID();
      const body = { id: one, html: `<p>Post ${one}</p>`, answers: null };
      const answer = await until(cookie, 'POST', `${item(TALK)}/discussion/threads/${thread}/posts`, body);
      if (answer === null) return;
      expect(answer.status).toBe(200);
      posted.push(one);
    }

    const begin = { id: thread, post: randomUUID(), title: 'Mud', html: '<p>Mud</p>' };
    await until(ines, 'POST', `${item(TALK)}/discussion/threads`, begin);
    const learn = async (cookie: string): Promise<void> => {
      for (let turn = 0; !isDone; turn += 1) {
        if (turn >= MOST_TURNS) {
          await pause(200);
          answers += 1;
          continue;
        }
        await handIn(cookie, turn);
        await answerQuiz(cookie);
        if (turn < MOST_POSTS) await post(cookie);
      }
    };
    const kills = async (): Promise<void> => {
      await killInTurn(mortal, {
        ...{ kills: KILLS, between: ANSWERS_BETWEEN_KILLS, done: () => answers, random },
      });
      isDone = true;
    };
    await Promise.all([...cookies.map(learn), kills()]);
    await mortal.fell();

    const database = await connect(mortal.databaseUrl());
    const rows = (sql: string): Promise<Record<string, unknown>[]> => database.em.fork().execute(sql, [id]);
    try {
      expect(unanswered).toBeGreaterThan(KILLS / 4);
      const handIns = await rows(
        `select hand_in.*, (select count(*)::int from hand_in_for own where own.hand_in_id = hand_in.id) as counts
           from hand_in where course_id = ?`,
      );
      const byId = new Map(handIns.map((row) => [row['id'], row]));
      for (const [one, { text, files }] of handed) {
        const row = byId.get(one);
        const named = ((row?.['files'] ?? []) as { hash: string }[]).map(({ hash }) => hash);
        expect({ text: row?.['text'], files: named, counts: row?.['counts'] }).toEqual({
          text,
          files,
          counts: 1,
        });
      }
      // No work was handed in twice: each has words of its own.
      expect(new Set(handIns.map((row) => row['text'])).size).toBe(handIns.length);
      const inOrder = async (of: string, place: string, who: string): Promise<void> => {
        const found = await rows(
          `select ${who} as who, array_agg(${place} order by ${place}) as places from ${of} where course_id = ? group by 1`,
        );
        for (const row of found)
          expect(row['places']).toEqual((row['places'] as number[]).map((_one, at) => at + 1));
      };
      await inOrder('hand_in', 'attempt', 'person_id');
      await inOrder('quiz_attempt', 'number', 'person_id');
      await inOrder('post', 'number', 'thread_id');
      const open = await rows(
        'select count(*)::int as n from quiz_attempt where course_id = ? and ended is null group by person_id',
      );
      expect(open.every(({ n }) => n === 1)).toBe(true);
      const kept = await rows(
        `select attempt_id as id, count(*)::int as n from quiz_answer join quiz_attempt on quiz_attempt.id = attempt_id
           where course_id = ? group by 1`,
      );
      const byAttempt = new Map(kept.map((row) => [row['id'], row['n']]));
      for (const [attempt, given] of attempts)
        expect(Number(byAttempt.get(attempt) ?? 0)).toBeGreaterThanOrEqual(given);
      const posts = (await rows('select id from post where course_id = ?')).map((row) => row['id']);
      expect(posted.filter((one) => !posts.includes(one))).toEqual([]);
      const [counted] = await rows('select posts from thread where course_id = ?');
      expect(counted?.['posts']).toBe(posts.length);
      const [done] = await rows(
        'select count(*)::int as n from deed where course_id = ? and done_at is not null',
      );
      expect(done?.['n']).toBe(new Set(handIns.map((row) => row['person_id'])).size);
      expect(handed.size + posted.length + attempts.size).toBeGreaterThan(KILLS);
    } finally {
      await database.close(true);
    }
  },
  Math.max(120_000, KILLS * 30_000),
);
