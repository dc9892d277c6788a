/** Attempts: what is drawn and shown, when they end, what they come to, and how questions went (docs/semantics.md, Work). */
import { describe, expect, test } from '@jest/globals';
import {
  applyChange,
  attemptEnd,
  beginFault,
  drawn,
  findNode,
  judgeAnew,
  judgeAttempt,
  questionsOf,
  readShare,
  renamed,
  resultOfJudged,
  shownQuestion,
  shutsAt,
  solutionOf,
  standingOf,
  toNumber,
  unnamed,
  worthOf,
} from '../../../src/index.ts';
import type { AskedQuestion, Course, Edit, FieldValue, JudgedAnswer, Quiz } from '../../../src/index.ts';
import { estuary } from '../../support/estuary.ts';
import { of, quiz, QUESTIONS } from './marsh-quiz.ts';

describe('what an attempt asks', () => {
  test('all of them, in their order; the same attempt is always the same, and attempts are unlike', () => {
    expect(drawn(quiz(), 'a')).toEqual(Object.keys(QUESTIONS));
    const shuffles = quiz({ shuffleQuestions: true });
    expect([...drawn(shuffles, 'a')].sort()).toEqual(Object.keys(QUESTIONS).sort());
    expect(drawn(shuffles, 'a')).toEqual(drawn(shuffles, 'a'));
    expect(new Set(Array.from({ length: 50 }, (_, at) => drawn(shuffles, `a${at}`).join())).size).toBe(50);
  });

  test('each of a pool is drawn as often as any other; one whose pool is gone is asked of everybody', () => {
    const pool = 'shore';
    const inPool = Object.fromEntries(
      Object.entries(QUESTIONS).map(([id, one]) => [id, { ...one, pool: id === 'q1' ? null : pool }]),
    );
    const pools = { [pool]: { name: 'Shore', draws: 3, at: 1 } };
    const often = new Map<string, number>();
    const attempts = 4000;
    for (let at = 0; at < attempts; at += 1) {
      const asks = drawn(quiz({ questions: inPool, pools }), `attempt ${at}`);
      expect(asks).toHaveLength(4);
      expect(asks).toContain('q1');
      for (const id of asks) often.set(id, (often.get(id) ?? 0) + 1);
    }
    // Three of seven: five standard deviations of a fair draw are 157.
    for (const id of Object.keys(QUESTIONS).slice(1))
      expect(Math.abs((often.get(id) ?? 0) - (attempts * 3) / 7)).toBeLessThan(157);
    expect(drawn(quiz({ questions: inPool }), 'a')).toHaveLength(8);
  });

  test('what it gives at most, of a pool those that give most; pools of unlike questions are named', () => {
    expect(worthOf(quiz())).toEqual({ points: 12, asked: 8, uneven: [] });
    const inPool = Object.fromEntries(
      Object.entries(QUESTIONS).map(([id, one]) => [id, { ...one, pool: 'p' }]),
    );
    const drawing = (draws: number) =>
      worthOf(quiz({ questions: inPool, pools: { p: { name: 'P', draws, at: 1 } } }));
    expect(drawing(2)).toEqual({ points: 6, asked: 2, uneven: ['p'] });
    expect(drawing(20)).toEqual({ points: 12, asked: 8, uneven: [] });
  });
});

