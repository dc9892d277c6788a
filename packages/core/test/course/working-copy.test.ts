import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  forgetUndo,
  joinChange,
  makeChange,
  openCopy,
  redoLast,
  takeAnswer,
  undoLast,
} from '../../src/index.ts';
import type { Change, TakenChange, WorkingCopy } from '../../src/index.ts';
import { course, smallCourse } from '../support/arbitraries.ts';
import { Taker } from '../support/taker.ts';
import { changeFor, move } from '../support/random-changes.ts';

const set = (id: string, target: string, value: string, was: string): Change => ({
  id,
  edits: [{ kind: 'set', target, field: 'title', value, was }],
});

function make(copy: WorkingCopy, change: Change): WorkingCopy {
  const attempt = makeChange(copy, change);
  if (!attempt.ok) throw new Error(attempt.refusal.code);
  return attempt.copy;
}

function sync(copy: WorkingCopy, taker: Taker, who: string): WorkingCopy {
  return takeAnswer(copy, taker.take(who, copy.seq, copy.pending)).copy;
}

describe('two instructors', () => {
  test('edits to different things are both kept, and each sees the other’s with the next answer', () => {
    const taker = new Taker(smallCourse());
    let ines = make(openCopy(smallCourse(), 0), set('i1', 'a1', 'from Inês', 'a1'));
    let tunde = make(openCopy(smallCourse(), 0), set('t1', 'b1', 'from Tunde', 'b1'));
    ines = sync(ines, taker, 'ines');
    tunde = sync(tunde, taker, 'tunde');
    ines = sync(ines, taker, 'ines');
    expect(ines.course).toEqual(tunde.course);
    expect(ines.course.sections[0]?.items[0]?.title).toBe('from Inês');
    expect(ines.course.sections[1]?.items[0]?.title).toBe('from Tunde');
  });

  test('whoever’s words were replaced unseen is shown both', () => {
    const taker = new Taker(smallCourse());
    let ines = make(openCopy(smallCourse(), 0), set('i1', 'A', 'Tides', 'A'));
    ines = sync(ines, taker, 'ines');
    sync(make(openCopy(smallCourse(), 0), set('t1', 'A', 'Ebb and flow', 'A')), taker, 'tunde');
    const { copy, notices } = takeAnswer(ines, taker.take('ines', ines.seq, []));
    expect(copy.course.sections[0]?.title).toBe('Ebb and flow');
    expect(notices).toEqual([
      {
        kind: 'replaced',
        target: 'A',
        field: 'title',
        yours: 'Tides',
        theirs: 'Ebb and flow',
        by: 'tunde',
        stands: 'theirs',
      },
    ]);
  });

  test('whoever comes last is shown both too, and that theirs is what stands', () => {
    const taker = new Taker(smallCourse());
    taker.take('tunde', 0, [set('t1', 'A', 'Ebb and flow', 'A')]);
    const ines = make(openCopy(smallCourse(), 0), set('i1', 'A', 'Tides ', 'A'));
    const { copy, notices } = takeAnswer(ines, taker.take('ines', 0, ines.pending));
    expect(copy.course.sections[0]?.title).toBe('Tides');
    expect(notices).toMatchObject([{ yours: 'Tides', theirs: 'Ebb and flow', by: 'tunde', stands: 'yours' }]);
    // And hears again when the next one replaces it unseen; of somebody who read it, nothing.
    taker.take('tunde', 0, [set('t2', 'A', 'Flow', 'Ebb and flow')]);
    const later = takeAnswer(copy, taker.take('ines', copy.seq, []));
    expect(later.notices).toMatchObject([{ yours: 'Tides', theirs: 'Flow', stands: 'theirs' }]);
    taker.take('tunde', 0, [set('t3', 'A', 'Flood', 'Flow')]);
    expect(takeAnswer(later.copy, taker.take('ines', later.copy.seq, [])).notices).toEqual([]);
  });

  test('one person on two pages is as two are', () => {
    const taker = new Taker(smallCourse());
    const first = sync(make(openCopy(smallCourse(), 0), set('i1', 'A', 'Here', 'A')), taker, 'ines');
    sync(make(openCopy(smallCourse(), 0), set('i2', 'A', 'There', 'A')), taker, 'ines');
    const { notices } = takeAnswer(first, taker.take('ines', first.seq, []));
    expect(notices).toMatchObject([{ yours: 'Here', theirs: 'There', by: null, stands: 'theirs' }]);
  });

  test('what the server altered, and a colleague then read, is nothing to be told of', () => {
    let ines = make(openCopy(smallCourse(), 0), set('i1', 'A', 'as sent', 'A'));
    const taken = (seq: number, change: Change, mine: boolean): TakenChange => ({
      seq,
      change,
      author: mine ? 'ines' : 'tunde',
      mine,
    });
    ines = takeAnswer(ines, { taken: [taken(1, set('i1', 'A', 'as kept', 'A'), true)], refused: [] }).copy;
    const answer = { taken: [taken(2, set('t1', 'A', 'read', 'as kept'), false)], refused: [] };
    expect(takeAnswer(ines, answer).notices).toEqual([]);
  });

  test('whoever’s words were replaced by somebody who had read them is not disturbed', () => {
    const taker = new Taker(smallCourse());
    let ines = sync(make(openCopy(smallCourse(), 0), set('i1', 'A', 'Tides', 'A')), taker, 'ines');
    const tunde = sync(openCopy(smallCourse(), 0), taker, 'tunde');
    sync(make(tunde, set('t1', 'A', 'Tides, read', 'Tides')), taker, 'tunde');
    const answer = takeAnswer(ines, taker.take('ines', ines.seq, []));
    ines = answer.copy;
    expect(answer.notices).toEqual([]);
    expect(ines.course.sections[0]?.title).toBe('Tides, read');
  });

  test('a change to what somebody removed is refused, and its words are given back', () => {
    const taker = new Taker(smallCourse());
    taker.take('tunde', 0, [{ id: 't1', edits: [{ kind: 'remove', target: 'a1' }] }]);
    const ines = make(openCopy(smallCourse(), 0), set('i1', 'a1', 'kept words', 'a1'));
    const { copy, notices } = takeAnswer(ines, taker.take('ines', 0, ines.pending));
    expect(copy.pending).toEqual([]);
    expect(notices).toMatchObject([
      { kind: 'refused', change: { id: 'i1' }, refusal: { code: 'removed_target' } },
    ]);
  });
});

