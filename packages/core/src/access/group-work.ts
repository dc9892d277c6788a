/**
 * How work is done in groups inside an item (docs/semantics.md, Group work): it filters what is seen inside, and
 * never caps the item.
 */
import type { GroupWork } from '../course/schema/access-schema.ts';
import { isContent } from '../course/schema/items-schema.ts';
import type { Course, CourseNode } from '../course/schema/schema.ts';

/** The item's own mode, else the course's; what is no content has none. */
export function groupWorkOf(course: Course, node: CourseNode): GroupWork {
  return isContent(node) ? (node.groupWork ?? course.groupWork) : 'none';
}

export type InGroup = 'work' | 'look' | 'nothing';

/**
 * What somebody does with the work of others in an item. With no groups everybody's is seen; whoever is in none
 * works alone where groups are kept apart.
 *
 * @param mine ids of one's own groups. @param theirs ids of the others'; classes are no groups to work in.
 */
export function mayWith(
  { groups }: Pick<Course, 'groups'>,
  mode: GroupWork,
  mine: readonly string[],
  theirs: readonly string[],
): InGroup {
  if (mode === 'none') return 'look';
  const isGroup = (id: string): boolean => groups[id]?.kind === 'group';
  const isShared = mine.some((id) => isGroup(id) && theirs.includes(id));
  if (isShared) return 'work';
  return mode === 'beside' ? 'look' : 'nothing';
}
