/** What an answer gives, in exact fractions (docs/semantics.md, Work). */
import { likened } from './folding.ts';
import { readNumberAnswer } from './number-answer.ts';
import type { Question, QuestionAnswer } from './question.ts';
import {
  absolute,
  compared,
  exactly,
  largest,
  minus,
  ONE,
  over,
  partOf,
  plus,
  rational,
  times,
  ZERO,
} from './rational.ts';
import type { Rational } from './rational.ts';

export interface Judged {
  /** From nought to one. Open: staff have still to say, and until then it is nought. */
  readonly share: Rational;
  readonly isOpen: boolean;
  /** Nothing was chosen, placed or written. */
  readonly isUnanswered: boolean;
}

const UNANSWERED: Judged = { share: ZERO, isOpen: false, isUnanswered: true };
const OPEN: Judged = { share: ZERO, isOpen: true, isUnanswered: false };
const given = (share: Rational): Judged => ({ share, isOpen: false, isUnanswered: false });
const RIGHT = given(ONE);
const WRONG = given(ZERO);
const whole = (isRight: boolean): Judged => (isRight ? RIGHT : WRONG);

/** @throws TypeError where the answer is of another kind than the question */
export function judge(question: Question, answer: QuestionAnswer): Judged {
  if (question.kind === 'single' && answer.kind === 'single') {
    return isThere(question.choices, answer.chosen) ? whole(answer.chosen === question.right) : UNANSWERED;
  }
  if (question.kind === 'truth' && answer.kind === 'truth') {
    return answer.chosen === null ? UNANSWERED : whole(answer.chosen === question.right);
  }
  if (question.kind === 'several' && answer.kind === 'several') return several(question, answer.chosen);
  if (question.kind === 'short' && answer.kind === 'short') return short(question, answer.text);
  if (question.kind === 'long' && answer.kind === 'long') return isBlank(answer.text) ? UNANSWERED : OPEN;
  if (question.kind === 'number' && answer.kind === 'number') return number(question, answer);
  if (question.kind === 'matching' && answer.kind === 'matching') return matching(question, answer.placed);
  if (question.kind === 'order' && answer.kind === 'order') return order(question, answer.placed);
  throw new TypeError(`an answer of kind ${answer.kind} to a question of kind ${question.kind}`);
}

type Of<Kind extends Question['kind']> = Extract<Question, { kind: Kind }>;

/** What is no longer there was not chosen. */
const isThere = (choices: readonly { readonly id: string }[], id: string | null): boolean =>
  id !== null && choices.some((one) => one.id === id);
const hasSign = /[0-9A-Za-z]/;
const isBlank = (text: string): boolean =>
  !hasSign.test(text) && likened(text, { case: false, accents: false }) === '';

/** What a question comes to before anybody answers it: the same for all attempts that are judged in one go. */
function once<Asked extends object, Made>(make: (question: Asked) => Made): (question: Asked) => Made {
  const known = new WeakMap<Asked, Made>();
  return (question) => {
    let made = known.get(question);
    if (made === undefined) known.set(question, (made = make(question)));
    return made;
  };
}

const wantedOf = once(({ choices, right }: Of<'several'>) => ({
  there: new Set(choices.map(({ id }) => id)),
  right: new Set(right),
}));

function several(question: Of<'several'>, chosen: readonly string[]): Judged {
  const { there, right } = wantedOf(question);
  let [known, hits] = [0, 0];
  chosen.forEach((id, at) => {
    if (!there.has(id) || chosen.indexOf(id) !== at) return;
    known += 1;
    if (right.has(id)) hits += 1;
  });
  if (known === 0) return UNANSWERED;
  if (question.credit === 'whole') return whole(hits === right.size && known === right.size);
  return given(partOf(Math.max(0, hits - (known - hits)), right.size));
}

