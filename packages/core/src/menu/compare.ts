/** A menu compared with a template's, difference by difference, so that it can be taken over in part. */
import type { Edit } from '../course/edits/edits.ts';
import type { MenuEntry } from '../course/schema/menu-schema.ts';
import type { Course } from '../course/schema/schema.ts';
import { sameValue } from '../course/edits/edits.ts';
import type { FieldValue } from '../course/edits/edits.ts';
import { entryOf, setEntry } from './edits.ts';
import { placeOf } from './offered.ts';
import { menuEntries } from './resolve.ts';

export type Menu = Course['menu'];

export type MenuDifference =
  /** The template has it and the course has not, or has removed it. */
  | {
      readonly kind: 'missing';
      readonly key: string;
      readonly theirs: MenuEntry;
      readonly own: string | null;
    }
  /** The course has it and the template has not. */
  | { readonly kind: 'extra'; readonly key: string; readonly id: string; readonly own: MenuEntry }
  | {
      readonly kind: 'names' | 'shown';
      readonly key: string;
      readonly id: string;
      readonly own: MenuEntry;
      readonly theirs: MenuEntry;
    }
  /** Both have them, in another order. */
  | { readonly kind: 'order'; readonly key: 'order' };

interface Placed {
  readonly id: string;
  readonly entry: MenuEntry;
}

/** Pages of a course are its own, and in no template; dividers are told apart by nothing. */
function isCommon({ leads }: MenuEntry): boolean {
  return leads.to !== 'item' && leads.to !== 'divider';
}

/** By place; of two that lead to the same, the first that is not removed. */
function placed(menu: Menu): ReadonlyMap<string, Placed> {
  const found = new Map<string, Placed>();
  for (const [id, entry] of menuEntries({ menu })) {
    if (!isCommon(entry)) continue;
    const key = keyOf(entry);
    if (found.get(key)?.entry.removed === false) continue;
    // Put in anew, so that it stands where this one does.
    found.delete(key);
    found.set(key, { id, entry });
  }
  return found;
}

function keyOf(entry: MenuEntry): string {
  const { leads, names } = entry;
  if (leads.to !== 'group') return placeOf(entry);
  return leads.group === 'own' ? `group own ${Object.values(names).join(' ')}` : `group ${leads.group}`;
}

export function compareMenus(own: Menu, theirs: Menu): readonly MenuDifference[] {
  const [mine, template] = [placed(own), placed(theirs)];
  const differences: MenuDifference[] = [];
  for (const [key, { entry }] of template) {
    if (entry.removed) continue;
    const here = mine.get(key);
    if (here === undefined || here.entry.removed) {
      differences.push({ kind: 'missing', key, theirs: entry, own: here?.id ?? null });
      continue;
    }
    const both = { key, id: here.id, own: here.entry, theirs: entry };
    if (!sameValue(here.entry.names as FieldValue, entry.names as FieldValue)) {
      differences.push({ kind: 'names', ...both });
    }
    if (here.entry.shown !== entry.shown || here.entry.staffOnly !== entry.staffOnly) {
      differences.push({ kind: 'shown', ...both });
    }
  }
  for (const [key, { id, entry }] of mine) {
    const isThere = template.get(key)?.entry.removed === false;
    if (!entry.removed && !isThere) differences.push({ kind: 'extra', key, id, own: entry });
  }
  if (!isInOrder(mine, template)) differences.push({ kind: 'order', key: 'order' });
  return differences;
}

function shared(
  mine: ReadonlyMap<string, Placed>,
  template: ReadonlyMap<string, Placed>,
): readonly (readonly [Placed, Placed])[] {
  return [...template].flatMap(([key, there]) => {
    const here = mine.get(key);
    const isInBoth = here !== undefined && !here.entry.removed && !there.entry.removed;
    return isInBoth ? [[here, there] as const] : [];
  });
}

function isInOrder(mine: ReadonlyMap<string, Placed>, template: ReadonlyMap<string, Placed>): boolean {
  const places = shared(mine, template).map(([here]) => here.entry.at);
  return places.every((at, index) => index === 0 || (places[index - 1] as number) <= at);
}

/** The edits that take one difference over, and leave everything else as it is. */
export function takeOver(
  course: Course,
  theirs: Menu,
  difference: MenuDifference,
  newId: () => string,
): readonly Edit[] {
  switch (difference.kind) {
    case 'missing': {
      const back = difference.own === null ? undefined : course.menu[difference.own];
      const id = difference.own ?? newId();
      const at = back?.at ?? placeFor(course, theirs, difference.key);
      return [setEntry(course, id, { ...difference.theirs, at })];
    }
    case 'extra':
      return menuEntries(course)
        .filter(([, entry]) => isCommon(entry) && !entry.removed && keyOf(entry) === difference.key)
        .map(([id, entry]) => setEntry(course, id, { ...entry, removed: true }));
    case 'names':
      return [setEntry(course, difference.id, { ...difference.own, names: difference.theirs.names })];
    case 'shown': {
      const { shown, staffOnly } = difference.theirs;
      return [setEntry(course, difference.id, { ...difference.own, shown, staffOnly })];
    }
    case 'order':
      return inTheirOrder(course, theirs);
  }
}

/** The edits that take all of them over at once: one for each entry that becomes another. */
export function takeAllOver(course: Course, theirs: Menu, newId: () => string): readonly Edit[] {
  let { menu } = course;
  // Each is computed on what the one before it has left, since one entry can differ in several ways.
  for (let [next] = compareMenus(menu, theirs); next !== undefined; [next] = compareMenus(menu, theirs)) {
    const edits = takeOver({ ...course, menu }, theirs, next, newId);
    menu = { ...menu, ...Object.fromEntries(edits.map((edit) => entryOf(edit))) };
  }
  return Object.entries(menu).flatMap(([id, entry]) =>
    entry === course.menu[id] ? [] : [setEntry(course, id, entry)],
  );
}

/** After the nearest one before it, in the template, that the course has too. */
function placeFor(course: Course, theirs: Menu, key: string): number {
  const [mine, template] = [placed(course.menu), [...placed(theirs).keys()]];
  const before = template
    .slice(0, template.indexOf(key))
    .reverse()
    .map((one) => mine.get(one))
    .find((one) => one !== undefined && !one.entry.removed);
  const places = menuEntries(course).map(([, { at }]) => at);
  if (before === undefined) return (places[0] ?? 2) / 2;
  const next = places.find((at) => at > before.entry.at);
  return next === undefined ? before.entry.at + 1 : (before.entry.at + next) / 2;
}

/** Those that both have take the places that they have among themselves, in the template's order. */
function inTheirOrder(course: Course, theirs: Menu): readonly Edit[] {
  const both = shared(placed(course.menu), placed(theirs)).map(([here]) => here);
  const places = both.map(({ entry }) => entry.at).sort((a, b) => a - b);
  return both.flatMap(({ id, entry }, index) => {
    const at = places[index] as number;
    return entry.at === at ? [] : [setEntry(course, id, { ...entry, at })];
  });
}
