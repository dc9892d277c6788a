/** Files on the disk that no row of any course names. */
import { databaseId } from '../../db/database-id.ts';
import { StoredFileRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import type { FileStore } from '../../files/file-store.ts';

const DAY_MS = 24 * 60 * 60 * 1000;
const AT_ONCE = 500;

/**
 * Where another database has ever had its files in the same folder, nobody knows whose a stray is, and it stays.
 * What is younger than a day may be on its way to its row.
 *
 * @returns how many have gone
 */
export async function dropStrays(em: EntityManager, store: FileStore): Promise<number> {
  if ((await store.usedBy(await databaseId(em))).size !== 1) return 0;
  let gone = 0;
  let hashes: string[] = [];
  const look = async (): Promise<void> => {
    const rows = await em.fork().find(StoredFileRow, { hash: { $in: hashes } }, { fields: ['hash'] });
    const known = new Set(rows.map(({ hash }) => hash));
    for (const hash of hashes) if (!known.has(hash) && (await store.drop(hash, DAY_MS))) gone += 1;
    hashes = [];
  };
  for await (const hash of store.all()) {
    hashes.push(hash);
    if (hashes.length >= AT_ONCE) await look();
  }
  if (hashes.length > 0) await look();
  return gone;
}
