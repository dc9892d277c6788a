/** What staff say of what the registry could not settle by itself. */
import type { SettleRequest } from '@itinerary/contract';
import { changed, changesToTake } from '@itinerary/core/people';
import type { EntryChoice } from '@itinerary/core/people';
import { byTurn } from '../../db/locks.ts';
import { announce } from '../../db/announce.ts';
import type { LockedCourse } from '../../db/kept-courses.ts';
import { RegistryAnswerRow, RegistryLinkRow, RegistryStandingRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { Failure } from '../failure.ts';
import { mustKeepInstructor } from '../members/lists/keep-instructor.ts';
import { readRoster, writeMember } from '../members/lists/roster-rows.ts';
import { openForMembers } from '../members/lists/take-list.ts';
import { followLoaded } from './follow-course.ts';
import type { Follower } from './follows.ts';

const gone = (path: string, value: string): Failure =>
  new Failure(
    'members_changed',
    'It has been settled since, or the registry says something else now; look at it once more',
    [{ path, value, expected: 'somebody of whom the registry says something else' }],
  );

export async function settleRegistry(
  em: EntityManager,
  courseId: string,
  said: SettleRequest,
  follower: Follower,
): Promise<void> {
  await byTurn(em, courseId, async (inner) => {
    const loaded = await openForMembers(inner, courseId);
    if (said.about === 'field') await settleField(inner, loaded, said, follower);
    else if (said.about === 'person') await settlePerson(inner, loaded, said, follower);
    else await settleLeaving(inner, loaded, said.people, follower);
    await announce(inner, { course: courseId, seq: loaded.row.seq });
  });
}

async function settleField(
  em: EntityManager,
  loaded: LockedCourse,
  { registry, field, take }: Extract<SettleRequest, { about: 'field' }>,
  { now }: Follower,
): Promise<void> {
  const { course, row } = loaded;
  const link = await em.findOne(RegistryLinkRow, { courseId: course.id, registryId: registry });
  if (link?.kept.includes(field) !== true) throw gone('registry', registry);
  em.assign(link, { kept: link.kept.filter((one) => one !== field) });
  if (!take) {
    // What the registry says of it stands as heard: it asks again only when it says something else.
    if (field === 'standing') em.assign(link, { staysOut: true });
    await em.flush();
    return;
  }
  if (field === 'standing') {
    // As if the registry had them anew: by a seat, if there is one.
    em.assign(link, { isThere: false, staysOut: false });
    await em.flush();
    await followLoaded(em, loaded, now);
    return;
  }
  const standing = await readRoster(em, course);
  const member = standing.roster.get(link.personId);
  if (member === undefined) throw gone('registry', registry);
  const names = new Map(Object.entries(course.groups).map(([id, { name }]) => [id, name]));
  const next = changed(member, changesToTake(field, link.said, member, names));
  mustKeepInstructor(new Map(standing.roster).set(next.key, next));
  const writing = { em, course, now, institutionId: row.institutionId, standing, accounts: new Map() };
  writeMember(writing, next);
  await em.flush();
}

async function settlePerson(
  em: EntityManager,
  loaded: LockedCourse,
  { answers }: Extract<SettleRequest, { about: 'person' }>,
  { person, now }: Follower,
): Promise<void> {
  const courseId = loaded.course.id;
  const standing = await em.findOne(RegistryStandingRow, { courseId });
  for (const { entry, member } of answers) {
    const question = standing?.questions.find(({ entries }) => entries.some(({ key }) => key === entry));
    const isOffered = member === null || question?.members.some(({ key }) => key === member) === true;
    if (question === undefined || !isOffered) throw gone('entry', entry);
    const choice: EntryChoice = member === null ? { is: 'new' } : { is: 'member', key: member };
    const row = await em.findOne(RegistryAnswerRow, { courseId, entry });
    const values = { choice, by: person.id, at: now };
    if (row === null) em.persist(em.create(RegistryAnswerRow, { courseId, entry, ...values }));
    else em.assign(row, values);
  }
  await em.flush();
  await followLoaded(em, loaded, now);
}

/** Only those who were held, and were shown. */
async function settleLeaving(
  em: EntityManager,
  loaded: LockedCourse,
  people: readonly string[],
  { now }: Follower,
): Promise<void> {
  const standing = await em.findOne(RegistryStandingRow, { courseId: loaded.course.id });
  const held = new Set(standing?.held.map(({ registry }) => registry));
  const stranger = people.find((one) => !held.has(one));
  if (stranger !== undefined) throw gone('people', stranger);
  await followLoaded(em, loaded, now, new Set(people));
}
