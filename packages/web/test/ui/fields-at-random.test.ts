/**
 * No field ever holds a value that differs from what it shows: typed at random, left at random, in four languages.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { expect, test } from '@jest/globals';
import type { VueWrapper } from '@vue/test-utils';
import fc from 'fast-check';
import type { Component } from 'vue';
import { CASES } from '../../../core/test/typed/cases.ts';
import CellField from '../../src/ui/fields/CellField.vue';
import ColourField from '../../src/ui/fields/ColourField.vue';
import DayField from '../../src/ui/fields/when/DayField.vue';
import DraftField from '../../src/ui/fields/DraftField.vue';
import DurationField from '../../src/ui/fields/when/DurationField.vue';
import NumberField from '../../src/ui/fields/NumberField.vue';
import TimeField from '../../src/ui/fields/when/TimeField.vue';
import { enough, runs } from '../../../core/test/support/runs.ts';
import { showing } from '../support/mounted.ts';

const show = showing();
const LANGUAGES = ['en', 'es', 'fr', 'ar'] as const;

interface Field {
  readonly component: Component;
  readonly props: Record<string, unknown>;
  /** The prop that it holds its value in, and what it tells another by. */
  readonly holds: string;
  readonly tells: string;
  readonly start: unknown;
}

const FIELDS: readonly Field[] = [
  { component: NumberField, props: { least: 0, most: 500 }, holds: 'number', tells: 'set', start: 7 },
  {
    component: NumberField,
    props: { least: 0, most: 500, fractions: true, required: true },
    holds: 'number',
    tells: 'set',
    start: 7.5,
  },
  { component: DurationField, props: { most: 10_000 }, holds: 'minutes', tells: 'set', start: 90 },
  { component: DayField, props: { name: 'day' }, holds: 'day', tells: 'day', start: '2027-02-22' },
  { component: TimeField, props: {}, holds: 'time', tells: 'set', start: '23:59' },
  { component: ColourField, props: { name: 'colour' }, holds: 'colour', tells: 'set', start: '#15493b' },
  { component: DraftField, props: { most: 12 }, holds: 'text', tells: 'type', start: 'Low water' },
  {
    component: CellField,
    props: { most: 12, readonly: false, missing: 'It needs one' },
    holds: 'text',
    tells: 'type',
    start: 'Low water',
  },
];

/** What a field would show of a value, were it opened with it. */
const written = new Map<string, string>();
function writtenIn(field: Field, locale: (typeof LANGUAGES)[number], value: unknown): string {
  const key = JSON.stringify([FIELDS.indexOf(field), locale, value]);
  const known = written.get(key);
  if (known !== undefined) return known;
  const fresh = show(field.component, {
    props: { ...field.props, label: 'fresh', [field.holds]: value },
    locale,
  });
  const shown = fresh.get('input').element.value;
  fresh.unmount();
  written.set(key, shown);
  return shown;
}

const isHeld = (wrapper: VueWrapper): boolean =>
  wrapper.get('input').attributes('aria-invalid') === 'true' &&
  wrapper.findAll('[role="alert"], .said.wrong').some((one) => one.text().trim() !== '');

const typed = fc.oneof(
  { weight: 5, arbitrary: fc.constantFrom(...CASES.map(([, , text]) => text)) },
  { weight: 1, arbitrary: fc.string({ maxLength: 16 }) },
);
/** How a field is left: by a press elsewhere or Tab, by Enter (and stayed in), or not yet. */
const act = fc.record({ text: typed, by: fc.constantFrom('blur', 'enter', 'no') });
const run = fc.record({
  field: fc.constantFrom(...FIELDS),
  locale: fc.constantFrom(...LANGUAGES),
  acts: fc.array(act, { minLength: 1, maxLength: 3 }),
});

test('what a field holds is what it shows, or it says why not, over two thousand runs', async () => {
  const standing = new Map<string, { wrapper: VueWrapper; value: unknown }>();
  let [taken, refused] = [0, 0];
  await fc.assert(
    fc.asyncProperty(run, async ({ field, locale, acts }) => {
      const key = `${FIELDS.indexOf(field)} ${locale}`;
      const { component, props, holds, tells, start } = field;
      let at = standing.get(key);
      if (at === undefined) {
        const wrapper = show(component, { props: { ...props, label: key, [holds]: start }, locale });
        at = { wrapper, value: start };
        standing.set(key, at);
      }
      const input = at.wrapper.get('input');
      for (const { text, by } of [...acts, { text: null, by: 'blur' } as const]) {
        if (text !== null) await input.setValue(text);
        if (by === 'blur') await input.trigger('blur');
        if (by === 'enter') await input.trigger('keydown', { key: 'Enter' });
        // Whoever has the field keeps what it is told.
        const told = at.wrapper.emitted(tells);
        if (told !== undefined && told.length > 0) {
          at.value = told.at(-1)?.[0];
          told.length = 0;
          await at.wrapper.setProps({ [holds]: at.value });
        }
        if (by === 'no') continue;
        const isLetters = holds === 'text' && by !== 'blur';
        const shown = isLetters ? input.element.value.trim() : input.element.value;
        const isSame = shown === writtenIn(field, locale, at.value);
        if (!isSame)
          expect({ key, text, by, shown, value: at.value, held: isHeld(at.wrapper) }).toMatchObject({
            held: true,
          });
        if (isSame) taken += 1;
        else refused += 1;
      }
    }),
    { numRuns: runs(2000), seed: 20270216 },
  );
  expect(Math.min(taken, refused)).toBeGreaterThan(enough(800));
}, 180_000);
