/**
 * What opens over a page gives the focus back to what opened it.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { beforeEach, expect, test } from '@jest/globals';
import { defineComponent, h, nextTick, ref } from 'vue';
import { VDialog } from 'vuetify/components/VDialog';
import { useBehind } from '../../src/ui/frame/behind.ts';
import DialogBox from '../../src/ui/frame/DialogBox.vue';
import { useFocusIn } from '../../src/ui/frame/focus-in.ts';
import { showing } from '../support/mounted.ts';

const show = showing();
beforeEach(() => document.body.replaceChildren());

/** A page with two buttons, and something that opens over it. */
function page(): {
  first: HTMLElement;
  second: HTMLElement;
  isOpen: { value: boolean };
  inside: HTMLElement;
} {
  const isOpen = ref(false);
  const application = document.createElement('div');
  application.className = 'v-application';
  const [first, second] = [document.createElement('button'), document.createElement('button')] as [
    HTMLElement,
    HTMLElement,
  ];
  application.append(first, second);
  const overlay = document.createElement('div');
  overlay.className = 'v-overlay';
  const inside = document.createElement('button');
  overlay.append(inside);
  document.body.append(application, overlay);
  show(defineComponent({ setup: () => (useBehind(isOpen), () => h('i')) }));
  return { first, second, isOpen, inside };
}
const settled = async (): Promise<void> => {
  await nextTick();
  await nextTick();
};

test('closed, the focus is where it was', async () => {
  const { first, isOpen, inside } = page();
  first.focus();
  isOpen.value = true;
  inside.focus();
  isOpen.value = false;
  await settled();
  expect(document.activeElement).toBe(first);
});

test('where what opened it is gone, it is what had the focus before that', async () => {
  const { second, isOpen, inside } = page();
  second.focus();
  const entry = document.createElement('button');
  document.querySelector('.v-overlay')?.append(entry);
  entry.focus();
  isOpen.value = true;
  entry.remove();
  inside.focus();
  isOpen.value = false;
  await settled();
  expect(document.activeElement).toBe(second);
});

test('whoever was led elsewhere by it stays there', async () => {
  const { first, second, isOpen, inside } = page();
  first.focus();
  isOpen.value = true;
  inside.focus();
  isOpen.value = false;
  second.focus();
  await settled();
  expect(document.activeElement).toBe(second);
});

test('what lies behind cannot be reached while it is open', async () => {
  const { isOpen } = page();
  const application = document.querySelector('.v-application');
  isOpen.value = true;
  expect(application?.hasAttribute('inert')).toBe(true);
  isOpen.value = false;
  expect(application?.hasAttribute('inert')).toBe(false);
});

test('what opens beside something takes the focus, and gives it back when it goes', async () => {
  const { first } = page();
  first.focus();
  const panel = defineComponent({
    setup() {
      const root = ref<HTMLElement | null>(null);
      useFocusIn(root);
      return () => h('aside', { ref: root, tabindex: -1 });
    },
  });
  const isThere = ref(true);
  show(defineComponent({ setup: () => () => (isThere.value ? h(panel) : h('i')) }));
  expect(document.activeElement?.tagName).toBe('ASIDE');
  isThere.value = false;
  await settled();
  expect(document.activeElement).toBe(first);
});

test('of a dialog that was never opened there is nothing; once it was, it stays as it was left', async () => {
  const dialog = show(DialogBox, { props: { title: 'Numbers', modelValue: false } });
  expect(dialog.findComponent(VDialog).exists()).toBe(false);
  await dialog.setProps({ modelValue: true });
  expect(dialog.findComponent(VDialog).props('modelValue')).toBe(true);
  await dialog.setProps({ modelValue: false });
  expect(dialog.findComponent(VDialog).props('modelValue')).toBe(false);
});
