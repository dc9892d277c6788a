/**
 * Joining by code, as the route does it, against a bare insert and commit on the same pool, in turn: the slowest of a
 * hundred each (p99). Prints `ratio join-vs-bare-commit N`.
 */
import { connect } from '../../packages/server/src/db/orm.ts';
import type { Person } from '../../packages/server/src/db/entities.ts';
import { joinByKey } from '../../packages/server/src/usecases/joining/join.ts';
import { bareCommits, p99, timed } from './support/bare.ts';
import { asInstructor } from './support/enter.ts';

const base = process.env['E2E_URL'];
const url = process.env['DATABASE_URL'];
if (base === undefined || url === undefined) throw new Error('E2E_URL and DATABASE_URL are missing');
const MANY = 400;
const NOW = '2027-02-16T09:42:00.000Z';
const post = await asInstructor(base);

const { id } = await post<{ id: string }>('/api/courses', {
  title: 'Joined by many',
  code: 'BENCH-JOIN',
  purpose: 'learners',
  department: null,
  term: null,
  firstDay: '2027-03-01',
  weeks: 3,
  zone: 'UTC',
});
const way = { on: true, opens: null, closes: null, seats: null, domains: null };
const edits = [
  { kind: 'set', target: id, field: 'ways.link', value: way, was: null },
  { kind: 'set', target: id, field: 'seats', value: MANY * 2, was: null },
];
await post(`/api/courses/${id}/changes`, { since: 0, changes: [{ id: 'bench', edits }], texts: {} });
const { code } = await post<{ code: string }>(`/api/courses/${id}/ways/code`, {});

const database = await connect(url);
const run = (sql: string, values: readonly unknown[] = []): Promise<unknown> =>
  database.em.fork().execute(sql, [...values]);
await run(`update course set state = 'live', seq = seq + 1 where id = ?`, [id]);
await run(
  `insert into person (id, institution_id, name, address, password_hash, kind)
   select 'bench-' || n, (select institution_id from course where id = ?), 'Bench ' || n,
     'bench.' || n || '@away.example', '', 'learner' from generate_series(1, ${MANY}) n on conflict do nothing`,
  [id],
);
const people = await database.em.fork().find<Person>('PersonRow', { id: { $like: 'bench-%' } });

const joins: number[] = [];
const bare = await bareCommits(database);
for (const person of people) {
  await timed(joins, () => joinByKey(database.em.fork(), code, id, person, NOW));
  await bare.once();
}
const [ours, theirs] = [p99(joins), p99(bare.times)];
console.log(`  p99: joined in ${ours.toFixed(1)} ms, a bare commit in ${theirs.toFixed(1)} ms`);
console.log(`ratio join-vs-bare-commit ${(ours / theirs).toFixed(2)}`);
await bare.end();
await database.close(true);
