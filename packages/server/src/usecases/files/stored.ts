/** What a course has among its files: a row for each, however often and by however many it is sent. */
import { InstitutionRow, StoredFileRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { Failure } from '../failure.ts';

export interface StoredFile {
  readonly courseId: string;
  readonly hash: string;
  readonly size: number;
  readonly type: string;
  /** Of a picture, in pixels. */
  readonly width: number | null;
  readonly height: number | null;
  readonly createdAt: string;
  /** Who sent it. */
  readonly by: string;
}

/** The first to come stays. */
export async function keepRow(em: EntityManager, row: StoredFile): Promise<void> {
  await em.upsert(StoredFileRow, row, {
    onConflictFields: ['courseId', 'hash'],
    onConflictAction: 'ignore',
  });
}

/** In files of the largest size that the institution takes. */
export const MOST_OF_PERSON = 10;
export const MOST_OF_COURSE = 50;
/** In bytes. */
export const MEGABYTE = 1_000_000;

export interface Room {
  readonly courseId: string;
  readonly institutionId: string;
  readonly personId: string;
}

/**
 * @param size in bytes, of what comes.
 * @throws Failure `too_large` where this person, or everybody, has sent the course as much as it takes.
 */
export async function mustHaveRoom(
  em: EntityManager,
  { courseId, institutionId, personId }: Room,
  size: number,
): Promise<void> {
  const { largestUpload } = await em.findOneOrFail(InstitutionRow, { id: institutionId });
  const [row] = await em.execute<{ all: string; own: string }[]>(
    `select coalesce(sum(size), 0) as "all", coalesce(sum(size) filter (where by = ?), 0) as own
     from stored_file where course_id = ?`,
    [personId, courseId],
  );
  const wrong = (whose: string, most: number): Failure =>
    new Failure('too_large', `${whose} ${most} MB in this course, which is as much as there is room for`, [
      { path: 'file', value: `${Math.ceil(size / MEGABYTE)} MB`, expected: `at most ${most} MB all in all` },
    ]);
  const own = MOST_OF_PERSON * largestUpload;
  if (Number(row?.own ?? 0) + size > own * MEGABYTE) throw wrong('With this file you would have', own);
  const all = MOST_OF_COURSE * largestUpload;
  if (Number(row?.all ?? 0) + size > all * MEGABYTE)
    throw wrong('With this file there would be more than', all);
}
