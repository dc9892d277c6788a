import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Invitations that came back, and those that nobody has answered for a week: an address to be corrected, or a reminder. */
export const invitationsOpen: Rule = {
  id: 'invitations_open',
  stop: 'members',
  purposes: WITH_PEOPLE,
  find: ({ door }) => {
    if (door === null) return null;
    const { bounced, unanswered } = door;
    if (bounced > 0) return { severity: 'advice', field: 'ways', values: { count: bounced } };
    if (unanswered === 0) return null;
    return { severity: 'advice', field: 'ways', values: { variant: 'unanswered', count: unanswered } };
  },
};
