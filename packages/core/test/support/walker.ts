/**
 * Somebody who tries: goes through a course from moment to moment, does whatever is open then and can be done then, and
 * sees whether the course ever says that it is done. Asks only who sees what, and folds nothing.
 */
import {
  accessAt,
  conditionsOf,
  handInWindow,
  instantsOf,
  isContent,
  meetingAt,
  momentsOf,
  planFor,
  punctualAt,
  questionsOf,
  subtree,
  worthOf,
} from '../../src/index.ts';
import type { Course, CoursePlan, Deeds, DoneCondition, Item, Viewer } from '../../src/index.ts';
import type { Deed, DeedKind } from '../../src/deeds/facts.ts';
import { countingFor } from '../../src/progress/counting.ts';
import { naiveDone, naiveSince } from './naive-progress.ts';
import type { NaiveCourse } from './naive-progress.ts';

const DAY_MS = 86_400_000;
type Content = Extract<Item, { done: unknown }>;

interface Walk {
  readonly course: Course;
  readonly plan: CoursePlan;
  readonly viewer: Viewer;
  readonly items: readonly { readonly item: Content; readonly section: string }[];
  readonly deeds: Deed[];
  readonly scores: Map<string, number>;
}

/** What of a condition can be done at this moment; null: not now. */
function deedFor({ plan }: Walk, item: Content, { by }: DoneCondition, at: number): DeedKind | null {
  const moments = momentsOf(plan, item.id);
  const mayHandIn = (): boolean => {
    if (item.kind === 'assignment' && !item.takes.text && !item.takes.address && item.takes.files === 0)
      return false;
    if (item.kind === 'quiz' && questionsOf(item).length === 0) return false;
    return punctualAt(handInWindow(moments, 'grace' in item ? item.grace : 0), at) !== 'over';
  };
  switch (by) {
    case 'opened':
    case 'ticked':
      return { kind: by };
    case 'handed_in':
      return mayHandIn() ? { kind: 'handed_in' } : null;
    case 'scored':
    case 'passed':
      return mayHandIn() && pointsIn(item) > 0 ? { kind: 'scored', percent: 100, by: 'staff' } : null;
    case 'posted':
    case 'replied':
      return item.kind === 'discussion' && item.shut ? null : { kind: 'replied' };
    case 'watched':
      return item.kind === 'video' && (item.file === null || !item.seconds)
        ? null
        : { kind: 'watched', percent: 100 };
    case 'attended': {
      if (item.kind !== 'meeting' || item.attendance === 'none') return null;
      return meetingAt(item, moments.held, null, at).phase === 'now' ? { kind: 'attended' } : null;
    }
  }
}

const pointsIn = (item: Content): number =>
  'total' in item ? (item.total ?? (item.kind === 'quiz' ? worthOf(item).points : 0)) : 0;

const passIn = (item: Content): number | null =>
  'passAt' in item && item.passAt !== null && pointsIn(item) > 0
    ? (item.passAt / pointsIn(item)) * 100
    : null;

function sinceIn(walk: Walk, item: Content): number {
  if (item.done === null) return Infinity;
  const { byThen } = momentsOf(walk.plan, item.id);
  const tooLate = byThen?.kind === 'at' ? byThen.instant + (byThen.time === null ? 0 : 60_000) : Infinity;
  const own = walk.deeds.filter((deed) => deed.item === item.id);
  return naiveDone(item.done, own, { pass: passIn(item), tooLate });
}

/** All that can be done at this moment, until nothing more can. */
function doAll(walk: Walk, at: number): void {
  for (let isMore = true; isMore;) {
    isMore = false;
    const since = new Map(
      walk.items
        .map(({ item }) => [item.id, sinceIn(walk, item)] as const)
        .filter(([, one]) => one < Infinity),
    );
    const deeds: Deeds = { done: new Set(since.keys()), since, scores: walk.scores, courses: new Set() };
    const access = accessAt(walk.course, { ...walk.viewer, deeds }, at);
    for (const { item } of walk.items) {
      if (access.nodes.get(item.id)?.state !== 'open') continue;
      if (doItem(walk, item, at)) isMore = true;
    }
  }
}