describe('typing', () => {
  test('joins into one change and one step of undo', () => {
    let copy = openCopy(smallCourse(), 0);
    copy = make(copy, set('t1', 'A', 'T', 'A'));
    for (const text of ['Ti', 'Tid', 'Tides']) {
      const joined = joinChange(
        copy,
        set(`x${text}`, 'A', text, copy.course.sections[0]?.title ?? ''),
        new Set(),
      );
      if (!joined?.ok) throw new Error('did not join');
      copy = joined.copy;
    }
    expect(copy.pending).toEqual([set('t1', 'A', 'Tides', 'A')]);
    const undone = undoLast(copy, 'u1');
    expect(undone?.ok && undone.copy.course.sections[0]?.title).toBe('A');
  });

  test('does not join with what has been sent, nor with another field', () => {
    const copy = make(openCopy(smallCourse(), 0), set('t1', 'A', 'T', 'A'));
    expect(joinChange(copy, set('t2', 'A', 'Ti', 'T'), new Set(['t1']))).toBeNull();
    expect(joinChange(copy, set('t2', 'B', 'Ti', 'B'), new Set())).toBeNull();
  });
});

describe('undo', () => {
  test('takes back only where nobody changed the same since', () => {
    const taker = new Taker(smallCourse());
    let ines = sync(make(openCopy(smallCourse(), 0), set('i1', 'A', 'mine', 'A')), taker, 'ines');
    taker.take('tunde', 1, [set('t1', 'A', 'theirs', 'mine')]);
    ines = sync(ines, taker, 'ines');
    expect(undoLast(ines, 'u1')).toMatchObject({
      ok: false,
      refusal: { code: 'changed_since', now: 'theirs', wanted: 'A' },
    });
  });

  test('of one change leaves what was done since, and can be done again', () => {
    let copy = openCopy(smallCourse(), 0);
    copy = make(copy, { id: '1', edits: [{ kind: 'remove', target: 'a2' }] });
    copy = make(copy, set('2', 'A', 'two', 'A'));
    const undone = undoLast(copy, 'u1', '1');
    if (!undone?.ok) throw new Error('undo');
    const [first] = undone.copy.course.sections;
    expect([first?.title, first?.items.find(({ id }) => id === 'a2')?.removed]).toEqual(['two', false]);
    expect(undone.copy.undo.map(({ of }) => of)).toEqual(['2']);
    const again = redoLast(undone.copy, 'r1');
    expect(again?.ok && again.copy.course).toEqual(copy.course);
    expect(undoLast(copy, 'u2', 'never')).toBeNull();
    expect(forgetUndo(copy, 'undo', '1').undo.map(({ of }) => of)).toEqual(['2']);
  });

  test('and redo go back and forth over several steps', () => {
    let copy = openCopy(smallCourse(), 0);
    copy = make(copy, set('1', 'A', 'one', 'A'));
    copy = make(copy, { id: '2', edits: [{ kind: 'remove', target: 'a2' }] });
    copy = make(copy, { id: '3', edits: [{ kind: 'move', target: 'a3', parent: 'B', after: 'b1' }] });
    const states = [copy.course];
    for (let at = 0; at < 3; at += 1) {
      const step = undoLast(copy, `u${at}`);
      if (!step?.ok) throw new Error('undo');
      copy = step.copy;
      states.push(copy.course);
    }
    expect(copy.course).toEqual(smallCourse());
    expect(undoLast(copy, 'none')).toBeNull();
    for (let at = 2; at >= 0; at -= 1) {
      const step = redoLast(copy, `r${at}`);
      if (!step?.ok) throw new Error('redo');
      copy = step.copy;
      expect(copy.course).toEqual(states[at]);
    }
  });
});

