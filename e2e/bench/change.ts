/**
 * What saving a change costs, over HTTP: in a course of 4,200 nodes against one of 75 (`ratio change-4200-vs-75 N`, the
 * middle one of each, in turn); its slowest of a hundred against a bare insert and commit on the same database (`ratio
 * change-vs-bare-commit N`); and beside a hundred who read without a pause against alone (`ratio change-under-readers N`).
 */
import { randomUUID } from 'node:crypto';
import { connect } from '../../packages/server/src/db/orm.ts';
import { bareCommits, p99, timed } from './support/bare.ts';
import { asInstructor, cookieOf } from './support/enter.ts';
import { courseOf } from './support/large-course.ts';
import type { Large } from './support/large-course.ts';
import { middle } from './support/middle.ts';

const base = process.env['E2E_URL'];
const url = process.env['DATABASE_URL'];
if (base === undefined || url === undefined) throw new Error('E2E_URL and DATABASE_URL are missing');
/** A course holds at most 200 sections, and is opened with some. */
const SIZES = { small: { sections: 15, items: 4 }, large: { sections: 198, items: 20 } };
const ROUNDS = 300;
const BESIDE_MS = 20_000;
const READERS = 100;
const post = await asInstructor(base);

/** One word of one item is another, as the browser sends it. */
async function change(bench: Large): Promise<void> {
  const title = `Leaf ${randomUUID().slice(0, 8)}`;
  const edits = [{ kind: 'set', target: bench.item, field: 'title', value: title, was: bench.title }];
  const { seq, refused } = await post<{ seq: number; refused: unknown[] }>(
    `/api/courses/${bench.id}/changes`,
    {
      ...{ since: bench.seq, changes: [{ id: randomUUID(), edits }], texts: {} },
    },
  );
  if (refused.length > 0) throw new Error(JSON.stringify(refused[0]));
  Object.assign(bench, { seq, title });
}

const small = await courseOf(post, 'BENCH-75', SIZES.small);
const large = await courseOf(post, 'BENCH-4200', SIZES.large);
const database = await connect(url);
const bare = await bareCommits(database);
const [inSmall, inLarge]: [number[], number[]] = [[], []];
for (let round = 0; round < ROUNDS; round += 1) {
  await timed(inSmall, () => change(small));
  await timed(inLarge, () => change(large));
  await bare.once();
}
// The first of them find a server that has just begun.
const settled = (times: readonly number[]): readonly number[] => times.slice(ROUNDS / 10);
const [ofSmall, ofLarge] = [middle(settled(inSmall)), middle(settled(inLarge))];
console.log(`  a change in ${ofSmall.toFixed(1)} ms at 75 nodes, in ${ofLarge.toFixed(1)} ms at 4,200`);
console.log(`ratio change-4200-vs-75 ${(ofLarge / ofSmall).toFixed(2)}`);
const [ours, theirs] = [p99(settled(inSmall)), p99(settled(bare.times))];
console.log(`  p99: a change in ${ours.toFixed(1)} ms, a bare commit in ${theirs.toFixed(1)} ms`);
console.log(`ratio change-vs-bare-commit ${(ours / theirs).toFixed(2)}`);
await bare.end();
await database.close(true);

const headers = { cookie: await cookieOf(base, ({ part }) => part === 'instructor') };
let isOver = false;
let pages = 0;
const readers = Array.from({ length: READERS }, async () => {
  while (!isOver) {
    const answer = await fetch(`${base}/api/learn/${small.id}`, { headers });
    if (!answer.ok) throw new Error(`the course answers ${answer.status}`);
    await answer.text();
    pages += 1;
  }
});
const beside: number[] = [];
const until = performance.now() + BESIDE_MS;
while (performance.now() < until) await timed(beside, () => change(small));
isOver = true;
await Promise.all(readers);
console.log(
  `  beside ${READERS} readers (${Math.round(pages / (BESIDE_MS / 1000))} pages a second) the middle one of ${beside.length} changes took ${middle(beside).toFixed(1)} ms`,
);
console.log(`ratio change-under-readers ${(middle(beside) / ofSmall).toFixed(2)}`);
