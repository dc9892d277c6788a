/** The courses of somebody's desk: all that is theirs in each, and what is counted for it, as one question. */
import type { StaffProfile, TextFacts } from '@itinerary/core';
import { NUMBER, ownColumns, ownRowsOf, staffColumn } from './coming.ts';
import type { OwnColumns, OwnRows } from './coming.ts';
import { keptCourses } from './kept-courses.ts';
import type { CourseNumber, KeptCourse } from './kept-courses.ts';
import type { Person } from './entities.ts';
import { knownQuestion } from './known-question.ts';
import type { EntityManager } from './orm.ts';

export interface OnDesk {
  readonly kept: KeptCourse;
  readonly own: OwnRows;
  readonly learners: number;
  /** In no order. */
  readonly staff: readonly StaffProfile[];
  /** Of the texts that hold more than words, where they plan it. */
  readonly texts: ReadonlyMap<string, TextFacts>;
}

interface Row extends OwnColumns {
  readonly number: CourseNumber;
  readonly learners: number;
  readonly staff: readonly StaffProfile[] | null;
  readonly texts: readonly (readonly [hash: string, facts: TextFacts])[] | null;
}

const askDesk = knownQuestion<Row>(
  'desk',
  `with asked as materialized (select ?::text as who, ?::text as institution, ?::boolean as is_staff)
     select ${NUMBER} as number,
       ${ownColumns('asked.who', 'course.id')},
       ${staffColumn('course.id')},
       (select count(*)::int from member
          where course_id = course.id and role = 'learner' and left_at is null) as learners,
       case when asked.is_staff or exists (
           select from member where course_id = course.id and person_id = asked.who
             and role in ('instructor', 'assistant') and left_at is null)
         then (select jsonb_agg(jsonb_build_array(hash, facts)) from long_text
                 where course_id = course.id and facts is not null)
       end as texts
     from asked, course
     where institution_id = asked.institution and (
       asked.is_staff or settings ->> 'find' in ('here', 'anyone')
       or course.id in (select course_id from member where person_id = asked.who and left_at is null))`,
);

/** Those that they are in, those that they can find, and for staff of the institution all of them. */
export async function coursesOnDesk(em: EntityManager, person: Person): Promise<readonly OnDesk[]> {
  const rows = await askDesk(em, [person.id, person.institutionId, person.kind === 'staff']);
  return (await withCourses(em, rows)).map(({ kept, row }) => ({
    ...{ kept, own: ownRowsOf(row), learners: row.learners },
    ...{ staff: row.staff ?? [], texts: new Map(row.texts ?? []) },
  }));
}

const askOwn = knownQuestion<OwnColumns & Pick<Row, 'number'>>(
  'courses-of',
  `with asked as materialized (select ?::text as who)
     select ${NUMBER} as number,
       ${ownColumns('asked.who', 'course.id')}
     from asked join member mine on mine.person_id = asked.who and mine.left_at is null
       join course on course.id = mine.course_id`,
);

/** The courses that somebody is in, with all that is theirs in each. */
export async function coursesOf(
  em: EntityManager,
  personId: string,
): Promise<readonly Pick<OnDesk, 'kept' | 'own'>[]> {
  const rows = await askOwn(em, [personId]);
  return (await withCourses(em, rows)).map(({ kept, row }) => ({ kept, own: ownRowsOf(row) }));
}

/** Each row beside its course, of those that are still there. */
async function withCourses<One extends Pick<Row, 'number'>>(
  em: EntityManager,
  rows: readonly One[],
): Promise<readonly { readonly kept: KeptCourse; readonly row: One }[]> {
  const byId = new Map(rows.map((row) => [row.number.id, row]));
  const found = await keptCourses(
    em,
    rows.map(({ number }) => number),
  );
  return found.map((kept) => ({ kept, row: byId.get(kept.row.id) as One }));
}
