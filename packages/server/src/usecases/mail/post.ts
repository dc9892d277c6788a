/** Letters to be sent: written down with what they are about, in one transaction, and carried by a job. */
import { randomUUID } from 'node:crypto';
import type { LetterFacts, LetterKind } from '../../mail/letters.ts';
import { InstitutionRow, LetterRow } from '../../db/entities.ts';
import type { Language } from '../../db/entities.ts';
import { addJob } from '../../db/queue.ts';
import type { EntityManager } from '../../db/orm.ts';

export interface NewLetter {
  readonly kind: LetterKind;
  readonly address: string;
  readonly lang: Language;
  readonly facts: Omit<LetterFacts, 'institution'>;
  readonly institutionId: string;
  readonly courseId?: string;
  /** The invitation that it carries, or whoever asks. */
  readonly about?: string;
}

/** In the transaction of `em`: if that fails, nothing is sent. */
export async function post(em: EntityManager, letter: NewLetter, now: string): Promise<void> {
  const { kind, address, lang, facts, institutionId, courseId = null, about = null } = letter;
  const institution = await em.findOneOrFail(InstitutionRow, { id: institutionId });
  const id = randomUUID();
  const values = { id, kind, address, lang, courseId, about, madeAt: now, sentAt: null, why: null };
  em.persist(
    em.create(LetterRow, { ...values, state: 'queued', facts: { ...facts, institution: institution.name } }),
  );
  await em.flush();
  await addJob(em, 'send_letter', { letter: id }, { key: `letter:${id}` });
}