describe('a question as it is shown', () => {
  const naming = (part: string): string => `x${[...part].reverse().join('')}`;
  const showing = { seed: 'a', shuffleChoices: false, showsPoints: true, naming };

  test.each(Object.keys(QUESTIONS))(
    '%s: nothing of what is right is in it, and its parts say no place',
    (id) => {
      const shown = JSON.stringify(shownQuestion(of(id), showing));
      for (const word of ['right', 'why', 'accepted', 'pairs', 'tolerance', 'share', `"${id}p`])
        expect(shown).not.toContain(word === 'right' ? '"right"' : word);
      expect(JSON.parse(shown)).toMatchObject({ id, points: of(id).points });
    },
  );

  test('points are left out where they are not shown', () =>
    expect(shownQuestion(of('q2'), { ...showing, showsPoints: false }).points).toBeNull());

  test('what is to be put in order, or together, is mixed for every attempt', () => {
    const orders = new Set(
      Array.from({ length: 60 }, (_, at) => {
        const shown = shownQuestion(of('q4'), { ...showing, seed: `a${at}` });
        return 'entries' in shown ? shown.entries.map(({ text }) => text).join() : '';
      }),
    );
    expect(orders.size).toBe(6);
    const plain = shownQuestion(of('q1'), showing);
    expect('choices' in plain && plain.choices.map(({ text }) => text)).toEqual(['Limpet', 'Cockle']);
  });

  test('an answer is given by what parts are called, and kept by what they are', () => {
    const back = unnamed(of('q3'), naming);
    const answer = { kind: 'matching', placed: { q3p0: 'q3p2', q3p1: 'q3p3' } } as const;
    expect(renamed(renamed(answer, naming), back)).toEqual(answer);
    const foreign = { kind: 'matching', placed: { q3p0: 'xgone', gone: 'q3p2' } } as const;
    expect(renamed(foreign, back)).toEqual({ kind: 'matching', placed: {} });
    expect(renamed({ kind: 'single', chosen: 'q1p1' }, unnamed(of('q1'), naming))).toEqual({
      kind: 'single',
      chosen: null,
    });
  });

  test.each([
    ['q1', ['Cockle']],
    ['q2', ['Glasswort', 'Sea lavender']],
    ['q3', ['Cockle → Shell', 'Crab → Claw']],
    ['q4', ['Dig', 'Sieve', 'Count']],
    ['q5', ['Zostera']],
    ['q6', ['3.25 m ± 0.05']],
    ['q7', []],
    ['q8', []],
  ])('%s: what is right, in words', (id, right) => {
    const { truth, ...rest } = solutionOf(of(id), naming);
    expect(rest).toMatchObject({ right, why: id === 'q1' ? 'It digs.' : '' });
    expect(truth).toBe(id === 'q7' ? true : null);
  });
});

describe('when an attempt begins and ends', () => {
  const none = { limit: null, factor: 1, shutAt: null, takenTo: null };
  test.each([
    ['without a limit, never', none, null],
    ['by its minutes', { ...none, limit: 10 }, 600_000],
    ['with more time for one person, rounded up', { ...none, limit: 1, factor: 1.0000001 }, 60_001],
    ['a tenth more is exactly a tenth', { ...none, limit: 10, factor: 1.1 }, 660_000],
    ['when it shuts, before that', { ...none, limit: 10, shutAt: 5 }, 5],
    ['when nothing is taken any more, before that', { ...none, limit: 10, shutAt: 50, takenTo: 7 }, 7],
  ])('%s', (_, ends, end) => expect(attemptEnd(0, ends)).toBe(end));

  test.each([
    ['none yet', [], 0, null],
    ['one is under way', [{ ended: null }], 0, { code: 'under_way' }],
    ['within the wait', [{ ended: 0 }], 1_799_999, { code: 'wait', from: 1_800_000 }],
    ['after it', [{ ended: 0 }], 1_800_000, null],
    ['nothing is taken any more', [{ ended: 0 }], 9_000_000, { code: 'over' }],
    ['as often as it may be', [{ ended: 0 }, { ended: 1 }], 5_000_000, { code: 'no_tries', tries: 2 }],
  ])('whether another one begins: %s', (_, attempts, now, fault) =>
    expect(beginFault({ tries: 2, wait: 30, asked: 3 }, attempts, { takenTo: 9_000_000 }, now)).toEqual(
      fault,
    ),
  );

  test('without questions there is nothing to begin', () =>
    expect(beginFault({ tries: null, wait: 0, asked: 0 }, [], { takenTo: null }, 0)).toEqual({
      code: 'no_questions',
    }));

  test('it shuts with its own until, that of its section, or the course’s last day for this person', () => {
    const until = (day: string) => ({
      when: { kind: 'all' as const, of: [] },
      until: { kind: 'fixed' as const, day, time: '12:00' },
      then: 'look' as const,
    });
    const made = (edits: readonly Edit[]): Course => {
      const applied = applyChange(estuary(), {
        id: 'c1',
        edits: [{ kind: 'insert', parent: 's1', after: null, node: quiz() }, ...edits],
      });
      if (!applied.ok) throw new Error(JSON.stringify(applied.refusal));
      return applied.course;
    };
    const set = (target: string, field: string, value: unknown): Edit => {
      const course = estuary();
      const holder = target === 'c' ? course : findNode(course, target)?.node;
      const was = ((holder as unknown as Record<string, FieldValue> | undefined)?.[field] ??
        null) as FieldValue;
      return { kind: 'set', target, field, value: value as FieldValue, was };
    };
    const shuts = (edits: readonly Edit[]): string | null => {
      const at = shutsAt(made(edits), { role: 'learner', institutionStaff: false }, 'quiz', 0);
      return at === null ? null : new Date(at).toISOString();
    };
    expect(shuts([])).toBeNull();
    expect(shuts([set('quiz', 'rule', until('2027-03-05'))])).toBe('2027-03-05T12:01:00.000Z');
    expect(shuts([set('quiz', 'rule', until('2027-03-05')), set('s1', 'rule', until('2027-03-04'))])).toBe(
      '2027-03-04T12:01:00.000Z',
    );
    expect(shutsAt(made([]), { role: 'learner', institutionStaff: false }, 'nowhere', 0)).toBeNull();
  });
});

