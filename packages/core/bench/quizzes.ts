/**
 * Ten thousand attempts of forty questions judged, with what each answer came to, against the same rules as JSON Logic.
 * Both give the same results before anything is measured.
 */
import jsonLogic from 'json-logic-js';
import type { RulesLogic } from 'json-logic-js';
import { judgeAttempt, readShare, resultOfJudged, toNumber } from '../src/index.ts';
import type { AskedQuestion, QuestionAnswer } from '../src/index.ts';
import type { Comparison } from './measure.ts';

const ATTEMPTS = 10_000;
const QUESTIONS = 40;

/** The same figures in every run (a linear congruence, Numerical Recipes). */
let seed = 15;
function random(most: number): number {
  seed = (Math.imul(seed, 1664525) + 1013904223) >>> 0;
  return Math.floor((seed / 2 ** 32) * most);
}

const part = (id: string) => ({ id, text: `Words of ${id}`, why: '', picture: null });
const PARTS = ['a', 'b', 'c', 'd'].map(part);
const shared = { text: 'Which?', why: '', required: false, pool: null };
const questions = Array.from({ length: QUESTIONS }, (_, at): AskedQuestion => {
  const base = { ...shared, id: `q${at}`, points: 1 + (at % 3), at };
  switch (at % 5) {
    case 0:
      return { ...base, kind: 'single', choices: PARTS, right: 'b' };
    case 1:
      return { ...base, kind: 'several', choices: PARTS, right: ['a', 'c'], credit: 'by_part' };
    case 2:
      return { ...base, kind: 'truth', right: true };
    case 3:
      return { ...base, kind: 'order', entries: PARTS, credit: 'by_part' };
    default:
      return {
        ...base,
        kind: 'number',
        right: 3.25,
        tolerance: { of: 'absolute', value: 0.05 },
        units: [],
      };
  }
});

function answerTo({ kind }: AskedQuestion): QuestionAnswer {
  const ids = PARTS.map(({ id }) => id);
  switch (kind) {
    case 'single':
      return { kind, chosen: ids[random(4)] ?? null };
    case 'several':
      return { kind, chosen: [ids[random(2)]!, ids[2 + random(2)]!] };
    case 'truth':
      return { kind, chosen: random(2) === 0 };
    case 'order':
      return { kind, placed: random(2) === 0 ? ids : [...ids].reverse() };
    default:
      return { kind: 'number', text: `3.${20 + random(12)}`, language: 'en' };
  }
}
const attempts = Array.from(
  { length: ATTEMPTS },
  () => new Map(questions.map((question) => [question.id, answerTo(question)])),
);

/** Of a choice that was taken. */
const weight = { if: [{ in: [{ var: 'current' }, ['a', 'c']] }, 1, -1] };
/** What each gives, from nought to one, as a rule over the plain answers. */
const rules = questions.map(({ id, kind }): RulesLogic => {
  const given = { var: id };
  switch (kind) {
    case 'single':
      return { if: [{ '===': [given, 'b'] }, 1, 0] };
    case 'truth':
      return { if: [{ '===': [given, true] }, 1, 0] };
    case 'several': {
      const right = { reduce: [given, { '+': [{ var: 'accumulator' }, weight] }, 0] };
      return { max: [{ '/': [right, 2] }, 0] } as RulesLogic;
    }
    case 'order': {
      const places = PARTS.map(({ id: part }, at) => ({
        if: [{ '===': [{ var: `${id}.${at}` }, part] }, 1, 0],
      }));
      return { '/': [{ '+': places }, PARTS.length] } as RulesLogic;
    }
    default: {
      // Hundredths, as whole numbers: a binary fraction is no limit.
      const off = { max: [{ '-': [given, 325] }, { '-': [325, given] }] };
      return { if: [{ '<=': [off, 5] }, 1, 0] } as RulesLogic;
    }
  }
});
const plain = attempts.map((answers) =>
  Object.fromEntries(
    [...answers].map(([id, answer]): [string, unknown] => {
      if (answer.kind === 'number') return [id, Math.round(Number(answer.text) * 100)];
      return [id, 'chosen' in answer ? answer.chosen : 'placed' in answer ? answer.placed : null];
    }),
  ),
);
const points = questions.map((one) => one.points);
const total = points.reduce((sum, one) => sum + one, 0);

function withJsonLogic(at: number): { readonly shares: readonly number[]; readonly share: number } {
  const shares = rules.map((rule) => Number(jsonLogic.apply(rule, plain[at])));
  return { shares, share: shares.reduce((sum, one, index) => sum + one * points[index]!, 0) / total };
}
function withCore(at: number): { readonly shares: readonly number[]; readonly share: number } {
  const judged = judgeAttempt(questions, attempts[at]!);
  const { share } = resultOfJudged(judged, new Map(), null);
  return {
    shares: judged.map((one) => toNumber(readShare(one.share))),
    share: share === null ? 0 : toNumber(share),
  };
}

export function quizComparisons(): readonly Comparison[] {
  for (let at = 0; at < 500; at += 1) {
    const [ours, theirs] = [withCore(at), withJsonLogic(at)];
    const isSame =
      Math.abs(ours.share - theirs.share) < 1e-12 &&
      ours.shares.every((share, index) => Math.abs(share - theirs.shares[index]!) < 1e-12);
    if (!isSame) throw new Error(`attempt ${at}: core gives ${ours.share}, JSON Logic ${theirs.share}`);
  }
  return [
    {
      name: 'score-vs-json-logic',
      says: 'judging attempts of 40 questions with what each came to, against the same rules in json-logic-js: times as fast',
      count: ATTEMPTS,
      one: (at) => {
        resultOfJudged(judgeAttempt(questions, attempts[at]!), new Map(), null);
      },
      other: (at) => void withJsonLogic(at),
    },
  ];
}
