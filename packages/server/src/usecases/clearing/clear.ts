/** Clears away what was left over, once an hour, and counts it: nothing that anybody could still want. */
import type { EntityManager } from '../../db/orm.ts';
import type { FileStore } from '../../files/file-store.ts';
import type { Pieces } from '../../files/pieces.ts';
import { tidyFiles } from '../files/tidy.ts';
import { dropStrays } from './strays.ts';

const DAY_MS = 24 * 60 * 60 * 1000;

export interface Clearing {
  readonly store: FileStore;
  readonly pieces: Pick<Pieces, 'tidy'>;
}

/** How many of each. */
export interface Cleared {
  /** Sessions that are over. */
  readonly sessions: number;
  /** Tries at passwords that count no more. */
  readonly tries: number;
  /** Files that nothing in their course names any more. */
  readonly files: number;
  /** Files without a row: their sender, or the server, fell while they came. */
  readonly strays: number;
  /** Beginnings of files that nobody came back for. */
  readonly pieces: number;
  readonly incoming: number;
}

/** Each by itself: one that cannot be done keeps none of the others. */
export async function clear(
  em: EntityManager,
  { store, pieces }: Clearing,
  now: string,
  failed: (what: keyof Cleared, error: unknown) => void,
): Promise<Cleared> {
  const each: { readonly [What in keyof Cleared]: () => Promise<number> } = {
    sessions: () => removed(em, 'delete from session where expire < now()'),
    tries: () => removed(em, `delete from attempt where expire < extract(epoch from now()) * 1000`),
    files: () => tidyFiles(em.fork(), store, now),
    strays: () => dropStrays(em.fork(), store),
    pieces: () => pieces.tidy(),
    incoming: () => store.dropIncoming(DAY_MS),
  };
  const counts = {} as Record<keyof Cleared, number>;
  for (const what of Object.keys(each) as (keyof Cleared)[]) {
    counts[what] = await each[what]().catch((error: unknown) => {
      failed(what, error);
      return 0;
    });
  }
  return counts;
}

async function removed(em: EntityManager, statement: string): Promise<number> {
  const [row] = await em
    .fork()
    .execute<{ count: number }[]>(
      `with gone as (${statement} returning 1) select count(*)::int as count from gone`,
    );
  return row?.count ?? 0;
}
