/**
 * What word processors put on the clipboard, as the HTML that it stands for: headings by their level, lists in lists,
 * raised and lowered letters. The editor drops what it does not know, so only what it would lose is rewritten here.
 */
import { liftLists } from './pasted-lists.ts';

/** Of the editor's own pieces: they come back as they went. */
const OURS = 'data-pm-slice';
const NOTHING_TO_READ = 'style, script, meta, link, title, xml, head';
const RAISED: Readonly<Record<string, string>> = { super: 'sup', sub: 'sub' };
const BLOCKS = 'p, div, h1, h2, h3, h4, h5, h6, li, td, th';
const HEADINGS = 'h1, h2, h3, h4, h5, h6';
const LOWEST = 4;

export function cleanPasted(html: string): string {
  const { body } = new DOMParser().parseFromString(html, 'text/html');
  if (body.querySelector(`[${OURS}]`) !== null) return html;
  body.querySelectorAll(NOTHING_TO_READ).forEach((one) => one.remove());
  dropComments(body);
  dropPoints(body);
  findHeadings(body);
  liftLists(body);
  shiftHeadings(body);
  markRaised(body);
  body.querySelectorAll('[style]').forEach(plainStyle);
  body.querySelectorAll('p').forEach((one) => {
    trimEnd(one);
    if (isBlank(one) && one.closest('td, th, li') === null) one.remove();
  });
  return body.innerHTML;
}

const isBlank = (element: Element): boolean =>
  (element.textContent ?? '').replaceAll('\u00a0', ' ').trim() === '' &&
  element.querySelector('img, table, hr') === null;

/** Some end each paragraph with a space that does not break. */
function trimEnd(block: Element): void {
  const walker = document.createTreeWalker(block, NodeFilter.SHOW_TEXT);
  let last: Node | null = null;
  while (walker.nextNode() !== null) last = walker.currentNode;
  if (last !== null) last.nodeValue = (last.nodeValue ?? '').replace(/\u00a0+$/, '');
}

function dropComments(body: HTMLElement): void {
  const walker = document.createTreeWalker(body, NodeFilter.SHOW_COMMENT);
  const found: Node[] = [];
  while (walker.nextNode() !== null) found.push(walker.currentNode);
  found.forEach((one) => one.parentNode?.removeChild(one));
}

/** Tags of an office namespace (`o:p`) hold words and mean nothing. */
function dropPoints(body: HTMLElement): void {
  for (const one of body.querySelectorAll('*')) if (one.localName.includes(':')) unwrap(one);
}

export function unwrap(element: Element): void {
  element.replaceWith(...element.childNodes);
}

/** Levels from 1; null: it is not a heading. */
function headingLevel(element: HTMLElement): number | null {
  const style = element.getAttribute('style') ?? '';
  const outline = /mso-outline-level:\s*(\d)/i.exec(style)?.[1];
  if (outline !== undefined) return Number(outline);
  if (element.getAttribute('role') === 'heading') return Number(element.getAttribute('aria-level') ?? 1) || 1;
  return /^(Mso)?(Title|Titel)$/i.test(element.className) ? 1 : null;
}

function findHeadings(body: HTMLElement): void {
  for (const one of body.querySelectorAll<HTMLElement>('p, div[role=heading]')) {
    const level = headingLevel(one);
    if (level === null || isBlank(one)) continue;
    rename(one, `h${Math.min(level, 6)}`);
  }
  // A heading is bold by itself.
  for (const one of body.querySelectorAll(HEADINGS)) {
    one.querySelectorAll('b, strong').forEach(unwrap);
    one.querySelectorAll<HTMLElement>('[style]').forEach(({ style }) => style.removeProperty('font-weight'));
  }
}

/** The page has the highest heading already: what was the first becomes the second, and so on. */
function shiftHeadings(body: HTMLElement): void {
  const down = body.querySelector('h1') === null ? 0 : 1;
  for (const one of body.querySelectorAll(HEADINGS)) {
    const level = Math.min(Number(one.localName[1]) + down, LOWEST);
    if (`h${level}` !== one.localName) rename(one, `h${level}`);
  }
}

function rename(element: Element, name: string): void {
  const other = element.ownerDocument.createElement(name);
  other.append(...element.childNodes);
  element.replaceWith(other);
}

function markRaised(body: HTMLElement): void {
  for (const one of body.querySelectorAll<HTMLElement>('[style]')) {
    const tag = RAISED[one.style.verticalAlign];
    if (tag === undefined || one.closest(tag) !== null || one.matches(BLOCKS)) continue;
    const inner = one.ownerDocument.createElement(tag);
    inner.append(...one.childNodes);
    one.append(inner);
  }
}

/** Wrappers that are bold by their tag and plain by their style; all else is the editor's to read. */
function plainStyle(element: Element): void {
  const { style, localName } = element as HTMLElement;
  const isPlain = /^(normal|400)$/.test(style.fontWeight);
  if (isPlain && (localName === 'b' || localName === 'strong')) unwrap(element);
}
