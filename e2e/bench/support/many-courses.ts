/**
 * An institution of very many courses, each with all that the demo's course that is under way has in it; with its members
 * or, where somebody is to be in no more courses than people are, without.
 */
import type { Pool } from 'pg';

export const BARE = ['node', 'long_text'];
const TABLES = [...BARE, 'member'];

export async function makeCourses(pool: Pool, many: number, tables = TABLES): Promise<void> {
  const source = `(select id from course where code = 'EFM-210-SPR27')`;
  const copied = (table: string): string =>
    `insert into ${table} select (jsonb_populate_record(${table}, jsonb_build_object('course_id', 'many-' || n))).*
     from ${table}, generate_series(1, ${many}) n where course_id = ${source}`;
  await pool.query('begin');
  await pool.query(
    `insert into course select (jsonb_populate_record(course, jsonb_build_object(
       'id', 'many-' || n, 'code', 'MANY-' || n, 'title', 'Course ' || n,
       'first_day', ('2026-09-01'::date + n % 300)::text))).*
     from course, generate_series(1, ${many}) n where id = ${source}`,
  );
  for (const table of tables) await pool.query(copied(table));
  await pool.query('commit');
  await pool.query('analyze');
}
