import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** People ask to join, and nobody has answered them. */
export const requestsOpen: Rule = {
  id: 'requests_open',
  stop: 'members',
  purposes: WITH_PEOPLE,
  find: ({ door }) =>
    door === null || door.requests === 0
      ? null
      : { severity: 'advice', field: 'ways', values: { count: door.requests } },
};
