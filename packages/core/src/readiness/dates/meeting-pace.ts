import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Meetings are held together; a clock of one's own does not go with them. */
export const meetingPace: Rule = {
  id: 'meeting_pace',
  stop: 'dates',
  purposes: WITH_PEOPLE,
  find: ({ course: { id, dates } }) => {
    if (dates.format !== 'meetings' || dates.pace === 'together') return null;
    return {
      severity: 'advice',
      field: 'pace',
      cure: [{ kind: 'set', target: id, field: 'dates.pace', value: 'together', was: dates.pace }],
    };
  },
};
