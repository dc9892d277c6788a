import { findNode, isShown, livingSections, shownItems } from '../../course/tree.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Words in a text that are to lead to an item which learners never get: it is removed, or not shown. */
export const linkGone: Rule = {
  id: 'link_gone',
  stop: 'outline',
  purposes: WITH_PEOPLE,
  find: ({ course, texts }) => {
    const isGone = (id: string): boolean => {
      const place = findNode(course, id);
      return place === null || !isShown(place);
    };
    const gone = (hash: string | null): number =>
      hash === null ? 0 : (texts.get(hash)?.links ?? []).filter(isGone).length;
    const items = livingSections(course)
      .flatMap((section) => shownItems(section))
      .map((item) => ({ id: item.id, count: 'text' in item ? gone(item.text) : 0 }))
      .filter(({ count }) => count > 0);
    const inDescription = gone(course.description);
    const count = items.reduce((sum, one) => sum + one.count, inDescription);
    if (count === 0) return null;
    const targets = items.map(({ id }) => id);
    return {
      severity: 'advice',
      targets,
      values: { count },
      ...(targets.length === 0 ? { stop: 'about', field: 'description' } : {}),
    };
  },
};
