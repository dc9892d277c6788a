/** The answer about access, against a slow and simple one that is written without looking at it. */
import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { addDays, applyChange, courseView, isHolder, resolveAccess, startOfDay } from '../src/index.ts';
import type { AccessState, Course, CourseNode, Outside, Viewer } from '../src/index.ts';
import { changeFor, course, move } from './arbitraries.ts';
import { slowMoment, slowPlan } from './slow-planner.ts';

const NOW = '2027-01-20T09:00:00Z';

/** What somebody may do with the last of a chain of nodes, section first, spelled out case by case. */
function naive(of: Course, who: Viewer, chain: readonly CourseNode[]): AccessState {
  const isStaff = who.institutionStaff || who.role === 'instructor' || who.role === 'assistant';
  if (chain.some(({ removed }) => removed)) return 'absent';
  if (isStaff) return of.state === 'archived' ? 'look' : 'open';
  if (who.role === null || of.state === 'draft') return 'absent';
  const window = naiveWindow(of);
  if (window === 'closed') return 'absent';
  const last = chain.at(-1) as CourseNode;
  const isAside = of.dates.format === 'item' && !isHolder(last) && last.id !== of.dates.around;
  if (isAside || chain.some(({ shown }) => !shown)) return 'absent';
  const closed = chain.filter((node) => isClosed(of, node, (chain[0] as CourseNode).id));
  if (closed.length > 1 || (closed.length === 1 && closed[0] !== last)) return 'absent';
  if (closed.length === 1) return of.closed === 'name' ? 'named' : 'absent';
  if (of.state === 'archived' || who.role === 'visitor' || window === 'look') return 'look';
  return 'open';
}

/** Where the moment lies to the course's dates for somebody who has not joined, and what that leaves. */
function naiveWindow(of: Course): Outside {
  const { dates, window } = of;
  const now = Date.parse(NOW);
  if (dates.firstDay !== null && now < Date.parse(startOfDay(dates.firstDay, dates.zone)))
    return window.before;
  const { lastDay } = slowPlan(of, null);
  const isByJoining = (dates.format === 'weeks' || dates.format === 'units') && dates.pace === 'joining';
  if (lastDay === null || dates.ends === 'weeks' || isByJoining) return 'open';
  const last = { kind: 'fixed' as const, day: lastDay, time: dates.lastTime };
  const at = slowMoment(of, slowPlan(of, null), last, 'held', '', null);
  const end =
    dates.lastTime === null || typeof at === 'string'
      ? Date.parse(startOfDay(addDays(lastDay, 1), dates.zone))
      : at.instant + 60_000;
  return now >= end ? window.after : 'open';
}

function isClosed(of: Course, { opens }: CourseNode, section: string): boolean {
  if (opens === null) return false;
  const at = slowMoment(of, slowPlan(of, null), opens, 'opens', section, null);
  return typeof at !== 'string' && Date.parse(NOW) < at.instant;
}

const viewer = fc.record({
  role: fc.constantFrom(
    'instructor' as const,
    'assistant' as const,
    'learner' as const,
    'visitor' as const,
    null,
  ),
  institutionStaff: fc.boolean(),
});

test('agrees with the naive one on any course, changed in any way, for anybody', () => {
  const seen = new Map<string, number>();
  fc.assert(
    fc.property(course, fc.array(move, { maxLength: 6 }), viewer, (start, moves, who) => {
      const change = changeFor(start, moves, 'c');
      const applied = change === null ? null : applyChange(start, change);
      const any = applied?.ok ? applied.course : start;
      const access = resolveAccess(any, who, NOW);
      const view = courseView(any, who, NOW);
      const visit = (node: CourseNode, above: readonly CourseNode[]): void => {
        const chain = [...above, node];
        const expected = naive(any, who, chain);
        seen.set(expected, (seen.get(expected) ?? 0) + 1);
        expect(access.nodes.get(node.id)?.state).toBe(expected);
        if (isHolder(node)) node.items.forEach((item) => visit(item, chain));
      };
      for (const section of any.sections) {
        visit(section, []);
        const isThere = any.dates.format !== 'item' && access.nodes.get(section.id)?.state !== 'absent';
        expect(view?.sections.some(({ id }) => id === section.id) ?? false).toBe(isThere && view !== null);
      }
    }),
    { numRuns: 3000, seed: 41 },
  );
  for (const state of ['absent', 'named', 'look', 'open']) expect(seen.get(state) ?? 0).toBeGreaterThan(50);
});
