/**
 * Lists: to choose from, as a table, in an order of one's own, unfolding.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { describe, expect, test } from '@jest/globals';
import { courseView, ANY_LEARNER } from '@itinerary/core';
import type { VueWrapper } from '@vue/test-utils';
import { VAutocomplete } from 'vuetify/components/VAutocomplete';
import { VSelect } from 'vuetify/components/VSelect';
import { smallCourse } from '../../../core/test/support/arbitraries.ts';
import CourseFacts from '../../src/learner/course/CourseFacts.vue';
import ArrangedRow from '../../src/setup/menu/ArrangedRow.vue';
import UnfoldingLine from '../../src/setup/messages/UnfoldingLine.vue';
import PersonField from '../../src/ui/fields/choice/PersonField.vue';
import SelectField from '../../src/ui/fields/choice/SelectField.vue';
import SeveralField from '../../src/ui/fields/choice/SeveralField.vue';
import PlainTable from '../../src/ui/frame/PlainTable.vue';
import { showing } from '../support/mounted.ts';

const show = showing();

describe('a list to choose several from', () => {
  const options = [1, 2, 3].map((value) => ({ value, title: `Day ${value}` }));
  const choose = (wrapper: VueWrapper, values: readonly number[]): void =>
    wrapper.findComponent(VSelect).vm.$emit('update:modelValue', values);

  test('gives them in the order of the list, and no fewer than have to stay', () => {
    const wrapper = show(SeveralField, { props: { label: 'Days', values: [3], options, least: 1 } });
    choose(wrapper, [3, 1]);
    choose(wrapper, []);
    expect(wrapper.emitted('choose')).toEqual([[[1, 3]]]);
  });

  test('holds nothing that is no longer there to choose', () => {
    const wrapper = show(SeveralField, { props: { label: 'Days', values: [9, 2], options } });
    expect(wrapper.findComponent(VSelect).props('modelValue')).toEqual([2]);
  });
});

describe('a person to choose', () => {
  const people = [
    { id: 'a', name: 'Inês Carvalhal', about: 'ines@ternpoint.example' },
    { id: 'b', name: 'Pavel Dvořan', about: 'pavel@ternpoint.example' },
  ];
  const finds = (wrapper: VueWrapper, query: string): string[] => {
    const filter = wrapper.findComponent(VAutocomplete).props('customFilter') as (
      title: string,
      query: string,
      item: { readonly value: string },
    ) => boolean;
    return people.filter(({ id, name }) => filter(name, query, { value: id })).map(({ id }) => id);
  };

  test('is found by some letters of name or address, in any order, without accents', () => {
    const wrapper = show(PersonField, { props: { label: 'Who', person: null, people } });
    expect(
      ['ines', 'carv INES', 'dvoran', 'pavel@', 'ternpoint', 'nobody'].map((q) => finds(wrapper, q)),
    ).toEqual([['a'], ['a'], ['b'], ['b'], ['a', 'b'], []]);
  });

  test('is given once, and taken off only where there may be nobody', () => {
    const give = (required: boolean, ...ids: readonly (string | null)[]): unknown => {
      const wrapper = show(PersonField, { props: { label: 'Who', person: 'a', people, required } });
      for (const id of ids) wrapper.findComponent(VAutocomplete).vm.$emit('update:modelValue', id);
      return wrapper.emitted('choose');
    };
    expect(give(false, 'a', 'b', null)).toEqual([['b'], [null]]);
    expect(give(true, null)).toBeUndefined();
  });
});

describe('a list to choose from', () => {
  const options = [
    { value: null, title: 'any weekday' },
    { value: 1, title: 'Monday' },
    { value: 7, title: 'Sunday', group: 'Weekend' },
    { value: 6, title: 'Saturday', group: 'Weekend', disabled: true },
  ];
  const props = { label: 'Weekday', value: 1, options };

  interface Line {
    readonly title: string;
    readonly value?: unknown;
    readonly type?: string;
    readonly props?: { readonly disabled?: boolean };
  }
  const lines = (wrapper: VueWrapper): readonly Line[] =>
    wrapper.findComponent(VSelect).props('items') as readonly Line[];
  /** As by a press on a line of the list. */
  const press = (wrapper: VueWrapper, title: string): void => {
    const value = lines(wrapper).find((one) => one.title === title)?.value;
    wrapper.findComponent(VSelect).vm.$emit('update:modelValue', value);
  };

  test('gives what was chosen as it was offered: a number, or nothing', () => {
    const wrapper = show(SelectField, { props });
    expect(wrapper.text()).toContain('Monday');
    for (const title of ['Sunday', 'any weekday', 'Monday']) press(wrapper, title);
    // What stands already is no choice.
    expect(wrapper.emitted('choose')).toEqual([[7], [null]]);
  });

  test('nothing is a choice that is shown like any other', () => {
    expect(show(SelectField, { props: { ...props, value: null } }).text()).toContain('any weekday');
  });

  test('is called by its label, which is told also where it is not seen', () => {
    const shown = show(SelectField, { props });
    const label = shown.get('input[role="combobox"]').attributes('aria-labelledby') ?? '';
    expect(document.getElementById(label)?.textContent).toBe('Weekday');
    const bare = show(SelectField, { props: { ...props, bare: true } });
    expect(bare.get('input[role="combobox"]').attributes('aria-label')).toBe('Weekday');
    expect(bare.find('label').exists()).toBe(false);
  });

  test('is not built up again while it is open, where its lines are made anew and the same', async () => {
    const wrapper = show(SelectField, { props });
    const lines = (): unknown => wrapper.findComponent(VSelect).props('items');
    const before = lines();
    await wrapper.setProps({ options: props.options.map((one) => ({ ...one })) });
    expect(lines()).toBe(before);
    await wrapper.setProps({ options: props.options.slice(1) });
    expect(lines()).not.toBe(before);
  });

  test('has its groups after what stands alone', () => {
    const wrapper = show(SelectField, { props: { ...props, disabled: true } });
    expect(lines(wrapper).map(({ title, type, props: how }) => [title, type, how?.disabled])).toEqual([
      ['any weekday', undefined, undefined],
      ['Monday', undefined, undefined],
      ['Weekend', 'subheader', undefined],
      ['Sunday', undefined, undefined],
      ['Saturday', undefined, true],
    ]);
    expect(wrapper.get<HTMLInputElement>('input[role="combobox"]').element.disabled).toBe(true);
  });
});

