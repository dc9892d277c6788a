/**
 * Recording an answer in a quiz, as the route does it, against a bare insert and commit on the same pool, in turn: the
 * slowest of a hundred each (p99). Prints `ratio answer-vs-bare-commit N`.
 */
import { randomUUID } from 'node:crypto';
import { newItem, newSection } from '../../packages/core/src/index.ts';
import { keptCourse } from '../../packages/server/src/db/kept-courses.ts';
import { connect } from '../../packages/server/src/db/orm.ts';
import type { Person } from '../../packages/server/src/db/entities.ts';
import { viewerOf } from '../../packages/server/src/usecases/access/viewer.ts';
import { beginAttempt, putAnswer } from '../../packages/server/src/usecases/coursework/quiz/attempt.ts';
import { bareCommits, p99, timed } from './support/bare.ts';
import { asInstructor } from './support/enter.ts';

const base = process.env['E2E_URL'];
const url = process.env['DATABASE_URL'];
if (base === undefined || url === undefined) throw new Error('E2E_URL and DATABASE_URL are missing');
const MANY = 600;
const SECRET = 'of the bench';
const post = await asInstructor(base);

const { id } = await post<{ id: string }>('/api/courses', {
  title: 'Answered by many',
  code: 'BENCH-QUIZ',
  purpose: 'learners',
  department: null,
  term: null,
  firstDay: '2027-02-15',
  weeks: 15,
  zone: 'UTC',
});
const item = randomUUID();
const shared = { why: '', points: 1, required: false, pool: null };
const questions = Object.fromEntries(
  Array.from({ length: 40 }, (_, at) => [
    `q${at}`,
    { ...shared, kind: 'truth' as const, text: `Is it so? ${at}`, at, right: true },
  ]),
);
const section = newSection({ id: randomUUID(), title: 'Mud' });
const quiz = newItem('quiz', { id: item, title: 'The marsh', questions, limit: 600 });
const edits = [
  { kind: 'insert', parent: id, after: null, node: section },
  { kind: 'insert', parent: section.id, after: null, node: quiz },
];
await post(`/api/courses/${id}/changes`, { since: 0, changes: [{ id: 'bench', edits }], texts: {} });

const database = await connect(url);
const run = (sql: string, values: readonly unknown[] = []): Promise<unknown> =>
  database.em.fork().execute(sql, [...values]);
await run(`update course set state = 'live', seq = seq + 1 where id = ?`, [id]);
const person = await database.em.fork().findOneOrFail<Person>('PersonRow', { kind: 'learner' });
const now = '2027-02-16T09:42:00.000Z';
await run(
  `insert into member (course_id, person_id, role, joined_at) values (?, ?, 'learner', ?) on conflict do nothing`,
  [id, person.id, now],
);
const kept = await keptCourse(database.em.fork(), id);
if (kept === null) throw new Error('the course is not there');
const { course } = kept;
const viewer = await viewerOf(database.em.fork(), person, course, now);
const worker = { course, institutionId: kept.row.institutionId, viewer, personId: person.id };
const attemptId = randomUUID();
await beginAttempt(database.em.fork(), worker, item, attemptId, now);

const answers: number[] = [];
const bare = await bareCommits(database);
for (let at = 0; at < MANY; at += 1) {
  const place = { itemId: item, attemptId, questionId: `q${at % 40}` };
  const answer = { kind: 'truth', chosen: at % 2 === 0 } as const;
  const version = Math.floor(at / 40);
  await timed(answers, () => putAnswer(database.em.fork(), worker, place, { version, answer }, SECRET, now));
  await bare.once();
}
const [ours, theirs] = [p99(answers), p99(bare.times)];
console.log(`  p99: an answer kept in ${ours.toFixed(1)} ms, a bare commit in ${theirs.toFixed(1)} ms`);
console.log(`ratio answer-vs-bare-commit ${(ours / theirs).toFixed(2)}`);
await bare.end();
await database.close(true);
