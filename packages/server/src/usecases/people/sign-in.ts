/** Signing in with address and password. */
import { passwordMatches } from './passwords.ts';
import type { Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { accountOf } from './account-of.ts';
import type { Attempts, SignInTry } from './attempts.ts';
import { Failure } from '../failure.ts';

/** As addresses are compared. */
export const foldAddress = (address: string): string => address.trim().toLowerCase();

/**
 * @param from where the try comes from; the address is folded.
 * @throws Failure `wrong_name_or_password`, `too_many_attempts`.
 */
export async function signIn(
  em: EntityManager,
  attempts: Attempts,
  from: SignInTry,
  password: string,
): Promise<Person> {
  const tried = await attempts.signIn(from);
  const person = await accountOf(em, from.address);
  if (await passwordMatches(password, person?.passwordHash ?? null)) {
    await tried.giveBack();
    return person as Person;
  }
  throw new Failure('wrong_name_or_password', 'No account has this address and password');
}
