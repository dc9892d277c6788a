/**
 * `applyChange`: the one function that changes a course, in the browser, on the server and in tools.
 * docs/semantics.md, Changes.
 */
import { MAX_FOLDER_DEPTH, MAX_ITEMS_PER_PARENT, TOMBSTONES_FACTOR } from '../schema/items-schema.ts';
import type { Item } from '../schema/items-schema.ts';
import { MAX_SECTIONS } from '../schema/schema.ts';
import type { Course, CourseNode, HeldBack, Section } from '../schema/schema.ts';
import { checkHeld } from '../parse-course.ts';
import { sameValue } from './edits.ts';
import type { Change, Edit, InsertEdit, MoveEdit, RemoveEdit, SetEdit } from './edits.ts';
import { fieldSchema, readField, roomOf, writeField } from './fields.ts';
import { findNode, folderDepth, isHolder, isOutOfSight, subtree, withItems } from '../tree.ts';
import type { Holder, Place } from '../tree.ts';
import type { Applied, Refusal } from './refusal.ts';

type Step =
  | { readonly ok: true; readonly course: Course; readonly inverse: Edit | null }
  | { readonly ok: false; readonly refusal: Refusal };

// `edit` is filled in by applyChange, which alone knows the index.
type WithoutIndex<R> = R extends Refusal ? Omit<R, 'edit'> : never;
const refuse = (refusal: WithoutIndex<Refusal>): Step => ({
  ok: false,
  refusal: { ...refusal, edit: 0 } as Refusal,
});

/**
 * Applies a change whole, or refuses it whole.
 *
 * @returns the next course and the edits that take back the effect which the change really had, in the
 * order in which to apply them; or the refusal, naming the edit that stopped it. An edit without effect
 * (removing what is removed, setting what is set) is accepted and adds nothing to the way back.
 */
export function applyChange(course: Course, change: Change): Applied {
  let next = course;
  const inverse: Edit[] = [];
  for (const [index, edit] of change.edits.entries()) {
    const step = applyEdit(next, edit, change.undoes !== undefined);
    if (!step.ok) return { ok: false, refusal: { ...step.refusal, edit: index } };
    next = step.course;
    if (step.inverse !== null) inverse.unshift(step.inverse);
  }
  return { ok: true, course: next, inverse };
}

function applyEdit(course: Course, edit: Edit, undoing: boolean): Step {
  switch (edit.kind) {
    case 'set':
      return applySet(course, edit, undoing);
    case 'insert':
      return applyInsert(course, edit);
    case 'move':
      return applyMove(course, edit);
    case 'remove':
      return applyRemove(course, edit);
  }
}

function applySet(course: Course, edit: SetEdit, undoing: boolean): Step {
  const { target, field } = edit;
  const place = target === course.id ? null : findNode(course, target);
  if (target !== course.id && place === null) return refuse({ code: 'unknown_target', target });
  if (place !== null && isOutOfSight(place)) return refuse({ code: 'removed_target', target });

  const schema = fieldSchema(place === null ? null : place.node.kind, field);
  if (schema === null) return refuse({ code: 'unknown_field', target, field });
  const checked = schema.safeParse(edit.value);
  if (!checked.success) {
    const expected = checked.error.issues[0]?.message ?? '';
    return refuse({ code: 'bad_value', target, field, value: edit.value, expected });
  }
  // The schema may trim; what is stored, and what an undo compares with, is the trimmed value.
  const value = checked.data as SetEdit['value'];
  const wrong = place === null ? wrongCopy(course, field, value) : null;
  if (wrong !== null) return refuse({ code: 'bad_value', target, field, value: edit.value, expected: wrong });
  const holder = place === null ? course : place.node;
  const before = readField(holder, field);
  if (undoing && !sameValue(before, edit.was)) {
    return refuse({ code: 'changed_since', target, field, now: before, wanted: value });
  }
  if (sameValue(before, value)) return { ok: true, course, inverse: null };
  const room = before === null && value !== null ? roomOf(place?.node.kind ?? null, field) : null;
  if (room !== null && entriesIn(holder, room.table) >= room.most) {
    return refuse({ code: 'too_many', target, most: room.most });
  }
  const next =
    place === null
      ? writeField(course, field, value)
      : replaceNode(course, writeField(place.node, field, value), place);
  return { ok: true, course: next, inverse: { kind: 'set', target, field, value: before, was: value } };
}

