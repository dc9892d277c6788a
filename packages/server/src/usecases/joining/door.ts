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
  readonly waiting: { way: WayKind; count: number }[] | null;
}

/** Its classes are not among them. */
export const groupsOf = ({ groups }: Pick<Course, 'groups'>): readonly string[] =>
  Object.entries(groups).flatMap(([id, { kind }]) => (kind === 'group' ? [id] : []));

/** @param groups ids of the course's groups */
export async function doorFacts(
  em: EntityManager,
  courseId: string,
  groups: readonly string[],
  { hasMail, hasDesk }: Outside,
  now: string,
): Promise<DoorFactsAnswer> {
  const weekAgo = new Date(Date.parse(now) - WEEK_MS).toISOString();
  const [row] = await em.execute<Counts[]>(
    `select
       (select count(*)::int from invitation where course_id = c.id and state = 'bounced') as bounced,
       (select count(*)::int from invitation where course_id = c.id and state = 'waiting' and sent_at <= ?)
         as unanswered,
       (select count(*)::int from join_request where course_id = c.id and state = 'open') as requests,
       (select count(*)::int from member join person on person.id = member.person_id
         where course_id = c.id and role = 'instructor' and left_at is null and place_in is null) as instructors,
       (select count(*)::int from member where course_id = c.id and role = 'learner' and left_at is null
         and not exists (select 1 from member_group g where g.course_id = c.id and g.person_id = member.person_id
           and g.group_id in (select jsonb_array_elements_text(?::jsonb)))) as ungrouped,
       (select json_agg(json_build_object('way', way, 'count', n) order by way) from
         (select way, count(*)::int as n from waiting where course_id = c.id group by way) as lines) as waiting
     from course c where c.id = ?`,
    [weekAgo, JSON.stringify(groups), courseId],
  );
  if (row === undefined) throw new Error(`there is no course ${courseId}`);
  return { ...row, waiting: row.waiting ?? [], hasMail, hasDesk };
}
