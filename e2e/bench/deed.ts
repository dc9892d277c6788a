/**
 * A deed and the progress of whoever did it, as the routes record it, with ten thousand learners there, against a bare
 * insert and commit on the same pool, in turn: the slowest of a hundred each (p99). Prints `ratio act-vs-bare-commit N`.
 * Then the grid of five hundred learners and two hundred items against a query that gives its numbers alone: `ratio
 * grid-vs-sql N`.
 */
import { keptCourse } from '../../packages/server/src/db/kept-courses.ts';
import { connect } from '../../packages/server/src/db/orm.ts';
import type { Viewer } from '../../packages/core/src/index.ts';
import { readGrid } from '../../packages/server/src/usecases/progress/grid.ts';
import { record } from '../../packages/server/src/usecases/progress/record.ts';
import { bareCommits, p99, timed } from './support/bare.ts';
import { classOf } from './support/class-of.ts';
import { asInstructor } from './support/enter.ts';
import { middle } from './support/middle.ts';

const base = process.env['E2E_URL'];
const url = process.env['DATABASE_URL'];
if (base === undefined || url === undefined) throw new Error('E2E_URL and DATABASE_URL are missing');
const LEARNERS = 10_000;
const IN_GRID = 500;
const ITEMS = 200;
const MANY = 600;
const ROUNDS = 9;
const now = '2027-02-16T09:42:00.000Z';
const post = await asInstructor(base);
const database = await connect(url);
const run = (sql: string, values: readonly unknown[] = []): Promise<unknown> =>
  database.em.fork().execute(sql, [...values]);

const kept = async (id: string) => {
  const found = await keptCourse(database.em.fork(), id);
  if (found === null) throw new Error('the course is not there');
  return found.course;
};
const viewer: Viewer = {
  role: 'learner',
  institutionStaff: false,
  groups: [],
  exceptions: [],
  joinedAt: now,
};

const many = await classOf(post, run, { code: 'BENCH-DEED', learners: LEARNERS, items: ITEMS, now });
const course = await kept(many);
await run(
  `insert into progress (course_id, person_id) select ?, 'BENCH-DEED-p' || n from generate_series(1, ?) n`,
  [many, LEARNERS],
);
const acts: number[] = [];
const bare = await bareCommits(database);
for (let at = 0; at < MANY; at += 1) {
  const doer = { personId: `BENCH-DEED-p${1 + ((at * 7919) % LEARNERS)}`, viewer };
  const deed = { kind: 'ticked' } as const;
  await timed(acts, () => record(database.em.fork(), course, doer, `BENCH-DEED-${at % ITEMS}`, deed, now));
  await bare.once();
}
const [ours, theirs] = [p99(acts), p99(bare.times)];
console.log(
  `  p99: a deed and its progress in ${ours.toFixed(1)} ms, a bare commit in ${theirs.toFixed(1)} ms`,
);
console.log(`ratio act-vs-bare-commit ${(ours / theirs).toFixed(2)}`);
await bare.end();

const shown = await classOf(post, run, { code: 'BENCH-GRID', learners: IN_GRID, items: ITEMS, now });
await run(
  `insert into deed (course_id, person_id, item_id, facts, done_at)
     select ?, 'BENCH-GRID-p' || n, 'BENCH-GRID-' || i, '{"ticked": 5}', ? from generate_series(1, ?) n, generate_series(0, ?) i
     where (n * 31 + i * 17) % 10 < 6`,
  [shown, now, IN_GRID, ITEMS - 1],
);
const counted = await kept(shown);
// Each of them does one thing more, and has their row by it.
for (let n = 1; n <= IN_GRID; n += 1) {
  const doer = { personId: `BENCH-GRID-p${n}`, viewer };
  await record(database.em.fork(), counted, doer, `BENCH-GRID-${n % ITEMS}`, { kind: 'unticked' }, now);
}
const [grids, queries]: [number[], number[]] = [[], []];
for (let round = 0; round < ROUNDS; round += 1) {
  await timed(grids, () => readGrid(database.em.fork(), counted, now));
  await timed(queries, () =>
    run('select person_id, item_id, (done_at is not null)::int as done from deed where course_id = ?', [
      shown,
    ]),
  );
}
const [grid, query] = [middle(grids), middle(queries)];
console.log(
  `  the grid of ${IN_GRID} × ${ITEMS} in ${grid.toFixed(1)} ms, its numbers alone in ${query.toFixed(1)} ms`,
);
console.log(`ratio grid-vs-sql ${(grid / query).toFixed(2)}`);
await database.close(true);