describe('what attempts come to', () => {
  const judged = (shares: Readonly<Record<string, string>>, points = 1): readonly JudgedAnswer[] =>
    Object.entries(shares).map(([question, share]) => ({
      question,
      points,
      share,
      isOpen: false,
      isUnanswered: false,
    }));
  const result = (shares: Readonly<Record<string, string>>, total: number | null = null, points = 1) =>
    resultOfJudged(judged(shares, points), new Map(), total);

  test('each answer by its own kind; one to what the question was before is none', () => {
    const answers = new Map([
      ['q1', { kind: 'single', chosen: 'q1p1' }],
      ['q2', { kind: 'several', chosen: ['q2p0'] }],
      ['q7', { kind: 'long', text: 'true' }],
      ['q8', { kind: 'long', text: 'Mud' }],
    ] as const);
    expect(
      judgeAttempt(questionsOf(quiz()), answers).map((one) => [one.share, one.isOpen, one.isUnanswered]),
    ).toEqual([
      ['1/1', false, false],
      ['1/2', false, false],
      ['0/1', false, true],
      ['0/1', false, true],
      ['0/1', false, true],
      ['0/1', false, true],
      ['0/1', false, true],
      ['0/1', true, false],
    ]);
  });

  test('on the quiz’s own scale, or by what its questions come to; exactly', () => {
    expect(toNumber(result({ a: '1/3', b: '1/3' }, 10).points)).toBe(10 / 3);
    expect(toNumber(result({ a: '1/3', b: '1/3' }).points)).toBe(2 / 3);
    const thirds = result({ a: '1/3', b: '1/3', c: '1/3' });
    expect(standingOf([thirds], { counts: 'best', passAt: 1 }).hasPassed).toBe(true);
    expect(standingOf([thirds], { counts: 'best', passAt: 1.0000001 }).hasPassed).toBe(false);
    expect(standingOf([thirds], { counts: 'best', passAt: null }).hasPassed).toBeNull();
  });

  test('of attempts of unlike worth: the best share with its own points, the last, the mean of the points', () => {
    const all = [result({ a: '1/1' }, null, 2), result({ a: '1/2' }, null, 6)];
    const points = (counts: Quiz['counts']) => toNumber(standingOf(all, { counts, passAt: null }).points);
    expect([points('best'), points('last'), points('average')]).toEqual([2, 3, 2.5]);
    expect(standingOf([], { counts: 'best', passAt: 1 })).toMatchObject({ share: null, hasPassed: null });
  });

  test('what staff say goes before what was judged, and makes it final; not of what was not answered', () => {
    const open: readonly JudgedAnswer[] = [
      { question: 'a', points: 2, share: '0/1', isOpen: true, isUnanswered: false },
      { question: 'b', points: 2, share: '0/1', isOpen: false, isUnanswered: true },
    ];
    expect(resultOfJudged(open, new Map(), null)).toMatchObject({ isFinal: false });
    const marks = new Map([
      ['a', '3/4'],
      ['b', '1/1'],
    ]);
    const marked = resultOfJudged(open, marks, null);
    expect([toNumber(marked.points), marked.isFinal]).toEqual([1.5, true]);
  });

  test('judged anew no share is lowered, new points count, and what was taken out counts no more', () => {
    const before = judged({ q1: '1/1', q2: '1/2', gone: '1/1' });
    const mended = [
      { ...of('q1'), right: 'q1p0', points: 5 } as AskedQuestion,
      { ...of('q2'), right: ['q2p0'], credit: 'whole' } as AskedQuestion,
    ];
    const answers = new Map([
      ['q1', { kind: 'single', chosen: 'q1p1' }],
      ['q2', { kind: 'several', chosen: ['q2p0'] }],
    ] as const);
    expect(judgeAnew(before, mended, answers).map((one) => [one.question, one.points, one.share])).toEqual([
      ['q1', 5, '1/1'],
      ['q2', 2, '1/1'],
    ]);
    expect(readShare('2/4')).toEqual(readShare('1/2'));
  });
});
