/** Signing in. Ten wrong passwords for one address in a quarter of an hour close it for the rest of it. */
import { passwordMatches } from '../people/passwords.ts';
import type { Person } from '../db/entities.ts';
import { PersonRow } from '../db/entities.ts';
import type { EntityManager } from '../db/orm.ts';
import { Failure } from './failure.ts';

export const MAX_FAILURES = 10;
const WINDOW = "interval '15 minutes'";

export async function signIn(em: EntityManager, address: string, password: string): Promise<Person> {
  const folded = address.trim().toLowerCase();
  const db = em.getConnection();
  await db.execute(`delete from sign_in_failure where at < now() - ${WINDOW}`);
  const [row] = await db.execute<{ count: number }[]>(
    `select count(*)::int as count from sign_in_failure where address = ?`,
    [folded],
  );
  if ((row?.count ?? 0) >= MAX_FAILURES) {
    throw new Failure(
      'too_many_attempts',
      'Too many wrong passwords for this address; try again in 15 minutes',
    );
  }
  const [found] = await db.execute<{ id: string }[]>(`select id from person where lower(address) = ?`, [
    folded,
  ]);
  const person = found === undefined ? null : await em.findOne(PersonRow, { id: found.id });
  if (await passwordMatches(password, person?.passwordHash ?? null)) {
    await db.execute(`delete from sign_in_failure where address = ?`, [folded]);
    return person as Person;
  }
  await db.execute(`insert into sign_in_failure (address) values (?)`, [folded]);
  throw new Failure('wrong_name_or_password', 'No account has this address and password');
}
