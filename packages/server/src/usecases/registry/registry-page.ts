/** How a course stands with the registry, as staff see it. */
import type { RegistryAnswer } from '@itinerary/contract';
import type { Course } from '@itinerary/core';
import { calledOf } from '@itinerary/core/people';
import {
  MemberRow,
  RegistryFollowRow,
  RegistryLinkRow,
  RegistryNewsRow,
  RegistryStandingRow,
  WaitingRow,
} from '../../db/entities.ts';
import type { Person, RegistryLinkRecord } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { readRoster } from '../members/lists/roster-rows.ts';
import { calledBy } from './bring-in.ts';
import { classesOf, classesTaughtBy } from './classes.ts';
import { bothSay } from './said-of.ts';
import { readingOf } from './take-reading.ts';

/** Those before are history that nobody looks through. */
const MOST_NEWS = 30;

export async function registryPage(
  em: EntityManager,
  course: Course,
  person: Person,
  isThere: boolean,
  today: string,
): Promise<RegistryAnswer> {
  const courseId = course.id;
  const follows = await em.find(RegistryFollowRow, { courseId }, { orderBy: { at: 'asc', classId: 'asc' } });
  const followed = await classesOf(
    em,
    person,
    follows.map(({ classId }) => classId),
  );
  const offered = await classesTaughtBy(em, person, today);
  const standing = await em.findOne(RegistryStandingRow, { courseId });
  const news = await em.find(RegistryNewsRow, { courseId }, { orderBy: { turn: 'desc' }, limit: MOST_NEWS });
  const links = await em.find(RegistryLinkRow, { courseId });
  const there = links.filter(({ isThere: is, said }) => is && said.role === 'learner');
  const ids = there.map(({ personId }) => personId);
  const isIn = await em.count(MemberRow, { courseId, personId: { $in: ids }, leftAt: null });
  const waiting = await em.count(WaitingRow, { courseId, way: 'registry' });
  return {
    reading: await readingOf(em, person.institutionId, isThere),
    follows: follows.map(({ classId, groupId }) => ({
      // A class that the registry has no more is still followed, until somebody says otherwise.
      class: followed.find(({ id }) => id === classId) ?? ended(classId),
      group: groupId ?? null,
    })),
    offered: offered.filter(({ id }) => follows.every(({ classId }) => classId !== id)),
    followedAt: standing?.followedAt ?? null,
    listed: standing?.listed ?? 0,
    isIn,
    waiting,
    expected: standing?.expected ?? [],
    questions: (standing?.questions ?? []).map(({ entries, members }) => ({
      entries: [...entries],
      members: [...members],
    })),
    broken: standing?.broken ?? [],
    held: standing?.held ?? [],
    differs: await differing(
      em,
      course,
      // In an order of its own: rows that were just changed come back last otherwise.
      links.filter(({ kept }) => kept.length > 0).sort((a, b) => (orderOf(a) < orderOf(b) ? -1 : 1)),
    ),
    news: news.map(({ at, readAt, steps }) => ({ at, readAt: readAt ?? null, steps })),
  };
}

/** By their names, as the registry's own readings come. */
const orderOf = ({ said, registryId }: RegistryLinkRecord): string =>
  [said.family, said.given, registryId].join('\u0000');

const ended = (id: string): RegistryAnswer['follows'][number]['class'] => ({
  id,
  title: id,
  courseCode: null,
  courseTitle: null,
  learners: 0,
  teachers: [],
  term: null,
  followedBy: [],
});

async function differing(
  em: EntityManager,
  course: Course,
  links: readonly {
    registryId: string;
    personId: string;
    said: Parameters<typeof calledBy>[0];
    isThere: boolean;
    kept: RegistryAnswer['differs'][number]['field'][];
  }[],
): Promise<RegistryAnswer['differs'][number][]> {
  if (links.length === 0) return [];
  const { roster } = await readRoster(em, course);
  return links.flatMap(({ registryId, personId, said, isThere, kept }) => {
    const member = roster.get(personId);
    if (member === undefined) return [];
    return kept.flatMap((field) => {
      const both = bothSay(field, said, isThere, member, course.groups);
      // What staff have put right since differs no more.
      if (both.ours === both.theirs) return [];
      return [{ registry: registryId, name: calledOf(member) || calledBy(said), field, ...both }];
    });
  });
}