/** What was expected of a copy of something held, where it could not be read again. */
function wrongCopy(course: Course, field: string, value: SetEdit['value']): string | null {
  const table = 'heldBack.';
  if (!field.startsWith(table) || value === null) return null;
  const [wrong] = checkHeld(course.id, field.slice(table.length), value as unknown as HeldBack);
  return wrong === undefined ? null : `at ${wrong.path}, ${wrong.expected}`;
}

const entriesIn = (holder: Course | CourseNode, table: string): number =>
  Object.keys(readField(holder, table) as object).length;

function applyInsert(course: Course, edit: InsertEdit): Step {
  const target = edit.node.id;
  const standing = findNode(course, target);
  if (standing === null) return insertNew(course, edit);
  if (!standing.node.removed || standing.above.some(({ removed }) => removed))
    return refuse({ code: 'id_taken', target });
  // Bringing back: the tombstone kept what was there, so the author's copy is not consulted.
  const parent = edit.after === target ? standing.parent : edit.parent;
  const stop = checkParent(course, standing.node, parent);
  if (stop !== null) return refuse({ ...stop, target });
  const most = mostBeside(standing.node);
  const living = siblings(course, parent).filter(({ removed }) => !removed);
  if (living.length >= most) return refuse({ code: 'too_many', target, most });
  const revived = { ...standing.node, removed: false };
  const inverse: Edit = { kind: 'remove', target };
  if (edit.after === target) {
    return { ok: true, course: replaceNode(course, revived, standing), inverse };
  }
  const without = detach(course, standing);
  const seat = seatAfter(without, parent, edit.after);
  if (seat === null) return refuse({ code: 'unknown_neighbour', target, after: edit.after ?? '' });
  return { ok: true, course: attach(without, revived, parent, seat), inverse };
}

function insertNew(course: Course, edit: InsertEdit): Step {
  const target = edit.node.id;
  const stop = checkParent(course, edit.node, edit.parent);
  if (stop !== null) return refuse({ ...stop, target });
  const ids = subtree(edit.node).map((node) => node.id);
  const taken = ids.find(
    (id, at) => id === course.id || ids.indexOf(id) !== at || findNode(course, id) !== null,
  );
  if (taken !== undefined) return refuse({ code: 'id_taken', target: taken });
  const most = mostBeside(edit.node);
  if (isFull(course, edit.parent, most)) return refuse({ code: 'too_many', target, most });
  const seat = seatAfter(course, edit.parent, edit.after);
  if (seat === null) return refuse({ code: 'unknown_neighbour', target, after: edit.after ?? '' });
  return {
    ok: true,
    course: attach(course, { ...edit.node, removed: false }, edit.parent, seat),
    inverse: { kind: 'remove', target },
  };
}

function applyMove(course: Course, edit: MoveEdit): Step {
  const { target } = edit;
  const place = findNode(course, target);
  if (place === null) return refuse({ code: 'unknown_target', target });
  if (isOutOfSight(place)) return refuse({ code: 'removed_target', target });
  const stop = checkParent(course, place.node, edit.parent);
  if (stop !== null) return refuse({ ...stop, target });
  const before = siblings(course, place.parent)[place.index - 1]?.id ?? null;
  // "After itself" is where it stands, and so is "after the one before it".
  const unmoved = edit.parent === place.parent && (edit.after === target || edit.after === before);
  if (unmoved) return { ok: true, course, inverse: null };
  const most = mostBeside(place.node);
  if (edit.parent !== place.parent && isFull(course, edit.parent, most)) {
    return refuse({ code: 'too_many', target, most });
  }
  const without = detach(course, place);
  const seat = seatAfter(without, edit.parent, edit.after);
  if (seat === null) return refuse({ code: 'unknown_neighbour', target, after: edit.after ?? '' });
  return {
    ok: true,
    course: attach(without, place.node, edit.parent, seat),
    inverse: { kind: 'move', target, parent: place.parent, after: before },
  };
}

