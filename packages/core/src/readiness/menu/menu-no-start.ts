import { setEntry } from '../../menu/edits.ts';
import { offeredEntries } from '../../menu/offered.ts';
import { FIRST_MENU } from '../../course/schema/menu-schema.ts';
import type { Area, MenuEntry } from '../../course/schema/menu-schema.ts';
import type { Edit } from '../../course/edits/edits.ts';
import type { Course } from '../../course/schema/schema.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

const STARTS: ReadonlySet<Area> = new Set(['home', 'sections']);

function isStart({ leads }: MenuEntry): boolean {
  return leads.to === 'item' || (leads.to === 'area' && STARTS.has(leads.area));
}

/** Nothing in the menu is a place to start: no home page, no sections, no page. The cure brings the sections back. */
export const menuNoStart: Rule = {
  id: 'menu_no_start',
  stop: 'menu',
  purposes: WITH_PEOPLE,
  find: ({ course }) => {
    if (offeredEntries(course).some(([, entry]) => isStart(entry))) return null;
    return { severity: 'advice', field: 'menu', cure: bringBack(course) };
  },
};

function bringBack(course: Course): readonly Edit[] {
  const standing = Object.entries(course.menu).find(
    ([, { leads }]) => leads.to === 'area' && leads.area === 'sections',
  );
  const [id, entry] = standing ?? ['sections', { ...(FIRST_MENU['sections'] as MenuEntry), at: 0 }];
  const on: Edit = { kind: 'set', target: course.id, field: 'areas.sections', value: null, was: 'off' };
  return [
    ...(course.areas['sections'] === 'off' ? [on] : []),
    setEntry(course, id, { ...entry, removed: false, shown: true, staffOnly: false }),
  ];
}
