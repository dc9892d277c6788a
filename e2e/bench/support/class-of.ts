/** A live course of so many pages, and so many who learn in it. */
import { randomUUID } from 'node:crypto';
import { newItem, newSection } from '../../../packages/core/src/index.ts';
import type { Asking } from './enter.ts';

type Run = (sql: string, values?: readonly unknown[]) => Promise<unknown>;
interface ClassOf {
  readonly code: string;
  readonly learners: number;
  readonly items: number;
  readonly now: string;
}

/** @returns the id of a live course, in which each of its items is done when it is ticked */
export async function classOf(
  post: Asking,
  run: Run,
  { code, learners, items: many, now }: ClassOf,
): Promise<string> {
  const { id } = await post<{ id: string }>('/api/courses', {
    ...{ title: 'Done by many', code, purpose: 'learners', department: null, term: null },
    ...{ firstDay: '2027-02-15', weeks: 15, zone: 'UTC' },
  });
  const section = newSection({ id: randomUUID(), title: 'Mud' });
  const items = Array.from({ length: many }, (_one, at) =>
    newItem('page', { id: `${code}-${at}`, title: `Leaf ${at}`, done: { by: 'ticked' }, minutes: 10 }),
  );
  const edits = [
    { kind: 'insert', parent: id, after: null, node: section },
    ...items.map((node, at) => ({
      ...{ kind: 'insert', parent: section.id, after: at === 0 ? null : `${code}-${at - 1}`, node },
    })),
  ];
  await post(`/api/courses/${id}/changes`, {
    since: 0,
    changes: [{ id: `bench-${code}`, edits }],
    texts: {},
  });
  await run(
    `insert into person (id, institution_id, name, address, kind, password_hash) select ? || n, (select id from institution limit 1), 'Learner ' || n, ? || n || '@bench.example', 'learner', ''
       from generate_series(1, ?) n`,
    [`${code}-p`, code.toLowerCase(), learners],
  );
  await run(
    `insert into member (course_id, person_id, role, joined_at) select ?, ? || n, 'learner', ? from generate_series(1, ?) n`,
    [id, `${code}-p`, now, learners],
  );
  await run(`update course set state = 'live', seq = seq + 1 where id = ?`, [id]);
  return id;
}
