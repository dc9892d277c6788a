/**
 * What a process holds with two thousand courses in its database and their desk gone through, a course of 4,200 nodes
 * open and changed, and four hundred pages that listen: `memory N MB, of 400 at most`, the most that it ever was.
 */
import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { asInstructor, cookieOf, signIn } from './support/enter.ts';
import { courseOf } from './support/large-course.ts';
import { BARE, makeCourses } from './support/many-courses.ts';

const base = process.env['E2E_URL'];
const url = process.env['DATABASE_URL'];
const port = process.env['ITINERARY_FIGURES_PORT'];
if (base === undefined || url === undefined || port === undefined)
  throw new Error('E2E_URL, DATABASE_URL and ITINERARY_FIGURES_PORT are missing');
const MOST_MB = 400;
const [COURSES, OPEN, OF_ONE, CHANGES] = [2000, 400, 40, 60];

let most = 0;
async function look(): Promise<number> {
  const text = await (await fetch(`http://127.0.0.1:${port}/metrics`)).text();
  const bytes = Number(/^process_resident_memory_bytes (\S+)/m.exec(text)?.[1]);
  if (!Number.isFinite(bytes)) throw new Error('the figures say nothing of memory');
  most = Math.max(most, bytes / 1e6);
  return bytes / 1e6;
}
const watching = setInterval(() => void look().catch(() => undefined), 250);
const say = async (what: string): Promise<void> => console.log(`  ${(await look()).toFixed(0)} MB ${what}`);

await say('as it begins');
const pool = new pg.Pool({ connectionString: url, max: 1 });
await makeCourses(pool, COURSES, BARE);
const { rows: people } = await pool.query<{ address: string }>(
  `select address from person where kind = 'learner' and address is not null and password_hash is not null
   order by address limit $1`,
  [OPEN / OF_ONE],
);
await pool.end();
const staff = await cookieOf(base, ({ part }) => part === 'staff');
for (let page = 1; page <= COURSES / 30; page += 1)
  await (await fetch(`${base}/api/desk?page=${page}`, { headers: { cookie: staff } })).text();
await say(`with the desk of ${COURSES} courses gone through`);
const ask = await asInstructor(base);
const large = await courseOf(ask, 'BENCH-4200', { sections: 198, items: 20 });
await say('with a course of 4,200 nodes made');

const lines = new AbortController();
for (const { address } of people) {
  const cookie = await signIn(base, address);
  const some = Array.from({ length: OF_ONE }, () =>
    fetch(`${base}/api/events`, { headers: { cookie }, signal: lines.signal }),
  );
  const open = await Promise.all(some);
  if (open.some(({ ok }) => !ok)) throw new Error('a line was refused');
}
await say(`with ${OPEN} pages that listen`);
for (let at = 0; at < CHANGES; at += 1) {
  const value = `Leaf ${at} again`;
  const edits = [{ kind: 'set', target: large.item, field: 'title', value, was: large.title }];
  const answer = await ask<{ seq: number; refused: unknown[] }>(`/api/courses/${large.id}/changes`, {
    ...{ since: large.seq, changes: [{ id: randomUUID(), edits }], texts: {} },
  });
  if (answer.refused.length > 0) throw new Error(JSON.stringify(answer.refused[0]));
  Object.assign(large, { seq: answer.seq, title: value });
  await ask(`/api/courses/${large.id}/plan`);
}
await say(`after ${CHANGES} changes, each of which it is read after`);
clearInterval(watching);
lines.abort();
console.log(`memory ${most.toFixed(0)} MB, of ${MOST_MB} at most`);
