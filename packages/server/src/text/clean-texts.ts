/** Texts that came with a request: each held against its hash, measured, and cleaned. */
import { hashText, sanitiseText, tooDeepAt } from './rich-text.ts';

/** From the hash that a text is sent under to its HTML. */
export type SentTexts = Readonly<Record<string, string>>;

export interface CleanedText {
  /** Of the text as it is kept. */
  readonly hash: string;
  readonly html: string;
}

/** By the hash sent; or what is wrong with the first that cannot be taken. */
export type Cleaned =
  | { readonly ok: true; readonly texts: Readonly<Record<string, CleanedText>> }
  | { readonly ok: false; readonly sent: string; readonly why: 'hash' | 'depth' };

export function cleanTexts(texts: SentTexts): Cleaned {
  const cleaned: Record<string, CleanedText> = {};
  for (const [sent, html] of Object.entries(texts)) {
    if (hashText(html) !== sent) return { ok: false, sent, why: 'hash' };
    if (tooDeepAt(html) !== null) return { ok: false, sent, why: 'depth' };
    const clean = sanitiseText(html);
    cleaned[sent] = { hash: hashText(clean), html: clean };
  }
  return { ok: true, texts: cleaned };
}
