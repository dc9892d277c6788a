/** What staff say of learners: done, not so after all, or that nothing up to now counts; and all that is known of one. */
import type { LearnerAnswer, MarkDone } from '@itinerary/contract';
import type { Course, DeedKind } from '@itinerary/core';
import { PersonRow } from '../../db/entities.ts';
import type { Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { viewerOf } from '../access/viewer.ts';
import { Failure } from '../failure.ts';
import { listedMembers } from '../members/members.ts';
import { doneRuleOf } from '../reading/deeds.ts';
import { learnersOf } from './learners.ts';
import { progressFor } from './own.ts';
import { record } from './record.ts';

/** All of them, or none. */
export async function markDone(
  em: EntityManager,
  course: Course,
  item: string,
  { people, what, reason }: MarkDone,
  by: Person | null,
  now: string,
): Promise<void> {
  if (!course.progress || doneRuleOf(course, item) === null) {
    throw new Failure('not_found', 'No item of that id counts as done by anything');
  }
  const ids = [...new Set(people)].sort();
  await em.fork().transactional(async (inner) => {
    const viewers = await learnersOf(inner, course, ids);
    const stranger = ids.find((id) => !viewers.has(id));
    if (stranger !== undefined) {
      throw new Failure('bad_input', 'Somebody of them does not learn here', [
        { path: 'people', value: stranger, expected: 'learners of this course' },
      ]);
    }
    const said = by === null ? null : { by: by.id, reason };
    for (const personId of ids) {
      const viewer = viewers.get(personId);
      if (viewer === undefined) continue;
      await record(inner, course, { personId, viewer }, item, { kind: what } as DeedKind, now, said);
    }
  });
}

const MOST_DEEDS = 500;

export async function learnerProgress(
  em: EntityManager,
  course: Course,
  personId: string,
  now: string,
): Promise<LearnerAnswer> {
  const [member] = await listedMembers(em, course.id, [personId]);
  const person = await em.findOne(PersonRow, { id: personId });
  if (member?.role !== 'learner' || person === null) {
    throw new Failure('not_found', 'Nobody who learns in this course has that id');
  }
  const viewer = await viewerOf(em, person, course, now);
  const deeds = await em.execute<
    { item: string; at: string; deed: DeedKind; by: string | null; reason: string | null }[]
  >(
    `select item_id as item, at, deed, "by", reason from deed_log where course_id = ? and person_id = ?
     order by id desc limit ?`,
    [course.id, personId, MOST_DEEDS],
  );
  const staff = await em.find(PersonRow, { id: { $in: deeds.flatMap(({ by }) => by ?? []) } });
  const names = new Map(staff.map(({ id, name }) => [id, name]));
  return {
    person: { id: personId, name: member.name, joinedAt: member.joinedAt },
    progress: await progressFor(em, course, person, viewer, now, true),
    deeds: deeds.map(({ at, by, ...one }) => ({
      ...one,
      at: new Date(Number(at)).toISOString(),
      by: by === null ? null : (names.get(by) ?? ''),
    })),
  };
}
