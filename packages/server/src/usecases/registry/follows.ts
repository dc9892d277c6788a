/** Which classes of the registry a course follows: whoever says so has to teach them, or keep the institution's courses. */
import type { FollowsRequest } from '@itinerary/contract';
import { nextPlace, SHUT_WAY, setTableEntry } from '@itinerary/core';
import type { Course, Edit } from '@itinerary/core';
import { randomUUID } from 'node:crypto';
import { byTurn } from '../../db/locks.ts';
import { announce } from '../../db/announce.ts';
import type { LockedCourse } from '../../db/kept-courses.ts';
import { RegistryFollowRow } from '../../db/entities.ts';
import type { Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { Failure } from '../failure.ts';
import { openForMembers } from '../members/lists/take-list.ts';
import { makeOwnChange } from '../plan/own-change.ts';
import { classesOf, classesTaughtBy } from './classes.ts';
import { followLoaded } from './follow-course.ts';

export interface Follower {
  readonly person: Person;
  readonly now: string;
}

/** Under the course's lock: those that are named are followed, and no others. */
export async function setFollows(
  em: EntityManager,
  courseId: string,
  { classes }: FollowsRequest,
  { person, now }: Follower,
): Promise<void> {
  await byTurn(em, courseId, async (inner) => {
    const loaded = await openForMembers(inner, courseId);
    await follow(inner, loaded, classes, { person, now });
  });
}

export async function follow(
  em: EntityManager,
  loaded: LockedCourse,
  wanted: FollowsRequest['classes'],
  { person, now }: Follower,
): Promise<void> {
  const courseId = loaded.course.id;
  const before = await em.find(RegistryFollowRow, { courseId });
  const titles = await mayFollow(
    em,
    before.map(({ classId }) => classId),
    wanted,
    { person, now },
  );
  const groupOf = new Map(before.map(({ classId, groupId }) => [classId, groupId ?? null]));
  const { edits, made } = groupsFor(loaded.course, wanted, groupOf, titles);
  if (wanted.length > 0 && loaded.course.ways['registry']?.on !== true) {
    const way = { ...(loaded.course.ways['registry'] ?? SHUT_WAY), on: true };
    edits.push(setTableEntry(loaded.course, 'ways', 'registry', way));
  }
  let next = loaded;
  if (edits.length > 0) {
    const applied = await makeOwnChange(em, loaded, { id: randomUUID(), edits, author: person.id, at: now });
    if (!applied.ok) {
      throw new Failure('bad_input', 'The classes cannot be made in this course', [
        { path: 'classes', value: wanted.length, expected: 'at most 200 groups and classes in a course' },
      ]);
    }
    await em.flush();
    next = { ...loaded, course: applied.course };
  }
  const ids = new Set(wanted.map(({ id }) => id));
  for (const row of before) if (!ids.has(row.classId)) em.remove(row);
  for (const { id, asGroup } of wanted) {
    const groupId = asGroup ? (made.get(id) ?? groupOf.get(id) ?? null) : null;
    const row = before.find(({ classId }) => classId === id);
    if (row !== undefined) row.groupId = groupId;
    else em.persist(em.create(RegistryFollowRow, { courseId, classId: id, groupId, by: person.id, at: now }));
  }
  await em.flush();
  await followLoaded(em, next, now);
  await announce(em, { course: courseId, seq: loaded.row.seq });
}

/** @returns the titles of the classes, by id */
async function mayFollow(
  em: EntityManager,
  before: readonly string[],
  wanted: FollowsRequest['classes'],
  { person, now }: Follower,
): Promise<ReadonlyMap<string, string>> {
  const known = await classesOf(
    em,
    person,
    wanted.map(({ id }) => id),
  );
  const taught = new Set((await classesTaughtBy(em, person, now.slice(0, 10))).map(({ id }) => id));
  wanted.forEach(({ id }, at) => {
    if (before.includes(id)) return;
    const isKnown = known.some((one) => one.id === id);
    if (isKnown && (taught.has(id) || person.kind === 'staff')) return;
    throw new Failure('bad_input', `In the body: classes.${at}.id`, [
      { path: `classes.${at}.id`, value: id, expected: 'the id of a class of the registry that you teach' },
    ]);
  });
  return new Map(known.map(({ id, title }) => [id, title]));
}

/** A class of the course for each that is to have one and has none: of that name, if nothing is in its way. */
function groupsFor(
  course: Course,
  wanted: FollowsRequest['classes'],
  groupOf: ReadonlyMap<string, string | null>,
  titles: ReadonlyMap<string, string>,
): { readonly edits: Edit[]; readonly made: ReadonlyMap<string, string> } {
  const made = new Map<string, string>();
  const edits: Edit[] = [];
  const used = new Set([...groupOf.values()]);
  let at = nextPlace(course.groups);
  for (const { id, asGroup } of wanted) {
    const has = groupOf.get(id) ?? null;
    if (!asGroup || (has !== null && course.groups[has] !== undefined)) continue;
    const name = titles.get(id) ?? id;
    const there = Object.entries(course.groups).find(
      ([key, group]) => group.kind === 'class' && group.name === name && !used.has(key),
    );
    if (there !== undefined) {
      made.set(id, there[0]);
      continue;
    }
    const group = randomUUID();
    made.set(id, group);
    edits.push(setTableEntry(course, 'groups', group, { name, kind: 'class', at }));
    at += 1;
  }
  return { edits, made };
}
