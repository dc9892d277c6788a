/** A course and its rows: the same value, written two ways. Reading back gives what core computed. */
import { courseSchema, firstDayOf, goesLiveAt, isHolder, isHolderKind } from '@itinerary/core';
import type { Course, CourseNode } from '@itinerary/core';
import type { CourseRecord, NodeRecord, NodeSettings } from './entities.ts';
import { CourseRow, NodeRow } from './entities.ts';
import { groupBy } from './group-by.ts';
import { assignOrderKeys } from './order-keys.ts';
import type { EntityManager } from './orm.ts';

export interface LoadedCourse {
  readonly row: CourseRecord;
  readonly course: Course;
}

/** A course as its rows are, whatever is kept of it; null: there is none. */
export async function loadCourse(em: EntityManager, id: string): Promise<LoadedCourse | null> {
  const row = await em.findOne(CourseRow, { id });
  if (row === null) return null;
  return { row, course: toCourse(row, await em.find(NodeRow, { courseId: id })) };
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
  const head = { id, code, title, purpose, state, department, term, description, tags, dates, settings };
  return { ...head, firstDay: firstDayOf(dates), goesLive: goesLiveAt(course), listed: true };
}

/** A node of a course, without what it holds, as its row has it. */
export const valuesOf = (node: CourseNode): Omit<NodeRecord, 'courseId' | 'parentId' | 'orderKey'> => ({
  id: node.id,
  kind: node.kind,
  title: node.title,
  shown: node.shown,
  removed: node.removed,
  settings: settingsOf(node),
});

/** The rows of a whole new course. */
export function nodeRows(course: Course): readonly NodeRecord[] {
  const within = (parentId: string | null, siblings: readonly CourseNode[]): readonly NodeRecord[] => {
    const keys = assignOrderKeys(siblings.map(({ id }) => ({ id, key: null })));
    return siblings.flatMap((node) => [
      { courseId: course.id, parentId, orderKey: keys.get(node.id) as string, ...valuesOf(node) },
      ...(isHolder(node) ? within(node.id, node.items) : []),
    ]);
  };
  return within(null, course.sections);
}
