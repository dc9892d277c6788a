/** Watching a film: what was really played, kept as it is reported, once however often a report is sent. */
import { readFile, stat } from 'node:fs/promises';
import type { FilmAnswer, WatchedAnswer, WatchedBody, WhoWatched } from '@itinerary/contract';
import {
  conditionBy,
  hasRight,
  isTooFast,
  MAX_CAPTIONS_BYTES,
  MAX_RUNS,
  readCaptions,
  runsWithin,
  shareWatched,
  united,
  byName,
} from '@itinerary/core';
import type { Course, Cue, Film, Run } from '@itinerary/core';
import { FilmWatchRow } from '../../../db/entities.ts';
import type { FilmWatchRecord } from '../../../db/entities/meeting.ts';
import type { EntityManager } from '../../../db/orm.ts';
import type { FileStore } from '../../../files/file-store.ts';
import { Failure } from '../../failure.ts';
import { listedMembers } from '../../members/members.ts';
import { nothingHere } from '../../nothing-here.ts';
import { noteWatched } from '../../reading/deeds.ts';
import { lockWork } from '../draft.ts';
import type { Worker } from '../own-work.ts';
import { itemFor, takenWork } from '../taken-work.ts';

interface Watching {
  readonly node: Film;
  /** Its file's hash: of what stands at an address nobody knows what was played. */
  readonly film: string;
  /** Null: nothing is kept of their watching. */
  readonly personId: string | null;
}

/** @throws Failure `not_found` where this person does not get it, or it is no film of its own */
function watchingOf({ course, viewer, personId }: Worker, itemId: string, now: string): Watching {
  const { node, isOpen } = itemFor(course, viewer, itemId, 'video', now);
  if (node.file === null) throw nothingHere();
  const isKept = viewer.role === 'learner' && isOpen;
  return { node, film: node.file.hash, personId: isKept ? personId : null };
}

const told = ({ seconds }: Film, row: FilmWatchRecord | null): WatchedAnswer => ({
  runs: (row?.runs ?? []).map(([from, to]) => ({ from, to })),
  share: shareWatched(row?.runs ?? [], seconds),
  position: row?.position ?? 0,
});

export async function film(
  em: EntityManager,
  store: FileStore,
  worker: Worker,
  itemId: string,
  now: string,
): Promise<FilmAnswer> {
  const { node, film, personId } = watchingOf(worker, itemId, now);
  const courseId = worker.course.id;
  let row: FilmWatchRecord | null = null;
  if (personId !== null) {
    const key = { courseId, itemId, personId, film };
    // From when on something can have been played.
    await em.execute(
      `insert into film_watch (course_id, item_id, person_id, film, opened_at) values (?, ?, ?, ?, ?)
       on conflict do nothing`,
      [courseId, itemId, personId, film, now],
    );
    row = await em.findOneOrFail(FilmWatchRow, key);
  }
  return {
    film,
    seconds: node.seconds,
    chapters: node.chapters,
    captions: await captionsOf(store, node),
    watched: personId === null ? null : told(node, row),
    wanted: conditionBy(node.done, 'watched')?.least ?? null,
    mayLook: hasRight(worker.viewer, 'mark'),
  };
}

/** A file that is gone, or can no longer be read, is no captions. */
async function captionsOf(store: FileStore, { captions }: Film): Promise<FilmAnswer['captions']> {
  const read = captions.map(async ({ language, file: { hash } }) => ({
    language,
    cues: await cuesOf(store, hash),
  }));
  return (await Promise.all(read)).filter(({ cues }) => cues.length > 0);
}

async function cuesOf(store: FileStore, hash: string): Promise<readonly Cue[]> {
  const path = await store.find(hash);
  if (path === null || (await stat(path)).size > MAX_CAPTIONS_BYTES) return [];
  const read = readCaptions(await readFile(path, 'utf8'));
  return read.ok ? read.cues : [];
}

const notTaken = (path: string, sentence: string): Failure =>
  new Failure('cannot_hand_in', sentence, [
    { path, value: path, expected: 'what was played since the last report' },
  ]);

export async function reportWatched(
  em: EntityManager,
  worker: Worker,
  itemId: string,
  { id, film: of, runs: reported, position }: WatchedBody,
  now: string,
): Promise<WatchedAnswer> {
  const { course, viewer } = worker;
  const { node, film, personId } = watchingOf(worker, itemId, now);
  if (personId === null) throw notTaken('item', 'Nothing is kept of this');
  if (of !== film) {
    throw new Failure('changed_elsewhere', 'Another film has taken its place', [
      { path: 'film', value: of, expected: film },
    ]);
  }
  const key = { courseId: course.id, itemId, personId, film };
  const runs = reported.map(({ from, to }): Run => [from, to]);
  return em.transactional(async (inner) => {
    await lockWork(inner, course.id, personId, itemId);
    const row = await inner.findOne(FilmWatchRow, key);
    if (row === null) throw notTaken('opened', 'It has not been opened yet');
    if (row.report === id) return told(node, row);
    const since = Date.parse(now) - Date.parse(row.reportedAt ?? row.openedAt);
    if (isTooFast(runs, since)) throw notTaken('too_fast', 'So much cannot have been played since then');
    const all = united(runsWithin([...row.runs, ...runs], node.seconds));
    if (all.length > MAX_RUNS) throw notTaken('too_many', 'It has been played in too many pieces');
    inner.assign(row, { runs: all, position, report: id, reportedAt: now });
    await inner.flush();
    await noteWatched(inner, course, { personId, viewer }, itemId, shareWatched(all, node.seconds), now);
    return told(node, row);
  });
}

export async function whoWatched(
  em: EntityManager,
  course: Course,
  itemId: string,
  now: string,
): Promise<WhoWatched> {
  const node = takenWork(course, itemId, 'video', now);
  const rows = await em.find(FilmWatchRow, { courseId: course.id, itemId, film: node.file?.hash ?? '' });
  const by = new Map(rows.map((row) => [row.personId, row]));
  const learners = (await listedMembers(em, course.id)).filter(({ role }) => role === 'learner');
  return {
    zone: course.dates.zone,
    people: learners
      .map(({ person, name, groups }) => {
        const row = by.get(person);
        const share = row === undefined ? null : shareWatched(row.runs, node.seconds);
        return { person, name, groups: [...groups], share, at: row?.reportedAt ?? row?.openedAt ?? null };
      })
      // Whoever has watched least is whom one looks for.
      .sort((a, b) => (a.share ?? -1) - (b.share ?? -1) || byName(a.name, b.name)),
  };
}
