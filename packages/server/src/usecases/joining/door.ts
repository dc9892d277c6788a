/** How it stands at a course's ways in, as readiness asks for it: counted in one question. */
import type { DoorFactsAnswer } from '@itinerary/contract';
import type { Course } from '@itinerary/core';
import type { WayKind } from '@itinerary/core/people';
import type { EntityManager } from '../../db/orm.ts';

const WEEK_MS = 7 * 86_400_000;

/** What services there are outside. */
export interface Outside {
  readonly hasMail: boolean;
  readonly hasDesk: boolean;
}

interface Counts {
  readonly bounced: number;
  readonly unanswered: number;
  readonly requests: number;
  readonly instructors: number;
  readonly ungrouped: number;
  readonly left: string[] | null;
  readonly registry: { listed: number; asked: number; readAt: string | null; isAway: boolean } | null;
  readonly waiting: { way: WayKind; count: number }[] | null;
}

const idsOf = (groups: Course['groups'], kind: 'group' | 'class'): string =>
  JSON.stringify(Object.entries(groups).flatMap(([id, one]) => (one.kind === kind ? [id] : [])));

export async function doorFacts(
  em: EntityManager,
  { id: courseId, groups }: Pick<Course, 'id' | 'groups'>,
  { hasMail, hasDesk }: Outside,
  now: string,
): Promise<DoorFactsAnswer> {
  const weekAgo = new Date(Date.parse(now) - WEEK_MS).toISOString();
  const [row] = await em.execute<Counts[]>(
    `with learner as (
         select person_id from member where course_id = ? and role = 'learner' and left_at is null),
       grouped as (
         select distinct person_id from member_group where course_id = ?
           and group_id in (select jsonb_array_elements_text(?::jsonb)))
     select
       (select count(*)::int from invitation where course_id = c.id and state = 'bounced') as bounced,
       (select count(*)::int from invitation where course_id = c.id and state = 'waiting' and sent_at <= ?)
         as unanswered,
       (select count(*)::int from join_request where course_id = c.id and state = 'open') as requests,
       (select count(*)::int from member join person on person.id = member.person_id
         where course_id = c.id and role = 'instructor' and left_at is null and place_in is null) as instructors,
       (select count(*)::int from learner left join grouped using (person_id) where grouped.person_id is null)
         as ungrouped,
       (select json_agg(class_id order by class_id) from
         (select g.group_id as class_id from member_group g join learner using (person_id)
           left join grouped using (person_id)
           where g.course_id = c.id and g.group_id in (select jsonb_array_elements_text(?::jsonb))
           group by g.group_id having count(grouped.person_id) = 0) as classes) as left,
       (select json_build_object('listed', s.listed,
           'asked', jsonb_array_length(s.questions) + jsonb_array_length(s.held)
             + (select count(*) from registry_link l where l.course_id = c.id and l.kept <> '[]'),
           'readAt', r.read_at, 'isAway', r.problem is not null)
         from registry_standing s left join registry_reading r on r.institution_id = c.institution_id
         where s.course_id = c.id and exists (select 1 from registry_follow f where f.course_id = c.id)) as registry,
       (select json_agg(json_build_object('way', way, 'count', n) order by way) from
         (select way, count(*)::int as n from waiting where course_id = c.id group by way) as lines) as waiting
     from course c where c.id = ?`,
    [courseId, courseId, idsOf(groups, 'group'), weekAgo, idsOf(groups, 'class'), courseId],
  );
  if (row === undefined) throw new Error(`there is no course ${courseId}`);
  const { left, ...counts } = row;
  return { ...counts, leftClasses: left ?? [], waiting: row.waiting ?? [], hasMail, hasDesk };
}
