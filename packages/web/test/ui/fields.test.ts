/**
 * Fields as they stand on a page: what is typed, what is told, what is refused and said.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { describe, expect, test } from '@jest/globals';
import type { VueWrapper } from '@vue/test-utils';
import { defineComponent, h } from 'vue';
import DraftField from '../../src/ui/fields/DraftField.vue';
import CheckField from '../../src/ui/fields/choice/CheckField.vue';
import MoveButtons from '../../src/setup/fields/MoveButtons.vue';
import ChoiceTiles from '../../src/ui/fields/choice/ChoiceTiles.vue';
import DayField from '../../src/ui/fields/when/DayField.vue';
import DurationField from '../../src/ui/fields/when/DurationField.vue';
import NumberField from '../../src/ui/fields/NumberField.vue';
import { useForm } from '../../src/ui/fields/reading/refusals.ts';
import TimeField from '../../src/ui/fields/when/TimeField.vue';
import ZoneField from '../../src/ui/fields/when/ZoneField.vue';
import PurposeTiles from '../../src/ui/fields/choice/PurposeTiles.vue';
import { showing } from '../support/mounted.ts';

const show = showing();
/** What comes by itself has come. */
const settled = (): Promise<void> => new Promise((done) => setTimeout(done, 50));

describe('a field of words', () => {
  const props = { text: 'Tide', label: 'Title', readonly: false };

  test('tells what is typed, trimmed, and keeps the space that is typed until it is left', async () => {
    const wrapper = show(DraftField, { props });
    const input = wrapper.get('input');
    await input.setValue('Tides and ');
    expect(wrapper.emitted('type')).toEqual([['Tides and']]);
    expect(input.element.value).toBe('Tides and ');
    await input.trigger('blur');
    expect(input.element.value).toBe('Tide');
    await wrapper.setProps({ text: 'Tides and' });
    expect(input.element.value).toBe('Tides and');
  });

  test('says what is wrong, and tells nothing of it', async () => {
    const wrong = (text: string): string | null => (text === '' ? 'A course needs a title' : null);
    const wrapper = show(DraftField, { props: { ...props, wrong } });
    await wrapper.get('input').setValue('');
    expect(wrapper.text()).toContain('A course needs a title');
    expect(wrapper.emitted('type')).toBeUndefined();
    await wrapper.get('input').trigger('blur');
    expect(wrapper.get('input').element.value).toBe('');
  });

  test('is read where nothing may be changed', () => {
    const wrapper = show(DraftField, { props: { ...props, readonly: true } });
    expect(wrapper.get('input').attributes('readonly')).toBeDefined();
  });
});

/** Types, and leaves the field. */
async function put(wrapper: VueWrapper, text: string): Promise<void> {
  await wrapper.get('input').setValue(text);
  await wrapper.get('input').trigger('blur');
}
const standsIn = (wrapper: VueWrapper): string => wrapper.get('input').element.value;