function applyRemove(course: Course, edit: RemoveEdit): Step {
  const { target } = edit;
  const place = findNode(course, target);
  if (place === null) return refuse({ code: 'unknown_target', target });
  if (isOutOfSight(place)) return { ok: true, course, inverse: null };
  const gone = { ...place.node, removed: true };
  return {
    ok: true,
    course: replaceNode(course, gone, place),
    inverse: { kind: 'insert', parent: place.parent, after: target, node: place.node },
  };
}

type ParentStop =
  | { readonly code: 'unknown_parent'; readonly parent: string }
  | { readonly code: 'removed_parent'; readonly parent: string }
  | { readonly code: 'wrong_parent'; readonly parent: string }
  | { readonly code: 'inside_itself'; readonly parent: string }
  | { readonly code: 'too_deep'; readonly most: number };

/** Sections stand in the course; items in sections and in folders, which nest only so deep. */
function checkParent(course: Course, node: CourseNode, parent: string): ParentStop | null {
  if (parent === course.id) return node.kind === 'section' ? null : { code: 'wrong_parent', parent };
  const place = findNode(course, parent);
  if (place === null) return { code: 'unknown_parent', parent };
  if (!isHolder(place.node) || node.kind === 'section') return { code: 'wrong_parent', parent };
  const chain = [...place.above, place.node];
  if (chain.some(({ id }) => id === node.id)) return { code: 'inside_itself', parent };
  if (chain.some(({ removed }) => removed)) return { code: 'removed_parent', parent };
  const folders = chain.length - 1 + folderDepth(node);
  return folders > MAX_FOLDER_DEPTH ? { code: 'too_deep', most: MAX_FOLDER_DEPTH } : null;
}

function mostBeside(node: CourseNode): number {
  return node.kind === 'section' ? MAX_SECTIONS : MAX_ITEMS_PER_PARENT;
}

function siblings(course: Course, parent: string): readonly CourseNode[] {
  if (parent === course.id) return course.sections;
  const node = findNode(course, parent)?.node;
  return node !== undefined && isHolder(node) ? node.items : [];
}

/** Of what stands there so many; of what has been removed there as well, more. */
function isFull(course: Course, parent: string, most: number): boolean {
  const all = siblings(course, parent);
  return all.length >= most * TOMBSTONES_FACTOR || all.filter(({ removed }) => !removed).length >= most;
}

/**
 * The index at which a node that comes after `after` is put, or null when there is no such neighbour.
 * A neighbour that somebody else has moved to another parent puts the node last: its author's work is not
 * refused because of where a neighbour went.
 */
function seatAfter(course: Course, parent: string, after: string | null): number | null {
  if (after === null) return 0;
  const among = siblings(course, parent);
  const at = among.findIndex((node) => node.id === after);
  if (at >= 0) return at + 1;
  return findNode(course, after) === null ? null : among.length;
}

function detach(course: Course, { node, index, above }: Place): Course {
  const holder = above.at(-1);
  return holder === undefined
    ? { ...course, sections: course.sections.filter((section) => section.id !== node.id) }
    : withItems(course, above, holder.items.toSpliced(index, 1));
}

function attach(course: Course, node: CourseNode, parent: string, seat: number): Course {
  if (node.kind === 'section') return { ...course, sections: course.sections.toSpliced(seat, 0, node) };
  const place = findNode(course, parent) as Place;
  const holder = place.node as Holder;
  return withItems(course, [...place.above, holder], holder.items.toSpliced(seat, 0, node));
}

/** Puts another version of a node where it stands. */
function replaceNode(course: Course, node: CourseNode, { index, above }: Place): Course {
  const holder = above.at(-1);
  return holder === undefined
    ? { ...course, sections: course.sections.with(index, node as Section) }
    : withItems(course, above, holder.items.with(index, node as Item));
}
