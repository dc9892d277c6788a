/** That every sentence can be said, in every language. */
import { describe, expect, test } from '@jest/globals';
import { createI18n } from 'vue-i18n';
import { LOCALES, messages } from '../support/messages.ts';
import { courseEntries, courseFields, ITEM_KINDS, nodeEntries, nodeFields } from '@itinerary/core';
import type { FieldValue } from '@itinerary/core';
import { PLURALS } from '../../src/words/plurals.ts';
import { fieldKey, valueWords } from '../../src/setup/frame/notice-words.ts';

describe('every sentence can be said', () => {
  interface Tree {
    readonly [key: string]: string | Tree;
  }
  const keys = (tree: Tree, base = ''): string[] =>
    Object.entries(tree).flatMap(([key, value]) =>
      typeof value === 'string' ? [`${base}${key}`] : keys(value, `${base}${key}.`),
    );

  test.each(LOCALES)('in %s every field has a name', (locale) => {
    const kinds = ['section', ...ITEM_KINDS] as const;
    const fields = [
      ...courseFields(),
      ...courseEntries(),
      ...kinds.flatMap((kind) => [...nodeFields(kind), ...nodeEntries(kind)]),
    ];
    const named = messages[locale].setup.fields as Readonly<Record<string, string>>;
    for (const field of fields) {
      const key = fieldKey(field).replace('setup.fields.', '');
      expect({ field, name: named[key] }).toEqual({ field, name: expect.any(String) });
    }
    expect(fieldKey('dates.pauses.spring')).toBe('setup.fields.dates_pauses');
    expect(new Set(Object.keys(named))).toEqual(
      new Set(fields.map((field) => fieldKey(field).replace('setup.fields.', ''))),
    );
  });

  test('what a field holds is told in words', () => {
    const t = (key: string): string => key.replace('setup.notices.', '');
    const titleOf = (id: string): string | null => (id === 'quiz' ? 'Salt' : null);
    const words = (field: string, said: FieldValue): string => valueWords(field, said, t, titleOf);
    expect(words('text', 'a'.repeat(64))).toBe('aText');
    expect(words('introduction', 'a'.repeat(64))).toBe('aText');
    expect(words('text', null)).toBe('nothing');
    expect(words('title', 'Mud')).toBe('Mud');
    expect(words('minutes', 25)).toBe('25');
    expect(words('shown', false)).toBe('no');
    expect(words('tags', ['a', 'b'])).toBe('a, b');
    expect(words('due', { kind: 'fixed', day: '2027-01-15', time: '09:00' })).toBe('2027-01-15 09:00');
    expect(words('due', { kind: 'usual' })).toBe('other');
    expect(words('dates.pauses.p', { name: 'Spring break', first: '2027-03-08' })).toBe('Spring break');
    expect(words('dates.around', 'quiz')).toBe('Salt');
    expect(words('dates.around', 'gone')).toBe('anItem');
    expect(words('teaches', ['id'])).toBe('other');
  });

  test.each(LOCALES)('in %s, for none, one and many', (locale) => {
    const { t } = createI18n({
      legacy: false,
      locale,
      pluralRules: PLURALS,
      messages,
      missingWarn: false,
      fallbackWarn: false,
    }).global;
    const all = keys(messages[locale] as unknown as Tree);
    expect(all.length).toBeGreaterThan(250);
    const names = [
      'title',
      'when',
      'count',
      'weeks',
      'day',
      'weekday',
      'term',
      'name',
      'number',
      'time',
      'who',
      'field',
      'place',
      'yours',
      'theirs',
      'now',
      'wanted',
      'zone',
      'sections',
      'items',
      'weekStart',
      'moved',
      'firstDay',
      'lastDay',
      'first',
      'filled',
      'needed',
      'least',
      'most',
    ];
    const values = Object.fromEntries(names.map((name) => [name, `<${name}>`]));
    for (const key of all) {
      for (const plural of [0, 1, 2, 7, 23, 100]) {
        const said = String(
          (t as (key: string, values: object, options: object) => string)(
            key,
            { ...values, count: plural },
            { plural },
          ),
        );
        expect({ key, said }).not.toMatchObject({ said: key });
        expect({ key, said, open: /[{}|]/.test(said) }).toEqual({ key, said, open: false });
      }
    }
  });
});
