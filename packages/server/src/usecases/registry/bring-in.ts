/** Somebody of the registry taken into a course, as a member or, without an account of their address, as a place. */
import type { Course } from '@itinerary/core';
import { addressKey, nameOf } from '@itinerary/core/people';
import type { RegistryPerson, RosterMember } from '@itinerary/core/people';
import { PersonRow, RegistryLinkRow, RegistryNewsRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { accountsOf } from '../members/lists/take-list.ts';
import { readRoster, writeMember } from '../members/lists/roster-rows.ts';
import type { RosterRows, Writing } from '../members/lists/roster-rows.ts';

export const calledBy = (person: RegistryPerson): string =>
  nameOf(person) || person.address || person.userName || person.registry;

export function memberFrom(course: Course, person: RegistryPerson, key: string): RosterMember {
  const { id, given, family, address, userName, role, classes } = person;
  return {
    key,
    id,
    given,
    family,
    name: null,
    address,
    userName,
    role,
    classes: classes.flatMap((one) => course.groups[one]?.name ?? []),
    groups: [],
    state: 'in',
    isPlace: true,
    isListed: true,
    cells: null,
  };
}

/** Accounts with the addresses of these, but for those who are on the course or stand for somebody else of the registry. */
export async function freeAccounts(
  em: EntityManager,
  institutionId: string,
  people: readonly RegistryPerson[],
  taken: ReadonlySet<string>,
): Promise<Map<string, string>> {
  const accounts = await accountsOf(em, institutionId, people);
  return new Map(
    [...accounts].flatMap(([address, { id }]): [string, string][] => (taken.has(id) ? [] : [[address, id]])),
  );
}

export function takeAccount(accounts: Map<string, string>, { address }: RegistryPerson): string | null {
  const key = address === null ? '' : addressKey(address);
  const found = accounts.get(key) ?? null;
  accounts.delete(key);
  return found;
}

/** Of whom the line has let in: what was said of them goes with them. */
export async function bringInFromLine(
  em: EntityManager,
  course: Course,
  institutionId: string,
  personId: string,
  now: string,
): Promise<boolean> {
  const link = await em.findOne(RegistryLinkRow, { courseId: course.id, personId });
  if (link === null || !link.isThere) return false;
  const standing: RosterRows = await readRoster(em, course);
  const person = await em.findOneOrFail(PersonRow, { id: personId });
  const writing: Writing = {
    em,
    course,
    now,
    institutionId,
    standing,
    accounts: new Map([[personId, person]]),
    way: 'registry',
  };
  writeMember(writing, memberFrom(course, link.said, personId));
  const came = { kind: 'came' as const, name: calledBy(link.said), role: link.said.role, fields: [] };
  em.persist(em.create(RegistryNewsRow, { courseId: course.id, at: now, readAt: null, steps: [came] }));
  await em.flush();
  return true;
}
