/**
 * The letter by which an account is made or a password set anew. A job writes it, so that whoever asks is answered
 * alike, and as quickly, whether there is an account or not.
 */
import { AccountKeyRow, InstitutionRow } from '../../db/entities.ts';
import type { Language } from '../../db/entities.ts';
import type { Jobs } from '../../db/queue.ts';
import type { EntityManager } from '../../db/orm.ts';
import { accountOf } from '../people/account-of.ts';
import { post } from '../mail/post.ts';
import { hashOfKey, newKey } from './keys.ts';

const HOUR_MS = 3_600_000;
/** A new account may wait for somebody to come back to their letters; a new password is wanted now. */
const LASTS_MS = { confirm: 48 * HOUR_MS, reset: HOUR_MS } as const;

/** Of an account that somebody makes by themselves: an installation has one. */
export async function onlyInstitution(em: EntityManager): Promise<{ id: string; zone: string }> {
  const [first] = await em.find(InstitutionRow, {}, { orderBy: { id: 'asc' }, limit: 1 });
  if (first === undefined) throw new Error('there is no institution');
  return first;
}

export async function accountLetter(
  em: EntityManager,
  told: Jobs['account_letter'],
  now: string,
): Promise<void> {
  const { kind, address, name, onward } = told;
  await em.transactional(async (inner) => {
    const account = await accountOf(inner, address);
    const { id, zone } = await onlyInstitution(inner);
    const institutionId = account?.institutionId ?? id;
    const lang = (account?.lang ?? told.lang) as Language;
    if (kind === 'reset' && account === null) return;
    if (kind === 'confirm' && account !== null) {
      const path = `/sign-in${onward === null ? '' : `?then=${encodeURIComponent(onward)}`}`;
      await post(inner, { kind: 'known', address, lang, facts: { path }, institutionId }, now);
      return;
    }
    const key = newKey();
    const lapsesAt = new Date(Date.parse(now) + LASTS_MS[kind]).toISOString();
    const values = {
      kind,
      address,
      personId: account?.id ?? null,
      name,
      lang,
      onward,
      madeAt: now,
      lapsesAt,
    };
    inner.persist(inner.create(AccountKeyRow, { hash: hashOfKey(key), usedAt: null, ...values }));
    const facts = { path: `/account/${kind}/${key}`, until: lapsesAt, zone };
    await post(inner, { kind, address, lang, facts, institutionId }, now);
  });
}
