import { wayIn } from '../../people/joining/of-course.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Joining by paying, with no price, a price of nothing, or nowhere to pay it. */
export const paysNothing: Rule = {
  id: 'pays_nothing',
  stop: 'members',
  purposes: WITH_PEOPLE,
  find: ({ plan, door }) => {
    const { on, price } = wayIn(plan, 'paying');
    if (!on) return null;
    if (price === null || price.amount === 0) return { severity: 'advice', field: 'ways' };
    if (door === null || door.hasDesk) return null;
    return { severity: 'advice', field: 'ways', values: { variant: 'desk' } };
  },
};
