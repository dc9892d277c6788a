/** Two versions of a long text as one: what both have stands once, where they differ one follows the other. */
import { diffArrays } from 'diff';

/** The pieces that stand under each other: paragraphs, headings, lists, tables. */
function blocks(html: string): string[] {
  const { body } = new DOMParser().parseFromString(html, 'text/html');
  return [...body.childNodes].map((node) =>
    node instanceof Element ? node.outerHTML : (node.textContent ?? ''),
  );
}

export function bothTexts(first: string, second: string): string {
  return diffArrays(blocks(first), blocks(second))
    .flatMap(({ value }) => value)
    .join('');
}
