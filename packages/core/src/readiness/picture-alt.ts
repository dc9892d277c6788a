import { livingSections, shownItems } from '../course/tree.ts';
import type { Rule } from './rule.ts';
import { WITH_PEOPLE } from './rule.ts';

/** Pictures that say nothing to those who do not see them. Only a person knows what is on them. */
export const pictureAlt: Rule = {
  id: 'picture_alt',
  stop: 'outline',
  purposes: WITH_PEOPLE,
  find: ({ course }) => {
    const silent = livingSections(course)
      .flatMap((section) => shownItems(section))
      .filter((item) => 'file' in item && item.file?.type.startsWith('image/') && item.file.alt === null);
    if (silent.length === 0) return null;
    return { severity: 'advice', targets: silent.map(({ id }) => id), values: { count: silent.length } };
  },
};