describe('a number', () => {
  const props = { number: 6, least: 1, most: 20, label: 'Hours' };

  test.each([
    ['7', [[7]], null],
    ['', [[null]], null],
    ['21', undefined, 'from 1 to 20'],
    ['0', undefined, 'from 1 to 20'],
    ['6.5', undefined, 'from 1 to 20'],
    ['six', undefined, 'from 1 to 20'],
  ])('typed as "%s" tells %j, once it is left; what is refused stays', async (typed, told, said) => {
    const wrapper = show(NumberField, { props });
    await wrapper.get('input').setValue(typed);
    expect(wrapper.emitted('set')).toBeUndefined();
    await wrapper.get('input').trigger('blur');
    expect(wrapper.emitted('set')).toEqual(told);
    if (said === null) return;
    expect(wrapper.text()).toContain(said);
    expect(standsIn(wrapper)).toBe(typed);
  });

  test('says nothing while it is typed, and goes on saying it until it is right', async () => {
    const wrapper = show(NumberField, { props });
    await wrapper.get('input').setValue('21');
    expect(wrapper.text()).not.toContain('from 1 to 20');
    await wrapper.get('input').trigger('keydown', { key: 'Enter' });
    expect(wrapper.text()).toContain('from 1 to 20');
    await put(wrapper, '12');
    expect(wrapper.text()).not.toContain('from 1 to 20');
    expect(wrapper.emitted('set')).toEqual([[12]]);
  });

  test('takes parts of one where it may, with the reader’s decimal sign, and shows them so', async () => {
    const wrapper = show(NumberField, { props: { ...props, number: 7.5, fractions: true }, locale: 'fr' });
    expect(standsIn(wrapper)).toBe('7,5');
    await put(wrapper, '8,25');
    await put(wrapper, '9.5');
    expect(wrapper.emitted('set')).toEqual([[8.25], [9.5]]);
  });

  test('that has to be one does not take nothing', async () => {
    const wrapper = show(NumberField, { props: { ...props, required: true } });
    await put(wrapper, '');
    expect(wrapper.emitted('set')).toBeUndefined();
    expect(wrapper.text()).toContain('from 1 to 20');
  });

  test('refused, is there again when one comes back, where the field keeps it', async () => {
    const kept = { ...props, name: 'hours', keeps: true };
    const first = show(NumberField, { props: kept });
    await put(first, '500');
    first.unmount();
    const again = show(NumberField, { props: kept });
    expect(standsIn(again)).toBe('500');
    expect(again.text()).toContain('from 1 to 20');
    await put(again, '5');
    again.unmount();
    expect(standsIn(show(NumberField, { props: kept }))).toBe('6');
  });

  test('typed and not left is taken when the page goes', async () => {
    const told: unknown[] = [];
    const wrapper = show(NumberField, { props: { ...props, onSet: (one: unknown) => told.push(one) } });
    await wrapper.get('input').setValue('7');
    wrapper.unmount();
    expect(told).toEqual([7]);
  });

  test('in a form counts as it is typed, and what stood before counts while it cannot be taken', async () => {
    const wrapper = show(NumberField, { props: { ...props, live: true } });
    for (const typed of ['1', '15', '150']) {
      await wrapper.get('input').setValue(typed);
      const told = wrapper.emitted('set')?.at(-1) as [number];
      await wrapper.setProps({ number: told[0] });
    }
    expect(wrapper.emitted('set')).toEqual([[1], [15], [6]]);
    expect(standsIn(wrapper)).toBe('150');
  });
});

describe('how long', () => {
  const props = { minutes: 90, most: 10_000, label: 'Minutes' };

  test.each([
    ['1h45', 105],
    ['1:45', 105],
    ['1.75 h', 105],
    ['45', 45],
  ])('is typed as people do: %s', async (typed, minutes) => {
    const wrapper = show(DurationField, { props });
    expect(standsIn(wrapper)).toBe('1 h 30');
    await put(wrapper, typed);
    expect(wrapper.emitted('set')).toEqual([[minutes]]);
  });

  test('that cannot be stays, and says what is expected', async () => {
    const wrapper = show(DurationField, { props });
    await put(wrapper, '100000');
    expect(wrapper.emitted('set')).toBeUndefined();
    expect(standsIn(wrapper)).toBe('100000');
    expect(wrapper.text()).toContain('as in 90, 1h30 or 1:30');
  });
});

test('a time is of twenty-four hours, however it is typed', async () => {
  const wrapper = show(TimeField, { props: { time: '23:59', label: 'Time' } });
  expect(standsIn(wrapper)).toBe('23:59');
  await put(wrapper, '9:30 pm');
  await put(wrapper, '24:00');
  expect(wrapper.emitted('set')).toEqual([['21:30']]);
  expect(standsIn(wrapper)).toBe('24:00');
});

