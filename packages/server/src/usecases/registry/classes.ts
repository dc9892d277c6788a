/** Classes of the registry as they are offered and shown: with who teaches them, and how many are in them. */
import type { RegistryClass, TaughtAnswer } from '@itinerary/contract';
import { addDays } from '@itinerary/core';
import type { Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { readingOf } from './take-reading.ts';

interface ClassRow {
  readonly id: string;
  readonly title: string;
  readonly course_code: string | null;
  readonly course_title: string | null;
  readonly learners: number;
  readonly teachers: string[] | null;
  readonly term: { title: string; starts: string; ends: string } | null;
  readonly followed_by: { id: string; title: string }[] | null;
}

/** A class is over when its term is. */
const TAUGHT = `exists (
  select 1 from registry_enrolment mine join registry_person me
    on me.institution_id = mine.institution_id and me.id = mine.person_id
  where mine.institution_id = c.institution_id and mine.class_id = c.id and mine.role = 'instructor'
    and lower(me.address) = lower(?))`;

const DAY = /^\d{4}-\d{2}-\d{2}$/;

function termOf({ term }: ClassRow): RegistryClass['term'] {
  if (term === null || !DAY.test(term.starts) || !DAY.test(term.ends)) return null;
  // The registry gives the first day after it.
  return { title: term.title, firstDay: term.starts, lastDay: addDays(term.ends, -1) };
}

async function classesWhere(
  em: EntityManager,
  { institutionId, id: person }: Pick<Person, 'institutionId' | 'id'>,
  where: string,
  values: readonly unknown[],
): Promise<readonly RegistryClass[]> {
  const rows = await em.execute<ClassRow[]>(
    `select c.id, c.title, c.course_code, c.course_title,
       (select count(distinct person_id)::int from registry_enrolment e
         where e.institution_id = c.institution_id and e.class_id = c.id and e.role = 'learner') as learners,
       (select json_agg(concat_ws(' ', p.given, p.family) order by p.family, p.given) from registry_enrolment e
         join registry_person p on p.institution_id = e.institution_id and p.id = e.person_id
         where e.institution_id = c.institution_id and e.class_id = c.id and e.role = 'instructor') as teachers,
       (select json_build_object('title', t.title, 'starts', t.starts, 'ends', t.ends) from registry_term t
         where t.institution_id = c.institution_id and t.id in (select jsonb_array_elements_text(c.terms))
         order by t.starts limit 1) as term,
       (select json_agg(json_build_object('id', course.id, 'title', course.title) order by course.title)
         from registry_follow f join course on course.id = f.course_id
         join member m on m.course_id = f.course_id and m.person_id = ? and m.left_at is null
         where f.class_id = c.id and course.institution_id = c.institution_id and course.state <> 'archived') as followed_by
     from registry_class c where c.institution_id = ? and ${where} order by c.course_code, c.title, c.id`,
    [person, institutionId, ...values],
  );
  return rows.map((row) => ({
    id: row.id,
    title: row.title,
    courseCode: row.course_code,
    courseTitle: row.course_title,
    learners: row.learners,
    teachers: row.teachers ?? [],
    term: termOf(row),
    followedBy: row.followed_by ?? [],
  }));
}

/** Those that somebody teaches, of terms that are not over. */
export async function classesTaughtBy(
  em: EntityManager,
  person: Person,
  today: string,
): Promise<readonly RegistryClass[]> {
  if (person.address == null) return [];
  const all = await classesWhere(em, person, TAUGHT, [person.address]);
  return all.filter(({ term }) => term === null || term.lastDay >= today);
}

export async function classesOf(
  em: EntityManager,
  person: Person,
  ids: readonly string[],
): Promise<readonly RegistryClass[]> {
  return classesWhere(em, person, 'c.id in (select jsonb_array_elements_text(?::jsonb))', [
    JSON.stringify(ids),
  ]);
}

export async function taught(
  em: EntityManager,
  person: Person,
  isThere: boolean,
  today: string,
): Promise<TaughtAnswer> {
  return {
    reading: await readingOf(em, person.institutionId, isThere),
    classes: [...(await classesTaughtBy(em, person, today))],
  };
}
