/** A text at a glance: its headings with their places, and how many words it has. */
import type { Node } from '@tiptap/pm/model';

export interface TextHeading {
  /** Its place in the document. */
  readonly at: number;
  readonly level: number;
  readonly words: string;
}

export function headingsOf(doc: Node): readonly TextHeading[] {
  const found: TextHeading[] = [];
  doc.descendants((node, at) => {
    if (node.type.name === 'heading' && node.textContent.trim() !== '') {
      found.push({ at, level: Number(node.attrs['level']), words: node.textContent });
    }
    return !node.isTextblock;
  });
  return found;
}

export function wordsIn(doc: Node): number {
  return doc.textBetween(0, doc.content.size, '\n', ' ').match(/\S+/g)?.length ?? 0;
}
