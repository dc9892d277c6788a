import { livingSections, subtree } from '../../course/tree.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** What is for groups or classes that do not exist, or that nobody is in: nobody gets it. */
export const groupsMissing: Rule = {
  id: 'groups_missing',
  stop: 'access',
  purposes: WITH_PEOPLE,
  find: ({ course, groupSizes }) => {
    const isEmpty = (id: string): boolean =>
      course.groups[id] === undefined || (groupSizes !== null && (groupSizes[id] ?? 0) === 0);
    const lost = livingSections(course)
      .flatMap((section) => subtree(section))
      .filter(({ removed, audience }) => !removed && audience.length > 0 && audience.every(isEmpty));
    const [first] = lost;
    if (first === undefined) return null;
    return {
      severity: 'blocker',
      field: 'groups',
      targets: lost.map(({ id }) => id),
      values: { count: lost.length, title: first.title ?? '' },
      cure: lost.map(({ id, audience }) => ({
        kind: 'set' as const,
        target: id,
        field: 'audience',
        value: [],
        was: audience,
      })),
    };
  },
};
