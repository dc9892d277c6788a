/** Why something does not show: the chain of layers, and edits that really open it. */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  applyChange,
  findNode,
  isOutOfSight,
  newDates,
  newItem,
  newSection,
  resolveAccess,
  subtree,
  whyNot,
} from '../../src/index.ts';
import type { Course, Item, OpeningRule, Section, Viewer, Why } from '../../src/index.ts';
import { course as anyCourse, smallCourse, viewer as anyViewer } from '../support/arbitraries.ts';
import { enough, runs } from '../support/runs.ts';

const LEARNER: Viewer = { role: 'learner', institutionStaff: false };
const NOW = '2027-01-20T09:00:00Z';
const later = { kind: 'fixed' as const, day: '2027-02-01', time: '08:00' };

/** A folder that is not shown, in a section that opens later, in a course that has not begun. */
const shut = (): Course => ({
  ...smallCourse(),
  state: 'live',
  dates: newDates({ firstDay: '2027-01-25', weeks: 3, zone: 'Europe/Lisbon' }),
  window: { before: 'closed', after: 'open' },
  sections: [
    newSection({
      id: 'S',
      title: 'Cores',
      opens: later,
      items: [
        newItem('folder', {
          id: 'F',
          title: 'Readings',
          shown: false,
          items: [newItem('page', { id: 'P', title: 'Mud' })],
        }),
      ],
    }),
  ],
});
const why = (course: Course, node: string, viewer = LEARNER, at = NOW): Why => {
  const found = whyNot(course, viewer, at, node);
  if (found === null) throw new Error('no such node');
  return found;
};
const written = ({ chain }: Why): string[] =>
  chain.map(({ name, of, cap }) => `${of} ${name} ${cap?.because ?? 'passed'}`);

describe('the chain', () => {
  test('has every layer on the way, passed and failed, in the order in which they decide', () => {
    const found = why(shut(), 'P');
    expect(written(found)).toEqual([
      'course state passed',
      'course membership passed',
      'course dates before_dates',
      'S shown passed',
      'F shown item_not_shown',
      'P shown passed',
      'S opening not_yet',
    ]);
    expect(found.answer).toMatchObject({ state: 'absent', because: 'before_dates' });
  });

  test('ends with what is asked about, be it a section', () => {
    expect(written(why(shut(), 'S')).at(-1)).toBe('S opening not_yet');
    expect(whyNot(shut(), LEARNER, NOW, 'never-was')).toBeNull();
  });

  test('around one item says which item it is around', () => {
    const around = { ...smallCourse(), state: 'live' as const };
    const course = { ...around, dates: { ...around.dates, format: 'item' as const, around: 'a1' } };
    expect(written(why(course, 'a2'))).toContain('a2 aside kept_aside');
    expect(why(course, 'a2').cure).toEqual([
      { kind: 'set', target: 'course', field: 'dates.around', value: 'a2', was: 'a1' },
    ]);
    expect(written(why(course, 'a1'))).toContain('a1 aside passed');
  });
});

