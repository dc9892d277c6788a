/**
 * Questions as people type them in a mail: a numbered line, lettered lines with a star at the right ones, and a line for
 * why. What is written out is read back the same.
 *
 *     1. Which of these live in mud? (2)
 *     a) Cockle *          * the right ones; several of them, or [ ] in front, and it is several choices
 *     b) Limpet
 *     > Cockles dig in.    > why
 *     = Zostera            = what is right where there is nothing to choose: words, a number, true or false; ... long text
 *     Cockle -> a shell    -> what goes together
 *     + Dig                + in their right order
 */
import { readNumberAnswer } from './number-answer.ts';
import { planned } from './planned.ts';
import type { Choice, Question } from './question.ts';

export type WrittenQuestion = Question & {
  readonly text: string;
  /** Why it is so; empty: nobody says. */
  readonly why: string;
};

export interface Unread {
  /** Of the block, from 1. */
  readonly line: number;
  readonly value: string;
  readonly code:
    'no_question' | 'no_right' | 'one_choice' | 'mixed' | 'nothing_asked' | 'points' | 'too_much';
}

export interface ReadBlock {
  readonly questions: readonly WrittenQuestion[];
  /** What could not be read, and why; of a question in which something could not, nothing is taken. */
  readonly unread: readonly Unread[];
  /** The lines of what could not be read, as they were typed: to be put right where they stand. */
  readonly left: string;
}

interface Line {
  readonly at: number;
  readonly text: string;
}
interface Raw {
  /** The line of its head, with its number. */
  readonly typed: string;
  readonly head: Line;
  readonly more: Line[];
}

const HEAD = /^\s*\d{1,3}\s*[.)]\s+(.+)$/u;
const CHOICE = /^\s*(\*?)\s*(?:\(([A-Za-z])\)|([A-Za-z])[.)]|\[( |x|X|\*)?\])\s+(.+?)(\s*\*)?\s*$/u;
const RIGHT = /^\s*=\s*(.+?)\s*$/u;
const WHY = /^\s*>\s?(.*)$/u;
const PAIR = /^\s*(.+?)\s*(?:->|→|=>)\s*(.+?)\s*$/u;
const ENTRY = /^\s*\+\s+(.+?)\s*$/u;
const POINTS = /\s*\((\d+(?:[.,]\d+)?)\s*(?:points?|pts?\.?|puntos?|نقطة|نقاط)?\)\s*$/iu;
const SHARE = /\s*\((\d{1,3})\s*%\)$/u;
const OFF = /\s*(?:±|\+\/-)\s*(\d+(?:\.\d+)?)\s*(%?)$/u;
const TRUE = ['true', 'verdadero', 'vrai', 'صحيح', 'صح'];
const FALSE = ['false', 'falso', 'faux', 'خطأ', 'خاطئ'];
const LONG = /^(?:\.{3}|…)$/u;

/** @param idOf of the question at a place, and of a part of it: given, so that the same is read twice */
export function readQuestions(block: string, idOf: (question: number, part?: number) => string): ReadBlock {
  const unread: Unread[] = [];
  const raws: Raw[] = [];
  const left: string[] = [];
  block.split(/\r\n?|\n/).forEach((text, index) => {
    const line = { at: index + 1, text };
    if (text.trim() === '') return;
    const head = HEAD.exec(text);
    const last = raws.at(-1);
    if (head !== null) raws.push({ typed: text, head: { ...line, text: head[1] ?? '' }, more: [] });
    else if (last === undefined) {
      unread.push({ line: line.at, value: text.trim(), code: 'no_question' });
      left.push(text);
    } else last.more.push(line);
  });
  const questions: WrittenQuestion[] = [];
  for (const raw of raws) {
    const got = readOne(raw, (part) => idOf(questions.length, part));
    const isTooMuch = !('code' in got) && planned(got, 0) === null;
    const wrong: Unread = { line: raw.head.at, value: raw.head.text.trim(), code: 'too_much' };
    const read = isTooMuch ? wrong : got;
    if (!('code' in read)) questions.push(read);
    else {
      unread.push(read);
      left.push(raw.typed, ...raw.more.map(({ text }) => text), '');
    }
  }
  return { questions, unread: unread.sort((a, b) => a.line - b.line), left: left.join('\n').trim() };
}

