/** Changes that a page left behind on the device: made again, each once, in their order. */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { bothValues, makeChange, openCopy, takeAnswer, takeUpKept } from '../../src/index.ts';
import type { Change, Course, FieldValue, KeptChanges, Notice, WorkingCopy } from '../../src/index.ts';
import { course, smallCourse } from '../support/arbitraries.ts';
import { changeFor, move } from '../support/random-changes.ts';
import { Taker } from '../support/taker.ts';

const title = (id: string, target: string, value: string, was: string): Change => ({
  id,
  edits: [{ kind: 'set', target, field: 'title', value, was }],
});
const remove = (id: string, target: string): Change => ({ id, edits: [{ kind: 'remove', target }] });

interface After {
  readonly course: Course;
  readonly pending: readonly string[];
  readonly notices: readonly Notice[];
}

/** Opens the course anew, takes up what was kept, and sends it. */
function reopened(taker: Taker, kept: KeptChanges): After {
  const opened = openCopy(taker.course, taker.take('ines', 0, []).taken.length);
  const up = takeUpKept(opened, kept, taker.take('ines', kept.seq, []).taken);
  const answer = taker.take('ines', up.copy.seq, up.copy.pending);
  const { copy, notices } = takeAnswer(up.copy, answer);
  expect(copy.course).toEqual(taker.course);
  return {
    course: copy.course,
    pending: up.copy.pending.map(({ id }) => id),
    notices: [...up.notices, ...notices],
  };
}

describe('what was kept', () => {
  test('is sent in its order once the line is back', () => {
    const after = reopened(new Taker(smallCourse()), {
      seq: 0,
      changes: [title('i1', 'A', 'One', 'A'), title('i2', 'A', 'Two', 'One'), remove('i3', 'b1')],
    });
    expect(after.pending).toEqual(['i1', 'i2', 'i3']);
    expect(after.course.sections[0]?.title).toBe('Two');
    expect(after.notices).toEqual([]);
  });

  test('is not made twice where the answer alone was lost', () => {
    const taker = new Taker(smallCourse());
    const changes = [title('i1', 'A', 'One', 'A'), title('i2', 'B', 'Two', 'B')];
    taker.take('ines', 0, changes.slice(0, 1));
    taker.take('tunde', 1, [title('t1', 'A', 'Read, and theirs', 'One')]);
    const after = reopened(taker, { seq: 0, changes });
    expect(after.pending).toEqual(['i2']);
    expect(after.course.sections[0]?.title).toBe('Read, and theirs');
    expect(after.notices).toEqual([]);
  });

  test('is not made twice where the copy that takes it up has it already', () => {
    const change = title('i1', 'A', 'One', 'A');
    const attempt = makeChange(openCopy(smallCourse(), 0), change);
    if (!attempt.ok) throw new Error('refused');
    expect(takeUpKept(attempt.copy, { seq: 0, changes: [change] }, []).copy.pending).toEqual([change]);
  });

  test('meets what a colleague set meanwhile, and both are shown', () => {
    const taker = new Taker(smallCourse());
    taker.take('tunde', 0, [title('t1', 'A', 'Theirs', 'A')]);
    const after = reopened(taker, { seq: 0, changes: [title('i1', 'A', 'Mine', 'A')] });
    expect(after.course.sections[0]?.title).toBe('Mine');
    expect(after.notices).toEqual([
      {
        kind: 'replaced',
        target: 'A',
        field: 'title',
        yours: 'Mine',
        theirs: 'Theirs',
        by: 'tunde',
        stands: 'yours',
      },
    ]);
  });

  test('was taken, and then replaced unseen: both are shown', () => {
    const taker = new Taker(smallCourse());
    const changes = [title('i1', 'A', 'Mine', 'A')];
    taker.take('ines', 0, changes);
    taker.take('tunde', 0, [title('t1', 'A', 'Theirs', 'A')]);
    const after = reopened(taker, { seq: 0, changes });
    expect(after.notices).toMatchObject([{ yours: 'Mine', theirs: 'Theirs', stands: 'theirs' }]);
  });

  test('comes back with its words where its place is gone', () => {
    const taker = new Taker(smallCourse());
    taker.take('tunde', 0, [remove('t1', 'a1')]);
    const changes = [title('i1', 'a1', 'Kept words', 'a1'), title('i2', 'B', 'Two', 'B')];
    const after = reopened(taker, { seq: 0, changes });
    expect(after.pending).toEqual(['i2']);
    expect(after.notices).toMatchObject([
      { kind: 'refused', change: changes[0], refusal: { code: 'removed_target' } },
    ]);
  });
});