describe('the cure', () => {
  test('is one edit for each layer that fails, and nothing else', () => {
    expect(why(shut(), 'P').cure).toEqual([
      {
        kind: 'set',
        target: 'course',
        field: 'window',
        value: { before: 'open', after: 'open' },
        was: { before: 'closed', after: 'open' },
      },
      { kind: 'set', target: 'F', field: 'shown', value: true, was: false },
      { kind: 'set', target: 'S', field: 'opens', value: null, was: later },
    ]);
  });

  test('is empty where it is open, and for staff, who skip every layer', () => {
    const open = { ...smallCourse(), state: 'live' as const };
    expect(why(open, 'a1').cure).toEqual([]);
    const staff: Viewer = { role: 'instructor', institutionStaff: false };
    expect(why(shut(), 'P', staff)).toMatchObject({ answer: { state: 'open' }, cure: [] });
  });

  test('is for nobody to give where it is about who somebody is, or what is removed', () => {
    expect(why(shut(), 'P', { role: null, institutionStaff: false }).cure).toBeNull();
    expect(why(shut(), 'P', { role: 'visitor', institutionStaff: false }).cure).toBeNull();
    const base = shut();
    const removed = { ...base, sections: base.sections.map((section) => ({ ...section, removed: true })) };
    expect(why(removed, 'P').cure).toBeNull();
    expect(written(why(removed, 'P'))).toContain('S removed removed');
  });

  test('opens any node of any course that an edit can open, and only then is there one', () => {
    const seen = { opened: 0, open: 0, nobody: 0, longest: 0 };
    fc.assert(
      fc.property(anyCourse, anyViewer, (of, any) => {
        // Moments of their own stand outside the course: no edit of it changes them.
        const who: Viewer = { ...any, institutionStaff: false, exceptions: [] };
        for (const { id } of of.sections.flatMap((section) => subtree(section))) {
          const { answer, cure, chain } = why(of, id, who);
          expect(answer).toEqual(resolveAccess(of, who, NOW).nodes.get(id));
          const failed = chain.filter(({ cap }) => cap !== null).map(({ name }) => name);
          if (cure === null) {
            seen.nobody += 1;
            const isGone = isOutOfSight(findNode(of, id)!) || failed.includes('removed');
            expect(isGone || failed.includes('membership')).toBe(true);
          } else if (cure.length === 0) {
            seen.open += 1;
            expect([answer.state, failed]).toEqual(['open', []]);
          } else {
            seen.opened += 1;
            seen.longest = Math.max(seen.longest, cure.length);
            expect(answer.state).not.toBe('open');
            const applied = applyChange(of, { id: 'cure', edits: [...cure] });
            if (!applied.ok) throw new Error(`refused: ${applied.refusal.code}`);
            expect(resolveAccess(applied.course, who, NOW).nodes.get(id)?.state).toBe('open');
            // None of the edits is there for nothing.
            for (const [at] of cure.entries()) {
              const less = applyChange(of, { id: 'less', edits: cure.toSpliced(at, 1) });
              const state = less.ok ? resolveAccess(less.course, who, NOW).nodes.get(id)?.state : 'absent';
              expect(state).not.toBe('open');
            }
          }
        }
      }),
      { numRuns: runs(250), seed: 20270120 },
    );
    expect(Math.min(seen.opened, seen.open, seen.nobody)).toBeGreaterThan(enough(30));
    expect(seen.longest).toBeGreaterThan(enough(12));
  });

  test('leaves a group without the moment that the group alone has, and drops an exception that is empty', () => {
    const base = smallCourse();
    const groups = { k: { name: 'Class A', kind: 'class' as const, at: 0 } };
    const late = { for: 'k', node: 'a1', opens: later, due: null, until: null, at: 1 };
    const of: Course = { ...base, state: 'live', groups, exceptions: { x: late } };
    const inClass: Viewer = { ...LEARNER, groups: ['k'] };
    expect(why(of, 'a1').answer.state).toBe('open');
    expect(why(of, 'a1', inClass)).toMatchObject({
      answer: { state: 'named', because: 'not_yet' },
      cure: [{ target: 'course', field: 'exceptions.x', value: null }],
    });
    const own: Viewer = { ...LEARNER, exceptions: [{ ...late, at: 2 }] };
    expect(why(of, 'a1', own).cure).toBeNull();
  });

  test('says of what is held that learners get the earlier one, and releases it', () => {
    const base = { ...smallCourse(), state: 'live' as const };
    const [A, B] = base.sections as [Section, Section];
    const grown = { ...A, items: [...A.items, newItem('page', { id: 'new', title: 'New' })] };
    const of: Course = { ...base, sections: [grown, B], heldBack: { A: { node: A, release: null } } };
    const found = why(of, 'new');
    expect(written(found).at(-1)).toBe('A held held');
    expect(found.cure).toMatchObject([{ target: 'course', field: 'heldBack.A', value: null }]);
    expect(why(of, 'a1').cure).toEqual([]);
  });

  test('drops of an opening only what is not met: its moment, its rule, or the order', () => {
    const base = { ...smallCourse(), state: 'live' as const };
    const rule: OpeningRule = {
      when: { kind: 'all', of: [{ kind: 'done', items: ['a1'] }] },
      until: later,
      then: 'look',
    };
    const [A, B] = base.sections as [Section, Section];
    const items = A.items.map((item): Item => {
      const done = { by: 'ticked' as const };
      return item.id === 'a2' ? ({ ...item, rule, done } as Item) : ({ ...item, done } as Item);
    });
    const of: Course = { ...base, sections: [{ ...A, inOrder: true, items }, B] };
    const a2 = why(of, 'a2');
    expect(a2.chain.find(({ name }) => name === 'opening')?.unmet).toEqual(['rule', 'order']);
    expect(a2.cure).toMatchObject([
      { target: 'a2', field: 'rule', value: { when: { kind: 'all', of: [] }, until: later } },
      { target: 'A', field: 'inOrder', value: false },
    ]);
  });
});