interface Parts {
  readonly words: string[];
  readonly why: string[];
  readonly choices: { readonly text: string; readonly isRight: boolean; readonly isBoxed: boolean }[];
  readonly rights: Line[];
  readonly pairs: { readonly left: string; readonly right: string }[];
  readonly entries: string[];
}

function partsOf({ head, more }: Raw): Parts {
  const parts: Parts = { words: [head.text], why: [], choices: [], rights: [], pairs: [], entries: [] };
  for (const line of more) {
    const why = WHY.exec(line.text);
    const choice = CHOICE.exec(line.text);
    const right = RIGHT.exec(line.text);
    const entry = ENTRY.exec(line.text);
    const pair = PAIR.exec(line.text);
    if (why !== null) parts.why.push(why[1] ?? '');
    else if (choice !== null) {
      const [, before, , , box, text = '', after] = choice;
      const isBoxed = choice[2] === undefined && choice[3] === undefined;
      const isRight = before === '*' || after !== undefined || (box !== undefined && box !== ' ');
      parts.choices.push({ text, isRight, isBoxed });
    } else if (right !== null) parts.rights.push({ at: line.at, text: right[1] ?? '' });
    else if (entry !== null) parts.entries.push(entry[1] ?? '');
    else if (pair !== null) parts.pairs.push({ left: pair[1] ?? '', right: pair[2] ?? '' });
    // What is none of these goes on with the question.
    else parts.words.push(line.text.trim());
  }
  return parts;
}

function readOne(raw: Raw, idOf: (part?: number) => string): WrittenQuestion | Unread {
  const parts = partsOf(raw);
  const wrong = (code: Unread['code'], line = raw.head): Unread => ({
    line: line.at,
    value: line.text.trim(),
    code,
  });
  const said = POINTS.exec(parts.words[0] ?? '');
  const points = said === null ? 1 : Number((said[1] ?? '').replace(',', '.'));
  if (points > 1000) return wrong('points');
  const [first = '', ...others] = parts.words;
  const text = [said === null ? first.trim() : first.slice(0, said.index).trim(), ...others].join('\n');
  if (text === '') return wrong('nothing_asked');
  const base = { id: idOf(), points, text, why: parts.why.join('\n') };
  const { choices, rights, pairs, entries } = parts;
  const kinds = [choices, rights, pairs, entries].filter((all) => all.length > 0);
  if (kinds.length > 1) return wrong('mixed');
  const listed = (texts: readonly string[], from = 0): readonly Choice[] =>
    texts.map((one, at) => ({ id: idOf(from + at), text: one }));
  if (choices.length > 0) {
    if (choices.length === 1) return wrong('one_choice');
    const all = listed(choices.map((one) => one.text));
    const right = all.filter((_, at) => choices[at]?.isRight === true).map(({ id }) => id);
    const [only] = right;
    if (only === undefined) return wrong('no_right');
    return right.length > 1 || choices.some(({ isBoxed }) => isBoxed)
      ? { ...base, kind: 'several', choices: all, right, credit: 'by_part' }
      : { ...base, kind: 'single', choices: all, right: only };
  }
  if (entries.length > 0) {
    if (entries.length === 1) return wrong('one_choice');
    return { ...base, kind: 'order', entries: listed(entries), credit: 'by_part' };
  }
  if (pairs.length > 0) {
    const lefts = listed(pairs.map(({ left }) => left));
    const sides = listed(
      pairs.map(({ right }) => right),
      pairs.length,
    );
    const by = Object.fromEntries(lefts.map(({ id }, at) => [id, sides[at]?.id ?? '']));
    return { ...base, kind: 'matching', lefts, rights: sides, pairs: by, credit: 'by_part' };
  }
  const [right] = rights;
  if (right === undefined) return wrong('no_right');
  if (rights.length === 1) {
    const word = right.text.toLowerCase();
    if (LONG.test(word)) return { ...base, kind: 'long' };
    if (TRUE.includes(word) || FALSE.includes(word))
      return { ...base, kind: 'truth', right: TRUE.includes(word) };
    const asNumber = numberOf(right.text);
    if (asNumber !== null) return { ...base, kind: 'number', ...asNumber };
  }
  const accepted = rights.map(({ text: one }) => {
    const share = SHARE.exec(one);
    return share === null
      ? { text: unquoted(one), share: 1 }
      : { text: unquoted(one.slice(0, share.index)), share: Math.min(100, Number(share[1])) / 100 };
  });
  return { ...base, kind: 'short', accepted, folds: { case: true, accents: false }, otherwise: 'wrong' };
}

