/** The institution's terms, as readiness and the dates of a course ask for them. */
import type { Term } from '@itinerary/core';
import { TermRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';

/** From a term's code to the term, or null. */
export async function termsOf(
  em: EntityManager,
  institutionId: string,
): Promise<(code: string | null) => Term | null> {
  const rows = await em.find(TermRow, { institutionId });
  const byCode = new Map(
    rows.map(({ code, name, firstDay, lastDay }) => [code, { name, firstDay, lastDay }]),
  );
  return (code) => (code === null ? null : (byCode.get(code) ?? null));
}
