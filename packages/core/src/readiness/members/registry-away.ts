import { wayIn } from '../../people/joining/of-course.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

const DAY_MS = 86_400_000;

/** For a day nothing has been heard of it: late joins and drops are not in the course. */
export const registryAway: Rule = {
  id: 'registry_away',
  stop: 'members',
  purposes: WITH_PEOPLE,
  find: ({ plan, door, at }) => {
    const registry = door?.registry ?? null;
    if (registry === null || !registry.isAway || !wayIn(plan, 'registry').on) return null;
    const since = registry.readAt === null ? null : Date.parse(registry.readAt);
    if (since !== null && at - since < DAY_MS) return null;
    return {
      severity: 'advice',
      field: 'ways',
      values: since === null ? { variant: 'never' } : { day: new Date(since).toISOString().slice(0, 10) },
    };
  },
};
