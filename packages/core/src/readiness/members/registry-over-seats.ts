import { setTableEntry } from '../../course/edits/making.ts';
import { wayIn } from '../../people/joining/of-course.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** More learners on the registry's list than there are seats for them: the rest waits. */
export const registryOverSeats: Rule = {
  id: 'registry_over_seats',
  stop: 'members',
  purposes: WITH_PEOPLE,
  find: ({ course, plan, door }) => {
    const listed = door?.registry?.listed ?? 0;
    const way = wayIn(plan, 'registry');
    if (!way.on) return null;
    const isWay = way.seats !== null && listed > way.seats;
    const isCourse = course.seats !== null && listed > course.seats;
    if (!isWay && !isCourse) return null;
    const seats = Math.min(way.seats ?? Infinity, course.seats ?? Infinity);
    return {
      severity: 'advice',
      field: isCourse ? 'seats' : 'ways',
      values: { listed, seats },
      cure: [
        ...(isCourse
          ? [{ kind: 'set' as const, target: course.id, field: 'seats', value: listed, was: course.seats }]
          : []),
        ...(isWay ? [setTableEntry(course, 'ways', 'registry', { ...way, seats: listed })] : []),
      ],
    };
  },
};