test('whenever the page is closed, whatever was heard: the course is as if it had stayed open', () => {
  let keptCount = 0;
  const act = fc.record({
    moves: fc.array(move, { minLength: 1, maxLength: 3 }),
    fate: fc.constantFrom('kept', 'sent', 'answered'),
    other: fc.option(fc.array(move, { minLength: 1, maxLength: 2 })),
  });
  fc.assert(
    fc.property(course, fc.array(act, { maxLength: 12 }), (start, acts) => {
      const taker = new Taker(start);
      let ines: WorkingCopy = openCopy(start, 0);
      const made: string[] = [];
      const refused = new Set<string>();
      acts.forEach(({ moves, fate, other }, at) => {
        const theirs = other === null ? null : changeFor(taker.course, other, `t${at}`);
        if (theirs !== null) taker.take('tunde', 0, [theirs]);
        const change = changeFor(ines.course, moves, `i${at}`);
        const attempt = change === null ? null : makeChange(ines, change);
        if (attempt?.ok && change !== null) {
          ines = attempt.copy;
          made.push(change.id);
        }
        if (fate === 'kept') return;
        const answer = taker.take('ines', ines.seq, ines.pending);
        answer.refused.forEach(({ id }) => refused.add(id));
        if (fate === 'answered') ines = takeAnswer(ines, answer).copy;
      });
      keptCount += ines.pending.length;
      reopened(taker, { seq: ines.seq, changes: ines.pending });
      const log = taker.take('ines', 0, []).taken.filter(({ mine }) => mine);
      const order = log.map(({ change }) => change.id);
      expect(new Set(order).size).toBe(order.length);
      // What was refused, unheard, and is sent again later may be taken then: its place was brought back.
      const atOnce = order.filter((id) => !refused.has(id));
      expect(atOnce).toEqual(made.filter((id) => atOnce.includes(id)));
    }),
    { numRuns: 300, seed: 20270115 },
  );
  expect(keptCount).toBeGreaterThan(100);
});

describe('both are kept', () => {
  const at = (field: string, target = 'A'): { target: string; field: string } => ({ target, field });
  const text = (digit: string): string => digit.repeat(64);
  const of = (
    place: { target: string; field: string },
    first: FieldValue,
    second: FieldValue,
  ): FieldValue | undefined =>
    bothValues(smallCourse(), place, [first, second], (one, other) =>
      one === text('a') && other === text('b') ? text('c') : undefined,
    );

  test('of words, lists, long texts, and entries that differ in one thing', () => {
    expect(of(at('title'), 'Ebb', 'Flow')).toBe('Ebb / Flow');
    expect(of(at('tags', 'course'), ['core', 'mud'], ['mud', 'tide'])).toEqual(['core', 'mud', 'tide']);
    expect(of(at('text', 'a1'), text('a'), text('b'))).toBe(text('c'));
    const group = { name: 'Morning', kind: 'group', at: 1 };
    expect(of(at('groups.g', 'course'), group, { ...group, name: 'Evening' })).toEqual({
      ...group,
      name: 'Morning / Evening',
    });
  });

  test('not where it can only be one, or there is no room', () => {
    expect(of(at('title'), 'x'.repeat(150), 'y'.repeat(150))).toBeUndefined();
    expect(of(at('text', 'a1'), text('b'), text('a'))).toBeUndefined();
    expect(of(at('dates.firstDay', 'course'), '2027-01-11', '2027-01-18')).toBeUndefined();
    expect(of(at('dates.weeks', 'course'), 3, 4)).toBeUndefined();
    expect(of(at('shown'), true, false)).toBeUndefined();
    expect(of(at('title'), 'Ebb', null)).toBeUndefined();
    expect(of(at('title', 'nowhere'), 'Ebb', 'Flow')).toBeUndefined();
    const group = { name: 'Morning', kind: 'group', at: 1 };
    expect(of(at('groups.g', 'course'), group, { ...group, name: 'Evening', at: 2 })).toBeUndefined();
  });
});
