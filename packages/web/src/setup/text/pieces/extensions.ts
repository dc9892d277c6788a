/** What the editor knows beyond plain rich text. It writes exactly the HTML that the server's allow list keeps. */
import { Mark, Node } from '@tiptap/core';
import type { Attribute, Extensions } from '@tiptap/core';
import { Table, TableCell, TableHeader, TableRow } from '@tiptap/extension-table';
import { Subscript } from '@tiptap/extension-subscript';
import { Superscript } from '@tiptap/extension-superscript';
import StarterKit from '@tiptap/starter-kit';
import { VueNodeViewRenderer } from '@tiptap/vue-3';
import ContactPartView from './ContactPartView.vue';
import FormulaView from './FormulaView.vue';
import ItemNameView from './ItemNameView.vue';
import PictureView from './PictureView.vue';

/** Our words for what stands in the HTML. */
const NAMES = {
  hash: 'data-picture',
  alt: 'alt',
  author: 'data-author',
  licence: 'data-licence',
  tex: 'data-formula',
  item: 'data-item',
} as const;

/** Attributes that are left out when there is nothing to say. */
const attributes = (...keys: readonly (keyof typeof NAMES)[]): Record<string, Attribute> =>
  Object.fromEntries(
    keys.map((key): [string, Attribute] => {
      const name = NAMES[key];
      return [
        key,
        {
          default: null,
          parseHTML: (element: HTMLElement) => element.getAttribute(name),
          renderHTML: (values: Record<string, unknown>) =>
            typeof values[key] === 'string' ? { [name]: values[key] } : {},
        },
      ];
    }),
  );

const Picture = Node.create({
  name: 'picture',
  group: 'block',
  atom: true,
  draggable: true,
  addAttributes: () => attributes('hash', 'alt', 'author', 'licence'),
  parseHTML: () => [{ tag: 'img[data-picture]' }],
  renderHTML: ({ HTMLAttributes }) => ['img', HTMLAttributes],
  addNodeView: () => VueNodeViewRenderer(PictureView),
});

const Formula = Node.create({
  name: 'formula',
  group: 'inline',
  inline: true,
  atom: true,
  addAttributes: () => attributes('tex'),
  parseHTML: () => [{ tag: 'span[data-formula]' }],
  renderHTML: ({ HTMLAttributes }) => ['span', HTMLAttributes],
  addNodeView: () => VueNodeViewRenderer(FormulaView),
});

const FormulaBlock = Node.create({
  name: 'formulaBlock',
  group: 'block',
  atom: true,
  addAttributes: () => attributes('tex'),
  parseHTML: () => [{ tag: 'div[data-formula]' }],
  renderHTML: ({ HTMLAttributes }) => ['div', HTMLAttributes],
  addNodeView: () => VueNodeViewRenderer(FormulaView),
});

/** The contact cards of the course, wherever the text is read. */
const ContactPart = Node.create({
  name: 'contactPart',
  group: 'block',
  atom: true,
  parseHTML: () => [{ tag: 'div[data-part="contact"]' }],
  renderHTML: () => ['div', { 'data-part': 'contact' }],
  addNodeView: () => VueNodeViewRenderer(ContactPartView),
});

const hasWords = (element: HTMLElement): boolean => element.textContent !== '';

/** The author's own words, leading to an item. */
const ItemLink = Mark.create({
  name: 'itemLink',
  inclusive: false,
  excludes: 'link',
  addAttributes: () => attributes('item'),
  parseHTML: () => [{ tag: 'a[data-item]', getAttrs: (element) => hasWords(element) && null }],
  renderHTML: ({ HTMLAttributes }) => ['a', HTMLAttributes, 0],
});

/** An item by its number and title, as they are when it is read. */
const ItemName = Node.create({
  name: 'itemName',
  group: 'inline',
  inline: true,
  atom: true,
  addAttributes: () => attributes('item'),
  parseHTML: () => [{ tag: 'a[data-item]', getAttrs: (element) => !hasWords(element) && null }],
  renderHTML: ({ HTMLAttributes }) => ['a', HTMLAttributes],
  addNodeView: () => VueNodeViewRenderer(ItemNameView),
});

/** How many columns or rows a cell takes; said only when it is more than one. */
const span = (name: 'colspan' | 'rowspan'): Attribute => ({
  default: 1,
  parseHTML: (element: HTMLElement) => Number(element.getAttribute(name) ?? 1) || 1,
  renderHTML: (values: Record<string, unknown>) => (Number(values[name]) > 1 ? { [name]: values[name] } : {}),
});
const cell = (): Record<string, Attribute> => ({
  colspan: span('colspan'),
  rowspan: span('rowspan'),
  colwidth: { default: null, rendered: false },
});

export const EXTENSIONS: Extensions = [
  StarterKit.configure({
    heading: { levels: [2, 3, 4] },
    link: {
      openOnClick: false,
      autolink: true,
      defaultProtocol: 'https',
      protocols: ['http', 'https', 'mailto', 'tel'],
      HTMLAttributes: { target: null, rel: null, class: null },
    },
  }),
  Subscript,
  Superscript,
  Table.extend({ renderHTML: () => ['table', ['tbody', 0]] }),
  TableRow,
  TableHeader.extend({ addAttributes: cell }),
  TableCell.extend({ addAttributes: cell }),
  Picture,
  Formula,
  FormulaBlock,
  ContactPart,
  ItemLink,
  ItemName,
];
