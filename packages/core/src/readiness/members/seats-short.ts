import { setField } from '../../course/edits/making.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Staff have gone beyond the seats: nobody else comes in, and whoever looks reads that there are none. */
export const seatsShort: Rule = {
  id: 'seats_short',
  stop: 'members',
  purposes: WITH_PEOPLE,
  find: ({ course, learners }) =>
    course.seats === null || learners <= course.seats
      ? null
      : {
          severity: 'advice',
          field: 'seats',
          values: { seats: course.seats, learners },
          cure: [setField(course, 'seats', learners)],
        },
};
