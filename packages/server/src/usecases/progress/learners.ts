/** Several learners of one course, as its rules ask about them: groups and moments of their own, in two questions. */
import type { Course, PersonException, Viewer } from '@itinerary/core';
import { MemberRow, PersonExceptionRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { exceptionOf } from '../access/viewer.ts';

/** @param ids those that are asked about; null: all who learn here */
export async function learnersOf(
  em: EntityManager,
  course: Course,
  ids: readonly string[] | null,
): Promise<ReadonlyMap<string, Viewer>> {
  const whom = ids === null ? {} : { personId: { $in: [...ids] } };
  const where = { courseId: course.id, ...whom };
  const members = await em.find(MemberRow, { ...where, role: 'learner', leftAt: null });
  const groups = await em.execute<{ person: string; groups: string[] }[]>(
    `select person_id as person, array_agg(group_id) as groups from member_group where course_id = ? group by person_id`,
    [course.id],
  );
  const byPerson = new Map(groups.map((one) => [one.person, one.groups]));
  const own = new Map<string, PersonException[]>();
  for (const row of await em.find(PersonExceptionRow, where)) {
    own.set(row.personId, [...(own.get(row.personId) ?? []), exceptionOf(row)]);
  }
  return new Map(
    members.map(({ personId, joinedAt }): [string, Viewer] => [
      personId,
      {
        ...{ role: 'learner', institutionStaff: false, joinedAt },
        groups: byPerson.get(personId) ?? [],
        exceptions: own.get(personId) ?? [],
      },
    ]),
  );
}
