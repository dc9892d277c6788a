/**
 * The first page of a desk of two thousand courses, for staff of the institution, against the same desk with the demo's
 * seven, on one server: `ratio desk-2000-vs-7 N`.
 */
import pg from 'pg';
import { cookieOf } from './support/enter.ts';
import { makeCourses } from './support/many-courses.ts';
import { middle } from './support/middle.ts';

const base = process.env['E2E_URL'];
const url = process.env['DATABASE_URL'];
if (base === undefined || url === undefined) throw new Error('E2E_URL or DATABASE_URL is missing');

const MANY = 2000;
const ROUNDS = 40;
const pool = new pg.Pool({ connectionString: url, max: 1 });

const cookie = await cookieOf(base, ({ part }) => part === 'staff');
async function opened(): Promise<number> {
  const times: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    const begun = performance.now();
    const answer = await fetch(`${base}/api/desk`, { headers: { cookie } });
    const { courses, total } = (await answer.json()) as { courses: unknown[]; total: number };
    times.push(performance.now() - begun);
    if (round === 0)
      console.log(`  ${total} courses, ${courses.length} on the page: ${times[0]?.toFixed(0)} ms at first`);
  }
  return middle(times);
}

await opened();
const few = await opened();
await makeCourses(pool, MANY);
const many = await opened();
console.log(`  then ${few.toFixed(0)} ms and ${many.toFixed(0)} ms`);
console.log(`ratio desk-2000-vs-7 ${(many / few).toFixed(2)}`);
await pool.end();
