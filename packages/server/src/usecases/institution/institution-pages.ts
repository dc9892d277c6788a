/** Pages of the institution's own, kept in one place by its staff; menus lead to them. */
import type { InstitutionPagesAnswer } from '@itinerary/contract';
import type { InstitutionPage } from '@itinerary/core';
import { InstitutionPageRow } from '../../db/entities.ts';
import { underInstitution } from '../../db/locks.ts';
import type { EntityManager } from '../../db/orm.ts';
import { Failure } from '../failure.ts';

const MOST_PAGES = 60;

const USES: readonly InstitutionPage['use'][] = ['site', 'help', 'library', 'policies', 'other'];

export async function institutionPages(
  em: EntityManager,
  institutionId: string,
): Promise<readonly InstitutionPage[]> {
  const rows = await em.find(InstitutionPageRow, { institutionId });
  return inOrderOfUse(
    rows.map(({ id, use, names, address, beside }) => ({ id, use, names, address, beside: beside ?? null })),
  );
}

export const inOrderOfUse = (pages: readonly InstitutionPage[]): readonly InstitutionPage[] =>
  pages.toSorted((a, b) => USES.indexOf(a.use) - USES.indexOf(b.use) || (a.id < b.id ? -1 : 1));

export async function setInstitutionPage(
  em: EntityManager,
  institutionId: string,
  { id, ...values }: InstitutionPage,
): Promise<InstitutionPagesAnswer> {
  await underInstitution(em, institutionId, async (inner) => {
    const row = await inner.findOne(InstitutionPageRow, { institutionId, id });
    if (row !== null) inner.assign(row, values);
    else if ((await inner.count(InstitutionPageRow, { institutionId })) >= MOST_PAGES) {
      throw new Failure('bad_input', `There are ${MOST_PAGES} pages already`, [
        { path: 'page', value: id, expected: `at most ${MOST_PAGES} pages` },
      ]);
    } else inner.persist(inner.create(InstitutionPageRow, { institutionId, id, ...values }));
  });
  return { pages: await institutionPages(em.fork(), institutionId) };
}

/** Entries that lead there stay in their menus, and tell those who plan the course that the page is gone. */
export async function removeInstitutionPage(
  em: EntityManager,
  institutionId: string,
  id: string,
): Promise<InstitutionPagesAnswer> {
  await em.nativeDelete(InstitutionPageRow, { institutionId, id });
  return { pages: await institutionPages(em, institutionId) };
}
