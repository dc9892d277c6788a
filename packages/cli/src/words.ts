/** The words of a command, read: what is not expected gets a sentence that names it. */
import { isRealDay } from '@itinerary/core';
import { PERSONS } from './access-file.ts';
import type { Person } from './access-file.ts';

export interface Words {
  readonly command: string | undefined;
  readonly rest: readonly string[];
  readonly json: boolean;
  readonly at: string | null;
  readonly as: Person;
  readonly joined: string | null;
  readonly groups: readonly string[];
  readonly done: readonly string[];
}

type Options = { -readonly [Name in 'json' | 'at' | 'as' | 'joined' | 'groups' | 'done']: Words[Name] };

/** Each takes the word after it, and says what is wrong with that. */
const TAKING: Readonly<Record<string, (word: string, options: Options) => string | null>> = {
  '--at': (word, options) => {
    options.at = word;
    const isMoment = !Number.isNaN(Date.parse(word)) && /T.*(Z|[+-]\d\d:\d\d)$/.test(word);
    return isMoment ? null : 'a moment such as 2027-01-11T09:00:00Z';
  },
  '--as': (word, options) => {
    const person = PERSONS.find((one) => one === word);
    if (person === undefined) return `one of ${PERSONS.join(', ')}`;
    options.as = person;
    return null;
  },
  '--joined': (word, options) => {
    options.joined = word;
    return isRealDay(word) ? null : 'a day that exists, written YYYY-MM-DD';
  },
  '--in': (word, options) => {
    options.groups = listed(word);
    return options.groups.length > 0 ? null : 'groups or classes, by id or name, separated by commas';
  },
  '--done': (word, options) => {
    options.done = listed(word);
    return options.done.length > 0 ? null : 'ids of items, separated by commas';
  },
};

const listed = (word: string): readonly string[] =>
  word
    .split(',')
    .map((one) => one.trim())
    .filter((one) => one !== '');

/** A sentence when a word is not known here. */
export function readWords(words: readonly string[]): Words | string {
  const plain: string[] = [];
  const options: Options = { json: false, at: null, as: 'learner', joined: null, groups: [], done: [] };
  for (let index = 0; index < words.length; index += 1) {
    const word = words[index] as string;
    const take = TAKING[word];
    if (word === '--json') options.json = true;
    else if (take !== undefined) {
      index += 1;
      const value = words[index] ?? '';
      const expected = take(value, options);
      if (expected !== null) return `after ${word} stands "${value}"; expected: ${expected}`;
    } else if (word.startsWith('--')) {
      return `"${word}" is not known here; --json, ${Object.keys(TAKING).join(', ')} are`;
    } else plain.push(word);
  }
  const [command, ...rest] = plain;
  return { command, rest, ...options };
}
