/** What a reading of the registry changes in a course, as one act under its lock; done twice it is done once. */
import type { RegistryStep } from '@itinerary/contract';
import { planCourse } from '@itinerary/core';
import type { CoursePlan, Role } from '@itinerary/core';
import { calledOf, canJoin, changed, followRegistry, wayIn, wayOf } from '@itinerary/core/people';
import type {
  FollowStep,
  JoinCourse,
  Joiner,
  Linked,
  RegistryPerson,
  RosterMember,
} from '@itinerary/core/people';
import { randomUUID } from 'node:crypto';
import { byTurn } from '../../db/locks.ts';
import { announce } from '../../db/announce.ts';
import { lockedCourse } from '../../db/kept-courses.ts';
import type { LockedCourse } from '../../db/kept-courses.ts';
import {
  PersonRow,
  RegistryAnswerRow,
  RegistryFollowRow,
  RegistryLinkRow,
  RegistryReadingRow,
  RegistryStandingRow,
  WaitingRow,
} from '../../db/entities.ts';
import type { RegistryLinkRecord } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { EMPTY_HANDED, joinCourse, joinerOf } from '../joining/join-facts.ts';
import { moveUp } from '../joining/line.ts';
import { waitFor } from '../joining/seating.ts';
import { claimIn } from '../members/lists/claim.ts';
import { mustKeepInstructor } from '../members/lists/keep-instructor.ts';
import { addPlace, readRoster, writeMember } from '../members/lists/roster-rows.ts';
import type { RosterRows, Writing } from '../members/lists/roster-rows.ts';
import { calledBy, freeAccounts, memberFrom, takeAccount } from './bring-in.ts';
import { noteStanding } from './note-standing.ts';
import type { Noted } from './note-standing.ts';
import { peopleFollowed } from './people-followed.ts';
import { fieldsOf, keptFields } from './said-of.ts';

/** What is done step by step, and what it comes to. */
interface Doing extends Noted {
  readonly plan: CoursePlan;
  readonly standing: RosterRows;
  readonly links: ReadonlyMap<string, RegistryLinkRecord>;
  readonly accounts: Map<string, string>;
  join: JoinCourse;
  readonly news: RegistryStep[];
  readonly expected: Map<string, number>;
  next: number | null;
  /** Of whom there is no row yet, account or place. */
  readonly unknown: Set<string>;
}

const stepNews = (
  kind: RegistryStep['kind'],
  person: RegistryPerson,
  name = calledBy(person),
  fields: RegistryStep['fields'] = [],
): RegistryStep => ({ kind, name, role: person.role, fields });

/** @param mayGo the registry's keys of those of whom somebody has said that they go */
export async function followCourse(
  em: EntityManager,
  courseId: string,
  now: string,
  mayGo: ReadonlySet<string> = new Set(),
): Promise<void> {
  await byTurn(em, courseId, async (inner) => {
    const loaded = await lockedCourse(inner, courseId);
    if (loaded !== null) await followLoaded(inner, loaded, now, mayGo);
  });
}

/** Courses that have gone live, or whose window has opened, since they followed last. */
export async function followWhatIsDue(em: EntityManager, now: string): Promise<void> {
  const due = await em.find(
    RegistryStandingRow,
    { nextAt: { $lte: Date.parse(now) } },
    { fields: ['courseId'] },
  );
  for (const { courseId } of due) await followCourse(em.fork(), courseId, now);
}

