/** Who is or was on a course as core's roster, and a roster's members as rows again. */
import { createHash } from 'node:crypto';
import type { Course, Group } from '@itinerary/core';
import { addressKey, calledOf } from '@itinerary/core/people';
import type { Named, Roster, RosterMember, WayKind } from '@itinerary/core/people';
import { MemberGroupRow, MemberRow, PersonRow } from '../../../db/entities.ts';
import type { MemberRecord, Person } from '../../../db/entities.ts';
import type { EntityManager } from '../../../db/orm.ts';
import { grouped } from './grouped.ts';

export interface RosterRows {
  readonly roster: Roster;
  readonly rows: ReadonlyMap<string, MemberRecord>;
  readonly people: ReadonlyMap<string, Person>;
  /** Ids of groups and classes, by person. */
  readonly groupsOf: ReadonlyMap<string, readonly string[]>;
}

const NOTHING_SAID: Named = {
  id: null,
  given: null,
  family: null,
  name: null,
  address: null,
  userName: null,
};

/** Of one name, the first in the course's order is meant. */
function idsByName(course: Course, kind: Group['kind']): ReadonlyMap<string, string> {
  const all = Object.entries(course.groups).filter(([, group]) => group.kind === kind);
  all.sort(([, a], [, b]) => b.at - a.at);
  return new Map(all.map(([id, { name }]) => [name, id]));
}

function namesIn(course: Course, kind: Group['kind'], ids: readonly string[]): readonly string[] {
  const groups = ids.flatMap((id) => {
    const group = course.groups[id];
    return group?.kind === kind ? [group] : [];
  });
  return [...new Set(groups.sort((a, b) => a.at - b.at).map(({ name }) => name))];
}

/** What a list says of somebody comes before what their account says. */
export function namedOf(
  row: Pick<MemberRecord, 'listed'>,
  person: Pick<Person, 'name' | 'address' | 'placeIn'>,
): Named {
  const said = { ...NOTHING_SAID, ...row.listed };
  const isNamed = said.given !== null || said.family !== null || said.name !== null;
  return {
    ...said,
    name: isNamed || person.placeIn !== null ? said.name : person.name,
    address: said.address ?? person.address ?? null,
  };
}

function memberOf(
  course: Course,
  row: MemberRecord,
  person: Person,
  groups: readonly string[],
): RosterMember {
  return {
    ...namedOf(row, person),
    key: row.personId,
    classes: namesIn(course, 'class', groups),
    groups: namesIn(course, 'group', groups),
    role: row.role,
    state: row.leftAt === null ? 'in' : 'out',
    isPlace: person.placeIn !== null,
    isListed: row.isListed,
    cells: row.cells ?? null,
  };
}

/** In the order of the keys, so that the same people are always the same roster. */
export async function readRoster(em: EntityManager, course: Course): Promise<RosterRows> {
  const courseId = course.id;
  const all = await em.find(MemberRow, { courseId }, { orderBy: { personId: 'asc' } });
  const found = await em.find(PersonRow, { id: { $in: all.map(({ personId }) => personId) } });
  const people = new Map(found.map((person) => [person.id, person]));
  const memberships = await em.find(MemberGroupRow, { courseId }, { orderBy: { groupId: 'asc' } });
  const groupsOf = grouped(
    memberships,
    ({ personId }) => personId,
    ({ groupId }) => groupId,
  );
  const roster = new Map(
    all.map((row): [string, RosterMember] => [
      row.personId,
      memberOf(course, row, people.get(row.personId) as Person, groupsOf.get(row.personId) ?? []),
    ]),
  );
  return { roster, rows: new Map(all.map((row) => [row.personId, row])), people, groupsOf };
}

/** The same for the same roster, and for no other. */
export const stampOf = (roster: Roster): string =>
  createHash('sha256')
    .update(JSON.stringify([...roster.values()]))
    .digest('base64url');

/** What is kept of what a list says: not what the account says anyway. */
function saidOf(member: RosterMember, person: Person): Named | null {
  const { id, given, family, name, address, userName } = member;
  const isOwn = person.placeIn === null;
  const said: Named = {
    id,
    given,
    family,
    name: isOwn && name === person.name ? null : name,
    address:
      isOwn && address !== null && addressKey(address) === addressKey(person.address ?? '') ? null : address,
    userName,
  };
  return Object.values(said).every((value) => value === null) ? null : said;
}

/** By what a place is called until somebody claims it: a row may have an address alone. */
const placeName = (member: RosterMember): string =>
  calledOf(member) || member.address || member.userName || member.id || '–';

/** A person without an account, who is in this course alone; the caller flushes. */
export function addPlace(
  em: EntityManager,
  { courseId, institutionId }: { readonly courseId: string; readonly institutionId: string },
  member: RosterMember,
): Person {
  const place = em.create(PersonRow, {
    id: member.key,
    institutionId,
    name: placeName(member),
    address: null,
    kind: 'learner',
    passwordHash: '',
    demoPart: null,
    placeIn: courseId,
  });
  em.persist(place);
  return place;
}

export interface Writing {
  readonly em: EntityManager;
  readonly course: Course;
  readonly now: string;
  readonly institutionId: string;
  readonly standing: RosterRows;
  /** Accounts of those who are not on the course, by id. */
  readonly accounts: ReadonlyMap<string, Person>;
  /** By which whoever comes or returns does so. */
  readonly way?: WayKind;
}

/** One member as the roster has them; the caller flushes. */
export function writeMember(
  { em, course, now, way = 'staff', ...rest }: Writing,
  member: RosterMember,
): void {
  const { standing, accounts, institutionId } = rest;
  const courseId = course.id;
  const personId = member.key;
  let person = standing.people.get(personId) ?? accounts.get(personId);
  if (person === undefined) {
    person = addPlace(em, { courseId, institutionId }, member);
  } else if (person.placeIn !== null) person.name = placeName(member);
  const row = standing.rows.get(personId);
  const values = {
    role: member.role,
    leftAt: member.state === 'in' ? null : (row?.leftAt ?? now),
    leftHow: member.state === 'in' ? null : (row?.leftHow ?? ('removed' as const)),
    listed: saidOf(member, person),
    // Whom a list brings back, staff bring back.
    ...(row !== undefined && row.leftAt !== null && member.state === 'in' ? { way } : {}),
    isListed: member.isListed,
    cells: member.cells,
  };
  if (row === undefined) {
    em.persist(em.create(MemberRow, { courseId, personId, joinedAt: now, way, ...values }));
  } else em.assign(row, values);
  writeGroups(em, course, member, standing.groupsOf.get(personId) ?? []);
}

function writeGroups(em: EntityManager, course: Course, member: RosterMember, had: readonly string[]): void {
  const courseId = course.id;
  const personId = member.key;
  for (const kind of ['class', 'group'] as const) {
    const names = kind === 'class' ? member.classes : member.groups;
    if (namesIn(course, kind, had).join('\n') === names.join('\n')) continue;
    const ids = idsByName(course, kind);
    const wanted = new Set(names.flatMap((name) => ids.get(name) ?? []));
    const isSaid = (id: string): boolean => names.includes(course.groups[id]?.name ?? '');
    for (const groupId of had) {
      if (course.groups[groupId]?.kind !== kind || isSaid(groupId)) wanted.delete(groupId);
      else em.remove(em.getReference(MemberGroupRow, [courseId, personId, groupId]));
    }
    for (const groupId of wanted) em.persist(em.create(MemberGroupRow, { courseId, personId, groupId }));
  }
}
