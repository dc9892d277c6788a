/** Long texts as they are looked through: their words, and the same as words are compared. Kept, since reading them takes work. */
import { likened } from '@itinerary/core';
import { plainText } from './plain-text.ts';

export const FOLDED = { case: true, accents: true } as const;

export interface ReadText {
  readonly plain: string;
  readonly folded: string;
}

export interface ReadTexts {
  /** Undefined: it has to be read. */
  readonly kept: (hash: string) => ReadText | undefined;
  /** @param hash of the HTML, so that the same text is read once, in however many courses it stands */
  readonly read: (hash: string, html: string) => ReadText;
}

const lengthOf = ({ plain, folded }: ReadText): number => plain.length + folded.length;

/** @param most in characters: as much as is kept, the one that was used longest ago going first */
export function readTexts(most: number): ReadTexts {
  const all = new Map<string, ReadText>();
  let length = 0;
  const drop = (hash: string): void => {
    const text = all.get(hash);
    if (text === undefined) return;
    all.delete(hash);
    length -= lengthOf(text);
  };
  const put = (hash: string, text: ReadText): void => {
    drop(hash);
    all.set(hash, text);
    length += lengthOf(text);
    for (const oldest of all.keys()) {
      if (length <= most) break;
      drop(oldest);
    }
  };
  return {
    kept: (hash) => {
      const text = all.get(hash);
      if (text !== undefined) put(hash, text);
      return text;
    },
    read: (hash, html) => {
      const plain = plainText(html);
      const text = { plain, folded: likened(plain, FOLDED) };
      put(hash, text);
      return text;
    },
  };
}
