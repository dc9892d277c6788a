import { worksApart } from './works-apart.ts';
import type { Rule } from '../rule.ts';
import { WITH_LEARNERS } from '../rule.ts';

/** Where groups work apart, a whole class that no group takes in has been forgotten. */
export const classLeftOut: Rule = {
  id: 'class_left_out',
  stop: 'members',
  purposes: WITH_LEARNERS,
  find: ({ course, door }) => {
    const [first] = (door?.leftClasses ?? []).flatMap((id) => course.groups[id]?.name ?? []);
    if (first === undefined || !worksApart(course)) return null;
    const count = door?.leftClasses.length ?? 0;
    return { severity: 'advice', field: 'members', values: { name: first, count } };
  },
};
