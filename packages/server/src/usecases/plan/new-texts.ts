/**
 * Texts that come with changes. They are sanitised at the door; where that alters one, the edits that name
 * it are given its new hash, so that everybody replays the change as it was taken.
 */
import type { CourseNode, Edit } from '@itinerary/core';
import { isHolder, mapTextHash } from '@itinerary/core';
import { hashText, sanitiseText } from '../../text/rich-text.ts';
import { Failure } from '../failure.ts';

export interface NewTexts {
  /** From the hash sent to the hash kept. */
  readonly renamed: ReadonlyMap<string, string>;
  /** From the hash kept to the HTML kept. */
  readonly kept: ReadonlyMap<string, string>;
}

export function admitTexts(texts: Readonly<Record<string, string>>): NewTexts {
  const renamed = new Map<string, string>();
  const kept = new Map<string, string>();
  for (const [hash, html] of Object.entries(texts)) {
    if (hashText(html) !== hash) {
      throw new Failure('bad_input', 'A text does not have the hash that it is sent under', [
        { path: `texts.${hash}`, value: html.slice(0, 40), expected: `text whose SHA-256 is ${hash}` },
      ]);
    }
    const clean = sanitiseText(html);
    const cleanHash = hashText(clean);
    renamed.set(hash, cleanHash);
    kept.set(cleanHash, clean);
  }
  return { renamed, kept };
}

export function renameTexts(edits: readonly Edit[], renamed: ReadonlyMap<string, string>): readonly Edit[] {
  const rename = (hash: string): string => renamed.get(hash) ?? hash;
  return edits.map((edit): Edit => {
    if (edit.kind === 'set') return { ...edit, value: mapTextHash(edit.field, edit.value, rename) };
    return edit.kind === 'insert' ? { ...edit, node: renameIn(edit.node, rename) } : edit;
  });
}

/** The same node with its texts, and those of what it holds, under other hashes. */
export function renameIn<T extends CourseNode>(node: T, rename: (hash: string) => string): T {
  if (isHolder(node)) return { ...node, items: node.items.map((item) => renameIn(item, rename)) };
  return 'text' in node && node.text !== null ? { ...node, text: rename(node.text) } : node;
}
