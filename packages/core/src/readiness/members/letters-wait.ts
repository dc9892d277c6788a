import { wayIn } from '../../people/joining/of-course.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Invitations that nobody gets, and requests of which nobody is told, since there is no mail service. */
export const lettersWait: Rule = {
  id: 'letters_wait',
  stop: 'members',
  purposes: WITH_PEOPLE,
  find: ({ plan, door }) => {
    if (door === null || door.hasMail) return null;
    const way = (['invitation', 'request'] as const).find((kind) => wayIn(plan, kind).on);
    return way === undefined
      ? null
      : { severity: 'advice', field: 'ways', values: { variant: way === 'request' ? way : '' } };
  },
};
