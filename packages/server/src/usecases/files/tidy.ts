/** Files that nothing names: sent, and never put anywhere, or taken out long ago. After a day they go. */
import { fileHashes } from '@itinerary/core';
import { loadCourse } from '../../db/course-rows.ts';
import { ChangeRow, StoredFileRow, TextRow } from '../../db/entities.ts';
import { underCourse } from '../../db/locks.ts';
import type { EntityManager } from '../../db/orm.ts';
import type { FileStore } from '../../files/file-store.ts';

const DAY_MS = 24 * 60 * 60 * 1000;
/** As long as what a change took out can be brought back by undoing it. */
const CHANGES_MS = 30 * DAY_MS;

/** Every process of one database tries, and one of them does it. */
const LOCK = 7_410_221;

const before = (now: string, ms: number): string => new Date(Date.parse(now) - ms).toISOString();

/** @returns how many courses' files have gone. */
export async function tidyFiles(em: EntityManager, store: FileStore, now: string): Promise<number> {
  return em.transactional(async (outer) => {
    const [got] = await outer.execute<{ got: boolean }[]>('select pg_try_advisory_xact_lock(?) as got', [
      LOCK,
    ]);
    if (got?.got !== true) return 0;
    const old = { createdAt: { $lt: before(now, DAY_MS) } };
    const rows = await em.fork().find(StoredFileRow, old, { fields: ['courseId', 'hash'] });
    let gone = 0;
    for (const courseId of new Set(rows.map((row) => row.courseId))) {
      const hashes = rows.filter((row) => row.courseId === courseId).map(({ hash }) => hash);
      gone += await tidyCourse(em.fork(), store, courseId, hashes, now);
    }
    return gone;
  });
}

async function tidyCourse(
  em: EntityManager,
  store: FileStore,
  courseId: string,
  hashes: readonly string[],
  now: string,
): Promise<number> {
  // Whoever is just naming one holds the lock, and what they name is found here.
  const gone = await underCourse(em, courseId, async (inner) => {
    const named = await namedIn(inner, courseId, now);
    const nameless = hashes.filter((hash) => !named(hash));
    if (nameless.length > 0) await inner.nativeDelete(StoredFileRow, { courseId, hash: { $in: nameless } });
    return nameless;
  });
  for (const hash of gone) {
    // The same content can be another course's, and it can be coming in again at this moment.
    if ((await em.fork().count(StoredFileRow, { hash })) === 0) await store.drop(hash, DAY_MS);
  }
  return gone.length;
}

/** In the plan, with what has been removed; in what is held; in its texts; in work; in changes that can still be undone. */
async function namedIn(em: EntityManager, courseId: string, now: string): Promise<(hash: string) => boolean> {
  const loaded = await loadCourse(em, courseId);
  const texts = await em.find(TextRow, { courseId, facts: { $ne: null } }, { fields: ['facts'] });
  const inPlan = new Set([
    ...(loaded === null ? [] : fileHashes(loaded.course)),
    ...texts.flatMap(({ facts }) => facts?.pictures ?? []),
  ]);
  const since = { courseId, at: { $gte: before(now, CHANGES_MS) } };
  const changes = JSON.stringify(
    (await em.find(ChangeRow, since, { fields: ['edits'] })).map((one) => one.edits),
  );
  const handed = await em.execute<{ hash: string }[]>(
    `select file ->> 'hash' as hash from work_draft, jsonb_array_elements(files) file where course_id = ?
     union select file ->> 'hash' from hand_in, jsonb_array_elements(files) file where course_id = ?
     union select file ->> 'hash' from post_draft, jsonb_array_elements(files) file where course_id = ?
     union select file ->> 'hash' from post, jsonb_array_elements(files) file where course_id = ?
     union select file ->> 'hash' from hand_in, mark, jsonb_array_elements(mark.files) file
       where mark.hand_in_id = hand_in.id and course_id = ?`,
    [courseId, courseId, courseId, courseId, courseId],
  );
  const inWork = new Set(handed.map(({ hash }) => hash));
  return (hash) => inPlan.has(hash) || inWork.has(hash) || changes.includes(hash);
}