/** Under the course's lock. */
export async function followLoaded(
  em: EntityManager,
  loaded: LockedCourse,
  now: string,
  mayGo: ReadonlySet<string> = new Set(),
): Promise<void> {
  const { course, row } = loaded;
  const courseId = course.id;
  const { institutionId } = row;
  const plan = planCourse(course);
  // In the archive, or switched off, nobody comes or goes by it; before the first reading nothing is known of anybody.
  const reading = await em.findOne(RegistryReadingRow, { institutionId });
  if (course.state === 'archived' || !wayIn(plan, 'registry').on || reading?.readAt == null) return;
  const follows = await em.find(RegistryFollowRow, { courseId });
  const links = new Map((await em.find(RegistryLinkRow, { courseId })).map((one) => [one.registryId, one]));
  if (follows.length === 0 && links.size === 0) return;
  await moveUp(em, loaded, now);
  const people = await peopleFollowed(em, institutionId, follows);
  const standing = await readRoster(em, course);
  const answers = await em.find(RegistryAnswerRow, { courseId });
  const following = followRegistry({
    roster: standing.roster,
    linked: new Map(
      [...links].map(([key, one]): [string, Linked] => [
        key,
        {
          key: one.personId,
          said: one.said,
          isThere: one.isThere,
          kept: one.kept,
          staysOut: one.staysOut,
        },
      ]),
    ),
    people,
    names: new Map(Object.entries(course.groups).map(([id, { name }]) => [id, name])),
    choices: new Map(answers.map(({ entry, choice }) => [entry, choice])),
    mayGo,
  });
  const taken = new Set([...standing.roster.keys(), ...[...links.values()].map(({ personId }) => personId)]);
  const doing: Doing = {
    em,
    loaded,
    plan,
    standing,
    links,
    accounts: await freeAccounts(em, institutionId, people, taken),
    now,
    join: await joinCourse(em, plan, Date.parse(now)),
    news: [],
    expected: new Map(),
    next: null,
    unknown: new Set(),
  };
  const after = new Map(standing.roster);
  for (const step of following.steps) {
    const member = await take(doing, step);
    if (member !== null) after.set(member.key, member);
  }
  mustKeepInstructor(after);
  await em.flush();
  await claimIn(em, courseId, institutionId);
  await noteStanding(doing, following, people, reading.readAt);
  // Also that nothing has changed: when it was read is shown.
  await announce(em, { course: courseId, seq: row.seq });
}

const writingOf = (
  { em, loaded, standing, now }: Doing,
  accounts: Writing['accounts'] = new Map(),
): Writing => ({
  em,
  course: loaded.course,
  now,
  institutionId: loaded.row.institutionId,
  standing,
  accounts,
  way: 'registry',
});

/** @returns the member as they are then; null: nobody was touched */
async function take(doing: Doing, step: FollowStep): Promise<RosterMember | null> {
  switch (step.kind) {
    case 'comes':
      return comes(doing, step.person, step.key);
    case 'returns':
      return returns(doing, step);
    case 'stands':
      return stands(doing, step);
    case 'goes':
    case 'stays':
      return goes(doing, step);
  }
}

function link(
  doing: Doing,
  person: RegistryPerson,
  personId: string,
  rest: { isThere: boolean; kept: Linked['kept']; isOut?: boolean },
): void {
  const { em, loaded, links } = doing;
  const before = links.get(person.registry);
  // Whoever is in, or gone from the registry, is nobody of whom that was said.
  const staysOut = before?.staysOut === true && rest.isOut === true;
  const values = { said: person, isThere: rest.isThere, kept: [...rest.kept], staysOut };
  if (before !== undefined) em.assign(before, values);
  else {
    const courseId = loaded.course.id;
    em.persist(em.create(RegistryLinkRow, { courseId, registryId: person.registry, personId, ...values }));
  }
}

/** A seat, a place in the line, or not yet: as core says of each, one after the other. */
async function admit(
  doing: Doing,
  joiner: Joiner & { readonly person: string },
  person: RegistryPerson,
  role: Role,
): Promise<'in' | 'waits' | 'outside'> {
  const { em, loaded, plan, now } = doing;
  const answer = canJoin(doing.join, joiner, wayOf(plan, 'registry', role), Date.parse(now));
  if (answer.can === 'no') {
    doing.expected.set(answer.because, (doing.expected.get(answer.because) ?? 0) + 1);
    if (answer.until !== null) doing.next = Math.min(doing.next ?? Infinity, answer.until);
    return 'outside';
  }
  const courseId = loaded.course.id;
  const { institutionId } = loaded.row;
  if (doing.unknown.delete(joiner.person)) {
    addPlace(em, { courseId, institutionId }, memberFrom(loaded.course, person, joiner.person));
    await em.flush();
  }
  if (answer.can === 'yes') {
    if (role === 'learner') {
      const seated = { person: joiner.person, way: 'registry' as const };
      doing.join = { ...doing.join, learners: [...doing.join.learners, seated] };
    }
    return 'in';
  }
  if (answer.isIn) return 'waits';
  await em.flush();
  await waitFor(em, courseId, { id: joiner.person }, 'registry', answer, now);
  const waiting = { person: joiner.person, way: 'registry' as const, line: answer.line };
  doing.join = { ...doing.join, waiting: [...doing.join.waiting, waiting] };
  doing.news.push(stepNews('waits', person));
  return 'waits';
}

