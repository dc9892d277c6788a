import { describe, expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { problemCodes } from '@itinerary/contract';
import { ITEM_KINDS, MAX_MINUTES, PAIRS, readDuration, RULES, TYPED_IN } from '@itinerary/core';
import type { Palette } from '@itinerary/core';
import { STOPS } from '../../src/setup/frame/stops.ts';
import {
  formatDay,
  formatDays,
  formatLongDay,
  formatMinutes,
  formatTime,
  dayIn,
  weekdayName,
} from '../../src/words/dates.ts';
import { DARK, LIGHT } from '../../src/theme/tokens.ts';
import { PLURALS } from '../../src/words/plurals.ts';
import { LOCALES, messages } from '../support/messages.ts';
import { pictureFor, ridge } from '../../src/ui/course/picture.ts';

const SRC = join(dirname(fileURLToPath(import.meta.url)), '../../src');

describe('contrast', () => {
  /** Relative luminance and contrast ratio, WCAG 2.2. */
  const luminance = (hex: string): number => {
    const [r, g, b] = [1, 3, 5].map((at) => {
      const share = Number.parseInt(hex.slice(at, at + 2), 16) / 255;
      return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
    }) as [number, number, number];
    return 0.2126 * r + 0.7152 * g + 0.0722 * b;
  };
  const ratio = (a: string, b: string): number => {
    const [high, low] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
    return (high + 0.05) / (low + 0.05);
  };

  test('the ratio itself is right', () => expect(ratio('#000000', '#ffffff')).toBeCloseTo(21, 5));

  test.each(PAIRS.map((pair) => [pair.of, pair.on, pair.kind] as const))(
    '%s on %s (%s), light and dark',
    (of, on, kind) => {
      const least = kind === 'text' ? 4.5 : 3;
      for (const theme of [LIGHT, DARK] as readonly Palette[]) {
        expect(ratio(theme[of], theme[on])).toBeGreaterThanOrEqual(least);
      }
    },
  );
});

describe('days as people read them', () => {
  const today = '2027-02-16';

  test.each([
    ['2027-01-18', 'en', 'Mon 18 Jan'],
    ['2026-12-28', 'en', 'Mon 28 Dec 2026'],
    ['2027-09-01', 'en', 'Wed 1 Sep'],
    ['2027-01-18', 'es', 'lun 18 ene'],
  ])('%s in %s is %s', (day, locale, text) => expect(formatDay(day, locale, { today })).toBe(text));

  test.each([
    ['2027-01-11', '2027-01-17', '11–17 Jan'],
    ['2027-01-25', '2027-02-07', '25 Jan–7 Feb'],
    ['2026-12-28', '2027-01-03', '28 Dec 2026–3 Jan'],
    ['2025-12-01', '2025-12-07', '1–7 Dec 2025'],
    ['2027-01-11', '2027-01-11', '11 Jan'],
  ])('%s to %s is %s', (first, last, text) => expect(formatDays(first, last, 'en', today)).toBe(text));

  test('weekdays, long days, minutes, times in a zone', () => {
    expect([1, 6, 7].map((day) => weekdayName(day, 'en'))).toEqual(['Monday', 'Saturday', 'Sunday']);
    expect(formatLongDay('2027-01-11', 'es')).toBe('11 de enero');
    expect([25, 60, 190].map((one) => formatMinutes(one, 'en'))).toEqual(['25 min', '1 h', '3 h 10']);
    expect(formatMinutes(190, 'ar')).toBe('3 س 10');
    // What a field shows is read again as what it shows.
    for (const locale of TYPED_IN)
      for (let minutes = 0; minutes <= MAX_MINUTES; minutes += 7)
        expect(readDuration(formatMinutes(minutes, locale), { least: 0, most: MAX_MINUTES }, locale)).toEqual(
          { ok: true, value: minutes },
        );
    expect(formatTime('2027-07-01T09:42:00Z', 'en', 'Europe/Lisbon')).toBe('10:42');
    expect(dayIn('2027-01-10T12:00:00Z', 'Pacific/Apia')).toBe('2027-01-11');
  });
});

describe('languages', () => {
  interface Tree {
    readonly [key: string]: string | Tree;
  }
  const flat = (tree: Tree, path = ''): [string, string][] =>
    Object.entries(tree).flatMap(([key, value]) =>
      typeof value === 'string'
        ? [[`${path}${key}`, value] as [string, string]]
        : flat(value, `${path}${key}.`),
    );
  const english = new Map(flat(messages.en as unknown as Tree));
  /** Arabic sentences that bend with a number have a form for each of CLDR's categories, or all alike two. */
  const forms = (locale: string, inEnglish: number): readonly number[] =>
    locale !== 'ar' || inEnglish === 1 ? [inEnglish] : [inEnglish, inEnglish === 3 ? 6 : 5];

  test.each(LOCALES)(
    '%s has the same sentences, with the same values and the forms that its numbers need',
    (locale) => {
      const own = new Map(flat(messages[locale] as unknown as Tree));
      expect(english.size).toBeGreaterThan(250);
      expect([...own.keys()].sort()).toEqual([...english.keys()].sort());
      for (const [key, text] of english) {
        const values = (of: string): string[] => [...new Set(of.match(/\{\w+\}/g) ?? [])].sort();
        const other = own.get(key) ?? '';
        expect(forms(locale, text.split(' | ').length)).toContain(other.split(' | ').length);
        if (key !== 'desk.new.midWeek') {
          expect({ key, values: values(other) }).toEqual({ key, values: values(text) });
        }
        // Only names, figures and words that both languages have stay as they are.
        if (locale !== 'en' && text.length > 30) expect({ key, other }).not.toEqual({ key, other: text });
      }
    },
  );

  test.each([
    ['ar', [0, 1, 2, 3, 11, 100], 6, [0, 1, 2, 3, 4, 5]],
    ['ar', [0, 1, 2, 3, 11, 100], 5, [4, 0, 1, 2, 3, 4]],
    ['fr', [0, 1, 2], 2, [0, 0, 1]],
    ['fr', [0, 1, 2], 3, [0, 1, 2]],
  ])('numbers bend sentences in %s', (locale, counts, of, chosen) => {
    expect(counts.map((count) => PLURALS[locale]?.(count, of))).toEqual(chosen);
  });

  test('have words for every kind of item wherever they have them for kinds', () => {
    const ofKinds = (tree: Tree, path: string): (readonly [string, Tree])[] => {
      const named = ITEM_KINDS.filter((kind) => kind in tree).length;
      const inner = Object.entries(tree).flatMap(([key, value]) =>
        typeof value === 'string' ? [] : ofKinds(value, `${path}.${key}`),
      );
      return named > ITEM_KINDS.length / 2 ? [[path, tree], ...inner] : inner;
    };
    const found = ofKinds(messages.en as unknown as Tree, 'en');
    expect(found.map(([path]) => path)).toContain('en.learner.kinds');
    for (const [path, tree] of found)
      expect({ path, missing: ITEM_KINDS.filter((kind) => !(kind in tree)) }).toEqual({ path, missing: [] });
  });

  test('name every stop, and say what it is for', () => {
    for (const stop of STOPS)
      for (const part of ['stops', 'leads']) expect([...english.keys()]).toContain(`setup.${part}.${stop}`);
  });

  test('say every code that core and contract can give', () => {
    for (const code of problemCodes) expect([...english.keys()]).toContain(`common.problems.${code}`);
    for (const { id } of RULES)
      for (const part of ['what', 'why', 'cure'])
        expect([...english.keys()]).toContain(`setup.rules.${id}.${part}`);
  });

  const files = readdirSync(SRC, { recursive: true, encoding: 'utf8' }).filter(
    (name) => /\.(vue|ts)$/.test(name) && !name.startsWith('locales'),
  );

  test('have every sentence that a component asks for', () => {
    const asked = files.flatMap((name) =>
      [...readFileSync(join(SRC, name), 'utf8').matchAll(/\bt\(\s*'([\w.]+)'/g)].map(
        (found) => found[1] as string,
      ),
    );
    expect(asked.length).toBeGreaterThan(100);
    expect(asked.filter((key) => !english.has(key))).toEqual([]);
  });

  test('are the only place of sentences: no component has one of its own', () => {
    const spoken = files
      .filter((name) => name.endsWith('.vue'))
      .flatMap((name) => {
        const template =
          /<template>([\s\S]*)<\/template>/.exec(readFileSync(join(SRC, name), 'utf8'))?.[1] ?? '';
        const words = template
          .replaceAll(/<!--[\s\S]*?-->/g, '')
          .replaceAll(/\{\{[\s\S]*?\}\}/g, '')
          .replaceAll(/<(?:"[^"]*"|'[^']*'|[^>"'])*>/g, '\n');
        return (words.match(/[\p{L}]{3,}[^\n]*/gu) ?? [])
          .filter((text) => text.trim() !== 'Itinerary')
          .map((text) => `${name}: ${text.trim()}`);
      });
    expect(spoken).toEqual([]);
  });
});

describe('a course without a picture', () => {
  const drawn = (title: string, colour: string | null = null) => pictureFor(title, 'C-1', colour);

  test('keeps the one that is computed, and its ridges stay inside it', () => {
    expect(drawn('Estuary')).toEqual(drawn('Estuary'));
    for (let at = 0; at < 60; at += 1) {
      const { farLine, nearLine } = drawn(`Course ${at}`);
      for (const height of [...farLine, ...nearLine]) expect(height > 0.1 && height < 0.8).toBe(true);
      expect(ridge(farLine)).toMatch(/^M0 80V[\d.]+C.*Z$/);
    }
  });

  test('has its ridges from its title, and its colours from its own or else from its code', () => {
    const skies = new Set(Array.from({ length: 60 }, (_, at) => pictureFor('One', `C-${at}`, null).sky));
    expect(skies.size).toBe(6);
    expect(drawn('One').farLine).not.toEqual(drawn('Another').farLine);
    expect(drawn('One', '#1f6b66').near).toContain('#1f6b66');
    expect(drawn('One', '#1f6b66').farLine).toEqual(drawn('One').farLine);
  });
});
