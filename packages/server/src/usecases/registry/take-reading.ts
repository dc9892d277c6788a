/** The registry read, and what it says kept whole in the place of what it said before: all of it, or nothing. */
import type { RegistryReadingAnswer } from '@itinerary/contract';
import { roleOfRegistry } from '@itinerary/core/people';
import { announce } from '../../db/announce.ts';
import { InstitutionRow, RegistryReadingRow } from '../../db/entities.ts';
import { underInstitution } from '../../db/locks.ts';
import type { EntityManager } from '../../db/orm.ts';
import { addJob } from '../../db/queue.ts';
import { RegistryAway } from '../../registry/registry.ts';
import type { Collection, Registry, RegistryReading } from '../../registry/registry.ts';

/** Rows that are written at a time. */
const AT_ONCE = 5000;
const MOST_TOLD = 20;

const trimmed = (text: string | null | undefined): string | null => {
  const tidy = (text ?? '').trim();
  return tidy === '' ? null : tidy;
};
/** What is no address counts as none. */
const addressOf = (text: string | null | undefined): string | null =>
  /^[^\s@]+@[^\s@]+$/.test(text?.trim() ?? '') ? trimmed(text) : null;

interface Table {
  readonly name: string;
  readonly of: Collection;
  /** Columns besides the institution, with their types. */
  readonly columns: string;
  readonly rows: readonly object[];
}

function tablesOf({ terms, courses, classes, users, enrolments }: RegistryReading): readonly Table[] {
  const subjects = new Map(courses.map((one) => [one.sourcedId, one]));
  return [
    {
      name: 'registry_term',
      of: 'terms',
      columns: 'id text, title text, starts text, ends text',
      rows: terms.map((one) => ({
        id: one.sourcedId,
        title: one.title,
        starts: one.startDate,
        ends: one.endDate,
      })),
    },
    {
      name: 'registry_class',
      of: 'classes',
      columns: 'id text, title text, code text, course_code text, course_title text, terms jsonb',
      rows: classes.map((one) => ({
        id: one.sourcedId,
        title: trimmed(one.title) ?? one.sourcedId,
        code: trimmed(one.classCode),
        course_code: trimmed(subjects.get(one.course?.sourcedId ?? '')?.courseCode),
        course_title: trimmed(subjects.get(one.course?.sourcedId ?? '')?.title),
        terms: one.terms.map(({ sourcedId }) => sourcedId),
      })),
    },
    {
      name: 'registry_person',
      of: 'users',
      columns: 'id text, identifier text, given text, family text, address text, user_name text',
      rows: users.map((one) => ({
        id: one.sourcedId,
        identifier: trimmed(one.identifier) ?? one.sourcedId,
        given: trimmed(one.givenName),
        family: trimmed(one.familyName),
        address: addressOf(one.email),
        user_name: trimmed(one.username),
      })),
    },
    {
      name: 'registry_enrolment',
      of: 'enrollments',
      columns: 'id text, class_id text, person_id text, role text',
      rows: enrolments.flatMap((one) => {
        const role = roleOfRegistry(one.role);
        return role === null
          ? []
          : [{ id: one.sourcedId, class_id: one.class.sourcedId, person_id: one.user.sourcedId, role }];
      }),
    },
  ];
}

async function write(
  em: EntityManager,
  institution: string,
  table: Table,
  unread: readonly string[],
): Promise<void> {
  const { name, columns, rows } = table;
  const names = columns.split(', ').map((column) => column.split(' ')[0]);
  // Of what could not be taken, what was known stands.
  await em.execute(
    `delete from ${name} where institution_id = ? and id not in (select jsonb_array_elements_text(?::jsonb))`,
    [institution, JSON.stringify(unread)],
  );
  for (let at = 0; at < rows.length; at += AT_ONCE) {
    await em.execute(
      `insert into ${name} (institution_id, ${names.join(', ')})
       select ?, ${names.join(', ')} from jsonb_to_recordset(?::jsonb) as told(${columns})
       on conflict do nothing`,
      [institution, JSON.stringify(rows.slice(at, at + AT_ONCE))],
    );
  }
}

/** The institution whose registry this installation reads. */
async function institutionOf(em: EntityManager): Promise<string | null> {
  const [first] = await em.find(InstitutionRow, {}, { orderBy: { id: 'asc' }, limit: 1 });
  return first?.id ?? null;
}

/** Reads it; a registry that is away is told, and what was read before stands. Then all courses that follow it do so. */
export async function takeReading(em: EntityManager, registry: Registry, now: string): Promise<void> {
  const institution = await institutionOf(em);
  if (institution === null) return;
  let reading: RegistryReading;
  try {
    reading = await registry.read();
  } catch (error) {
    if (!(error instanceof RegistryAway)) throw error;
    const { message } = error;
    await em.fork().transactional(async (inner) => {
      await note(inner, institution, { triedAt: now, problem: message });
      for (const { id, seq } of await followingOf(inner)) await announce(inner, { course: id, seq });
    });
    return;
  }
  const { unread } = reading;
  await underInstitution(em.fork(), institution, async (inner) => {
    for (const table of tablesOf(reading)) {
      await write(
        inner,
        institution,
        table,
        unread.flatMap(({ of, id }) => (of === table.of ? [id] : [])),
      );
    }
    await note(inner, institution, {
      triedAt: now,
      readAt: now,
      problem: null,
      unread: unread.slice(0, MOST_TOLD).map(({ of, id, why }) => `${of} ${id}: ${why}`),
    });
    for (const { id: course } of await followingOf(inner)) {
      await addJob(inner, 'follow_registry', { course }, { key: `follow_registry:${course}` });
    }
  });
}

const followingOf = (em: EntityManager): Promise<{ id: string; seq: number }[]> =>
  em.execute(
    `select id, seq from course where state <> 'archived'
       and exists (select 1 from registry_follow where course_id = course.id) order by id`,
  );

type Noted = Partial<Pick<RegistryReadingAnswer, 'triedAt' | 'readAt' | 'problem'>> & { unread?: string[] };

async function note(em: EntityManager, institutionId: string, noted: Noted): Promise<void> {
  await em.execute(`insert into registry_reading (institution_id) values (?) on conflict do nothing`, [
    institutionId,
  ]);
  const row = await em.findOneOrFail(RegistryReadingRow, { institutionId });
  em.assign(row, noted);
  await em.flush();
}

/** @param isThere there is a registry here at all */
export async function readingOf(
  em: EntityManager,
  institutionId: string,
  isThere: boolean,
): Promise<RegistryReadingAnswer> {
  const row = await em.findOne(RegistryReadingRow, { institutionId });
  return {
    isThere,
    triedAt: row?.triedAt ?? null,
    readAt: row?.readAt ?? null,
    problem: row?.problem ?? null,
    unread: row?.unread ?? [],
  };
}
