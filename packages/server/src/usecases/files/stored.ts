/** What a course has among its files: a row for each, however often and by however many it is sent. */
import type { EntityManager } from '../../db/orm.ts';
import { StoredFileRow } from '../../db/entities.ts';

export interface StoredFile {
  readonly courseId: string;
  readonly hash: string;
  readonly size: number;
  readonly type: string;
  /** Of a picture, in pixels. */
  readonly width: number | null;
  readonly height: number | null;
  readonly createdAt: string;
}

/** The first to come stays. */
export async function keepRow(em: EntityManager, row: StoredFile): Promise<void> {
  await em.upsert(StoredFileRow, row, {
    onConflictFields: ['courseId', 'hash'],
    onConflictAction: 'ignore',
  });
}
