/** Where a learner stands, as they are told it: what the course shows, of what they get. */
import { canSee } from '../access/answer.ts';
import { resolveAccess } from '../access/resolve.ts';
import type { Access } from '../access/resolve.ts';
import type { Viewer } from '../access/roles.ts';
import { numberOf } from '../calendar/course-plan.ts';
import type { Course } from '../course/schema/schema.ts';
import type { FinishedView, ProgressView } from '../views/progress-view.ts';
import { countingOf } from './counting.ts';
import type { Counting } from './counting.ts';
import { progressOf } from './progress.ts';
import type { ItemProgress, Progress } from './progress.ts';
import { reckon } from './reckon.ts';

export interface Stood {
  readonly counting: Counting;
  readonly progress: Progress;
  readonly access: Access;
}

/**
 * @param viewer with their facts
 * @param moment ISO, UTC
 */
export function standsAt(course: Course, viewer: Viewer, moment: string): Stood {
  const at = Date.parse(moment);
  const facts = viewer.deeds?.facts ?? new Map();
  const counting = countingOf(course, viewer, at);
  const ledger = reckon(counting, facts, viewer.deeds?.reached);
  const access = resolveAccess(course, viewer, moment);
  return { counting, access, progress: progressOf(counting, ledger, facts, access.nodes, at) };
}

const ALL_SHOWN = { shareShown: true, marksShown: true, paceShown: true };

/**
 * Null: nothing of it is told to them.
 *
 * @param forStaff all of it, whatever the course shows its learners
 */
export function progressTold(
  course: Course,
  viewer: Viewer,
  moment: string,
  forStaff = false,
): ProgressView | null {
  const { shareShown, marksShown, paceShown } = forStaff ? ALL_SHOWN : course;
  const isNone = !shareShown && !marksShown && !paceShown;
  if (!course.progress || viewer.role !== 'learner' || isNone) return null;
  const { counting, progress, access } = standsAt(course, viewer, moment);
  const { nodes } = access;
  const isTold = (id: string): boolean => forStaff || canSee(nodes.get(id));
  const behind = paceShown ? progress.behind.filter(isTold) : [];
  // Where what is done has no marks, only what is to be done now is told of.
  const isNamed = (id: string): boolean => marksShown || id === progress.next || behind.includes(id);
  const items = progress.items.filter(({ id }) => isTold(id) && isNamed(id));
  const weight = (id: string): number => counting.items[counting.indexOf.get(id) ?? -1]?.weight ?? 0;
  return {
    zone: course.dates.zone,
    share: shareShown ? progress.share : null,
    ...finishedTold(course, progress.since),
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

/**
 * What whoever has done the course is told.
 *
 * @param since milliseconds since 1970-01-01T00:00Z; null: they have not
 */
export function finishedTold({ doneWords, doneNext }: Course, since: number | null): FinishedView {
  const isDone = since !== null;
  return { since: iso(since), words: isDone ? doneWords : null, goOn: isDone ? doneNext : null };
}

const iso = (at: number | null): string | null => (at === null ? null : new Date(at).toISOString());

function itemTold(
  { plan, items, indexOf }: Counting,
  { id, section, since, by, standing, behindSince }: ItemProgress,
): ProgressView['items'][number] {
  const node = items[indexOf.get(id) ?? -1]?.node;
  return {
    ...{ id, section, since: iso(since), by, match: standing.match, behindSince: iso(behindSince) },
    kind: node?.kind ?? 'page',
    number: numberOf(plan, id),
    title: node?.title ?? '',
    conditions: standing.conditions.map((one) => ({ ...one, since: iso(one.since) })),
  };
}
