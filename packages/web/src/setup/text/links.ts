/** Links of a text: to an address, or to an item by its id; what stands under the cursor, and what is made of it. */
import type { Command } from '@tiptap/core';
import { NodeSelection, TextSelection } from '@tiptap/pm/state';
import type { Editor } from '@tiptap/vue-3';
import { computed } from 'vue';
import type { ComputedRef, ShallowRef } from 'vue';

export interface Linked {
  readonly address: string | null;
  readonly item: string | null;
  /** Something is chosen that can be the words of a link. */
  readonly hasWords: boolean;
}

/** After what was linked, and no more of the link: whoever types on must not type over the words. */
const goOn: Command = ({ tr }) => {
  tr.setSelection(TextSelection.create(tr.doc, tr.selection.to)).setStoredMarks([]);
  return true;
};

export function useLinks(editor: ShallowRef<Editor | undefined>): {
  readonly linked: ComputedRef<Linked>;
  readonly linkAddress: (href: string, typed: string) => void;
  readonly linkItem: (item: string) => void;
  readonly unlink: () => void;
} {
  const nameOf = (now: Editor): string | undefined => {
    const { selection } = now.state;
    const isName = selection instanceof NodeSelection && selection.node.type.name === 'itemName';
    return isName ? (selection.node.attrs['item'] as string) : undefined;
  };

  const linked = computed<Linked>(() => {
    const now = editor.value;
    if (now === undefined) return { address: null, item: null, hasWords: false };
    const mark = now.getAttributes('itemLink')['item'] as string | undefined;
    const address = now.getAttributes('link')['href'] as string | undefined;
    const name = nameOf(now);
    const hasWords = name === undefined && (!now.state.selection.empty || mark !== undefined);
    return { address: address ?? null, item: mark ?? name ?? null, hasWords };
  });

  function linkAddress(href: string, typed: string): void {
    const now = editor.value;
    if (now === undefined) return;
    const chain = now.chain().focus();
    const isBare = now.state.selection.empty && linked.value.address === null && linked.value.item === null;
    const isName = linked.value.item !== null && !linked.value.hasWords;
    // With nothing chosen, the address itself becomes the words of the link.
    if (isBare || isName) {
      chain.insertContent({ type: 'text', text: typed, marks: [{ type: 'link', attrs: { href } }] }).run();
      return;
    }
    chain
      .extendMarkRange('itemLink')
      .unsetMark('itemLink')
      .extendMarkRange('link')
      .setLink({ href })
      .command(goOn)
      .run();
  }

  function linkItem(item: string): void {
    const now = editor.value;
    if (now === undefined) return;
    const chain = now.chain().focus();
    const isLinked = linked.value.address !== null || now.isActive('itemLink');
    if (now.state.selection instanceof NodeSelection || (now.state.selection.empty && !isLinked)) {
      chain.insertContent({ type: 'itemName', attrs: { item } }).run();
      return;
    }
    chain
      .extendMarkRange('link')
      .unsetLink()
      .extendMarkRange('itemLink')
      .setMark('itemLink', { item })
      .command(goOn)
      .run();
  }

  function unlink(): void {
    const now = editor.value;
    if (now === undefined) return;
    const chain = now.chain().focus();
    if (nameOf(now) !== undefined) chain.deleteSelection().run();
    else chain.extendMarkRange('link').unsetLink().extendMarkRange('itemLink').unsetMark('itemLink').run();
  }

  return { linked, linkAddress, linkItem, unlink };
}
