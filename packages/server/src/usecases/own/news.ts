/** What is new to somebody in a course since they were there last. */
import type { AllNewsAnswer, NewsAnswer } from '@itinerary/contract';
import { accessAt, announcementsAt, isReadable, ownPlan } from '@itinerary/core';
import type { Edit, ItemView } from '@itinerary/core';
import type { Around } from '../../db/coming.ts';
import { ChangeRow, ThreadRow } from '../../db/entities.ts';
import type { Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { coursesAndViewers } from '../access/viewer.ts';
import { readUpTo } from '../coursework/talk/reading.ts';
import { inThread, takesPart, talkingIn } from '../coursework/talk/talking.ts';
import type { Talker } from '../coursework/talk/talking.ts';
import { viewOf } from '../reading/read-course.ts';
import { visitOf, visitsOf } from '../reading/visits.ts';
import { itemsOf, named } from './items-of.ts';

type Thing = NewsAnswer['things'][number];

/** What was changed before these is old to everybody. */
const MOST_CHANGES = 500;
const MOST_THINGS = 50;

export async function newsFor(
  em: EntityManager,
  reader: Talker,
  around: Pick<Around, 'visit'>,
  now: string,
): Promise<NewsAnswer> {
  const { course, viewer, person } = reader;
  const view = viewOf(course, viewer, now);
  const member = viewer.role === null ? null : person;
  const { since } = visitOf(viewer, around, now);
  const nothing: NewsAnswer = { since, zone: view.zone, things: [] };
  if (since === null || member === null || !isReadable(view.access)) return nothing;
  const items = new Map(itemsOf(view).map((item) => [item.id, item]));
  const readable = [...items.values()].filter(({ state }) => isReadable(state));
  const things = [
    ...openedSince(reader, readable, since, now),
    ...(await changedSince(em, reader, items, since)),
    ...(await unread(em, reader, readable, now)),
    ...(await markedSince(em, reader, items, since)),
    ...announcedSince(reader, since, now),
  ];
  return { ...nothing, things: things.sort((a, b) => (a.at < b.at ? 1 : -1)).slice(0, MOST_THINGS) };
}

const about = (what: Thing['what'], item: ItemView, at: string, count = 1): Thing => ({
  ...{ what, item: named(item), title: item.title, at, count },
});

/** By itself: what can be read now, and could not then. */
function openedSince(
  { course, viewer }: Talker,
  readable: readonly ItemView[],
  since: string,
  now: string,
): readonly Thing[] {
  const before = accessAt(course, viewer, Date.parse(since)).nodes;
  return readable
    .filter(({ id }) => !isReadable(before.get(id)?.state ?? 'absent'))
    .map((item) => about('opened', item, momentOf(item, since, now)));
}
/** When it opened, where that lies between; else as it is found out. */
function momentOf({ opens }: ItemView, since: string, now: string): string {
  const at = opens?.instant ?? now;
  return at > since && at <= now ? at : now;
}

/** Items that came, or whose words are others; what is held has not changed for learners. */
async function changedSince(
  em: EntityManager,
  { course, person }: Talker,
  items: ReadonlyMap<string, ItemView>,
  since: string,
): Promise<readonly Thing[]> {
  const rows = await em.find(
    ChangeRow,
    { courseId: course.id, at: { $gt: since }, authorId: { $ne: person?.id ?? '' } },
    { orderBy: { seq: 'desc' }, limit: MOST_CHANGES, fields: ['edits', 'at'] },
  );
  const found = new Map<string, Thing>();
  for (const { edits, at } of rows) {
    for (const { id, what } of (edits as readonly Edit[]).flatMap(touched)) {
      const item = items.get(id);
      if (item === undefined || !isReadable(item.state) || id in course.heldBack) continue;
      // What came and was then written is new once.
      if (!found.has(id) || what === 'added') found.set(id, about(what, item, found.get(id)?.at ?? at));
    }
  }
  return [...found.values()];
}

function touched(edit: Edit): readonly { readonly id: string; readonly what: 'added' | 'changed' }[] {
  if (edit.kind === 'insert') return nodesOf(edit.node).map((id) => ({ id, what: 'added' as const }));
  // What was held back and is released is new from then on.
  if (edit.kind === 'set' && edit.field.startsWith('heldBack.') && edit.value === null)
    return [{ id: edit.field.slice('heldBack.'.length), what: 'changed' }];
  const isWords = edit.kind === 'set' && ['text', 'file', 'address', 'due', 'held'].includes(edit.field);
  return isWords ? [{ id: edit.target, what: 'changed' }] : [];
}
const nodesOf = (node: object): readonly string[] => {
  const { id, items = [] } = node as { readonly id: string; readonly items?: readonly object[] };
  return [id, ...items.flatMap(nodesOf)];
};

/** Posts that they have not read, in threads that they get. */
async function unread(
  em: EntityManager,
  reader: Talker,
  readable: readonly ItemView[],
  now: string,
): Promise<readonly Thing[]> {
  const places = readable.filter(({ kind }) => kind === 'discussion');
  if (places.length === 0 || !takesPart(reader)) return [];
  const threads = await em.find(ThreadRow, {
    courseId: reader.course.id,
    itemId: { $in: places.map(({ id }) => id) },
  });
  const read = await readUpTo(em, reader, threads);
  const found: Thing[] = [];
  for (const item of places) {
    const own = threads.filter(({ itemId }) => itemId === item.id);
    if (own.length === 0) continue;
    const talking = await talkingIn(em, reader, item.id, now);
    if (talking.mustPost) continue;
    const theirs = own.filter((row) => inThread(talking, row) !== 'nothing');
    const count = theirs.reduce((sum, { id, posts }) => sum + Math.max(0, posts - (read.get(id) ?? 0)), 0);
    const last = theirs
      .map(({ lastAt }) => lastAt)
      .sort()
      .at(-1);
    if (count > 0 && last !== undefined) found.push(about('posted', item, last, count));
  }
  return found;
}

/** Their own work, as it was marked last. */
async function markedSince(
  em: EntityManager,
  { course, person }: Talker,
  items: ReadonlyMap<string, ItemView>,
  since: string,
): Promise<readonly Thing[]> {
  const rows = await em.execute<{ item_id: string; at: string }[]>(
    `select own.item_id, max(mark.at) as at from hand_in_for own join mark on mark.hand_in_id = own.hand_in_id
       where own.course_id = ? and own.person_id = ? and mark.at > ? group by own.item_id
     union all
     select attempt.item_id, max(mark.at) from quiz_attempt attempt join quiz_mark mark on mark.attempt_id = attempt.id
       where attempt.course_id = ? and attempt.person_id = ? and mark.at > ? group by attempt.item_id`,
    [course.id, person?.id ?? '', since, course.id, person?.id ?? '', since],
  );
  return rows.flatMap(({ item_id: id, at }) => {
    const item = items.get(id);
    return item === undefined ? [] : [about('marked', item, at)];
  });
}

function announcedSince({ course, viewer }: Talker, since: string, now: string): readonly Thing[] {
  if (course.areas['announcements'] === 'off') return [];
  const at = Date.parse(now);
  return announcementsAt(ownPlan(course, viewer, at), at)
    .filter(({ from }) => from !== null && from > Date.parse(since))
    .map(({ announcement: { subject: title }, from }) => ({
      ...{ what: 'announced' as const, item: null, title, at: new Date(from ?? at).toISOString(), count: 1 },
    }));
}

/** Of the courses that they learn in. */
export async function allNews(em: EntityManager, person: Person, now: string): Promise<AllNewsAnswer> {
  const courses = await coursesAndViewers(em, person, now, (_course, role) => role === 'learner');
  const visitIn = await visitsOf(
    em,
    person.id,
    courses.map(({ course }) => course.id),
  );
  const found: { course: string; count: number }[] = [];
  for (const { course, viewer } of courses) {
    if (!isReadable(accessAt(course, viewer, Date.parse(now)).course.state)) continue;
    const { things } = await newsFor(em, { course, viewer, person }, { visit: visitIn(course.id) }, now);
    const count = things.reduce((sum, thing) => sum + thing.count, 0);
    if (count > 0) found.push({ course: course.id, count });
  }
  return { courses: found };
}
