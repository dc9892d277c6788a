/** What each tool of the editor does. */
import {
  IconAddressBook,
  IconBlockquote,
  IconBold,
  IconCode,
  IconColumnInsertRight,
  IconColumnRemove,
  IconH2,
  IconH3,
  IconItalic,
  IconLink,
  IconList,
  IconListNumbers,
  IconMath,
  IconPhoto,
  IconRowInsertBottom,
  IconRowRemove,
  IconSubscript,
  IconSuperscript,
  IconTable,
  IconTableOff,
  IconTableRow,
} from '@tabler/icons-vue';
import type { Editor } from '@tiptap/vue-3';
import type { Tool } from './TextTools.vue';

interface Asks {
  readonly link: () => void;
  readonly formula: () => void;
  readonly picture: () => void;
}

export function textTools(editor: Editor, asks: Asks): readonly Tool[] {
  const chain = (): ReturnType<Editor['chain']> => editor.chain().focus();
  const heading = (level: 2 | 3): Tool => ({
    name: `h${level}`,
    icon: level === 2 ? IconH2 : IconH3,
    on: editor.isActive('heading', { level }),
    run: () => chain().toggleHeading({ level }).run(),
  });
  const isAt = (...names: readonly string[]): boolean => names.some((name) => editor.isActive(name));
  return [
    heading(2),
    heading(3),
    { name: 'bold', icon: IconBold, on: isAt('bold'), run: () => chain().toggleBold().run() },
    { name: 'italic', icon: IconItalic, on: isAt('italic'), run: () => chain().toggleItalic().run() },
    {
      name: 'raised',
      icon: IconSuperscript,
      on: isAt('superscript'),
      run: () => chain().unsetSubscript().toggleSuperscript().run(),
    },
    {
      name: 'lowered',
      icon: IconSubscript,
      on: isAt('subscript'),
      run: () => chain().unsetSuperscript().toggleSubscript().run(),
    },
    { name: 'list', icon: IconList, on: isAt('bulletList'), run: () => chain().toggleBulletList().run() },
    {
      name: 'numbers',
      icon: IconListNumbers,
      on: isAt('orderedList'),
      run: () => chain().toggleOrderedList().run(),
    },
    {
      name: 'quote',
      icon: IconBlockquote,
      on: isAt('blockquote'),
      run: () => chain().toggleBlockquote().run(),
    },
    { name: 'code', icon: IconCode, on: isAt('codeBlock'), run: () => chain().toggleCodeBlock().run() },
    { name: 'link', icon: IconLink, on: isAt('link', 'itemLink', 'itemName'), run: asks.link },
    {
      name: 'table',
      icon: IconTable,
      run: () => chain().insertTable({ rows: 3, cols: 3, withHeaderRow: true }).run(),
    },
    { name: 'picture', icon: IconPhoto, run: asks.picture },
    { name: 'formula', icon: IconMath, on: isAt('formula', 'formulaBlock'), run: asks.formula },
    {
      name: 'contacts',
      icon: IconAddressBook,
      run: () => chain().insertContent({ type: 'contactPart' }).run(),
    },
  ];
}

/** For the table that the cursor stands in. */
export function tableTools(editor: Editor): readonly Tool[] {
  const chain = (): ReturnType<Editor['chain']> => editor.chain().focus();
  return [
    { name: 'rowAfter', icon: IconRowInsertBottom, run: () => chain().addRowAfter().run() },
    { name: 'columnAfter', icon: IconColumnInsertRight, run: () => chain().addColumnAfter().run() },
    { name: 'headerRow', icon: IconTableRow, run: () => chain().toggleHeaderRow().run() },
    { name: 'removeRow', icon: IconRowRemove, run: () => chain().deleteRow().run() },
    { name: 'removeColumn', icon: IconColumnRemove, run: () => chain().deleteColumn().run() },
    { name: 'removeTable', icon: IconTableOff, run: () => chain().deleteTable().run() },
  ];
}
