/**
 * Joining by code, as the route does it, against a bare insert and commit on the same pool, in turn: the slowest of a
 * hundred each (p99). Prints `ratio join-vs-bare-commit N`.
 */
import { randomUUID } from 'node:crypto';
import { connect } from '../../packages/server/src/db/orm.ts';
import type { Person } from '../../packages/server/src/db/entities.ts';
import { joinByKey } from '../../packages/server/src/usecases/joining/join.ts';
import { cookieOf } from './enter.ts';

const base = process.env['E2E_URL'];
const url = process.env['DATABASE_URL'];
if (base === undefined || url === undefined) throw new Error('E2E_URL and DATABASE_URL are missing');
const MANY = 400;
const NOW = '2027-02-16T09:42:00.000Z';
const cookie = await cookieOf(base, ({ part }) => part === 'instructor');
const headers = { 'content-type': 'application/json', origin: base, cookie };

async function post<T>(path: string, body: unknown): Promise<T> {
  const answer = await fetch(`${base}${path}`, { method: 'POST', headers, body: JSON.stringify(body) });
  if (!answer.ok) throw new Error(`${path} answers ${answer.status}: ${(await answer.text()).slice(0, 300)}`);
  return (await answer.json()) as T;
}

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
await run('create table if not exists bench_bare (id text primary key, at text not null)');
await run(
  `insert into person (id, institution_id, name, address, password_hash, kind)
   select 'bench-' || n, (select institution_id from course where id = ?), 'Bench ' || n,
     'bench.' || n || '@away.example', '', 'learner' from generate_series(1, ${MANY}) n on conflict do nothing`,
  [id],
);
const people = await database.em.fork().find<Person>('PersonRow', { id: { $like: 'bench-%' } });

const joins: number[] = [];
const bare: number[] = [];
async function timed(into: number[], work: () => Promise<unknown>): Promise<void> {
  const begun = performance.now();
  await work();
  into.push(performance.now() - begun);
}
for (const person of people) {
  await timed(joins, () => joinByKey(database.em.fork(), code, id, person, NOW));
  await timed(bare, () =>
    database.em
      .fork()
      .transactional((em) => em.execute('insert into bench_bare values (?, ?)', [randomUUID(), NOW])),
  );
}
const p99 = (times: readonly number[]): number =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length * 0.99)] ?? 0;
console.log(`  p99: joined in ${p99(joins).toFixed(1)} ms, a bare commit in ${p99(bare).toFixed(1)} ms`);
console.log(`ratio join-vs-bare-commit ${(p99(joins) / p99(bare)).toFixed(2)}`);
await run('drop table bench_bare');
await database.close(true);
