/** Whose account an address is, in whatever case it is written. */
import { PersonRow } from '../../db/entities.ts';
import type { Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';

export async function accountOf(em: EntityManager, address: string): Promise<Person | null> {
  const [found] = await em.execute<{ id: string }[]>(`select id from person where lower(address) = ?`, [
    address.toLowerCase(),
  ]);
  return found === undefined ? null : em.findOne(PersonRow, { id: found.id });
}
