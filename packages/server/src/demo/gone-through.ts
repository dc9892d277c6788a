/**
 * How far learners of the live course have gone: what they have opened and ticked until now, some ahead, most at the pace
 * of the plan, a few behind; and what they have handed in, said and attended, as that stands there already.
 */
import { conditionsOf, countingFor, fold, NO_FACTS_YET, planFor, reckon } from '@itinerary/core';
import type { Course, CountedItem, Deed, DeedKind, Facts, Viewer } from '@itinerary/core';
import { MemberGroupRow } from '../db/entities.ts';
import type { EntityManager } from '../db/orm.ts';
import { completedIn, lettersOf } from '../usecases/progress/letters.ts';

const HOUR_MS = 3_600_000;
const WEEK_MS = 7 * 24 * HOUR_MS;

/** How much of each week somebody does, and with how many weeks of delay: by their place in the list. */
const PACES: readonly (readonly [share: number, weeks: number])[] = [
  [1, 0],
  [0.95, 0],
  [0.9, 0],
  [1, 0],
  [0.8, 1],
  [0.95, 0],
  [0.6, 2],
  [1, 0],
  [0.9, 1],
  [0.3, 3],
];
/** Who has never begun. */
const NEVER = 13;

interface Done {
  readonly person: string;
  readonly item: string;
  readonly at: string;
}

async function whatStands(
  em: EntityManager,
  courseId: string,
): Promise<readonly (Done & { deed: DeedKind })[]> {
  const ask = async (sql: string, deed: DeedKind): Promise<(Done & { deed: DeedKind })[]> =>
    (await em.execute<Done[]>(sql, [courseId])).map((one) => ({ ...one, deed }));
  return [
    ...(await ask(
      `select f.person_id as person, f.item_id as item, h.at from hand_in_for f join hand_in h on h.id = f.hand_in_id where f.course_id = ?`,
      { kind: 'handed_in' },
    )),
    ...(await ask(
      `select person_id as person, item_id as item, ended as at from quiz_attempt where ended is not null and course_id = ?`,
      { kind: 'handed_in' },
    )),
    ...(await ask(
      `select person_id as person, item_id as item, at from survey_answered where course_id = ?`,
      {
        kind: 'handed_in',
      },
    )),
    ...(await ask(`select author_id as person, item_id as item, at from post where course_id = ?`, {
      kind: 'posted',
    })),
    ...(await ask(
      `select person_id as person, item_id as item, at from attendance where attended in ('there', 'late') and course_id = ?`,
      { kind: 'attended' },
    )),
  ];
}

/** The hour of the week in which this one does this thing: the same each time that the demo is loaded. */
const hourOf = (person: number, item: number): number => (person * 37 + item * 53) % 140;

function readingOf(index: number, items: readonly CountedItem[], now: number): readonly Deed[] {
  const [share, late] = PACES[index % PACES.length] ?? [1, 0];
  return items.flatMap((item, at): readonly Deed[] => {
    if (item.ends === null || (at * 7 + index * 3) % 20 >= share * 20) return [];
    const when = item.ends - WEEK_MS + hourOf(index, at) * HOUR_MS + late * WEEK_MS;
    if (when >= now) return [];
    return conditionsOf(item.rule).flatMap(({ by }): readonly Deed[] =>
      by === 'opened' || by === 'ticked' ? [{ kind: by, item: item.id, at: when }] : [],
    );
  });
}

/** @param learners by id, in the order of their paces */
export async function goThrough(
  em: EntityManager,
  course: Course,
  learners: readonly string[],
  now: string,
): Promise<void> {
  const stands = await whatStands(em, course.id);
  const memberships = await em.find(MemberGroupRow, { courseId: course.id });
  for (const [index, person] of learners.entries()) {
    const groups = memberships.filter(({ personId }) => personId === person).map(({ groupId }) => groupId);
    const viewer: Viewer = { role: 'learner', institutionStaff: false, groups };
    const counting = countingFor(planFor(course, viewer), groups);
    const own = stands
      .filter((one) => one.person === person)
      .map(({ item, at, deed }): Deed => ({ ...deed, item, at: Date.parse(at) }));
    const read = index === NEVER ? [] : readingOf(index, counting.items, Date.parse(now));
    const deeds = [...own, ...read].sort((a, b) => a.at - b.at);
    if (deeds.length === 0) continue;
    const facts = new Map<string, Facts>();
    for (const deed of deeds) facts.set(deed.item, fold(facts.get(deed.item) ?? NO_FACTS_YET, deed));
    const ledger = reckon(counting, facts);
    for (const { item, at, ...deed } of deeds) {
      await em.execute(
        'insert into deed_log (course_id, person_id, item_id, at, deed) values (?, ?, ?, ?, ?)',
        [...[course.id, person, item, at, JSON.stringify(deed)]],
      );
    }
    for (const [item, one] of facts) {
      const done = ledger.done.get(item);
      await em.execute(
        'insert into deed (course_id, person_id, item_id, facts, done_at) values (?, ?, ?, ?, ?)',
        [
          course.id,
          person,
          item,
          JSON.stringify(one),
          done === undefined ? null : new Date(done.since).toISOString(),
        ],
      );
    }
    await em.execute(
      `insert into progress (course_id, person_id, done, reached, basis, last_at, letters, completed)
       values (?, ?, ?, ?, ?, ?, ?, ?)`,
      [
        ...[course.id, person],
        JSON.stringify(Object.fromEntries(ledger.done)),
        JSON.stringify(Object.fromEntries(ledger.reached)),
        ...[counting.sign, deeds.at(-1)?.at ?? 0],
        ...[lettersOf(counting, ledger), completedIn(counting, ledger)],
      ],
    );
  }
}