describe('a day', () => {
  const props = { day: '2027-03-01', label: 'First day', name: 'first' };

  test('is shown as people write it, said below, and taken when it is left', async () => {
    const wrapper = show(DayField, { props });
    expect(standsIn(wrapper)).toBe('Mon 1 Mar 2027');
    await wrapper.get('input').setValue('8 March 2027');
    expect(wrapper.text()).toMatch(/Mon 8 Mar 2027/);
    expect(wrapper.emitted('day')).toBeUndefined();
    await wrapper.get('input').trigger('blur');
    expect(wrapper.emitted('day')).toEqual([['2027-03-08']]);
    await put(wrapper, '');
    expect(wrapper.emitted('day')?.at(-1)).toEqual([null]);
  });

  test('that is past says so, where that is likely a mistake', () => {
    const past = { ...props, day: '1969-12-01' };
    expect(show(DayField, { props: { ...past, warnsOfPast: true } }).text()).toContain(
      'Mon 1 Dec 1969 is past',
    );
    expect(show(DayField, { props: past }).text()).not.toContain('is past');
    expect(show(DayField, { props: { ...props, warnsOfPast: true } }).text()).not.toContain('is past');
  });

  test('that may not be stays in the field, with the sentence', async () => {
    const check = (day: string): string | null => (day < '2027-03-05' ? 'Before the course begins' : null);
    const wrapper = show(DayField, { props: { ...props, day: '2027-03-10', check } });
    await put(wrapper, '2.3.2027');
    expect(wrapper.text()).toContain('Before the course begins');
    expect(wrapper.emitted('day')).toBeUndefined();
    expect(standsIn(wrapper)).toBe('2.3.2027');
    await put(wrapper, '12.3.2027');
    expect(wrapper.emitted('day')).toEqual([['2027-03-12']]);
  });

  test('is picked from a month too', async () => {
    const wrapper = show(DayField, { props });
    await wrapper.get('button').trigger('click');
    await settled();
    const day = document.querySelector<HTMLElement>('[data-v-date="2027-03-08"]');
    expect(day?.getAttribute('aria-label')).toBe('Mon 8 Mar 2027');
    day?.click();
    expect(wrapper.emitted('day')).toEqual([['2027-03-08']]);
  });
});

describe('a zone', () => {
  const props = { zone: 'Asia/Calcutta', label: 'Zone' };

  test('is shown whole: its city, country and offset', async () => {
    const wrapper = show(ZoneField, { props });
    await settled();
    expect(wrapper.text()).toContain('Kolkata, India (+05:30)');
  });
});

test('a form knows of what stands in its fields and cannot be taken', async () => {
  const form = defineComponent({
    setup() {
      const { isRefused } = useForm();
      const field = { number: 1, least: 1, most: 9, label: 'N', live: true };
      return () => [h(NumberField, field), h('output', String(isRefused.value))];
    },
  });
  const wrapper = show(form);
  expect(wrapper.get('output').text()).toBe('false');
  await wrapper.get('input').setValue('10');
  expect(wrapper.get('output').text()).toBe('true');
  await wrapper.get('input').setValue('9');
  expect(wrapper.get('output').text()).toBe('false');
});

describe('choices', () => {
  const tiles = [
    { value: 'a', title: 'Ebb', text: 'It goes' },
    { value: 'b', title: 'Flood', text: 'It comes' },
  ];

  test('are one group with a legend; choosing tells which', async () => {
    const wrapper = show(ChoiceTiles, { props: { legend: 'Tide', tiles, chosen: 'a' } });
    expect(wrapper.get('legend').text()).toBe('Tide');
    const [first, second] = wrapper.findAll('input');
    expect([first?.element.checked, second?.element.checked]).toEqual([true, false]);
    await second?.trigger('change');
    expect(wrapper.emitted('choose')).toEqual([['b']]);
  });

  test('of what a course is for cannot be changed where the course is read', () => {
    const wrapper = show(PurposeTiles, { props: { modelValue: 'learners', disabled: true } });
    expect(wrapper.findAll('input').map(({ element }) => element.disabled)).toEqual([true, true, true]);
  });
});

test('a check box tells what it becomes', async () => {
  const wrapper = show(CheckField, {
    props: { checked: false, disabled: false },
    slots: { default: 'In order' },
  });
  expect(wrapper.text()).toBe('In order');
  await wrapper.get('input').setValue(true);
  expect(wrapper.emitted('toggle')).toEqual([[true]]);
});

test('up and down are named by what they move', () => {
  const wrapper = show(MoveButtons, { props: { name: 'Outline', isFirst: true, isLast: false } });
  const labels = wrapper.findAll('button').map((button) => button.attributes('aria-label') ?? '');
  expect(labels.every((label) => label.includes('Outline'))).toBe(true);
});