/** Between quotation marks it is words, whatever they look like. */
const unquoted = (text: string): string => /^"(.*)"$/su.exec(text.trim())?.[1] ?? text.trim();

function numberOf(
  text: string,
): Pick<Extract<Question, { kind: 'number' }>, 'right' | 'tolerance' | 'units'> | null {
  const off = OFF.exec(text);
  const read = readNumberAnswer(off === null ? text : text.slice(0, off.index), 'en');
  if (read === null || (read.unit !== '' && !/^[\p{L}°%‰µ]+[²³\d/·^\p{L}-]*$/u.test(read.unit))) return null;
  const right = Number(read.value.n) / Number(read.value.d);
  const isShare = off?.[2] === '%';
  const value = off === null ? 0 : Number(off[1]) / (isShare ? 100 : 1);
  return {
    right,
    tolerance: { of: isShare ? 'share' : 'absolute', value },
    units: read.unit === '' ? [] : [{ name: read.unit, factor: 1 }],
  };
}

const LETTERS = 'abcdefghijklmnopqrstuvwxyz';

/** In the same notation, numbered from one. What it has no sign for is not in it: folds, credit, several units. */
export function writeQuestions(questions: readonly WrittenQuestion[]): string {
  return questions
    .map((one, at) => [`${at + 1}. ${headOf(one)}`, ...bodyOf(one), ...whyOf(one)].join('\n'))
    .join('\n\n');
}

function headOf({ text, points }: WrittenQuestion): string {
  const [first = '', ...others] = text.split('\n');
  return [points === 1 ? first : `${first} (${points})`, ...others].join('\n');
}
const whyOf = ({ why }: WrittenQuestion): readonly string[] =>
  why === '' ? [] : why.split('\n').map((line) => `> ${line}`);

function bodyOf(one: WrittenQuestion): readonly string[] {
  switch (one.kind) {
    case 'single':
      return one.choices.map(
        ({ id, text }, at) => `${LETTERS[at] ?? 'z'}) ${text}${id === one.right ? ' *' : ''}`,
      );
    case 'several':
      return one.choices.map(({ id, text }) => `[${one.right.includes(id) ? 'x' : ' '}] ${text}`);
    case 'truth':
      return one.right === null ? [] : [`= ${String(one.right)}`];
    case 'long':
      return ['= ...'];
    case 'order':
      return one.entries.map(({ text }) => `+ ${text}`);
    case 'matching':
      return one.lefts.map(({ id, text }) => {
        const right = one.rights.find((side) => side.id === one.pairs[id]);
        return `${text} -> ${right?.text ?? ''}`;
      });
    case 'number': {
      if (one.right === null) return [];
      const { of, value } = one.tolerance;
      const off =
        value === 0 ? '' : ` ± ${of === 'share' ? `${Number((value * 100).toPrecision(12))} %` : value}`;
      return [`= ${one.right}${one.units[0] === undefined ? '' : ` ${one.units[0].name}`}${off}`];
    }
    case 'short':
      return one.accepted.map(
        ({ text, share }) => `= "${text}"${share === 1 ? '' : ` (${Math.round(share * 100)} %)`}`,
      );
  }
}
