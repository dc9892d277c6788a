/** What a menu offers to learners at one time or another, whatever the moment: what advice about it looks at. */
import type { MenuEntry } from '../course/schema/menu-schema.ts';
import type { Course } from '../course/schema/schema.ts';
import { findNode, isShown } from '../course/tree.ts';
import { menuEntries } from './resolve.ts';

export type Offered = readonly [id: string, entry: MenuEntry];

/** In their order, without groups and dividers. */
export function offeredEntries(course: Course): readonly Offered[] {
  return menuEntries(course).filter(([, { leads, shown, staffOnly, removed }]) => {
    if (removed || !shown || staffOnly) return false;
    switch (leads.to) {
      case 'group':
      case 'divider':
        return false;
      case 'area':
        return course.areas[leads.area] !== 'off';
      case 'item': {
        const place = findNode(course, leads.item);
        return place !== null && isShown(place);
      }
      case 'address':
      case 'institution':
        return true;
    }
  });
}

/** Two entries with the same place lead to the same. */
export function placeOf({ leads }: MenuEntry): string {
  switch (leads.to) {
    case 'area':
      return `area ${leads.area}`;
    case 'item':
      return `item ${leads.item}`;
    case 'address':
      return `address ${leads.address.replace(/\/+$/, '').toLowerCase()}`;
    case 'institution':
      return `institution ${leads.page}`;
    case 'group':
    case 'divider':
      return leads.to;
  }
}
