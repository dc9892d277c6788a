/** Lists that were written as paragraphs, or as lists of one level each: put into each other again. */

interface Entry {
  readonly element: HTMLElement;
  /** From 1. */
  readonly level: number;
  readonly isOrdered: boolean;
  /** The number that it had, where the list is numbered. */
  readonly number: number | null;
  /** Two entries beside each other with different ones stand in lists of their own; null: it says nothing. */
  readonly list: string | null;
}

export function liftLists(body: HTMLElement): void {
  nestLoose(body);
  for (const run of runsOf(body)) rebuild(run);
}

/** `<ul>` straight in `<ul>` belongs to the point before it. */
function nestLoose(body: HTMLElement): void {
  for (const inner of body.querySelectorAll('ul > ul, ul > ol, ol > ul, ol > ol')) {
    const before = inner.previousElementSibling;
    if (before?.localName === 'li') {
      before.append(inner);
      continue;
    }
    const point = inner.ownerDocument.createElement('li');
    inner.before(point);
    point.append(inner);
  }
}

/** Entries that follow each other with nothing between them. */
function runsOf(body: HTMLElement): readonly (readonly Entry[])[] {
  const runs: Entry[][] = [];
  let last: Element | null = null;
  for (const one of body.querySelectorAll<HTMLElement>('p, h1, h2, h3, h4, h5, h6, li')) {
    const entry = asParagraph(one) ?? asLevelled(one);
    if (entry === null) continue;
    const run = runs.at(-1);
    if (run !== undefined && last !== null && follows(last, one)) run.push(entry);
    else runs.push([entry]);
    last = one;
  }
  return runs;
}

/** Whether nothing with words stands between two. */
function follows(before: Element, after: Element): boolean {
  let at: Node | null = before;
  while (at !== null && at !== after && !at.contains(after)) {
    const next: Node | null = at.nextSibling;
    if (next === null) {
      at = at.parentNode;
      continue;
    }
    if (next === after) return true;
    if (next.contains(after)) return !hasWordsBefore(next, after);
    if ((next.textContent ?? '').trim() !== '') return false;
    at = next;
  }
  return true;
}

function hasWordsBefore(holder: Node, target: Element): boolean {
  for (const child of holder.childNodes) {
    if (child === target) return false;
    if (child.contains(target)) return hasWordsBefore(child, target);
    if ((child.textContent ?? '').trim() !== '') return true;
  }
  return false;
}

const NUMBERED = /^\(?(\d+|[a-z]|[ivxlcdm]+)[.)]/i;

/** A paragraph that says in its style which list and level it is of; its sign stands in it, to be left out. */
function asParagraph(element: HTMLElement): Entry | null {
  const style = element.getAttribute('style') ?? '';
  const [, list, level] = /mso-list:\s*(l\d+)\s+level(\d+)/i.exec(style) ?? [];
  if (list === undefined || level === undefined) return null;
  const sign = [...element.querySelectorAll('[style]')].find((one) =>
    /mso-list:\s*ignore/i.test(one.getAttribute('style') ?? ''),
  );
  const mark = (sign?.textContent ?? '').replaceAll('\u00a0', ' ').trim();
  sign?.remove();
  const number = NUMBERED.exec(mark)?.[1];
  return {
    element,
    level: Number(level),
    isOrdered: number !== undefined,
    number: number !== undefined && /^\d+$/.test(number) ? Number(number) : null,
    list,
  };
}

/** A point that says its level beside the list in which it stands alone. */
function asLevelled(element: HTMLElement): Entry | null {
  const level = Number(element.getAttribute('data-aria-level'));
  if (element.localName !== 'li' || !(level > 0)) return null;
  const parent = element.parentElement;
  const start = Number(parent?.getAttribute('start'));
  return {
    element,
    level,
    isOrdered: parent?.localName === 'ol',
    number: start > 1 && parent?.firstElementChild === element ? start : null,
    list: null,
  };
}

interface Open {
  readonly list: HTMLElement;
  readonly level: number;
  readonly isOrdered: boolean;
  readonly of: string | null;
}

function rebuild(run: readonly Entry[]): void {
  const [first] = run;
  if (first === undefined) return;
  const page = first.element.ownerDocument;
  const top = page.createElement('div');
  holderOf(first).before(top);
  const open: Open[] = [];
  for (const entry of run) {
    while ((open.at(-1)?.level ?? 0) > entry.level) open.pop();
    let at = open.at(-1);
    if (at !== undefined && at.level === entry.level && !isSame(at, entry)) {
      open.pop();
      at = undefined;
    }
    if (at === undefined || at.level < entry.level) {
      const list = page.createElement(entry.isOrdered ? 'ol' : 'ul');
      if (entry.number !== null && entry.number > 1) list.setAttribute('start', String(entry.number));
      (open.at(-1)?.list.lastElementChild ?? top).append(list);
      at = { list, level: entry.level, isOrdered: entry.isOrdered, of: entry.list };
      open.push(at);
    }
    const point = page.createElement('li');
    const holder = holderOf(entry);
    point.append(...contentOf(entry.element));
    at.list.append(point);
    entry.element.remove();
    if (holder.textContent.trim() === '') holder.remove();
  }
  top.replaceWith(...top.childNodes);
}

const isSame = (open: Open, entry: Entry): boolean =>
  open.isOrdered === entry.isOrdered && (open.of === null || entry.list === null || open.of === entry.list);

function contentOf(element: HTMLElement): readonly Node[] {
  if (element.localName === 'li') return [...element.childNodes];
  const words = element.ownerDocument.createElement('p');
  words.append(...element.childNodes);
  return [words];
}

/** What an entry stands in: its own paragraph, or the list around it. */
const holderOf = ({ element }: Entry): Element =>
  element.localName === 'li' ? (element.parentElement ?? element) : element;
