/**
 * Opening a thread of a thousand posts against one of ten, as a page asks for it, in turn: the middle of two hundred each.
 * Prints `ratio thread-1000-vs-10 N`.
 */
import { randomUUID } from 'node:crypto';
import { newItem, newSection } from '../../packages/core/src/index.ts';
import { connect } from '../../packages/server/src/db/orm.ts';
import { timed } from './support/bare.ts';
import { asInstructor } from './support/enter.ts';

const base = process.env['E2E_URL'];
const url = process.env['DATABASE_URL'];
if (base === undefined || url === undefined) throw new Error('E2E_URL and DATABASE_URL are missing');
const MANY = 200;
const asked = await asInstructor(base);

const { id } = await asked<{ id: string }>('/api/courses', {
  title: 'Talked about by many',
  code: 'BENCH-TALK',
  purpose: 'learners',
  department: null,
  term: null,
  firstDay: '2027-02-15',
  weeks: 15,
  zone: 'UTC',
});
const item = randomUUID();
const section = newSection({ id: randomUUID(), title: 'Mud' });
const edits = [
  { kind: 'insert', parent: id, after: null, node: section },
  {
    kind: 'insert',
    parent: section.id,
    after: null,
    node: newItem('discussion', { id: item, title: 'Talk' }),
  },
];
await asked(`/api/courses/${id}/changes`, { since: 0, changes: [{ id: 'bench', edits }], texts: {} });

const database = await connect(url);
const at = `/api/learn/${id}/items/${item}/discussion/threads`;
const words = '<p>Mud, and more of it, and what lives there when nobody looks.</p>';
async function threadOf(posts: number): Promise<string> {
  const thread = randomUUID();
  await asked(at, { id: thread, post: randomUUID(), title: `Of ${posts}`, html: words });
  await database.em.fork().execute(
    `insert into post (id, thread_id, course_id, item_id, author_id, number, at, html, plain)
       select thread.id || '-' || n, thread.id, course_id, item_id, author_id, n, '2027-01-01T00:00:00.000Z', ?, 'mud' from thread,
         generate_series(2, ?::integer) n where thread.id = ?`,
    [words, posts, thread],
  );
  await database.em.fork().execute('update thread set posts = ? where id = ?', [posts, thread]);
  return thread;
}
const [long, short] = [await threadOf(1000), await threadOf(10)];
const middle = (times: readonly number[]): number =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0;
const [longs, shorts]: [number[], number[]] = [[], []];
for (let round = 0; round < MANY + 20; round += 1) {
  // The first few find nothing ready.
  const [a, b] = round < 20 ? [[], []] : [longs, shorts];
  await timed(a, () => asked(`${at}/${long}`));
  await timed(b, () => asked(`${at}/${short}`));
}
console.log(
  `  in the middle: ${middle(longs).toFixed(1)} ms of a thousand, ${middle(shorts).toFixed(1)} ms of ten`,
);
console.log(`ratio thread-1000-vs-10 ${(middle(longs) / middle(shorts)).toFixed(2)}`);
await database.close(true);
