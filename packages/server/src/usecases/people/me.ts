/** Who is signed in, the clock, and the institution as they may know it. */
import type { MeAnswer, PersonAnswer } from '@itinerary/contract';
import type { Config } from '../../config/config.ts';
import type { Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { mayCreateCourses } from '../access/viewer.ts';
import { inOrderOfUse } from '../institution/institution-pages.ts';

export async function me(
  em: EntityManager,
  { clock, demo }: Config,
  person: Person | null,
  now: string,
): Promise<MeAnswer> {
  const institution = await toldOf(em, person?.institutionId ?? null);
  return {
    person: person === null ? null : shownPerson(person),
    mayCreate: person !== null && mayCreateCourses(person),
    now,
    clockStands: clock.stands,
    demo,
    institution: {
      ...institution,
      // What it keeps is for those who have come in.
      ...(person === null
        ? { departments: [], terms: [], holidays: [], pages: [] }
        : { pages: inOrderOfUse(institution.pages) }),
    },
  };
}

type Told = MeAnswer['institution'];

/** @param id null: the first one, which is the only one as a rule */
async function toldOf(em: EntityManager, id: string | null): Promise<Told> {
  const [row] = await em.execute<Told[]>(
    `select name, zone, largest_upload as "largestUpload", name_order as "nameOrder",
       (select coalesce(jsonb_agg(jsonb_build_object('code', code, 'name', name) order by name), '[]')
          from department where institution_id = institution.id) as departments,
       (select coalesce(jsonb_agg(jsonb_build_object(
            'code', code, 'name', name, 'firstDay', first_day, 'lastDay', last_day) order by first_day), '[]')
          from term where institution_id = institution.id) as terms,
       (select coalesce(jsonb_agg(jsonb_build_object(
            'id', id, 'name', name, 'first', first_day, 'last', last_day) order by first_day, id), '[]')
          from holiday where institution_id = institution.id) as holidays,
       (select coalesce(jsonb_agg(jsonb_build_object(
            'id', id, 'use', use, 'names', names, 'address', address, 'beside', beside)), '[]')
          from institution_page where institution_id = institution.id) as pages
     from institution where ?::text is null or id = ? order by id limit 1`,
    [id, id],
  );
  const nothing = { departments: [], terms: [], holidays: [], pages: [] };
  return row ?? { name: '', zone: 'UTC', largestUpload: 0, nameOrder: 'given_first', ...nothing };
}

export function shownPerson({ id, name, address, kind }: Person): PersonAnswer {
  // Whoever is shown so has an account, and an account has an address.
  return { id, name, address: address ?? '', kind };
}
