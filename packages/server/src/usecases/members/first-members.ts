/** The beginning of the table of members, whole or of those who are found: asked for thousands as for a class. */
import type { FirstMembersAnswer } from '@itinerary/contract';
import type { EntityManager } from '../../db/orm.ts';
import { nameOrderOf } from '../institution/name-order.ts';
import { listedMembers } from './members.ts';

interface Asked {
  readonly first: number;
  readonly find: string;
  readonly lang: 'en' | 'es' | 'fr' | 'ar';
}

/** In a pattern of SQL, % and _ stand for others; typed, they stand for themselves. */
const typed = (word: string): string => word.replaceAll(/[\\%_]/g, '\\$&');

/** By name as the institution writes it, in the order of a language, found by every one of the words. */
export async function firstMembers(
  em: EntityManager,
  courseId: string,
  { first, find, lang }: Asked,
): Promise<FirstMembersAnswer> {
  const sorted = (await nameOrderOf(em, courseId)) === 'family_first' ? 'filed' : 'called';
  const words = find.split(/\s+/).filter((word) => word !== '');
  const [row] = await em.execute<{ total: number; found: number; ids: string[] | null }[]>(
    `with on_course as (
       select person_id, ${sorted} as sorted, ${words.map(() => `found_by like '%' || folded(?) || '%'`).join(' and ') || 'true'} as is_found
       from member where course_id = ? and left_at is null)
     select count(*)::int as total, (count(*) filter (where is_found))::int as found,
       (select json_agg(person_id) from (select person_id from on_course where is_found
         order by sorted collate "${lang}-x-icu", person_id limit ?) as beginning) as ids
     from on_course`,
    [...words.map(typed), courseId, first],
  );
  const ids = row?.ids ?? [];
  const listed = new Map((await listedMembers(em, courseId, ids)).map((one) => [one.person, one]));
  return {
    members: ids.flatMap((id) => listed.get(id) ?? []),
    total: row?.total ?? 0,
    found: row?.found ?? 0,
  };
}
