/** What stands on a menu, and where it leads. */
import type { Area, MenuGroupView, MenuItemView } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import { ownWords } from './own-words.ts';

/** The last part of an area's address. */
export const AREA_PATHS: Readonly<Record<Area, string>> = {
  home: 'home',
  sections: 'outline',
  announcements: 'announcements',
  assignments: 'assignments',
  quizzes: 'quizzes',
  discussions: 'discussions',
  meetings: 'meetings',
  files: 'files',
  guide: 'guide',
  members: 'members',
  contact: 'contact',
  syllabus: 'syllabus',
};

export function useMenuWords(): {
  readonly ofItem: (item: MenuItemView) => string;
  readonly ofGroup: (group: MenuGroupView) => string | null;
} {
  const { t, locale } = useI18n();
  return {
    ofItem: ({ names, area, title }) => {
      const own = ownWords(names, locale.value);
      if (own !== null) return own;
      return area === null ? (title ?? '') : t(`learner.areas.${area}`);
    },
    ofGroup: ({ group, names }) => {
      const own = ownWords(names, locale.value);
      if (own !== null || group === null || group === 'own') return own;
      return t(`learner.menu.groups.${group}`);
    },
  };
}

/** Inside the course; null: it leads out, or nowhere. */
export function wayTo(courseId: string, { to, area, item }: MenuItemView): string | null {
  if (to === 'area' && area !== null) return `/courses/${courseId}/${AREA_PATHS[area]}`;
  return to === 'item' && item !== null ? `/courses/${courseId}/items/${item}` : null;
}
