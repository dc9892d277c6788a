/** Groups that learners choose by themselves: one of each grouping, within its limit, and until its moment. */
import type { ChooseGroup, ChoicesAnswer } from '@itinerary/contract';
import { MAX_GROUPS, nextPlace, planFor, setTableEntry } from '@itinerary/core';
import type { Course } from '@itinerary/core';
import { chosenGroupings, choosingUntil, groupsIn } from '@itinerary/core/people';
import { randomUUID } from 'node:crypto';
import { byTurn } from '../../db/locks.ts';
import { announce } from '../../db/announce.ts';
import { lockedCourse } from '../../db/kept-courses.ts';
import type { LockedCourse } from '../../db/kept-courses.ts';
import { MemberRow } from '../../db/entities.ts';
import type { Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { PASSER_BY } from '../access/viewer.ts';
import { Failure } from '../failure.ts';
import { nothingHere } from '../nothing-here.ts';
import { makeOwnChange } from '../plan/own-change.ts';

/** Groups of a grouping with nobody in them, before learners make no more. */
const MOST_EMPTY = 10;

interface Standing {
  readonly sizes: ReadonlyMap<string, number>;
  readonly mine: ReadonlySet<string>;
}

async function standingOf(em: EntityManager, courseId: string, person: string): Promise<Standing> {
  const rows = await em.execute<{ id: string; size: number; mine: boolean }[]>(
    `select group_id as id, count(*)::int as size, bool_or(person_id = ?) as mine
     from member_group join member using (course_id, person_id)
     where course_id = ? and role = 'learner' and left_at is null group by group_id`,
    [person, courseId],
  );
  return {
    sizes: new Map(rows.map(({ id, size }) => [id, size])),
    mine: new Set(rows.flatMap(({ id, mine }) => (mine ? [id] : []))),
  };
}

const isLearner = async (em: EntityManager, courseId: string, personId: string): Promise<boolean> =>
  (await em.count(MemberRow, { courseId, personId, role: 'learner', leftAt: null })) > 0;

/** Nobody but learners chooses. */
export async function choices(
  em: EntityManager,
  course: Course,
  person: Person | null,
  now: string,
): Promise<ChoicesAnswer> {
  const { zone } = course.dates;
  const ids = chosenGroupings(course);
  if (person === null || ids.length === 0 || !(await isLearner(em, course.id, person.id)))
    return { zone, groupings: [] };
  const { sizes, mine } = await standingOf(em, course.id, person.id);
  const plan = planFor(course, PASSER_BY);
  return {
    zone,
    groupings: ids.flatMap((id) => {
      const grouping = course.groupings[id];
      if (grouping?.choice == null) return [];
      const { isOpen, until } = choosingUntil(plan, id, Date.parse(now));
      const { most, own } = grouping.choice;
      return [
        {
          id,
          name: grouping.name,
          isOpen,
          until,
          most,
          own,
          groups: groupsIn(course, id).map((group) => ({
            id: group,
            name: course.groups[group]?.name ?? '',
            size: sizes.get(group) ?? 0,
            isMine: mine.has(group),
          })),
        },
      ];
    }),
  };
}

const refuse = (path: string, value: unknown, sentence: string, expected: string): Failure =>
  new Failure('cannot_choose', sentence, [{ path, value, expected }]);

/** Under the course's lock: whoever comes second finds the place taken. */
export async function choose(
  em: EntityManager,
  courseId: string,
  person: Person,
  wanted: ChooseGroup,
  now: string,
): Promise<void> {
  await byTurn(em, courseId, async (inner) => {
    const loaded = await lockedCourse(inner, courseId);
    if (loaded === null || !(await isLearner(inner, courseId, person.id))) throw nothingHere();
    const { course } = loaded;
    const choice = course.groupings[wanted.grouping]?.choice ?? null;
    if (choice === null) throw nothingHere();
    const { isOpen } = choosingUntil(planFor(course, PASSER_BY), wanted.grouping, Date.parse(now));
    if (!isOpen)
      throw refuse(
        'grouping',
        wanted.grouping,
        'It is too late to choose a group here',
        'a grouping that is open',
      );
    const groups = groupsIn(course, wanted.grouping);
    const group =
      'name' in wanted ? await ownGroup(inner, loaded, wanted, choice.own, person, now) : wanted.group;
    if (group !== null && !('name' in wanted) && !groups.includes(group)) {
      throw refuse('group', group, 'There is no such group to choose', 'a group of this grouping');
    }
    const { sizes, mine } = await standingOf(inner, courseId, person.id);
    if (group !== null && mine.has(group)) return;
    if (group !== null && choice.most !== null && (sizes.get(group) ?? 0) >= choice.most) {
      throw refuse('group', group, 'This group is full', `a group of fewer than ${choice.most}`);
    }
    // One of each grouping: whoever chooses another leaves the one before.
    await inner.execute(
      `delete from member_group where course_id = ? and person_id = ?
         and group_id in (select jsonb_array_elements_text(?::jsonb))`,
      [courseId, person.id, JSON.stringify(groups)],
    );
    if (group !== null) {
      await inner.execute('insert into member_group (course_id, person_id, group_id) values (?, ?, ?)', [
        courseId,
        person.id,
        group,
      ]);
    }
    await announce(inner, { course: courseId, seq: loaded.row.seq });
  });
}

/** A group that learners make is a change of the course like any other, by whoever made it. */
async function ownGroup(
  em: EntityManager,
  loaded: LockedCourse,
  { grouping, name }: Extract<ChooseGroup, { name: string }>,
  may: boolean,
  person: Person,
  now: string,
): Promise<string> {
  const { course } = loaded;
  // Whoever makes one after the other leaves empty ones behind: a few do no harm.
  const { sizes, mine } = await standingOf(em, course.id, person.id);
  const empty = groupsIn(course, grouping).filter((id) => (sizes.get(id) ?? 0) - (mine.has(id) ? 1 : 0) <= 0);
  if (!may) throw refuse('name', name, 'Groups are made by staff here', 'one of the groups that are there');
  if (empty.length >= MOST_EMPTY) {
    throw refuse(
      'name',
      name,
      'There are groups with nobody in them; choose one of those',
      'one of the groups that are there',
    );
  }
  const isThere = groupsIn(course, grouping).some((id) => course.groups[id]?.name === name);
  if (isThere)
    throw refuse('name', name, 'There is a group of this name already', 'a name that no group here has');
  const id = randomUUID();
  const edits = [
    setTableEntry(course, 'groups', id, { name, kind: 'group', at: nextPlace(course.groups), grouping }),
  ];
  const made = await makeOwnChange(em, loaded, { id: randomUUID(), edits, author: person.id, at: now });
  if (!made.ok)
    throw refuse('name', name, 'No more groups can be made', `at most ${MAX_GROUPS} groups and classes`);
  await em.flush();
  return id;
}
