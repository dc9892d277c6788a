/** Several learners of one course, as its rules ask about them: groups and moments of their own, in two questions. */
import { countingOf } from '@itinerary/core';
import type { Counting, Course, PersonException, Viewer } from '@itinerary/core';
import { PersonExceptionRow } from '../../db/entities.ts';
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
  // No row of theirs is going to be written: a class of hundreds is read as it stands.
  const members = await em.execute<{ personId: string; joinedAt: string }[]>(
    `select person_id as "personId", joined_at as "joinedAt" from member
     where course_id = ? and role = 'learner' and left_at is null
       and (?::jsonb = 'null' or person_id in (select jsonb_array_elements_text(nullif(?::jsonb, 'null'))))
     order by person_id`,
    [course.id, JSON.stringify(ids), JSON.stringify(ids)],
  );
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

/** What counts for each of them: reckoned once for all who are in the same groups since the same moment. */
export function countingsOf(course: Course, at: number): (viewer: Viewer) => Counting {
  const known = new Map<string, Counting>();
  return (viewer) => {
    const { joinedAt, groups, exceptions } = viewer;
    const key = JSON.stringify([joinedAt, groups, exceptions]);
    const found = known.get(key) ?? countingOf(course, viewer, at);
    known.set(key, found);
    return found;
  };
}
