/**
 * Fields as they stand on a page: what is typed, what is told, what is refused and said.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { describe, expect, test } from '@jest/globals';
import DraftField from '../../src/setup/fields/DraftField.vue';
import NumberField from '../../src/setup/fields/NumberField.vue';
import CheckField from '../../src/setup/fields/CheckField.vue';
import MoveButtons from '../../src/setup/fields/MoveButtons.vue';
import ChoiceTiles from '../../src/ui/fields/ChoiceTiles.vue';
import DayField from '../../src/ui/fields/DayField.vue';
import PurposeTiles from '../../src/ui/fields/PurposeTiles.vue';
import { showing } from '../support/mounted.ts';

const show = showing();

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
  });

  test('is read where nothing may be changed', () => {
    const wrapper = show(DraftField, { props: { ...props, readonly: true } });
    expect(wrapper.get('input').attributes('readonly')).toBeDefined();
  });
});

describe('a number', () => {
  const props = { number: 6, least: 1, most: 20, label: 'Hours', readonly: false };

  test.each([
    ['7', [[7]], null],
    ['', [[null]], null],
    ['21', undefined, 'from 1 to 20'],
    ['0', undefined, 'from 1 to 20'],
    ['6.5', undefined, 'from 1 to 20'],
    ['six', undefined, 'from 1 to 20'],
  ])('typed as "%s" tells %j', async (typed, told, said) => {
    const wrapper = show(NumberField, { props });
    await wrapper.get('input').setValue(typed);
    expect(wrapper.emitted('set')).toEqual(told);
    if (said !== null) expect(wrapper.text()).toContain(said);
  });

  test('takes parts of one where it may, with a point or a comma', async () => {
    const wrapper = show(NumberField, { props: { ...props, fractions: true } });
    await wrapper.get('input').setValue('7,5');
    await wrapper.get('input').setValue('8.25');
    expect(wrapper.emitted('set')).toEqual([[7.5], [8.25]]);
  });
});

describe('a day', () => {
  const props = { day: '2027-03-01', label: 'First day', name: 'first' };

  test('is written out below, and told when it is one', async () => {
    const wrapper = show(DayField, { props });
    expect(wrapper.text()).toMatch(/Mon 1 Mar/);
    await wrapper.get('input').setValue('2027-03-08');
    expect(wrapper.emitted('day')).toEqual([['2027-03-08']]);
    await wrapper.get('input').setValue('');
    expect(wrapper.emitted('day')?.at(-1)).toEqual([null]);
  });

  test('waits until the field is left where it settles, and gives way where it may not be', async () => {
    const check = (day: string): string | null => (day < '2027-03-05' ? 'Before the course begins' : null);
    const wrapper = show(DayField, { props: { ...props, day: '2027-03-10', settles: true, check } });
    const input = wrapper.get('input');
    await input.setValue('2027-03-02');
    expect(wrapper.text()).toContain('Before the course begins');
    await input.trigger('blur');
    expect(wrapper.emitted('day')).toBeUndefined();
    expect(input.element.value).toBe('2027-03-10');
    await input.setValue('2027-03-12');
    expect(wrapper.emitted('day')).toBeUndefined();
    await input.trigger('blur');
    expect(wrapper.emitted('day')).toEqual([['2027-03-12']]);
  });
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
