/** Where one learner stands, as they are told it, and as staff are told it of them. */
import type { AllProgressAnswer, ProgressAnswer } from '@itinerary/contract';
import { canSee, countingOf, isThere, numberOf, progressOf, reckon, resolveAccess } from '@itinerary/core';
import type { Counting, Course, ItemProgress, NodeAnswers, Progress, Viewer } from '@itinerary/core';
import { MemberRow, ProgressRow } from '../../db/entities.ts';
import type { Person, ProgressRecord } from '../../db/entities.ts';
import { coursesWhere } from '../../db/kept-courses.ts';
import type { EntityManager } from '../../db/orm.ts';
import { viewersOf } from '../access/viewer.ts';
import { iso } from '../coursework/own-work.ts';
import { nothingHere } from '../nothing-here.ts';

interface Reckoned {
  readonly counting: Counting;
  readonly progress: Progress;
  readonly nodes: NodeAnswers;
  readonly isThere: boolean;
}

function reckoned(
  course: Course,
  viewer: Viewer,
  reached: ProgressRecord['reached'] | undefined,
  now: string,
): Reckoned {
  const at = Date.parse(now);
  const facts = viewer.deeds?.facts ?? new Map();
  const counting = countingOf(course, viewer, at);
  const ledger = reckon(counting, facts, new Map(Object.entries(reached ?? {})));
  const { course: answer, nodes } = resolveAccess(course, viewer, now);
  return {
    ...{ counting, nodes, isThere: isThere(answer) },
    progress: progressOf(counting, ledger, facts, nodes, at),
  };
}

/** @param forStaff all of it, whatever the course shows its learners */
export async function progressFor(
  em: EntityManager,
  course: Course,
  personId: string,
  viewer: Viewer,
  now: string,
  forStaff = false,
): Promise<ProgressAnswer> {
  const { shareShown, marksShown, paceShown } = forStaff ? ALL_SHOWN : course;
  const isNone = !shareShown && !marksShown && !paceShown;
  if (!course.progress || viewer.role !== 'learner' || isNone) throw nothingHere();
  const row = await em.findOne(ProgressRow, { courseId: course.id, personId });
  const { counting, progress, nodes } = reckoned(course, viewer, row?.reached, now);
  const isTold = (id: string): boolean => forStaff || canSee(nodes.get(id));
  const behind = paceShown ? progress.behind.filter(isTold) : [];
  // Where what is done has no marks, only what is to be done now is told of.
  const isNamed = (id: string): boolean => marksShown || id === progress.next || behind.includes(id);
  const items = progress.items.filter(({ id }) => isTold(id) && isNamed(id));
  const weight = (id: string): number => counting.items[counting.indexOf.get(id) ?? -1]?.weight ?? 0;
  return {
    zone: course.dates.zone,
    share: shareShown ? progress.share : null,
    since: iso(progress.since),
    words: progress.since === null ? null : course.doneWords,
    sections: progress.sections
      .filter(({ id }) => marksShown && (forStaff || nodes.get(id)?.state !== 'absent'))
      .map(({ id, items: byItems, minutes, since }) => {
        const planned = counting.plan.sections.find((one) => one.id === id);
        const slot = planned?.span.kind === 'slot' ? planned.span.slot : null;
        return {
          id,
          number: planned?.number ?? null,
          title: planned?.section.title ?? null,
          days: slot === null ? null : { first: slot.first, last: slot.last },
          share: shareShown ? { items: byItems, minutes } : null,
          since: iso(since),
        };
      }),
    items: items.map((item) => itemTold(counting, item)),
    next: progress.next,
    behind: paceShown ? behind : null,
    behindMinutes: Math.round(behind.reduce((sum, id) => sum + weight(id), 0)),
    ahead: paceShown ? progress.ahead.length : 0,
  };
}

const ALL_SHOWN = { shareShown: true, marksShown: true, paceShown: true };

function itemTold(
  { plan, items, indexOf }: Counting,
  { id, section, since, by, standing, behindSince }: ItemProgress,
): ProgressAnswer['items'][number] {
  const node = items[indexOf.get(id) ?? -1]?.node;
  return {
    ...{ id, section, since: iso(since), by, match: standing.match, behindSince: iso(behindSince) },
    kind: node?.kind ?? 'page',
    number: numberOf(plan, id),
    title: node?.title ?? '',
    conditions: standing.conditions.map((one) => ({ ...one, since: iso(one.since) })),
  };
}

/** How far one is in each course that one learns in, and that shows it. */
export async function allProgress(
  em: EntityManager,
  person: Person | null,
  now: string,
): Promise<AllProgressAnswer> {
  if (person === null) return { courses: [] };
  const rows = await em.find(MemberRow, { personId: person.id, role: 'learner', leftAt: null });
  const courses = (await coursesWhere(em, { id: { $in: rows.map(({ courseId }) => courseId) } })).filter(
    ({ progress, shareShown }) => progress && shareShown,
  );
  const viewer = await viewersOf(em, person, courses, now);
  const reached = new Map(
    (await em.find(ProgressRow, { personId: person.id, courseId: { $in: courses.map(({ id }) => id) } })).map(
      (row) => [row.courseId, row.reached],
    ),
  );
  const told: AllProgressAnswer['courses'][number][] = [];
  for (const course of courses) {
    const found = reckoned(course, viewer(course.id), reached.get(course.id), now);
    const { counting, progress, nodes } = found;
    if (!found.isThere) continue;
    if (progress.share.items === null) continue;
    const title = counting.items[counting.indexOf.get(progress.next ?? '') ?? -1]?.node.title;
    told.push({
      course: course.id,
      share: progress.share.items,
      since: iso(progress.since),
      behind: course.paceShown ? progress.behind.filter((id) => canSee(nodes.get(id))).length : 0,
      next: progress.next === null || title === undefined ? null : { id: progress.next, title },
    });
  }
  return { courses: told };
}
