/**
 * What learners go on seeing of a course while some of it is held (docs/semantics.md, Held).
 */
import { instantOf } from '../calendar/local-instant.ts';
import { setTableEntry } from '../course/edits/making.ts';
import type { Edit } from '../course/edits/edits.ts';
import type { Item } from '../course/schema/items-schema.ts';
import type { Course, CourseNode, HeldBack, Section } from '../course/schema/schema.ts';
import { findNode, isHolder, isOutOfSight, subtree, withItems, withoutRemoved } from '../course/tree.ts';
import type { Holder } from '../course/tree.ts';

/** Ids of what is held at that instant, in reading order of the plan. */
export function heldAt(course: Course, at: number): readonly string[] {
  const ids = Object.entries(course.heldBack)
    .filter(([id, { node, release }]) => {
      const isOver = release !== null && at >= instantOf(course, release);
      return (node === null || node.id === id) && !isOver;
    })
    .map(([id]) => id);
  if (ids.length === 0) return ids;
  const held = new Set(ids);
  return course.sections
    .flatMap((section) => subtree(section))
    .filter(({ id }) => held.has(id))
    .map(({ id }) => id);
}

/** What learners had of each node that is held. */
type Copies = ReadonlyMap<string, CourseNode | null>;

/** What is held within a copy is as it was when it was held itself. */
function composed<N extends CourseNode>(node: N, copies: Copies, way: readonly string[]): N {
  if (!isHolder(node)) return node;
  const items = node.items.flatMap((item): Item[] => {
    const own = copies.get(item.id);
    if (own === null || way.includes(item.id)) return [];
    return [composed((own ?? item) as Item, copies, [...way, item.id])];
  });
  return { ...node, items };
}

/** Held ones that stand in no other held one, each with what it shows and nothing that another one shows. */
function outermost(course: Course, held: readonly string[], copies: Copies): Copies {
  const within = new Map(
    held.map((id) => {
      const copy = copies.get(id) ?? null;
      return [id, copy === null ? null : composed(copy, copies, [id])] as const;
    }),
  );
  const below = (id: string): readonly string[] => {
    const node = within.get(id) ?? null;
    return node === null ? [] : subtree(node).map((one) => one.id);
  };
  const isWithin = (id: string): boolean => held.some((other) => other !== id && below(other).includes(id));
  const tops = held.filter((id) => !isWithin(id));
  // Two that each stand in the other, which copies of different times can come to: the first in reading order.
  const reached = new Set(tops.flatMap(below));
  for (const id of held) {
    if (tops.includes(id) || reached.has(id)) continue;
    tops.push(id);
    for (const one of below(id)) reached.add(one);
  }
  const planAbove = aboveInPlan(course);
  const owner = new Map<string, string>();
  for (const top of tops) {
    for (const id of below(top)) if (!owner.has(id) || planAbove(id).includes(top)) owner.set(id, top);
  }
  const seen = new Set<string>();
  const once = <N extends CourseNode>(node: N, top: string): N => {
    if (!isHolder(node)) return node;
    const items = node.items.flatMap((item): Item[] => {
      if (owner.get(item.id) !== top || seen.has(item.id)) return [];
      seen.add(item.id);
      return [once(item, top)];
    });
    return { ...node, items };
  };
  return new Map(
    tops.map((top) => {
      const node = within.get(top) ?? null;
      return [top, node === null ? null : once(node, top)];
    }),
  );
}

function aboveInPlan(course: Course): (id: string) => readonly string[] {
  const found = new Map<string, readonly string[]>();
  const visit = (node: CourseNode, above: readonly string[]): void => {
    found.set(node.id, above);
    if (isHolder(node)) for (const item of node.items) visit(item, [...above, node.id]);
  };
  for (const section of course.sections) visit(section, []);
  return (id) => found.get(id) ?? [];
}

/**
 * The course as learners have it, who see nothing of what is written on what is held.
 *
 * @param held as `heldAt` says.
 */
