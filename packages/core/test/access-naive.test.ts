/** The answer about access, against a slow and simple one that is written without looking at it. */
import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { applyChange, courseView, resolveAccess } from '../src/index.ts';
import type { AccessState, Course, Viewer } from '../src/index.ts';
import { changeFor, course, move } from './arbitraries.ts';

/** What somebody may do with a node, spelled out case by case. */
function naive(of: Course, who: Viewer, sectionId: string, itemId: string | null): AccessState {
  const isStaff = who.institutionStaff || who.role === 'instructor' || who.role === 'assistant';
  const section = of.sections.find(({ id }) => id === sectionId);
  const item = section?.items.find(({ id }) => id === itemId);
  if (section === undefined || (itemId !== null && item === undefined)) return 'absent';
  if (section.removed || item?.removed === true) return 'absent';
  if (isStaff) return of.state === 'archived' ? 'look' : 'open';
  if (who.role === null || of.state === 'draft') return 'absent';
  if (!section.shown || item?.shown === false) return 'absent';
  if (of.state === 'archived' || who.role === 'visitor') return 'look';
  return 'open';
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
const NOW = '2027-01-20T09:00:00Z';

test('agrees with the naive one on any course, changed in any way, for anybody', () => {
  const seen = new Map<string, number>();
  fc.assert(
    fc.property(course, fc.array(move, { maxLength: 6 }), viewer, (start, moves, who) => {
      const change = changeFor(start, moves, 'c');
      const applied = change === null ? null : applyChange(start, change);
      const any = applied?.ok ? applied.course : start;
      const access = resolveAccess(any, who, NOW);
      const view = courseView(any, who, NOW);
      for (const section of any.sections) {
        const expected = naive(any, who, section.id, null);
        expect(access.nodes.get(section.id)?.state).toBe(expected);
        expect(view?.sections.some(({ id }) => id === section.id) ?? false).toBe(expected !== 'absent');
        for (const item of section.items) {
          const state = naive(any, who, section.id, item.id);
          seen.set(state, (seen.get(state) ?? 0) + 1);
          expect(access.nodes.get(item.id)?.state).toBe(state);
        }
      }
    }),
    { numRuns: 1500, seed: 41 },
  );
  for (const state of ['absent', 'look', 'open']) expect(seen.get(state) ?? 0).toBeGreaterThan(100);
});
