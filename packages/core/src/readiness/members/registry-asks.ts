import { wayIn } from '../../people/joining/of-course.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** What the registry says stands against what staff have decided, or means somebody who is not known for sure. */
export const registryAsks: Rule = {
  id: 'registry_asks',
  stop: 'members',
  purposes: WITH_PEOPLE,
  find: ({ plan, door }) => {
    const count = door?.registry?.asked ?? 0;
    return count > 0 && wayIn(plan, 'registry').on
      ? { severity: 'advice', field: 'ways', values: { count } }
      : null;
  },
};
