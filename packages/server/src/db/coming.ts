/**
 * Somebody who comes to a course: who they are, the number under which the course is kept, all that they have of their own
 * in it, and what stands around every page. One row, so that it is one question, whatever is asked for then.
 */
import type { Facts, InstitutionPage, PlannedMoment, Reached, Role, StaffProfile } from '@itinerary/core';
import { PersonRow } from './entities.ts';
import type { Person } from './entities.ts';
import type { CourseNumber } from './kept-courses.ts';
import { pagesColumn } from './institution-columns.ts';
import { knownQuestion } from './known-question.ts';
import type { EntityManager } from './orm.ts';

/** Moments of one's own on a node, as they are stored. */
export interface ExceptionRecord {
  readonly nodeId: string;
  readonly opens?: PlannedMoment | null | undefined;
  readonly due?: PlannedMoment | null | undefined;
  readonly until?: PlannedMoment | null | undefined;
  readonly factor?: number | null | undefined;
  /** Milliseconds since 1970-01-01T00:00Z. */
  readonly at: number;
}

interface MemberThere {
  readonly role: Role;
  readonly joinedAt: string;
}

/** What one person has of their own in one course. */
export interface OwnRows {
  /** Null: they are not in it, or have left. */
  readonly member: MemberThere | null;
  /** Also of those who have left. */
  readonly was: MemberThere | null;
  readonly groups: readonly string[];
  readonly exceptions: readonly ExceptionRecord[];
  /** What they have done, by item. */
  readonly facts: ReadonlyMap<string, Facts>;
  /** What they were done with when the last deed came. */
  readonly reached: ReadonlyMap<string, Reached>;
}

/** When they were there; ISO, UTC. */
export interface VisitThere {
  /** When they first opened the course itself; null: they have only followed links into it. */
  readonly arrivedAt: string | null;
  /** The end of the visit before this one. */
  readonly previousAt: string | null;
  readonly lastAt: string;
  /** The item that they opened last. */
  readonly lastItem: string | null;
}

export interface Around {
  /** Null: never. */
  readonly visit: VisitThere | null;
  /** Instructors and assistants who have an account, in no order. */
  readonly staff: readonly StaffProfile[];
  readonly institution: string;
  /** The institution's own pages, in no order. */
  readonly pages: readonly InstitutionPage[];
  /** The hash of the passphrase for visitors; null: there is none. */
  readonly passphrase: string | null;
}

export interface Coming {
  /** Null: nobody has signed in. */
  readonly person: Person | null;
  /** Null: there is no such course. */
  readonly number: CourseNumber | null;
  readonly own: OwnRows;
  readonly around: Around;
}

interface Row extends OwnColumns {
  readonly person: object | null;
  readonly number: CourseNumber | null;
  readonly visit: Around['visit'];
  readonly staff: readonly StaffProfile[] | null;
  readonly institution: string | null;
  readonly pages: readonly InstitutionPage[] | null;
  readonly passphrase: string | null;
}

/** What the one has of their own in the other; both are written as SQL. */
export const ownColumns = (who: string, place: string): string => `
  (select jsonb_build_object('role', role, 'joinedAt', joined_at, 'hasLeft', left_at is not null) from member
     where course_id = ${place} and person_id = ${who}) as member,
  (select jsonb_agg(group_id) from member_group where course_id = ${place} and person_id = ${who}) as groups,
  (select jsonb_agg(jsonb_build_object(
      'nodeId', node_id, 'opens', opens, 'due', due, 'until', until, 'factor', factor, 'at', at)) from person_exception
     where course_id = ${place} and person_id = ${who}) as exceptions,
  (select jsonb_agg(jsonb_build_array(item_id, facts)) from deed
     where course_id = ${place} and person_id = ${who}) as deeds,
  (select reached from progress where course_id = ${place} and person_id = ${who}) as reached`;

/** What tells whether a course is kept; of the table `course`. */
export const NUMBER = `jsonb_build_object('id', course.id, 'institutionId', course.institution_id,
  'seq', course.seq, 'createdAt', course.created_at)`;

/** Instructors and assistants who have an account: a place has nobody yet to be asked. */
export const staffColumn = (place: string): string => `
  (select jsonb_agg(jsonb_build_object(
      'id', teacher.id, 'name', teacher.name, 'mail', coalesce(teacher.address, ''), 'role', member.role))
     from member join person teacher on teacher.id = member.person_id
     where member.course_id = ${place} and member.role in ('instructor', 'assistant')
       and member.left_at is null and teacher.place_in is null) as staff`;

export interface OwnColumns {
  readonly member: (MemberThere & { readonly hasLeft: boolean }) | null;
  readonly groups: readonly string[] | null;
  readonly exceptions: readonly ExceptionRecord[] | null;
  readonly deeds: readonly (readonly [item: string, facts: Facts])[] | null;
  readonly reached: Readonly<Record<string, Reached>> | null;
}

export const ownRowsOf = ({ member, groups, exceptions, deeds, reached }: OwnColumns): OwnRows => ({
  member: member === null || member.hasLeft ? null : member,
  was: member,
  groups: groups ?? [],
  exceptions: exceptions ?? [],
  facts: new Map(deeds ?? []),
  reached: new Map(Object.entries(reached ?? {})),
});

const askIn = knownQuestion<OwnColumns & { readonly id: string }>(
  'own-rows',
  `select place.id, ${ownColumns('asked.who', 'place.id')}
     from (select ?::text as who) asked, jsonb_array_elements_text(?::jsonb) as place(id)`,
);

/** What one person has of their own in each of these courses, by course: one question. */
export async function ownRowsIn(
  em: EntityManager,
  personId: string,
  courseIds: readonly string[],
): Promise<ReadonlyMap<string, OwnRows>> {
  const rows = await askIn(em, [personId, JSON.stringify(courseIds)]);
  return new Map(rows.map((row) => [row.id, ownRowsOf(row)]));
}

const ask = knownQuestion<Row>(
  'coming',
  `with asked as materialized (select ?::text as who, ?::text as place)
select to_jsonb(person) as person,
  case when course.id is not null then ${NUMBER} end as number,
  ${ownColumns('asked.who', 'asked.place')},
  (select jsonb_build_object(
      'arrivedAt', arrived_at, 'previousAt', previous_at, 'lastAt', last_at, 'lastItem', last_item) from visit
     where course_id = asked.place and person_id = asked.who) as visit,
  ${staffColumn('asked.place')},
  (select name from institution where id = course.institution_id) as institution,
  ${pagesColumn('course.institution_id')} as pages,
  (select passphrase_hash from course_secret where course_id = asked.place) as passphrase
from asked
left join person on person.id = asked.who
left join course on course.id = asked.place`,
);

/**
 * @param personId null: nobody has signed in
 * @param courseId null: what was asked for names no course
 */
export async function comingTo(
  em: EntityManager,
  personId: string | null,
  courseId: string | null,
): Promise<Coming> {
  const [row] = await ask(em, [personId, courseId]);
  if (row === undefined) throw new Error('no row came of a question that always has one');
  return {
    person: row.person === null ? null : em.map(PersonRow, row.person),
    number: row.number,
    own: ownRowsOf(row),
    around: {
      visit: row.visit,
      staff: row.staff ?? [],
      institution: row.institution ?? '',
      pages: row.pages ?? [],
      passphrase: row.passphrase,
    },
  };
}
