/** The institution as those who work in it are told of it, with all that it keeps for its courses: one question. */
import type { MeAnswer } from '@itinerary/contract';
import { pagesColumn, termsColumn } from '../../db/institution-columns.ts';
import type { EntityManager } from '../../db/orm.ts';

type Told = MeAnswer['institution'];

/** @param id null: the first one, which is the only one as a rule */
export async function institutionTold(em: EntityManager, id: string | null): Promise<Told> {
  const [row] = await em.execute<Told[]>(
    `select name, zone, largest_upload as "largestUpload", name_order as "nameOrder",
       (select coalesce(jsonb_agg(jsonb_build_object('code', code, 'name', name) order by name), '[]')
          from department where institution_id = institution.id) as departments,
       coalesce(${termsColumn('institution.id')}, '[]') as terms,
       (select coalesce(jsonb_agg(jsonb_build_object(
            'id', id, 'name', name, 'first', first_day, 'last', last_day) order by first_day, id), '[]')
          from holiday where institution_id = institution.id) as holidays,
       coalesce(${pagesColumn('institution.id')}, '[]') as pages
     from institution where ?::text is null or id = ? order by id limit 1`,
    [id, id],
  );
  const nothing = { departments: [], terms: [], holidays: [], pages: [] };
  return row ?? { name: '', zone: 'UTC', largestUpload: 0, nameOrder: 'given_first', ...nothing };
}
