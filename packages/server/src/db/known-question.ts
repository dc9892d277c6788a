/** Questions that are asked again and again: each connection has the database read and plan them once. */
import type { EntityManager } from './orm.ts';

/**
 * @param name of this text and no other; at most 63 letters
 * @param text SQL with a `?` for each value
 */
export function knownQuestion<Row extends object>(
  name: string,
  text: string,
): (em: EntityManager, values: readonly (string | number | boolean | null)[]) => Promise<readonly Row[]> {
  return async (em, values) => {
    const within = em.getTransactionContext();
    const knex = em.getKnex(within === undefined ? 'read' : 'write');
    const question = knex.raw<{ readonly rows: readonly Row[] }>(text, values).options({ name });
    const { rows } = await (within === undefined ? question : question.transacting(within));
    return rows;
  };
}
