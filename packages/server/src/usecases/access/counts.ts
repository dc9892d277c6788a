/** What everybody who plans a course is told in numbers: one question. */
import type { ChangesAnswer } from '@itinerary/contract';
import type { EntityManager } from '../../db/orm.ts';

type Counts = Pick<ChangesAnswer, 'seq' | 'learners' | 'places' | 'groupSizes'>;

/** The number of the last change, and of those who learn there: how many, without an account, in each group. */
export async function countsOf(em: EntityManager, courseId: string): Promise<Counts> {
  const [row] = await em.execute<Counts[]>(
    `select seq,
       (select count(*)::int from member
          where course_id = course.id and role = 'learner' and left_at is null) as learners,
       (select count(*)::int from member join person on person.id = member.person_id
          where course_id = course.id and role = 'learner' and left_at is null and place_in is not null) as places,
       (select coalesce(jsonb_object_agg(group_id, many), '{}') from (
          select group_id, count(*)::int as many from member_group join member using (course_id, person_id)
          where course_id = course.id and role = 'learner' and left_at is null group by group_id) sizes
       ) as "groupSizes"
     from course where id = ?`,
    [courseId],
  );
  return row ?? { seq: 0, learners: 0, places: 0, groupSizes: {} };
}
