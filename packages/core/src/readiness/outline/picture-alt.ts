import { livingSections, shownItems } from '../../course/tree.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Pictures that say nothing to those who do not see them. Only a person knows what is on them. */
export const pictureAlt: Rule = {
  id: 'picture_alt',
  stop: 'outline',
  purposes: WITH_PEOPLE,
  find: ({ course, texts }) => {
    const inText = (hash: string | null): number => (hash === null ? 0 : (texts.get(hash)?.silent ?? 0));
    const silent = livingSections(course)
      .flatMap((section) => shownItems(section))
      .map((item) => ({
        id: item.id,
        count:
          ('text' in item ? inText(item.text) : 0) +
          ('file' in item && item.file?.type.startsWith('image/') && item.file.alt === null ? 1 : 0),
      }))
      .filter(({ count }) => count > 0);
    const inDescription = inText(course.description);
    const inIntroduction = course.dates.format === 'item' ? inText(course.introduction) : 0;
    const count = silent.reduce((sum, one) => sum + one.count, inDescription + inIntroduction);
    if (count === 0) return null;
    const targets = silent.map(({ id }) => id);
    // Without an item to go to, it is one of the course's own texts.
    const own = inDescription > 0 ? 'about' : 'dates';
    return { severity: 'advice', targets, values: { count }, ...(targets.length === 0 ? { stop: own } : {}) };
  },
};
