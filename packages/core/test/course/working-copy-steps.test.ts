/** A working copy step by step: what joins, what is forgotten, and what an answer does to steps of undo. */
import { describe, expect, test } from '@jest/globals';
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
import { smallCourse } from '../support/arbitraries.ts';

const title = (id: string, target: string, value: string, was: string): Change => ({
  id,
  edits: [{ kind: 'set', target, field: 'title', value, was }],
});

function made(copy: WorkingCopy, ...changes: readonly Change[]): WorkingCopy {
  return changes.reduce((on, change) => {
    const attempt = makeChange(on, change);
    if (!attempt.ok) throw new Error(attempt.refusal.code);
    return attempt.copy;
  }, copy);
}

const start = (): WorkingCopy => openCopy(smallCourse(), 0);
const taken = (seq: number, change: Change, mine = true): TakenChange => ({
  seq,
  change,
  author: mine ? 'Inês' : 'Tunde',
  mine,
});
const titleOf = (copy: WorkingCopy, at = 0): string | null | undefined => copy.course.sections[at]?.title;

describe('making', () => {
  test('what has no effect is no step', () => {
    const copy = made(start(), title('1', 'A', 'A', 'A'));
    expect([copy.pending.length, copy.undo.length]).toEqual([1, 0]);
  });

  test('something new forgets what could be made again', () => {
    const undone = undoLast(made(start(), title('1', 'A', 'x', 'A')), 'u');
    if (!undone?.ok) throw new Error('undo');
    expect(undone.copy.redo).toHaveLength(1);
    expect(made(undone.copy, title('2', 'B', 'y', 'B')).redo).toEqual([]);
  });

  test('two hundred steps are remembered, the oldest is forgotten first', () => {
    let copy = start();
    for (let at = 0; at < 230; at += 1) copy = made(copy, title(`c${at}`, 'A', `t${at}`, ''));
    expect(copy.undo).toHaveLength(200);
    expect(copy.undo[0]?.of).toBe('c30');
  });
});

describe('joining', () => {
  test('keeps the first words as the way back, through any number of letters', () => {
    let copy = made(start(), title('1', 'A', 'T', 'A'));
    for (const value of ['Ti', 'Tide']) {
      const joined = joinChange(copy, title(value, 'A', value, titleOf(copy) ?? ''), new Set());
      if (!joined?.ok) throw new Error('join');
      copy = joined.copy;
    }
    expect(copy.undo).toEqual([
      { of: '1', edits: [{ kind: 'set', target: 'A', field: 'title', value: 'A', was: 'Tide' }] },
    ]);
  });

  test('does not touch a change of several edits, nor one that takes back', () => {
    const several: Change = {
      id: '1',
      edits: [...title('', 'A', 'x', 'A').edits, ...title('', 'B', 'y', 'B').edits],
    };
    expect(joinChange(made(start(), several), title('2', 'B', 'z', 'y'), new Set())).toBeNull();
    const undone = undoLast(made(start(), title('1', 'A', 'x', 'A')), 'u');
    if (!undone?.ok) throw new Error('undo');
    expect(joinChange(undone.copy, title('2', 'A', 'z', 'A'), new Set())).toBeNull();
    expect(joinChange(start(), title('2', 'A', 'z', 'A'), new Set())).toBeNull();
  });

  test('is refused like any other change', () => {
    const copy = made(start(), title('1', 'a1', 'x', 'a1'));
    expect(joinChange(copy, title('2', 'a1', ' ', 'x'), new Set())).toMatchObject({
      ok: false,
      refusal: { code: 'bad_value' },
    });
  });
});

describe('an answer', () => {
  test('that was read before changes nothing', () => {
    const change = title('1', 'A', 'x', 'A');
    const once = takeAnswer(made(start(), change), { taken: [taken(1, change)], refused: [] }).copy;
    const twice = takeAnswer(once, { taken: [taken(1, change)], refused: [] });
    expect(twice.copy).toEqual(once);
    expect(twice.notices).toEqual([]);
  });

  test('gives the way back of the effect that one’s change really had', () => {
    const theirs = title('t', 'A', 'theirs', 'A');
    const mine = title('m', 'A', 'mine', 'A');
    const { copy } = takeAnswer(made(start(), mine), {
      taken: [taken(1, theirs, false), taken(2, mine)],
      refused: [],
    });
    const undone = undoLast(copy, 'u');
    expect(undone?.ok && titleOf(undone.copy)).toBe('theirs');
  });

  test('that refuses takes the step away with the change', () => {
    const mine = title('m', 'A', 'mine', 'A');
    const refusal = { code: 'unknown_target', edit: 0, target: 'A' } as const;
    const { copy, notices } = takeAnswer(made(start(), mine), { taken: [], refused: [{ id: 'm', refusal }] });
    expect([titleOf(copy), copy.undo, copy.pending]).toEqual(['A', [], []]);
    expect(notices).toEqual([{ kind: 'refused', change: mine, refusal }]);
  });

  test('in which a stored change does not apply is a fault of ours, and says which', () => {
    const impossible = title('x', 'nobody', 'y', '');
    expect(() => takeAnswer(start(), { taken: [taken(1, impossible, false)], refused: [] })).toThrow(
      'change x (1) does not apply',
    );
  });
});

test('a step that cannot be taken back is forgotten, and the one below it can be', () => {
  const copy = made(start(), title('1', 'A', 'x', 'A'), title('2', 'B', 'y', 'B'));
  const undone = undoLast(forgetUndo(copy, 'undo'), 'u');
  expect(undone?.ok && [titleOf(undone.copy), titleOf(undone.copy, 1)]).toEqual(['A', 'y']);
  expect(redoLast(copy, 'r')).toBeNull();
});
