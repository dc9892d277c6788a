import { isContent } from '../../course/schema/items-schema.ts';
import { livingSections, shownItems } from '../../course/tree.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Work in groups, in a course that has none: everybody works alone, and sees nobody. */
export const groupWorkWithout: Rule = {
  id: 'group_work_without',
  stop: 'access',
  purposes: WITH_PEOPLE,
  find: ({ course }) => {
    if (Object.values(course.groups).some(({ kind }) => kind === 'group')) return null;
    const own = livingSections(course)
      .flatMap((section) => shownItems(section))
      .filter((item) => isContent(item) && item.groupWork !== null && item.groupWork !== 'none');
    if (own.length === 0 && course.groupWork === 'none') return null;
    return {
      severity: 'advice',
      field: 'groupWork',
      targets: own.map(({ id }) => id),
      values: { count: own.length, variant: course.groupWork === 'none' ? 'items' : '' },
      cure: [
        ...(course.groupWork === 'none'
          ? []
          : [
              {
                kind: 'set' as const,
                target: course.id,
                field: 'groupWork',
                value: 'none',
                was: course.groupWork,
              },
            ]),
        ...own.map((item) => ({
          kind: 'set' as const,
          target: item.id,
          field: 'groupWork',
          value: null,
          was: isContent(item) ? item.groupWork : null,
        })),
      ],
    };
  },
};
