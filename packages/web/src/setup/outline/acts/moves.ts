/** Where nodes go when they are moved by one place, dropped on a line, or sent somewhere. Pure: course to edits. */
import { findNode, isHolder, livingItems, livingSections, subtree } from '@itinerary/core';
import type { Course, CourseNode, Holder, MoveEdit, Place } from '@itinerary/core';

/** A place to be put: in this parent, after this sibling or first. */
export interface Seat {
  readonly parent: string;
  readonly after: string | null;
}

export interface Drop {
  readonly on: string;
  /** `into` only for folders and sections. */
  readonly edge: 'top' | 'bottom' | 'into';
}

/** The chosen nodes in reading order: without those inside others, and all sections or all items. */
export function movable(course: Course, ids: readonly string[], lead: string): readonly string[] {
  const chosen = new Set(ids);
  const isSection = findNode(course, lead)?.node.kind === 'section';
  return course.sections
    .flatMap((section) => subtree(section))
    .filter(({ id, removed }) => chosen.has(id) && !removed)
    .filter((node) => (node.kind === 'section') === isSection)
    .filter(({ id }) => !findNode(course, id)?.above.some((holder) => chosen.has(holder.id)))
    .map(({ id }) => id);
}

/** Puts nodes one after the other. */
export function placeAll(ids: readonly string[], { parent, after }: Seat): readonly MoveEdit[] {
  return ids.map((target, at) => ({
    kind: 'move',
    target,
    parent,
    after: at === 0 ? after : (ids[at - 1] as string),
  }));
}

/**
 * Up or down by one. At the end of a section an item goes on into the next one; a folder that stands open is
 * gone into, and at its end left again. Null: there is no further.
 */
export function moveByOne(
  course: Course,
  ids: readonly string[],
  way: 'up' | 'down',
  isFolded: (id: string) => boolean,
): readonly MoveEdit[] | null {
  const lead = way === 'up' ? ids[0] : ids.at(-1);
  const place = lead === undefined ? null : findNode(course, lead);
  if (place === null) return null;
  const chosen = new Set(ids);
  const seat = way === 'up' ? seatAbove(course, place, chosen, isFolded) : seatBelow(course, place, isFolded);
  return seat === null ? null : placeAll(ids, seat);
}

function siblingsOf(course: Course, place: Place): readonly CourseNode[] {
  const holder = place.above.at(-1);
  return holder === undefined ? livingSections(course) : livingItems(holder);
}

const lastOf = (holder: Holder, without: ReadonlySet<string>): string | null =>
  livingItems(holder)
    .filter(({ id }) => !without.has(id))
    .at(-1)?.id ?? null;

function seatAbove(
  course: Course,
  place: Place,
  chosen: ReadonlySet<string>,
  isFolded: (id: string) => boolean,
): Seat | null {
  const siblings = siblingsOf(course, place);
  const at = siblings.findIndex(({ id }) => id === place.node.id);
  const before = siblings[at - 1];
  if (before !== undefined) {
    const goesInto = before.kind !== 'section' && isHolder(before) && !isFolded(before.id);
    return goesInto
      ? { parent: before.id, after: lastOf(before, chosen) }
      : { parent: place.parent, after: siblings[at - 2]?.id ?? null };
  }
  const holder = place.above.at(-1);
  if (holder === undefined) return null;
  if (holder.kind !== 'section') {
    const outer = findNode(course, holder.id) as Place;
    const around = siblingsOf(course, outer);
    const index = around.findIndex(({ id }) => id === holder.id);
    return { parent: outer.parent, after: around[index - 1]?.id ?? null };
  }
  const sections = livingSections(course);
  const above = sections[sections.findIndex(({ id }) => id === holder.id) - 1];
  return above === undefined ? null : { parent: above.id, after: lastOf(above, chosen) };
}

function seatBelow(course: Course, place: Place, isFolded: (id: string) => boolean): Seat | null {
  const siblings = siblingsOf(course, place);
  const next = siblings[siblings.findIndex(({ id }) => id === place.node.id) + 1];
  if (next !== undefined) {
    const goesInto = next.kind !== 'section' && isHolder(next) && !isFolded(next.id);
    return goesInto ? { parent: next.id, after: null } : { parent: place.parent, after: next.id };
  }
  const holder = place.above.at(-1);
  if (holder === undefined) return null;
  if (holder.kind !== 'section') {
    const outer = findNode(course, holder.id) as Place;
    return { parent: outer.parent, after: holder.id };
  }
  const sections = livingSections(course);
  const below = sections[sections.findIndex(({ id }) => id === holder.id) + 1];
  return below === undefined ? null : { parent: below.id, after: null };
}

/** What dropping nodes on a line does; null when they stay where they are or do not belong there. */
export function moveByDrop(course: Course, ids: readonly string[], drop: Drop): readonly MoveEdit[] | null {
  const chosen = new Set(ids);
  const first = ids[0] === undefined ? null : findNode(course, ids[0]);
  const target = findNode(course, drop.on);
  if (first === null || target === null || chosen.has(drop.on)) return null;
  if (target.above.some(({ id }) => chosen.has(id))) return null;
  const seat =
    first.node.kind === 'section'
      ? sectionSeat(course, target, drop, chosen)
      : itemSeat(course, target, drop, chosen);
  if (seat === null || (seat.after !== null && chosen.has(seat.after))) return null;
  return placeAll(ids, seat);
}

/** A section dropped on an item goes after the section that holds it. */
function sectionSeat(course: Course, target: Place, { edge }: Drop, chosen: ReadonlySet<string>): Seat {
  const sections = livingSections(course).filter(({ id }) => !chosen.has(id));
  const over = target.above[0]?.id ?? target.node.id;
  const at = sections.findIndex(({ id }) => id === over);
  const isAbove = target.above.length === 0 && edge === 'top';
  return { parent: course.id, after: (isAbove ? sections[at - 1] : sections[at])?.id ?? null };
}

function itemSeat(course: Course, target: Place, { edge }: Drop, chosen: ReadonlySet<string>): Seat | null {
  const { node } = target;
  if (isHolder(node) && edge === 'into') return { parent: node.id, after: lastOf(node, chosen) };
  if (node.kind === 'section') {
    if (edge === 'bottom') return { parent: node.id, after: null };
    const sections = livingSections(course);
    const above = sections[sections.findIndex(({ id }) => id === node.id) - 1];
    return above === undefined ? null : { parent: above.id, after: lastOf(above, chosen) };
  }
  const others = siblingsOf(course, target).filter(({ id }) => !chosen.has(id));
  const at = others.findIndex(({ id }) => id === node.id);
  return { parent: target.parent, after: edge === 'bottom' ? node.id : (others[at - 1]?.id ?? null) };
}
