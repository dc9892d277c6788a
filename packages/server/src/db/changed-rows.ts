/**
 * What a change writes: the rows of what differs between a course and its next state, and no others. What an edit leaves
 * alone is the same object in both, so that it is not even looked into.
 */
import type { EntityData } from '@mikro-orm/core';
import { isHolder, sameValue } from '@itinerary/core';
import type { Course, CourseNode, FieldValue } from '@itinerary/core';
import { headOf, valuesOf } from './course-rows.ts';
import { CourseRow } from './entities.ts';
import type { CourseRecord } from './entities.ts';
import { assignOrderKeys } from './order-keys.ts';
import type { EntityManager } from './orm.ts';

/** What hangs on one parent (null: the sections), in order, before and after. */
interface Siblings {
  readonly parentId: string | null;
  readonly before: readonly CourseNode[];
  readonly next: readonly CourseNode[];
}

interface Touched {
  /** Whose values are others, and whose place is as it was. */
  readonly changed: CourseNode[];
  /** Where somebody came, went, or changed places. */
  readonly placed: Siblings[];
}

const isSameOrder = ({ before, next }: Siblings): boolean =>
  before.length === next.length && next.every(({ id }, at) => before[at]?.id === id);

/** Whether it says the same of itself; what it holds has rows of its own. */
function isAlike(one: CourseNode, other: CourseNode): boolean {
  if (one === other) return true;
  const fields = (node: CourseNode): Readonly<Record<string, unknown>> =>
    node as unknown as Readonly<Record<string, unknown>>;
  const [a, b] = [fields(one), fields(other)];
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].every(
    (name) => name === 'items' || sameValue(a[name] as FieldValue, b[name] as FieldValue),
  );
}

const itemsOf = (node: CourseNode | undefined): readonly CourseNode[] =>
  node !== undefined && isHolder(node) ? node.items : [];

function touchedBy(course: Course, next: Course): Touched {
  const touched: Touched = { changed: [], placed: [] };
  let everywhere: ReadonlyMap<string, CourseNode> | null = null;
  /** Where it stood before, for what comes from another parent. */
  const wherever = (id: string): CourseNode | undefined => {
    everywhere ??= new Map(
      course.sections.flatMap(function all(node: CourseNode): [string, CourseNode][] {
        return [[node.id, node], ...itemsOf(node).flatMap(all)];
      }),
    );
    return everywhere.get(id);
  };
  const look = (siblings: Siblings): void => {
    if (siblings.before === siblings.next) return;
    const own = new Map(siblings.before.map((node) => [node.id, node]));
    const isPlaced = !isSameOrder(siblings);
    if (isPlaced) touched.placed.push(siblings);
    for (const node of siblings.next) {
      const was = own.get(node.id) ?? wherever(node.id);
      if (!isPlaced && was !== undefined && !isAlike(was, node)) touched.changed.push(node);
      if (was !== node && isHolder(node)) look({ parentId: node.id, before: itemsOf(was), next: node.items });
    }
  };
  look({ parentId: null, before: course.sections, next: next.sections });
  return touched;
}

const COLUMNS = 'id text, kind text, title text, shown boolean, removed boolean, settings jsonb';

/**
 * Under the course's lock.
 *
 * @param seq the number of the change that leads from one to the other
 */
export async function writeChanged(
  em: EntityManager,
  before: Course,
  next: Course,
  seq: number,
): Promise<void> {
  const was = headOf(before);
  const head = Object.entries(headOf(next)).filter(
    ([name, value]) => !sameValue(value as FieldValue, was[name as keyof typeof was] as FieldValue),
  );
  // Some of its columns: what is not named stays.
  const values = { ...Object.fromEntries(head), seq } as EntityData<CourseRecord>;
  await em.nativeUpdate(CourseRow, { id: next.id }, values);
  const { changed, placed } = touchedBy(before, next);
  if (changed.length > 0) {
    await em.execute(
      `update node set kind = row.kind, title = row.title, shown = row.shown, removed = row.removed,
         settings = row.settings
       from jsonb_to_recordset(?::jsonb) as row(${COLUMNS})
       where node.course_id = ? and node.id = row.id`,
      [JSON.stringify(changed.map(valuesOf)), next.id],
    );
  }
  for (const siblings of placed) await place(em, next.id, siblings);
}

/** As many as possible keep the key of their place. */
async function place(
  em: EntityManager,
  courseId: string,
  { parentId, before, next }: Siblings,
): Promise<void> {
  const rows = await em.execute<{ id: string; key: string }[]>(
    'select id, order_key as key from node where course_id = ? and parent_id is not distinct from ?',
    [courseId, parentId],
  );
  const held = new Map(rows.map(({ id, key }) => [id, key]));
  const keys = assignOrderKeys(next.map(({ id }) => ({ id, key: held.get(id) ?? null })));
  const own = new Map(before.map((node) => [node.id, node]));
  const written = next.filter((node) => {
    const was = own.get(node.id);
    return was === undefined || held.get(node.id) !== keys.get(node.id) || !isAlike(was, node);
  });
  if (written.length === 0) return;
  await em.execute(
    `insert into node (course_id, id, parent_id, kind, order_key, title, shown, removed, settings)
     select ?, row.id, ?, row.kind, row.order_key, row.title, row.shown, row.removed, row.settings
     from jsonb_to_recordset(?::jsonb) as row(${COLUMNS}, order_key text)
     on conflict (course_id, id) do update set parent_id = excluded.parent_id, kind = excluded.kind,
       order_key = excluded.order_key, title = excluded.title, shown = excluded.shown,
       removed = excluded.removed, settings = excluded.settings`,
    [
      courseId,
      parentId,
      JSON.stringify(written.map((node) => ({ ...valuesOf(node), order_key: keys.get(node.id) }))),
    ],
  );
}
