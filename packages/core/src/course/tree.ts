/** Finding one's way in the outline. All of it is pure and returns new values. */
import type { Course, CourseNode, Item, Section } from './schema.ts';

/** Where a node stands: its parent's id, its index among the siblings (tombstones counted), what is above. */
export interface Place {
  readonly node: CourseNode;
  readonly parent: string;
  readonly index: number;
  /** The section that holds the node, or null for a section itself. */
  readonly section: Section | null;
}

export function findNode(course: Course, id: string): Place | null {
  for (const [index, section] of course.sections.entries()) {
    if (section.id === id) return { node: section, parent: course.id, index, section: null };
    for (const [at, item] of section.items.entries()) {
      if (item.id === id) return { node: item, parent: section.id, index: at, section };
    }
  }
  return null;
}

/** A node is out of sight when it, or what holds it, has been removed. */
export function isOutOfSight(place: Place): boolean {
  return place.node.removed || (place.section?.removed ?? false);
}

export function livingSections(course: Course): readonly Section[] {
  return course.sections.filter((section) => !section.removed);
}

export function livingItems(section: Section): readonly Item[] {
  return section.items.filter((item) => !item.removed);
}

/** Everything that exists below a node, itself first. */
export function subtree(node: CourseNode): readonly CourseNode[] {
  return node.kind === 'section' ? [node, ...node.items] : [node];
}

/** The course as it is seen: without tombstones. Two courses are the same when these are equal. */
export function withoutTombstones(course: Course): Course {
  return {
    ...course,
    sections: livingSections(course).map((section) => ({ ...section, items: [...livingItems(section)] })),
  };
}

export function replaceSection(course: Course, next: Section): Course {
  return { ...course, sections: course.sections.map((section) => (section.id === next.id ? next : section)) };
}
