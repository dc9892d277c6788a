/** A course and its rows: the same value, written two ways. Reading back gives what core computed. */
import { courseSchema, isHolder, isHolderKind, subtree } from '@itinerary/core';
import type { Course, CourseNode } from '@itinerary/core';
import type { CourseRecord, NodeRecord, NodeSettings } from './entities.ts';
import { CourseRow, NodeRow } from './entities.ts';
import { groupBy } from './group-by.ts';
import { lockCourse } from './locks.ts';
import { assignOrderKeys } from './order-keys.ts';
import type { EntityManager } from './orm.ts';

export interface LoadedCourse {
  readonly row: CourseRecord;
  readonly nodes: readonly NodeRecord[];
  readonly course: Course;
}

/** A course as its rows are, or null, for whoever is going to write them. With `lock`, nobody else changes it until the transaction ends. */
export async function loadCourse(em: EntityManager, id: string, lock = false): Promise<LoadedCourse | null> {
  if (lock) await lockCourse(em, id);
  const row = await em.findOne(CourseRow, { id }, { refresh: lock });
  if (row === null) return null;
  const nodes = await em.find(NodeRow, { courseId: id });
  return { row, nodes, course: toCourse(row, nodes) };
}

export const byCourse = (nodes: readonly NodeRecord[]): ReadonlyMap<string, NodeRecord[]> =>
  groupBy(nodes, ({ courseId }) => courseId);

const byOrderKey = (a: NodeRecord, b: NodeRecord): number =>
  a.orderKey < b.orderKey ? -1 : a.orderKey > b.orderKey ? 1 : 0;

export function toCourse(row: CourseRecord, nodes: readonly NodeRecord[]): Course {
  const children = groupBy(nodes, ({ parentId }) => parentId ?? '');
  const ordered = (parent: string): NodeRecord[] => (children.get(parent) ?? []).sort(byOrderKey);
  const toNode = ({ id, kind, title, shown, removed, settings }: NodeRecord): object => ({
    ...settings,
    id,
    kind,
    title,
    shown,
    removed,
    ...(isHolderKind(kind) ? { items: ordered(id).map(toNode) } : {}),
  });
  return courseSchema.parse({
    ...row.settings,
    id: row.id,
    title: row.title,
    code: row.code,
    purpose: row.purpose,
    state: row.state,
    department: row.department,
    term: row.term,
    description: row.description,
    tags: row.tags,
    dates: row.dates,
    sections: ordered('').map(toNode),
  });
}

/** All that a node has beside its columns and what it holds. */
function settingsOf(node: CourseNode): NodeSettings {
  const { id: _id, kind: _kind, title: _title, shown: _shown, removed: _removed, ...rest } = node;
  void [_id, _kind, _title, _shown, _removed];
  if (!('items' in rest)) return rest;
  const { items: _items, ...settings } = rest;
  void _items;
  return settings;
}

/** The columns of a course, from the course. */
export function headOf(course: Course): Omit<CourseRecord, 'institutionId' | 'seq' | 'createdAt'> {
  const {
    id,
    code,
    title,
    purpose,
    state,
    department,
    term,
    description,
    tags,
    dates,
    sections: _sections,
    ...settings
  } = course;
  void _sections;
  return { id, code, title, purpose, state, department, term, description, tags, dates, settings };
}

/** Writes what differs between the rows and the next course; the unit of work sends only changed columns. */
export function writeCourse(em: EntityManager, loaded: LoadedCourse, next: Course): void {
  em.assign(loaded.row, headOf(next));
  const rows = new Map(loaded.nodes.map((node) => [node.id, node]));
  const before = new Map(
    loaded.nodes.length === 0
      ? []
      : loaded.course.sections.flatMap((section) => subtree(section)).map((node) => [node.id, node]),
  );
  writeSiblings(em, next.id, null, next.sections, { rows, before });
}

interface Stored {
  readonly rows: ReadonlyMap<string, NodeRecord>;
  /** The nodes as they were loaded: what an edit leaves alone is the same object afterwards. */
  readonly before: ReadonlyMap<string, CourseNode>;
}

function writeSiblings(
  em: EntityManager,
  courseId: string,
  parentId: string | null,
  siblings: readonly CourseNode[],
  stored: Stored,
): void {
  const { rows, before } = stored;
  const keys = assignOrderKeys(
    siblings.map(({ id }) => {
      const row = rows.get(id);
      return { id, key: row !== undefined && row.parentId === parentId ? row.orderKey : null };
    }),
  );
  for (const node of siblings) {
    const row = rows.get(node.id);
    const orderKey = keys.get(node.id) as string;
    const isSame = before.get(node.id) === node && row?.parentId === parentId && row.orderKey === orderKey;
    if (isSame) continue;
    const values = {
      parentId,
      kind: node.kind,
      orderKey,
      title: node.title,
      shown: node.shown,
      removed: node.removed,
      settings: settingsOf(node),
    };
    if (row === undefined) em.persist(em.create(NodeRow, { courseId, id: node.id, ...values }));
    else em.assign(row, values);
    if (isHolder(node)) writeSiblings(em, courseId, node.id, node.items, stored);
  }
}
