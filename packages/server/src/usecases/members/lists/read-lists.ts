/** Class lists that were taken into a course, and who is on it as a list is held against it. */
import type { ListsAnswer, RosterAnswer } from '@itinerary/contract';
import type { Course } from '@itinerary/core';
import { MemberListRow, PersonRow } from '../../../db/entities.ts';
import type { EntityManager } from '../../../db/orm.ts';
import { readRoster, stampOf } from './roster-rows.ts';

/** Those before are history that nobody looks through. */
const MOST_LISTS = 50;

export async function lists(em: EntityManager, courseId: string): Promise<ListsAnswer> {
  const rows = await em.find(
    MemberListRow,
    { courseId },
    {
      orderBy: { turn: 'desc' },
      limit: MOST_LISTS,
      // What a list touched is as long as the list.
      fields: ['id', 'at', 'by', 'source', 'shape', 'counts', 'undoneAt', 'undoneBy'],
    },
  );
  const ids = rows.flatMap(({ by, undoneBy }) => (undoneBy == null ? [by] : [by, undoneBy]));
  const people = await em.find(PersonRow, { id: { $in: [...new Set(ids)] } });
  const nameOf = (id: string): string => people.find((person) => person.id === id)?.name ?? '';
  return {
    lists: rows.map(({ id, at, by, source, shape, counts, undoneAt, undoneBy }) => ({
      id,
      at,
      by: nameOf(by),
      source,
      shape,
      counts,
      undone: undoneAt == null ? null : { at: undoneAt, by: nameOf(undoneBy ?? '') },
    })),
  };
}

export async function roster(em: EntityManager, course: Course): Promise<RosterAnswer> {
  const { roster: all } = await readRoster(em, course);
  const members = [...all.values()].map((member) => ({
    ...member,
    classes: [...member.classes],
    groups: [...member.groups],
  }));
  return { stamp: stampOf(all), members };
}
