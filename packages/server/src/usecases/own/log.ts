/** What a learner has done in a course, and when: read off what is kept of it anyway. */
import { LOG_PAGE } from '@itinerary/contract';
import type { OwnLogAnswer } from '@itinerary/contract';
import type { Viewer } from '@itinerary/core';
import type { EntityManager } from '../../db/orm.ts';
import type { Talker } from '../coursework/talk/talking.ts';
import { nothingHere } from '../nothing-here.ts';
import { viewOf } from '../reading/read-course.ts';
import { itemsOf, named } from './items-of.ts';

type What = OwnLogAnswer['entries'][number]['what'];

/** Each with the item, what it was, and when; anonymous answers to a survey only as having been given. */
const KEPT = `
  select item_id, 'opened' as what, first_at as at from item_opened where course_id = :course and person_id = :person
  union all select item_id, 'done', at from jsonb_to_recordset(cast(:done as jsonb)) as done(item_id text, at text)
  union all select item_id, 'watched', reported_at from film_watch
    where course_id = :course and person_id = :person and reported_at is not null
  union all select hand_in.item_id, 'handed_in', hand_in.at from hand_in join hand_in_for own on own.hand_in_id = hand_in.id
    where own.course_id = :course and own.person_id = :person
  union all select item_id, 'began_quiz', begun from quiz_attempt where course_id = :course and person_id = :person
  union all select item_id, 'ended_quiz', ended from quiz_attempt
    where course_id = :course and person_id = :person and ended is not null
  union all select item_id, 'posted', at from post where course_id = :course and author_id = :person
  union all select item_id, 'attended', at from attendance
    where course_id = :course and person_id = :person and attended in ('there', 'late')
  union all select item_id, 'answered', at from survey_answered where course_id = :course and person_id = :person`;

/** The names of a statement by their values, in their order. */
function filled(sql: string, values: Readonly<Record<string, unknown>>): readonly [string, unknown[]] {
  const given: unknown[] = [];
  const text = sql.replaceAll(/:([a-z]+)/g, (_all, name: string) => {
    given.push(values[name]);
    return '?';
  });
  return [text, given];
}

export async function ownLog(
  em: EntityManager,
  { course, viewer, person }: Talker,
  before: string | null,
  now: string,
): Promise<OwnLogAnswer> {
  const view = viewOf(course, viewer, now);
  if (viewer.role !== 'learner' || person === null || !course.ownLog) throw nothingHere();
  const items = new Map(itemsOf(view).map((item) => [item.id, named(item)]));
  const [sql, values] = filled(
    `select item_id, what, at from (${KEPT}) kept where at < :before order by at desc, what, item_id limit :most`,
    // The last of a page may share its moment with the next: those of one moment come together.
    {
      ...{ course: course.id, person: person.id, before: before ?? '9999', most: LOG_PAGE + 1 },
      done: JSON.stringify(doneOf(viewer)),
    },
  );
  const rows = await em.execute<{ item_id: string; what: What; at: string }[]>(sql, values);
  const page = rows.length > LOG_PAGE ? upToOneMoment(rows.slice(0, LOG_PAGE), rows[LOG_PAGE]?.at) : rows;
  return {
    zone: view.zone,
    entries: page.map(({ item_id: id, what, at }) => ({ what, item: items.get(id) ?? null, at })),
    more: rows.length > page.length,
  };
}

/** What is done by the rules as they are now, and since when. */
function doneOf({ deeds }: Viewer): readonly { readonly item_id: string; readonly at: string }[] {
  return [...(deeds?.since ?? [])].map(([item, at]) => ({ item_id: item, at: new Date(at).toISOString() }));
}

/** Without those of the moment with which the next page begins, unless there are no others. */
function upToOneMoment<Row extends { readonly at: string }>(
  rows: readonly Row[],
  next: string | undefined,
): readonly Row[] {
  const whole = rows.filter(({ at }) => at !== next);
  return whole.length === 0 ? rows : whole;
}
