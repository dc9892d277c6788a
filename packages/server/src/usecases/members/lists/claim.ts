/**
 * A place becomes its account's: whoever has an account with the address that a list gave takes over the place with all
 * that it has. Where they are on the course already, the place stays for staff to look at.
 */
import type { EntityManager } from '../../../db/orm.ts';

const MOVED = [
  'registry_link',
  'member_group',
  'person_exception',
  'deed',
  'deed_log',
  'progress',
  'hand_in_for',
  'attendance',
  'visit',
  'member',
];

/**
 * Under the course's lock.
 *
 * @returns how many were claimed
 */
export async function claimIn(em: EntityManager, courseId: string, institutionId: string): Promise<number> {
  const found = await em.execute<{ place: string; account: string }[]>(
    `select distinct on (account.id) place.id as place, account.id as account
     from person place
     join member on member.person_id = place.id and member.course_id = place.place_in
     join person account on account.institution_id = ? and account.place_in is null
       and lower(account.address) = lower(member.listed ->> 'address')
     where place.place_in = ? and not exists
       (select 1 from member other where other.course_id = place.place_in and other.person_id = account.id)
     order by account.id, place.id`,
    [institutionId, courseId],
  );
  for (const { place, account } of found) {
    for (const table of MOVED) {
      await em.execute(`update "${table}" set person_id = ? where course_id = ? and person_id = ?`, [
        account,
        courseId,
        place,
      ]);
    }
    await em.execute('update member set cells = null where course_id = ? and person_id = ?', [
      courseId,
      account,
    ]);
    await em.execute('delete from person where id = ?', [place]);
  }
  return found.length;
}
