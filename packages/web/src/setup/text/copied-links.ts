/** Copies whose texts lead to each other, and not back to the originals. */
import { copiedTexts, findNode, isHolder, relinkText } from '@itinerary/core';
import type { Course, CourseNode, Edit } from '@itinerary/core';
import { useTexts } from '../../stores/texts.ts';

type Insert = Extract<Edit, { kind: 'insert' }>;

function withTexts<T extends CourseNode>(node: T, texts: ReadonlyMap<string, string>): T {
  if (isHolder(node)) return { ...node, items: node.items.map((item) => withTexts(item, texts)) };
  const text = 'text' in node && node.text !== null ? texts.get(node.text) : undefined;
  return text === undefined ? node : { ...node, text };
}

/**
 * The same edits, with texts written again where their links lead to something that was copied along. A text
 * that cannot be had just now keeps the links that it has.
 *
 * @param originalOf the id of what an inserted node is a copy of.
 */
export async function relinkCopies(
  course: Course,
  edits: readonly Edit[],
  originalOf: (edit: Insert) => string | null,
): Promise<readonly Edit[]> {
  const texts = useTexts();
  return Promise.all(
    edits.map(async (edit): Promise<Edit> => {
      if (edit.kind !== 'insert') return edit;
      const id = originalOf(edit);
      const original = id === null ? null : (findNode(course, id)?.node ?? null);
      if (original === null) return edit;
      const again = new Map<string, string>();
      for (const { hash, ids } of copiedTexts(original, edit.node)) {
        if (texts.facts.get(hash)?.links.some((link) => ids.has(link)) !== true) continue;
        const html = await texts.load(hash);
        if (html !== null) again.set(hash, await texts.keep(relinkText(html, ids)));
      }
      return again.size === 0 ? edit : { ...edit, node: withTexts(edit.node, again) };
    }),
  );
}