describe('a table', () => {
  test('has a title for each column but that of the acts, and no head where there are none', () => {
    const slots = { default: '<tr><th scope="row">1</th><td>Rivers</td></tr>' };
    const columns = [{ title: 'No.' }, { title: 'Asks', atEnd: true }, { title: '→', isTold: true }, null];
    const wrapper = show(PlainTable, { props: { columns }, slots });
    const heads = wrapper.findAll('thead th');
    expect(heads.map((one) => [one.text(), one.attributes('scope'), one.classes('right')])).toEqual([
      ['No.', 'col', false],
      ['Asks', 'col', true],
      ['→', 'col', false],
    ]);
    expect(heads[2]?.find('.visually-hidden').exists()).toBe(true);
    expect(wrapper.findAll('thead td')).toHaveLength(1);
    expect(wrapper.get('tbody').text()).toContain('Rivers');
    expect(show(PlainTable, { slots }).find('thead').exists()).toBe(false);
  });
});

describe('a row that is arranged', () => {
  const props = {
    id: 'news',
    list: 'panels',
    name: 'News',
    reason: 'Nothing stands there yet',
    shown: true,
    canGo: true,
    readonly: false,
    isFirst: false,
    isLast: false,
  };
  const button = (wrapper: VueWrapper, name: string) =>
    wrapper.findAll('button').find((one) => one.attributes('aria-label')?.startsWith(name));

  test('moves by keys, and leaves all others to whoever uses it', async () => {
    const wrapper = show(ArrangedRow, { props });
    expect(wrapper.attributes('aria-label')).toBe('News. Nothing stands there yet');
    await wrapper.trigger('keydown', { key: 'ArrowUp', altKey: true });
    await wrapper.trigger('keydown', { key: 'ArrowDown', altKey: true });
    await wrapper.trigger('keydown', { key: 'Delete' });
    await button(wrapper, 'Hide')?.trigger('keydown', { key: 'Delete' });
    expect(wrapper.emitted('move')).toEqual([[-1], [1]]);
    const keys = (wrapper.emitted('key') ?? []) as [KeyboardEvent, boolean][];
    expect(keys.map(([event, isRows]) => [event.key, isRows])).toEqual([
      ['Delete', true],
      ['Delete', false],
    ]);
  });

  test('is hidden and taken away where that may be', async () => {
    const wrapper = show(ArrangedRow, { props });
    await button(wrapper, 'Hide')?.trigger('click');
    await button(wrapper, 'Take')?.trigger('click');
    expect([wrapper.emitted('show'), wrapper.emitted('remove')]).toEqual([[[false]], [[]]]);
    await wrapper.setProps({ shown: null, canGo: false });
    expect([button(wrapper, 'Hide'), button(wrapper, 'Take')]).toEqual([undefined, undefined]);
  });

  test('is only read where nothing may be changed', async () => {
    const wrapper = show(ArrangedRow, { props: { ...props, readonly: true } });
    await wrapper.trigger('keydown', { key: 'ArrowUp', altKey: true });
    expect([wrapper.findAll('button').length, wrapper.emitted('move'), wrapper.emitted('key')]).toEqual([
      0,
      undefined,
      undefined,
    ]);
  });
});

describe('a line that unfolds', () => {
  const slots = { title: 'Boat house', below: '<input />' };

  test('says whether it is open, and asks to be turned', async () => {
    const wrapper = show(UnfoldingLine, { props: { isOpen: false }, slots });
    const opener = wrapper.get('button');
    expect([opener.attributes('aria-expanded'), wrapper.find('input').exists()]).toEqual(['false', false]);
    await opener.trigger('click');
    await wrapper.setProps({ isOpen: true });
    expect([opener.attributes('aria-expanded'), wrapper.find('input').exists()]).toEqual(['true', true]);
    expect(wrapper.emitted('turn')).toHaveLength(1);
  });

  test('is only a line where there is nothing to open', () =>
    expect(
      show(UnfoldingLine, { props: { isOpen: null }, slots })
        .find('button')
        .exists(),
    ).toBe(false));
});

test('the facts of a course say when its last day ends, where it ends early', () => {
  const base = smallCourse();
  const facts = (lastTime: string | null): string => {
    const course = { ...base, state: 'live' as const, dates: { ...base.dates, lastTime } };
    const view = courseView(course, ANY_LEARNER, '2027-01-12T09:00:00Z')!;
    const wrapper = show(CourseFacts, {
      props: { course: view, today: '2027-01-12', descriptionHtml: null, staff: [] },
    });
    return wrapper.text();
  };
  expect(facts('12:00')).toContain('The last day ends at 12:00, by the course’s clocks.');
  expect(facts(null)).not.toContain('last day');
});
