/**
 * The panel beside the outline stays for the next item of a kind: nothing that was typed for one gets into another.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { expect, jest, test } from '@jest/globals';
import { findNode } from '@itinerary/core';
import type { ContentItem, CourseNode } from '@itinerary/core';
import { Editor } from '@tiptap/core';
import { EditorContent } from '@tiptap/vue-3';
import type { VueWrapper } from '@vue/test-utils';
import { nextTick, ref } from 'vue';
import ItemPanel from '../../src/setup/outline/panel/ItemPanel.vue';
import { useOpened } from '../../src/setup/outline/panel/use-opened.ts';
import { EXTENSIONS } from '../../src/setup/text/pieces/extensions.ts';
import { startAnew } from '../../src/setup/text/writing.ts';
import { usePlan } from '../../src/stores/plan.ts';
import { hashText, useTexts } from '../../src/stores/texts.ts';
import { inSetup } from '../support/in-setup.ts';
import { miniature } from '../support/mini-server.ts';
import { showing } from '../support/mounted.ts';

const at = miniature();
const mounted = showing();

const node = (id: string): ContentItem => findNode(usePlan().course!, id)?.node as unknown as ContentItem;

async function settle(): Promise<void> {
  for (let round = 0; round < 8; round += 1) {
    await jest.advanceTimersByTimeAsync(1);
    await nextTick();
  }
}

async function opened(): Promise<{ panel: VueWrapper; show: (id: string) => Promise<void> }> {
  const plan = usePlan();
  await plan.open('course');
  plan.change([
    { kind: 'set', target: 'a1', field: 'title', value: 'Mud', was: node('a1').title },
    { kind: 'set', target: 'a2', field: 'title', value: 'Sand', was: node('a2').title },
  ]);
  const props = (id: string): { node: CourseNode; readonly: boolean; takesFocus: boolean } => ({
    node: node(id) as CourseNode,
    readonly: false,
    takesFocus: true,
  });
  const panel = mounted(ItemPanel, { props: props('a1'), pinia: at.pinia });
  await settle();
  return {
    panel,
    show: async (id) => {
      await panel.setProps(props(id));
      await settle();
    },
  };
}

const title = (panel: VueWrapper): HTMLInputElement => panel.get('input').element;

test('a title that cannot be kept stays with its item, and is there again', async () => {
  const { panel, show } = await opened();
  const long = 'x'.repeat(300);
  await panel.get('input').setValue(long);
  await show('a2');
  expect(title(panel).value).toBe('Sand');
  expect(panel.text()).not.toContain('300');
  await panel.get('input').setValue('Sand and gravel');
  await show('a1');
  expect([title(panel).value, node('a1').title, node('a2').title]).toEqual([long, 'Mud', 'Sand and gravel']);
  await panel.get('input').setValue('Mud flats');
  await show('a2');
  await show('a1');
  expect(title(panel).value).toBe('Mud flats');
});

test('what waits in the editor goes to the text that it was written for', async () => {
  const { panel, show } = await opened();
  const editor = (): Editor => panel.findComponent(EditorContent).props('editor') as Editor;
  const first = editor();
  // A long text waits for a rest before it is told.
  const long = `<p>${'Mud, mud, glorious mud. '.repeat(1200)}</p>`;
  first.commands.setContent(long, { emitUpdate: true });
  await settle();
  first.commands.insertContentAt(1, 'First. ');
  await show('a2');
  expect(editor()).toBe(first);
  const told = useTexts().read(node('a1').text);
  expect(told?.slice(0, 16)).toBe('<p>First. Mud, m');
  expect(node('a2').text).toBeNull();
  expect(first.getText()).toBe('');
  expect(first.can().undo()).toBe(false);
  first.commands.insertContent('Sand');
  await settle();
  expect(node('a2').text).toBe(await hashText('<p>Sand</p>'));
  await show('a1');
  expect(first.getText().startsWith('First. Mud')).toBe(true);
  // What has come is not taken back into nothing.
  expect(first.can().undo()).toBe(false);
  expect(node('a2').text).toBe(await hashText('<p>Sand</p>'));
});

test('opened by its own button it takes the focus, with another item in it too', async () => {
  const { panel, show } = await opened();
  const aside = panel.get('aside').element;
  expect(document.activeElement).toBe(aside);
  title(panel).focus();
  await show('a2');
  expect(document.activeElement).toBe(aside);
});

test('what is typed in it is left before another item comes into it', async () => {
  await usePlan().open('course');
  const acts = { isItemOpen: ref(false) };
  const { used } = await inSetup(() => useOpened(), { pinia: at.pinia, acts });
  document.body.innerHTML = '<aside data-panel><input id="in"></aside><input id="out">';
  const left: (string | null)[] = [];
  const [inside, outside] = ['in', 'out'].map((id) => document.getElementById(id)!);
  for (const field of [inside, outside]) field?.addEventListener('blur', () => left.push(used.opened.value));
  used.opened.value = 'a1';
  inside?.focus();
  used.opened.value = 'a1';
  expect(left).toEqual([]);
  used.press('a2');
  expect([left, used.opened.value]).toEqual([['a1'], 'a2']);
  outside?.focus();
  used.opened.value = 'a3';
  expect(left).toEqual(['a1']);
});

test('of a text before nothing can be taken back into the next', () => {
  const editor = new Editor({
    element: document.createElement('div'),
    extensions: EXTENSIONS,
    content: '<p>One</p>',
  });
  editor.commands.insertContent('Typed ');
  expect(editor.can().undo()).toBe(true);
  startAnew(editor, '<p>Two</p>');
  expect([editor.getHTML(), editor.can().undo(), editor.commands.undo()]).toEqual([
    '<p>Two</p>',
    false,
    false,
  ]);
  editor.commands.insertContent('Typed ');
  editor.commands.undo();
  expect(editor.getHTML()).toBe('<p>Two</p>');
  editor.destroy();
});
