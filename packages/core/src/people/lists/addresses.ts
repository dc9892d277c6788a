/**
 * People as they are pasted from a letter: addresses apart by commas, semicolons, spaces or line ends, with or without
 * names before them and angle brackets around them (RFC 5322 section 3.4, read more generously).
 */
import { tidy } from './words.ts';

export interface NamedAddress {
  readonly line: number;
  readonly name: string | null;
  readonly address: string;
}

const ADDRESS = /^[^\s@<>,;:"()]+@[^\s@<>,;:"()]+\.[^\s@<>,;:"()]+$/;
export const isAddress = (text: string): boolean => ADDRESS.test(text);

const IN_BRACKETS = /(?:"((?:[^"\\]|\\.)*)"|([^<>;"]*?))\s*<\s*([^<>\s]+@[^<>\s]+)\s*>\s*/gy;
const BARE = /([^\s@<>,;"()]+@[^\s@<>,;"()]+\.[^\s@<>,;"()]+)/y;
const BETWEEN = /[\s,;]+/y;

/** @returns the people, or null where the text is anything else: a table, or words. */
export function addressesIn(text: string): readonly NamedAddress[] | null {
  if (!text.includes('@')) return null;
  const found: NamedAddress[] = [];
  let at = 0;
  let line = 1;
  const take = (pattern: RegExp): RegExpExecArray | null => {
    pattern.lastIndex = at;
    const match = pattern.exec(text);
    if (match === null || match[0] === '') return null;
    at += match[0].length;
    return match;
  };
  const lines = (words: string): number => words.match(/\n/g)?.length ?? 0;
  while (at < text.length) {
    const between = take(BETWEEN);
    if (between !== null) {
      line += lines(between[0]);
      continue;
    }
    const bare = take(BARE);
    if (bare !== null) {
      found.push({ line, name: null, address: bare[1] ?? '' });
      continue;
    }
    const named = take(IN_BRACKETS);
    if (named === null) return null;
    const name = tidy((named[1] ?? named[2] ?? '').replaceAll(/\\(.)/g, '$1'));
    // A name goes over no line: what stands above belongs to somebody else, or is no list of addresses.
    if (lines(named[2] ?? '') > 0) return null;
    const address = named[3] ?? '';
    if (!isAddress(address)) return null;
    found.push({ line, name: name === '' ? null : name.replace(/^'(.*)'$/, '$1'), address });
    line += lines(named[0]);
  }
  return found.length === 0 ? null : found;
}