test('any two people’s changes, sent in any order, end in one course for both and for the server', () => {
  let refusals = 0;
  const act = fc.record({
    who: fc.constantFrom(0, 1),
    send: fc.boolean(),
    moves: fc.array(move, { minLength: 1, maxLength: 3 }),
  });
  fc.assert(
    fc.property(course, fc.array(act, { maxLength: 25 }), (start, acts) => {
      const taker = new Taker(start);
      const copies = [openCopy(start, 0), openCopy(start, 0)];
      const names = ['ines', 'tunde'];
      acts.forEach(({ who, send, moves }, at) => {
        const copy = copies[who] as WorkingCopy;
        const change = changeFor(copy.course, moves, `p${who}c${at}`);
        const attempt = change === null ? null : makeChange(copy, change);
        const next = attempt?.ok ? attempt.copy : copy;
        if (!send) {
          copies[who] = next;
          return;
        }
        const answer = taker.take(names[who] as string, next.seq, next.pending);
        refusals += answer.refused.length;
        // The answer is lost once in three times, and the same changes are sent again later.
        copies[who] = at % 3 === 0 ? next : takeAnswer(next, answer).copy;
      });
      for (const round of [0, 1, 0, 1]) {
        copies[round] = sync(copies[round] as WorkingCopy, taker, names[round] as string);
      }
      expect(copies[0]?.course).toEqual(taker.course);
      expect(copies[1]?.course).toEqual(taker.course);
      expect([copies[0]?.pending, copies[1]?.pending]).toEqual([[], []]);
    }),
    { numRuns: 300, seed: 20270115 },
  );
  expect(refusals).toBeGreaterThan(5);
});