function short({ accepted, folds, otherwise }: Of<'short'>, text: string): Judged {
  if (isBlank(text)) return UNANSWERED;
  const said = likened(text, folds);
  const shares = accepted.filter((one) => likened(one.text, folds) === said).map((one) => exactly(one.share));
  if (shares.length === 0) return otherwise === 'staff' ? OPEN : whole(false);
  return given(shares.reduce(largest));
}

/** From where to where, both included; null: nobody has said what is right. */
const limitsOf = once(({ right, tolerance }: Of<'number'>) => {
  if (right === null) return null;
  const [wanted, by] = [exactly(right), exactly(tolerance.value)];
  const limit = tolerance.of === 'absolute' ? by : times(by, absolute(wanted));
  return { least: minus(wanted, limit), most: plus(wanted, limit) };
});

function number(
  question: Of<'number'>,
  { text, language }: Extract<QuestionAnswer, { kind: 'number' }>,
): Judged {
  if (isBlank(text)) return UNANSWERED;
  const limits = limitsOf(question);
  const read = readNumberAnswer(text, language);
  if (limits === null || read === null) return whole(false);
  const { units } = question;
  const unit = units.find(({ name }) => name.normalize('NFKC') === read.unit);
  // A unit that is missing where one is wanted, or given where none is.
  if (units.length === 0 ? read.unit !== '' : unit === undefined) return whole(false);
  const value = unit === undefined ? read.value : times(read.value, exactly(unit.factor));
  return whole(compared(limits.least, value) <= 0 && compared(value, limits.most) <= 0);
}

const rightsOf = once(({ rights }: Of<'matching'>) => new Map(rights.map(({ id, text }) => [id, text])));

/** Places compare by their words, so that equal right sides can stand for one another. */
function matching(question: Of<'matching'>, placed: Readonly<Record<string, string>>): Judged {
  const { lefts, pairs, credit } = question;
  const words = rightsOf(question);
  const at = (side: Readonly<Record<string, string>>, left: string): string | undefined =>
    Object.hasOwn(side, left) ? words.get(side[left] as string) : undefined;
  if (lefts.every(({ id }) => at(placed, id) === undefined)) return UNANSWERED;
  const hits = lefts.filter(
    ({ id }) => at(placed, id) !== undefined && at(placed, id) === at(pairs, id),
  ).length;
  return credit === 'whole' ? whole(hits === lefts.length) : given(partOf(hits, lefts.length));
}

const entriesOf = once(({ entries }: Of<'order'>) => new Map(entries.map(({ id, text }) => [id, text])));

function order(question: Of<'order'>, placed: readonly string[] | null): Judged {
  if (placed === null) return UNANSWERED;
  const { entries, credit } = question;
  const words = entriesOf(question);
  let [at, hits] = [0, 0];
  for (const id of placed) {
    const text = words.get(id);
    if (text === undefined) continue;
    if (entries[at]?.text === text) hits += 1;
    at += 1;
  }
  return credit === 'whole' ? whole(hits === entries.length) : given(partOf(hits, entries.length));
}

export interface AttemptResult {
  /** Sum of results over sum of points; null: there is nothing to reach. */
  readonly share: Rational | null;
  /** Staff have still to mark something of it. */
  readonly isFinal: boolean;
}

export type Counts = 'best' | 'last' | 'average';

/** Of attempts that have ended, in the order in which they began; those without a result are left out. */
export function resultOf(attempts: readonly AttemptResult[], counts: Counts): AttemptResult {
  const shares = attempts.flatMap((one) => (one.share === null ? [] : [{ ...one, share: one.share }]));
  const last = shares.at(-1);
  if (last === undefined) return { share: null, isFinal: attempts.every(({ isFinal }) => isFinal) };
  if (counts === 'last') return last;
  const isFinal = attempts.every((one) => one.isFinal);
  const all = shares.map(({ share }) => share);
  if (counts === 'best') return { share: all.reduce(largest), isFinal };
  return { share: over(all.reduce(plus, ZERO), rational(all.length)), isFinal };
}