function doItem(walk: Walk, item: Content, at: number): boolean {
  let isMore = false;
  const asked: DoneCondition[] = [...conditionsOf(item.done)];
  // What the course may ask about by itself.
  if (item.kind === 'meeting') asked.push({ by: 'attended' });
  if ('total' in item) asked.push({ by: 'scored', least: 0 });
  for (const one of asked) {
    const kind = deedFor(walk, item, one, at);
    if (kind === null) continue;
    const had = walk.deeds.filter((deed) => deed.item === item.id && deed.kind === kind.kind).length;
    const wanted = one.by === 'posted' || one.by === 'replied' ? one.least : 1;
    for (let more = had; more < wanted; more += 1) {
      walk.deeds.push({ ...kind, item: item.id, at } as Deed);
      if (kind.kind === 'scored') walk.scores.set(item.id, 100);
      isMore = true;
    }
  }
  return isMore;
}

/** When the course is done by whoever tries, from this moment on; null: it never is. */
export function walkThrough(course: Course, viewer: Viewer, from: number): number | null {
  const plan = planFor(course, viewer);
  const items = course.sections.flatMap((section) =>
    subtree(section)
      .filter((node): node is Content => isContent(node) && !node.removed)
      .map((item) => ({ item, section: section.id })),
  );
  const walk: Walk = { course, plan, viewer, items, deeds: [], scores: new Map() };
  const held = items.flatMap(({ item }) => {
    const moment = momentsOf(plan, item.id).held;
    return moment?.kind === 'at' ? [moment.instant] : [];
  });
  const times = new Set([from, ...instantsOf(course, viewer, from), ...held].filter((at) => at >= from));
  for (;;) {
    const done = new Set(walk.deeds.map(({ at }) => at));
    const next = [...times].sort((a, b) => a - b)[0];
    if (next === undefined) break;
    times.delete(next);
    doAll(walk, next);
    // Some days after something is done something else may open.
    for (const { at } of walk.deeds) {
      if (done.has(at)) continue;
      for (let days = 1; days <= 3; days += 1) times.add(at + days * DAY_MS);
      done.add(at);
    }
  }
  return doneWhen(walk);
}

function doneWhen(walk: Walk): number | null {
  const { course, viewer, deeds } = walk;
  const isFor = (audience: readonly string[]): boolean =>
    audience.length === 0 || audience.some((id) => viewer.groups?.includes(id) === true);
  // What an item without minutes weighs is no matter of this.
  const { items, indexOf } = countingFor(walk.plan, viewer.groups ?? []);
  const weightOf = (id: string): number => items[indexOf.get(id) ?? -1]?.weight ?? 0;
  const own = walk.items.map(({ item, section }) => {
    const around = course.sections.find(({ id }) => id === section);
    const isHad = [around, item].every(
      (node) => node?.shown === true && !node.removed && !node.staffOnly && isFor(node.audience),
    );
    const isCounted = isHad && item.done !== null;
    return {
      ...{ id: item.id, item, section, isHad, isCounted },
      since: sinceIn(walk, item),
      minutes: weightOf(item.id),
    };
  });
  const of = (id: string): readonly Deed[] => deeds.filter((deed) => deed.item === id);
  const any = { pass: null, tooLate: Infinity };
  const naive: NaiveCourse = {
    ...{ id: course.id, rule: course.done, sections: course.sections, items: own },
    attended: new Map(
      own
        .filter(({ item, isHad }) => item.kind === 'meeting' && isHad)
        .map(({ id }) => [id, naiveDone({ by: 'attended' }, of(id), any)]),
    ),
    scored: (id, least) => naiveDone({ by: 'scored', least }, of(id), any),
  };
  return naiveSince(
    naive,
    deeds.map(({ at }) => at),
  ).course;
}
