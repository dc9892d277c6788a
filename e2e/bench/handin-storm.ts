/**
 * Five hundred learners who hand in within one minute of a due moment, against as many one after the other: the slowest
 * of a hundred each (p99), each as the route does it, from asking who they are to the receipt. Prints
 * `ratio handin-storm N`; none may be lost.
 */
import { randomUUID } from 'node:crypto';
import { newItem, newSection } from '../../packages/core/src/index.ts';
import { keptCourse } from '../../packages/server/src/db/kept-courses.ts';
import { connect } from '../../packages/server/src/db/orm.ts';
import type { Person } from '../../packages/server/src/db/entities.ts';
import { viewerOf } from '../../packages/server/src/usecases/access/viewer.ts';
import { handIn } from '../../packages/server/src/usecases/coursework/hand-in.ts';
import { keepDraft } from '../../packages/server/src/usecases/coursework/draft.ts';
import { ownWork } from '../../packages/server/src/usecases/coursework/own-work.ts';
import type { Worker } from '../../packages/server/src/usecases/coursework/own-work.ts';
import { asInstructor } from './support/enter.ts';

const base = process.env['E2E_URL'];
const url = process.env['DATABASE_URL'];
if (base === undefined || url === undefined) throw new Error('E2E_URL and DATABASE_URL are missing');
const MANY = 500;
const WITHIN_MS = 60_000;
const NOW = '2027-02-16T09:42:00.000Z';
const post = await asInstructor(base);

const { id } = await post<{ id: string }>('/api/courses', {
  title: 'Handed in by many',
  code: 'BENCH-WORK',
  purpose: 'learners',
  department: null,
  term: null,
  firstDay: '2027-02-15',
  weeks: 3,
  zone: 'UTC',
});
const section = newSection({ id: randomUUID(), title: 'Mud' });
const items = ['storm', 'spread'].map((name) => newItem('assignment', { id: randomUUID(), title: name }));
const edits = [
  { kind: 'insert', parent: id, after: null, node: section },
  ...items.map((node) => ({ kind: 'insert', parent: section.id, after: null, node })),
];
await post(`/api/courses/${id}/changes`, { since: 0, changes: [{ id: 'bench', edits }], texts: {} });

const database = await connect(url);
const run = <T>(sql: string, values: readonly unknown[] = []): Promise<T> =>
  database.em.fork().execute(sql, [...values]) as Promise<T>;
await run(`update course set state = 'live', seq = seq + 1 where id = ?`, [id]);
await run(
  `insert into person (id, institution_id, name, address, password_hash, kind)
   select 'works-' || n, (select institution_id from course where id = ?), 'Works ' || n,
     'works.' || n || '@away.example', '', 'learner' from generate_series(1, ${MANY}) n on conflict do nothing`,
  [id],
);
await run(
  `insert into member (course_id, person_id, role, joined_at, way)
   select ?, 'works-' || n, 'learner', ?, 'staff' from generate_series(1, ${MANY}) n`,
  [id, NOW],
);
const people = await database.em.fork().find<Person>('PersonRow', { id: { $like: 'works-%' } });

async function workerOf(person: Person): Promise<Worker> {
  const loaded = await keptCourse(database.em.fork(), id);
  if (loaded === null) throw new Error('there is no course');
  const viewer = await viewerOf(database.em.fork(), person, loaded.course, NOW);
  return {
    course: loaded.course,
    institutionId: loaded.row.institutionId,
    viewer,
    personId: person.id,
  };
}
async function once(person: Person, item: string): Promise<number> {
  const begun = performance.now();
  const worker = await workerOf(person);
  await handIn(database.em.fork(), worker, item, { id: randomUUID(), version: 1 }, NOW);
  const { handed } = await ownWork(database.em.fork(), worker, item, NOW);
  if (handed.length !== 1) throw new Error(`${person.id} has ${handed.length} receipts`);
  return performance.now() - begun;
}

const [storm, spread] = items.map((one) => one.id) as [string, string];
for (const item of [storm, spread]) {
  for (const person of people) {
    const typed = {
      version: 0,
      text: `Low tide at nine, says ${person.name}. `.repeat(20),
      address: '',
      files: [],
    };
    await keepDraft(database.em.fork(), await workerOf(person), item, typed, NOW);
  }
}
const p99 = (times: readonly number[]): number =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length * 0.99)] ?? 0;
const apart: number[] = [];
for (const person of people) apart.push(await once(person, spread));
const together = await Promise.all(
  people.map(async (person, at) => {
    await new Promise((resolve) => setTimeout(resolve, (at * WITHIN_MS) / MANY));
    return once(person, storm);
  }),
);
const [row] = await run<{ count: number }[]>(
  'select count(*)::int as count from hand_in where course_id = ?',
  [id],
);
if (row?.count !== 2 * MANY) throw new Error(`${row?.count ?? 0} were handed in, not ${2 * MANY}`);
console.log(
  `  p99: together ${p99(together).toFixed(1)} ms, one after the other ${p99(apart).toFixed(1)} ms`,
);
console.log(`ratio handin-storm ${(p99(together) / p99(apart)).toFixed(2)}`);
await database.close(true);
