/** Accounts that people make themselves, and passwords set anew. */
import { randomUUID } from 'node:crypto';
import type { AccountKeyAnswer } from '@itinerary/contract';
import { AccountKeyRow, InvitationRow, PersonRow } from '../../db/entities.ts';
import type { AccountKeyRecord, Language, Person } from '../../db/entities.ts';
import { lockCourse } from '../../db/locks.ts';
import type { EntityManager } from '../../db/orm.ts';
import { Failure } from '../failure.ts';
import { claimIn } from '../members/lists/claim.ts';
import { hashPassword, passwordMatches } from '../people/passwords.ts';
import { accountOf } from '../people/account-of.ts';
import { onlyInstitution } from './account-letter.ts';
import { hashOfKey, isKey } from './keys.ts';
import { endSessionsOf } from './sessions.ts';

const over = (): Failure =>
  new Failure(
    'not_found',
    'This link has been used, its time is over, or it was never sent; ask for a new one',
  );

/** Locked, so that a link that is pressed twice at once works once. */
async function keyInForce(em: EntityManager, key: string, now: string): Promise<AccountKeyRecord> {
  if (!isKey(key)) throw over();
  const hash = hashOfKey(key);
  await em.execute('select hash from account_key where hash = ? for update', [hash]);
  const row = await em.findOne(AccountKeyRow, { hash });
  if (row === null || row.usedAt !== null || Date.parse(now) >= Date.parse(row.lapsesAt)) throw over();
  return row;
}

export async function accountKey(em: EntityManager, key: string, now: string): Promise<AccountKeyAnswer> {
  const { kind, address, name } = await em.transactional((inner) => keyInForce(inner, key, now));
  return { kind, address, name };
}

export interface Wanted {
  readonly name: string | null;
  readonly password: string;
}

/**
 * Makes the account, or sets its password, by what its letter held.
 *
 * @returns who it is, and the page from which they had come
 * @throws Failure `not_found`, `bad_input`
 */
export async function byAccountKey(
  em: EntityManager,
  key: string,
  { name, password }: Wanted,
  now: string,
): Promise<{ readonly person: Person; readonly onward: string | null }> {
  // Before a password is hashed, which takes long.
  await accountKey(em.fork(), key, now);
  const passwordHash = await hashPassword(password);
  return em.transactional(async (inner) => {
    const row = await keyInForce(inner, key, now);
    row.usedAt = now;
    if (row.kind === 'reset') {
      const person = await inner.findOneOrFail(PersonRow, { id: row.personId ?? '' });
      person.passwordHash = passwordHash;
      // Another letter that is still out there opens nothing any more.
      await inner.nativeUpdate(
        AccountKeyRow,
        { personId: person.id, kind: 'reset', usedAt: null },
        { usedAt: now },
      );
      await endSessionsOf(inner, person.id, null);
      return { person, onward: row.onward ?? null };
    }
    const { address, lang } = row;
    const person = await newAccount(inner, { address, lang, name: name ?? row.name, passwordHash });
    return { person, onward: row.onward ?? null };
  });
}

/** Whoever has the letter of an invitation has its address: no other letter has to confirm it. */
export async function byInvitation(
  em: EntityManager,
  key: string,
  { name, password }: Wanted,
  now: string,
): Promise<Person> {
  const find = async (inner: EntityManager): Promise<{ address: string; lang: Language }> => {
    const found = isKey(key) ? await inner.findOne(InvitationRow, { keyHash: hashOfKey(key) }) : null;
    const isOver = found?.lapsesAt != null && Date.parse(now) >= Date.parse(found.lapsesAt);
    if (found?.state !== 'waiting' || isOver) throw over();
    return found;
  };
  await find(em.fork());
  const passwordHash = await hashPassword(password);
  return em.transactional(async (inner) => {
    const { address, lang } = await find(inner);
    return newAccount(inner, { address, lang, name: name ?? '', passwordHash });
  });
}

interface NewAccount {
  readonly address: string;
  readonly lang: Language;
  readonly name: string;
  readonly passwordHash: string;
}

/** Places that lists have made for this address are its own from now on. */
async function newAccount(em: EntityManager, { address, ...values }: NewAccount): Promise<Person> {
  if (values.name.trim() === '') {
    throw new Failure('bad_input', 'In the body: name', [
      { path: 'name', value: values.name, expected: 'the name that others see' },
    ]);
  }
  if ((await accountOf(em, address)) !== null) throw over();
  const { id: institutionId } = await onlyInstitution(em);
  const person = em.create(PersonRow, {
    id: randomUUID(),
    institutionId,
    address,
    kind: 'visitor',
    placeIn: null,
    demoPart: null,
    ...values,
  });
  await em.persist(person).flush();
  const places = await em.execute<{ course: string }[]>(
    `select distinct member.course_id as course from member join person on person.id = member.person_id
     where person.place_in is not null and lower(member.listed ->> 'address') = lower(?)
     order by course`,
    [address],
  );
  for (const { course } of places) {
    await lockCourse(em, course);
    await claimIn(em, course, institutionId);
  }
  return person;
}

/** @throws Failure `wrong_name_or_password` */
export async function changePassword(
  em: EntityManager,
  person: Person,
  { old, password }: { readonly old: string; readonly password: string },
  session: string,
): Promise<void> {
  if (!(await passwordMatches(old, person.passwordHash))) {
    throw new Failure('wrong_name_or_password', 'The password that you have now is another one');
  }
  const passwordHash = await hashPassword(password);
  await em.transactional(async (inner) => {
    await inner.nativeUpdate(PersonRow, { id: person.id }, { passwordHash });
    await endSessionsOf(inner, person.id, session);
  });
}