export function asReleased(course: Course, held: readonly string[]): Course {
  if (held.length === 0) return course;
  const copies: Copies = new Map(held.map((id) => [id, copyOf(course, id)]));
  const tops = outermost(course, held, copies);
  const standing = new Set(
    [...tops.values()].flatMap((top) => (top === null ? [] : subtree(top))).map((n) => n.id),
  );
  const released = <N extends CourseNode>(list: readonly N[]): N[] =>
    list.flatMap((node): N[] => {
      const copy = tops.get(node.id);
      if (copy !== undefined) return copy === null ? [] : [copy as N];
      // It stands in what is held, wherever it has been moved since.
      if (standing.has(node.id)) return [];
      if (!isHolder(node)) return [node];
      const items = released<Item>(node.items);
      const isSame = items.length === node.items.length && items.every((item, at) => item === node.items[at]);
      return [isSame ? node : { ...node, items }];
    });
  const seen: Course = { ...course, sections: released<Section>(course.sections) };
  // What was held elsewhere and has been moved into what is held stays with learners.
  return [...tops.entries()].reduce(
    (now, [id, copy]) => (copy === null || findNode(now, id) !== null ? now : broughtIn(now, course, copy)),
    seen,
  );
}

function copyOf(course: Course, id: string): CourseNode | null {
  const copy = course.heldBack[id]?.node ?? null;
  return copy?.kind === findNode(course, id)?.node.kind ? copy : null;
}

/** Behind the nearest one before it in the plan that learners have there, in the nearest one above that they have. */
function broughtIn(seen: Course, plan: Course, node: CourseNode): Course {
  const place = findNode(plan, node.id);
  const above: readonly Holder[] = place?.above ?? [];
  for (let level = above.length - 1; level >= 0; level -= 1) {
    const holder = above[level] as Holder;
    const there = findNode(seen, holder.id);
    // Removed with what it stood in.
    if (there === null && holder.removed) return seen;
    if (there === null || !isHolder(there.node)) continue;
    const child = level === above.length - 1 ? node.id : (above[level + 1] as Holder).id;
    const before = holder.items
      .slice(
        0,
        holder.items.findIndex(({ id }) => id === child),
      )
      .map(({ id }) => id);
    const items = there.node.items;
    const after = items.findLastIndex(({ id }) => before.includes(id));
    return withItems(seen, [...there.above, there.node], items.toSpliced(after + 1, 0, node as Item));
  }
  return seen;
}

/** The first of what is held that decides what learners have of a node; null: they have it as it stands. */
export function holdOver(course: Course, id: string, at: number): string | null {
  const held = heldAt(course, at);
  const above = findNode(course, id)?.above ?? [];
  const decides = (other: string): boolean => {
    if (other === id || above.some((one) => one.id === other)) return true;
    const copy = course.heldBack[other]?.node ?? null;
    return copy !== null && subtree(copy).some((one) => one.id === id);
  };
  return held.find(decides) ?? null;
}

/** What learners have of a node at that instant, without what has been removed; null: nothing. */
export function learnersNode(course: Course, id: string, at: number): CourseNode | null {
  const place = findNode(asReleased(course, heldAt(course, at)), id);
  return place === null || isOutOfSight(place) ? null : withoutRemoved(place.node);
}

/**
 * Holds a node: learners go on seeing what they have of it at that instant.
 */
export function holdEdit(course: Course, id: string, at: number): Edit {
  return setTableEntry(course, 'heldBack', id, { node: learnersNode(course, id, at), release: null });
}

/** Released now: what has been written since is what learners get. */
export function releaseEdit(course: Course, id: string): Edit {
  return setTableEntry(course, 'heldBack', id, null);
}

/** @param release null: not by itself. */
export function planRelease(course: Course, id: string, release: HeldBack['release']): Edit | null {
  const held = course.heldBack[id];
  return held === undefined ? null : setTableEntry(course, 'heldBack', id, { ...held, release });
}
