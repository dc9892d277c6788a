/**
 * Room in fields: counted, said while one types, and never cut; help that opens, and how far a field has got.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { describe, expect, test } from '@jest/globals';
import { defineComponent, h, nextTick, provide, shallowReactive } from 'vue';
import type { VueWrapper } from '@vue/test-utils';
import CellField from '../../src/ui/fields/CellField.vue';
import DraftField from '../../src/ui/fields/DraftField.vue';
import FieldFrame from '../../src/ui/fields/FieldFrame.vue';
import { FIELD_STATE } from '../../src/ui/fields/reading/field-state.ts';
import type { FieldState } from '../../src/ui/fields/reading/field-state.ts';
import { useForm } from '../../src/ui/fields/reading/refusals.ts';
import TitleCell from '../../src/setup/outline/table/TitleCell.vue';
import { showing } from '../support/mounted.ts';

const show = showing();
const LONG = 'Low water at ten'; // 16 characters
const SAID = '10 characters at most: 6 too many. It is kept here, and counts when it is shorter.';

describe.each([
  ['a field', DraftField, 'input'],
  ['a field of several lines', DraftField, 'textarea'],
  ['a cell', CellField, 'input'],
] as const)('%s that has room for ten', (_name, component, tag) => {
  const props = {
    text: 'Low water',
    label: 'Title',
    readonly: false,
    most: 10,
    ...(tag === 'textarea' ? { rows: 2 } : {}),
  };
  const type = (wrapper: VueWrapper, text: string): Promise<void> => wrapper.get(tag).setValue(text);
  const shown = (wrapper: VueWrapper): string => wrapper.get<HTMLInputElement>(tag).element.value;

  test('says how many are too many, tells nothing, and keeps every letter', async () => {
    const wrapper = show(component, { props });
    await type(wrapper, LONG);
    expect(wrapper.text()).toContain(SAID);
    expect(wrapper.emitted('type')).toBeUndefined();
    await wrapper.get(tag).trigger('blur');
    expect(shown(wrapper)).toBe(LONG);
    expect(wrapper.get(tag).attributes('aria-invalid')).toBe('true');
    await type(wrapper, 'Low at ten');
    expect(wrapper.text()).not.toContain('too many');
    expect(wrapper.emitted('type')).toEqual([['Low at ten']]);
    expect(wrapper.get(tag).attributes('maxlength')).toBeUndefined();
  });

  test('what a colleague sets meanwhile does not take the letters away', async () => {
    const wrapper = show(component, { props });
    await type(wrapper, LONG);
    await wrapper.setProps({ text: 'Theirs' });
    expect(shown(wrapper)).toBe(LONG);
  });

  test('whoever comes back finds it as it was left, and what is right is not kept', async () => {
    const keepAs = `${component.__name ?? ''} ${tag}`;
    const first = show(component, { props: { ...props, keepAs } });
    await type(first, LONG);
    first.unmount();
    const second = show(component, { props: { ...props, keepAs } });
    expect(shown(second)).toBe(LONG);
    expect(second.text()).toContain(SAID);
    await type(second, 'Shorter');
    second.unmount();
    expect(shown(show(component, { props: { ...props, keepAs } }))).toBe('Low water');
  });
});

test('a form is not sent while a field of it is too long', async () => {
  const form = defineComponent({
    setup: () => {
      const { isRefused } = useForm();
      return () => [h(DraftField, { text: '', label: 'Title', most: 10 }), h('i', String(isRefused.value))];
    },
  });
  const wrapper = show(form);
  await wrapper.get('input').setValue(LONG);
  expect(wrapper.get('i').text()).toBe('true');
  await wrapper.get('input').setValue('Short');
  expect(wrapper.get('i').text()).toBe('false');
});

describe('a cell', () => {
  test('counts where it is nearly full, and says what is missing where nothing may not stand', async () => {
    const props = { text: 'Tide', label: 'Title', readonly: false, most: 10, missing: 'A title is needed' };
    const wrapper = show(CellField, { props });
    await wrapper.get('input').setValue('Low water');
    expect(wrapper.get('.count').text()).toBe('9 / 10');
    await wrapper.get('input').setValue('  ');
    expect(wrapper.get('.said').text()).toBe('A title is needed');
    await wrapper.get('input').trigger('blur');
    expect(wrapper.get('.said').text()).toBe('A title is needed');
    expect(wrapper.emitted('type')).toEqual([['Low water']]);
  });
});

describe('several lines pasted into a title', () => {
  const props = {
    title: 'Station',
    placeholder: '',
    label: 'Title',
    strong: false,
    readonly: false,
    mayBeEmpty: false,
    keepAs: 'x',
  };
  async function paste(wrapper: VueWrapper, text: string, all: boolean): Promise<boolean> {
    const field = wrapper.get('input').element;
    field.setSelectionRange(all ? 0 : field.value.length, field.value.length);
    const event = new Event('paste', { cancelable: true });
    Object.assign(event, { clipboardData: { getData: () => text } });
    field.dispatchEvent(event);
    await nextTick();
    return event.defaultPrevented;
  }

  test('are told line by line, and whether they stand for the title', async () => {
    const wrapper = show(TitleCell, { props });
    expect(await paste(wrapper, 'One\r\n\r\n  Two \nThree', true)).toBe(true);
    expect(await paste(wrapper, 'One\nTwo', false)).toBe(true);
    expect(wrapper.emitted('lines')).toEqual([
      [['One', 'Two', 'Three'], true],
      [['One', 'Two'], false],
    ]);
  });

  test('one line is pasted as ever, and nothing where nothing may be changed', async () => {
    const wrapper = show(TitleCell, { props });
    expect(await paste(wrapper, 'One line\n', true)).toBe(false);
    await wrapper.setProps({ readonly: true });
    expect(await paste(wrapper, 'One\nTwo', true)).toBe(false);
    expect(wrapper.emitted('lines')).toBeUndefined();
  });
});

describe('around a field', () => {
  test('help opens as a line, and closes by its button and by Escape', async () => {
    const wrapper = show(FieldFrame, { props: { label: 'Code', help: 'What tells it apart.' } });
    const button = wrapper.get('button');
    const line = wrapper.get<HTMLElement>('.help');
    expect(button.attributes('aria-label')).toBe('Help: Code');
    expect([button.attributes('aria-expanded'), line.element.style.display]).toEqual(['false', 'none']);
    await button.trigger('click');
    expect([button.attributes('aria-expanded'), line.element.style.display]).toEqual(['true', '']);
    expect(button.attributes('aria-controls')).toBe(line.attributes('id'));
    await button.trigger('keydown', { key: 'Escape' });
    expect(button.attributes('aria-expanded')).toBe('false');
  });

  test('it is said whether what was set is here alone, or saved', async () => {
    const states = shallowReactive(new Map<string, FieldState>());
    const around = defineComponent({
      setup: () => {
        provide(FIELD_STATE, (field, target) => states.get(`${target ?? 'course'} ${field}`) ?? null);
        return () => [
          h(FieldFrame, { label: 'Title', of: 'title' }),
          h(FieldFrame, { label: 'Title of it', of: 'title', target: 'a1' }),
        ];
      },
    });
    const wrapper = show(around);
    expect(wrapper.find('.state').exists()).toBe(false);
    states.set('course title', 'kept');
    await nextTick();
    expect(wrapper.findAll('.state').map((one) => one.attributes('aria-label'))).toEqual([
      'Kept here, on its way',
    ]);
    states.set('course title', 'saved').set('a1 title', 'kept');
    await nextTick();
    expect(wrapper.findAll('.state').map((one) => one.attributes('aria-label'))).toEqual([
      'Saved',
      'Kept here, on its way',
    ]);
  });
});