async function comes(doing: Doing, person: RegistryPerson, key: string | null): Promise<RosterMember | null> {
  const { em, loaded } = doing;
  const account = key === null ? takeAccount(doing.accounts, person) : null;
  const personId = key ?? account ?? randomUUID();
  const known = account === null && key === null ? null : await em.findOne(PersonRow, { id: personId });
  if (known === null) doing.unknown.add(personId);
  const joiner = { ...joinerOf(known, null, EMPTY_HANDED), person: personId };
  const how = await admit(doing, joiner, person, person.role);
  if (how === 'outside') return null;
  link(doing, person, personId, { isThere: true, kept: [] });
  if (how === 'waits') return null;
  const whole = await em.findOneOrFail(PersonRow, { id: personId });
  const member = memberFrom(loaded.course, person, personId);
  writeMember(writingOf(doing, new Map([[personId, whole]])), member);
  doing.news.push(stepNews('came', person));
  return { ...member, isPlace: whole.placeIn !== null };
}

type Standing = Extract<FollowStep, { kind: 'returns' | 'stands' }>;

async function returns(
  doing: Doing,
  { person, member, changes, kept }: Standing,
): Promise<RosterMember | null> {
  const whole = await doing.em.findOneOrFail(PersonRow, { id: member.key });
  const row = doing.standing.rows.get(member.key) ?? null;
  const joiner = { ...joinerOf(whole, row, EMPTY_HANDED), person: member.key };
  const next: RosterMember = { ...changed(member, changes), state: 'in', isListed: true };
  if ((await admit(doing, joiner, person, next.role)) !== 'in') return null;
  writeMember(writingOf(doing), next);
  link(doing, person, member.key, { isThere: true, kept });
  doing.news.push(stepNews('returned', person));
  return next;
}

function stands(doing: Doing, { person, member, changes, kept }: Standing): RosterMember | null {
  const before = doing.links.get(person.registry);
  const { groups } = doing.loaded.course;
  const called = calledOf(member) || calledBy(person);
  if (before === undefined) doing.news.push(stepNews('linked', person, called, fieldsOf(changes, member)));
  else if (changes.length > 0)
    doing.news.push(stepNews('changed', person, called, fieldsOf(changes, member)));
  const fresh = kept.filter((field) => before?.kept.includes(field) !== true);
  if (fresh.length > 0)
    doing.news.push(stepNews('kept', person, called, keptFields(fresh, person, member, groups)));
  link(doing, person, member.key, { isThere: true, kept, isOut: member.state === 'out' });
  if (changes.length === 0) return null;
  const next = changed(member, changes);
  writeMember(writingOf(doing), next);
  return next;
}

async function goes(
  doing: Doing,
  { kind, linked, member }: Extract<FollowStep, { kind: 'goes' | 'stays' }>,
): Promise<RosterMember | null> {
  const { em, loaded } = doing;
  const { said } = linked;
  const row = doing.links.get(said.registry);
  if (row !== undefined) em.assign(row, { isThere: false, kept: [], staysOut: false });
  const waited = await em.nativeDelete(WaitingRow, {
    courseId: loaded.course.id,
    personId: linked.key,
    way: 'registry',
  });
  if (waited > 0) doing.news.push(stepNews('went', said));
  if (member?.state !== 'in') return null;
  doing.news.push(stepNews(kind === 'stays' ? 'stays' : 'went', said, calledOf(member) || calledBy(said)));
  if (kind === 'stays') return null;
  const next: RosterMember = { ...member, state: 'out' };
  writeMember(writingOf(doing), next);
  return next;
}
