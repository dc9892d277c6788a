/** Finding one's way in the outline. All of it is pure and returns new values. */
import { isHolderKind } from './schema/kinds.ts';
import type { Folder, Item } from './schema/items-schema.ts';
import type { Course, CourseNode, Section } from './schema/schema.ts';

/** What holds items. */
export type Holder = Section | Folder;

/** Where a node stands: its parent's id, its index among the siblings (tombstones counted), what is above. */
export interface Place {
  readonly node: CourseNode;
  readonly parent: string;
  readonly index: number;
  /** What holds the node, from its section down to its parent; empty for a section itself. */
  readonly above: readonly Holder[];
}

export function isHolder(node: CourseNode): node is Holder {
  return isHolderKind(node.kind);
}

export function findNode(course: Course, id: string): Place | null {
  for (const [index, section] of course.sections.entries()) {
    if (section.id === id) return { node: section, parent: course.id, index, above: [] };
    const inside = findIn([section], id);
    if (inside !== null) return inside;
  }
  return null;
}

function findIn(above: readonly Holder[], id: string): Place | null {
  const holder = above.at(-1) as Holder;
  for (let index = 0; index < holder.items.length; index += 1) {
    const item = holder.items[index] as Item;
    if (item.id === id) return { node: item, parent: holder.id, index, above };
    const inside = isHolder(item) ? findIn([...above, item], id) : null;
    if (inside !== null) return inside;
  }
  return null;
}

/** The section that a node stands in, or is. */
export function sectionOf(place: Place): Section {
  return (place.above[0] ?? place.node) as Section;
}

/** A node is out of sight when it, or what holds it, has been removed. */
export function isOutOfSight(place: Place): boolean {
  return place.node.removed || place.above.some(({ removed }) => removed);
}

/** Learners can come to get it, as far as it is up to the node alone. */
export function isForLearners(node: Pick<CourseNode, 'shown' | 'staffOnly' | 'removed'>): boolean {
  return node.shown && !node.staffOnly && !node.removed;
}

/** A node is shown when it and all that holds it are. */
export function isShown(place: Place): boolean {
  return [...place.above, place.node].every((node) => isForLearners(node));
}

export function livingSections(course: Course): readonly Section[] {
  return course.sections.filter((section) => !section.removed);
}

/** The items that stand directly in a section or folder. */
export function livingItems(holder: Holder): readonly Item[] {
  return holder.items.filter((item) => !item.removed);
}

/** All living items below, in reading order, folders before what they hold. */
export function allLivingItems(holder: Holder): readonly Item[] {
  const found: Item[] = [];
  const visit = (items: readonly Item[]): void => {
    for (const item of items) {
      if (item.removed) continue;
      found.push(item);
      if (isHolder(item)) visit(item.items);
    }
  };
  visit(holder.items);
  return found;
}

/** All items below that learners can get: shown, in folders that are. */
export function shownItems(holder: Holder): readonly Item[] {
  const found: Item[] = [];
  const visit = (items: readonly Item[]): void => {
    for (const item of items) {
      if (!isForLearners(item)) continue;
      found.push(item);
      if (isHolder(item)) visit(item.items);
    }
  };
  if (isForLearners(holder)) visit(holder.items);
  return found;
}

/** Everything that exists below a node, itself first. */
export function subtree(node: CourseNode): readonly CourseNode[] {
  return isHolder(node) ? [node, ...node.items.flatMap((item) => subtree(item))] : [node];
}

/** The tops of all trees: the sections of the plan, and what learners have of what is held. */
export function topsOf({ sections, heldBack }: Pick<Course, 'sections' | 'heldBack'>): readonly CourseNode[] {
  return [...sections, ...Object.values(heldBack).flatMap(({ node }) => node ?? [])];
}

/** The course with another version of each of its tops. */
export function mapTops(course: Course, change: <N extends CourseNode>(node: N) => N): Course {
  const held = Object.entries(course.heldBack).map(
    ([id, one]) => [id, one.node === null ? one : { ...one, node: change(one.node) }] as const,
  );
  return {
    ...course,
    sections: course.sections.map((section) => change(section)),
    heldBack: Object.fromEntries(held),
  };
}

/** How many folders deep a node is in itself: 0 for what holds no folder. */
export function folderDepth(node: CourseNode): number {
  if (!isHolder(node)) return 0;
  const inside = node.items.reduce((deepest, item) => Math.max(deepest, folderDepth(item)), 0);
  return inside + (node.kind === 'section' ? 0 : 1);
}

/** The course as it is seen: without tombstones. Two courses are the same when these are equal. */
export function withoutTombstones(course: Course): Course {
  return { ...course, sections: livingSections(course).map((section) => withoutRemoved(section)) };
}

/** A node without the tombstones in it. */
export function withoutRemoved<N extends CourseNode>(node: N): N {
  if (!isHolder(node)) return node;
  return { ...node, items: livingItems(node).map((item) => withoutRemoved(item)) };
}

/** The course with the items of one holder replaced; only what lies above it is made anew. */
export function withItems(course: Course, above: readonly Holder[], items: readonly Item[]): Course {
  let next: Holder = { ...(above.at(-1) as Holder), items: [...items] };
  for (let level = above.length - 2; level >= 0; level -= 1) {
    const holder = above[level] as Holder;
    const inner = next as Folder;
    next = { ...holder, items: holder.items.map((item) => (item.id === inner.id ? inner : item)) };
  }
  const section = next as Section;
  return { ...course, sections: course.sections.map((one) => (one.id === section.id ? section : one)) };
}
