/**
 * What the opening of something waits for, as one reader may be told it: resolved, numbered, and without the name
 * of anything that is absent for them (docs/semantics.md, Access).
 */
import { isThere } from '../access/answer.ts';
import type { Access } from '../access/resolve.ts';
import { doneAndPassed } from '../access/opening.ts';
import { compileAccess, possibleRows } from '../access/compile.ts';
import type { Viewer } from '../access/roles.ts';
import { NOTHING_DONE } from '../access/roles.ts';
import type { CoursePlan } from '../calendar/course-plan.ts';
import { localMomentOf } from '../calendar/local-instant.ts';
import type { NodeMoments } from '../calendar/node-moments.ts';
import type { Condition, ConditionGroup } from '../course/schema/access-schema.ts';
import { isGroup } from '../course/rules.ts';
import type { CourseNode } from '../course/schema/schema.ts';
import { findNode } from '../course/tree.ts';
import { momentView } from '../views/moment-view.ts';
import type { NamedItem, WaitView } from '../views/course-view.ts';

export interface WaitReader {
  readonly plan: CoursePlan;
  readonly access: Access;
  readonly viewer: Viewer;
  /** Milliseconds since 1970-01-01T00:00Z. */
  readonly at: number;
}

/** All that a node's own opening waits for, met or not; null: for nothing. */
export function waitsOf(node: CourseNode, moments: NodeMoments, reader: WaitReader): WaitView | null {
  const { viewer, at, plan, access } = reader;
  const deeds = viewer.deeds ?? NOTHING_DONE;
  const named = (id: string): NamedItem => {
    const place = isThere(access.nodes.get(id)) ? findNode(plan.course, id) : null;
    if (place === null) return null;
    const section = plan.sections.find((one) => one.id === (place.above[0]?.id ?? id));
    return { id, number: section?.numbers.get(id) ?? null, title: place.node.title ?? '' };
  };
  const doneView = (ids: readonly string[], days = 0): WaitView => {
    const met = doneAndPassed(ids, days, deeds);
    // Once it is done, the moment alone is waited for.
    if (days > 0 && Number.isFinite(met)) {
      const written = localMomentOf(plan.course.dates.zone, met);
      const moment = { ...written, instant: new Date(met).toISOString() };
      return { kind: 'from', moment, met: at >= met };
    }
    return { kind: 'done', items: ids.map(named), days, met: met <= at };
  };
  let next = 0;
  const view = (one: Condition): WaitView | null => {
    if (isGroup(one)) return groupView(one);
    switch (one.kind) {
      case 'from': {
        const resolved = moments.from?.[next++];
        const moment = momentView(resolved);
        if (moment === null || resolved?.kind !== 'at') return null;
        return { kind: 'from', moment, met: at >= resolved.instant };
      }
      case 'before': {
        const before = beforeOf(plan, node.id, viewer, false);
        return before === null ? null : doneView([before]);
      }
      case 'done':
        return doneView(one.items, one.days);
      case 'scored': {
        const met = (deeds.scores.get(one.item) ?? -1) >= one.least;
        return { kind: 'scored', item: named(one.item), least: one.least, met };
      }
      case 'course':
        return { kind: 'course', title: one.title, met: deeds.courses.has(one.course) };
    }
  };
  const groupView = ({ kind, of }: ConditionGroup): WaitView | null => {
    const parts = of.map(view).filter((part) => part !== null);
    const [only] = parts;
    if (only === undefined) return null;
    if (parts.length === 1) return only;
    const met = kind === 'all' ? parts.every((part) => part.met) : parts.some((part) => part.met);
    return { kind, of: parts, met };
  };
  const parts: WaitView[] = [];
  const own = momentView(moments.opens);
  if (own !== null && moments.opens?.kind === 'at') {
    parts.push({ kind: 'from', moment: own, met: at >= moments.opens.instant });
  }
  const ofRule = node.rule === null ? null : groupView(node.rule.when);
  if (ofRule?.kind === 'all') parts.push(...ofRule.of);
  else if (ofRule !== null) parts.push(ofRule);
  const { rows, rowOf } = compileAccess(plan);
  if ((rows[rowOf.get(node.id) ?? -1]?.opening.order ?? null) !== null) {
    const before = beforeOf(plan, node.id, viewer, !plan.course.inOrder);
    if (before !== null) parts.push(doneView([before]));
  }
  const [only] = parts;
  if (only === undefined || parts.length === 1) return only ?? null;
  return { kind: 'all', of: parts, met: parts.every(({ met }) => met) };
}

/** The counted item before a node, of those that this person can come to get. */
function beforeOf(plan: CoursePlan, id: string, viewer: Viewer, inSection: boolean): string | null {
  const { rows } = compileAccess(plan);
  const possible = possibleRows(rows, viewer.groups ?? []);
  let before: string | null = null;
  for (const [at, row] of rows.entries()) {
    if (row.above < 0 && inSection) before = null;
    if (row.node.id === id) return before;
    if (possible[at] === true && row.counts) before = row.node.id;
  }
  return null;
}
