/**
 * The course as it stands for one person at a moment, before anybody asks what of it they get: what is held is
 * as it was when it was held, and their exceptions are its moments (docs/semantics.md, Relative moments; Held).
 */
import type { Exception, PersonException } from '../course/schema/access-schema.ts';
import type { Item } from '../course/schema/items-schema.ts';
import type { PlannedMoment } from '../course/schema/moment-schema.ts';
import type { Course, CourseNode } from '../course/schema/schema.ts';
import { isHolder } from '../course/tree.ts';
import { BoundedBy, LAST_FEW } from '../course/bounded.ts';
import { asReleased, heldAt } from './holding.ts';
import { mayPlan } from './roles.ts';
import type { Viewer } from './roles.ts';

const made = new BoundedBy<Course, Course>(LAST_FEW);

/** The same object where nothing differs, and the same again for whoever has the same exceptions. */
export function ownCourse(course: Course, viewer: Viewer, at: number): Course {
  if (mayPlan(viewer)) return course;
  const held = heldAt(course, at);
  const own = exceptionsFor(course, viewer);
  if (held.length === 0 && own.length === 0) return course;
  const key = JSON.stringify([held, own]);
  return made.of(course).orElse(key, () => withExceptions(asReleased(course, held), own));
}

/** One for each node at most: the person's own go before those of groups, later ones before earlier ones. */
export function exceptionsFor(course: Course, viewer: Viewer): readonly PersonException[] {
  const { groups = [], exceptions = [] } = viewer;
  const ofGroups = Object.values(course.exceptions).filter(({ for: id }) => groups.includes(id));
  if (ofGroups.length === 0 && exceptions.length === 0) return [];
  const found = new Map<string, PersonException>();
  const later = (a: PersonException, b: PersonException): number => a.at - b.at;
  // A class is the wider of the two: one's group goes before it.
  const isClass = ({ for: id }: Exception): boolean => course.groups[id]?.kind === 'class';
  const rising = [
    ...ofGroups.filter(isClass).sort(later),
    ...ofGroups.filter((one) => !isClass(one)).sort(later),
    ...[...exceptions].sort(later),
  ];
  for (const { node, opens, due, until, factor, at } of rising) {
    const before = found.get(node);
    found.set(node, {
      node,
      opens: opens ?? before?.opens ?? null,
      due: due ?? before?.due ?? null,
      until: until ?? before?.until ?? null,
      factor: factor ?? before?.factor ?? null,
      at,
    });
  }
  return [...found.values()].sort((a, b) => (a.node < b.node ? -1 : 1));
}

/** How much of the usual time this person has in a quiz. */
export function timeFactor(course: Course, viewer: Viewer, node: string): number {
  return exceptionsFor(course, viewer).find((one) => one.node === node)?.factor ?? 1;
}

function withExceptions(course: Course, own: readonly PersonException[]): Course {
  if (own.length === 0) return course;
  const byNode = new Map(own.map((one) => [one.node, one]));
  const changed = <N extends CourseNode>(node: N): N => {
    const exception = byNode.get(node.id);
    const mended = exception === undefined ? node : withMoments(node, exception);
    if (!isHolder(mended)) return mended;
    const items = mended.items.map((item): Item => changed(item));
    return items.every((item, at) => item === mended.items[at]) ? mended : { ...mended, items };
  };
  return { ...course, sections: course.sections.map((section) => changed(section)) };
}

function withMoments<N extends CourseNode>(node: N, { opens, due, until }: PersonException): N {
  const next: { opens?: PlannedMoment; due?: PlannedMoment; rule?: N['rule'] } = {};
  if (opens !== null) next.opens = opens;
  if (due !== null && 'due' in node) next.due = due;
  if (until !== null) {
    next.rule = { ...(node.rule ?? { when: { kind: 'all', of: [] }, then: 'look' }), until };
  }
  return { ...node, ...next };
}
