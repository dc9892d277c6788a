/**
 * Texts that come with changes. They are sanitised at the door; where that alters one, the edits that name
 * it are given its new hash, so that everybody replays the change as it was taken.
 */
import type { CourseNode, Edit } from '@itinerary/core';
import { isHolder, mapTextHash } from '@itinerary/core';
import { TooLong } from '../../text/cleaning.ts';
import type { Cleaning } from '../../text/cleaning.ts';
import { MAX_MARKUP_DEPTH } from '../../text/rich-text.ts';
import { Failure } from '../failure.ts';

export interface NewTexts {
  /** From the hash sent to the hash kept. */
  readonly renamed: ReadonlyMap<string, string>;
  /** From the hash kept to the HTML kept. */
  readonly kept: ReadonlyMap<string, string>;
}

export async function admitTexts(
  cleaning: Cleaning,
  texts: Readonly<Record<string, string>>,
): Promise<NewTexts> {
  const cleaned = await cleaning.clean(texts).catch((error: unknown) => {
    if (!(error instanceof TooLong)) throw error;
    throw new Failure('bad_input', 'The texts take too long to be looked at; send them one by one');
  });
  if (!cleaned.ok) {
    const { sent, why } = cleaned;
    const value = texts[sent]?.slice(0, 40);
    const [sentence, expected] =
      why === 'hash'
        ? ['A text does not have the hash that it is sent under', `text whose SHA-256 is ${sent}`]
        : ['A text nests too deep', `markup that nests at most ${MAX_MARKUP_DEPTH} deep`];
    throw new Failure('bad_input', sentence, [{ path: `texts.${sent}`, value, expected }]);
  }
  const all = Object.entries(cleaned.texts);
  return {
    renamed: new Map(all.map(([sent, { hash }]) => [sent, hash])),
    kept: new Map(all.map(([, { hash, html }]) => [hash, html])),
  };
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
