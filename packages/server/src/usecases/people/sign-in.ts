/** Signing in with address and password. */
import { passwordMatches } from './passwords.ts';
import type { Person } from '../../db/entities.ts';
import { PersonRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { countFailure, forgetFailures, hasFailedTooOften } from './attempts.ts';
import { Failure } from '../failure.ts';

export async function signIn(em: EntityManager, address: string, password: string): Promise<Person> {
  const folded = address.trim().toLowerCase();
  const db = em.getConnection();
  if (await hasFailedTooOften(em, folded)) {
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
    await forgetFailures(em, folded);
    return person as Person;
  }
  await countFailure(em, folded);
  throw new Failure('wrong_name_or_password', 'No account has this address and password');
}
