/** What readiness and the stores have to know of a long text without holding it. */
import { z } from 'zod';
import { idSchema, textHashSchema } from '../course/schema/basics.ts';
import { piecesOf } from './pieces.ts';

export const textFactsSchema = z.object({
  /** Hashes of its pictures, each once. */
  pictures: z.array(textHashSchema),
  /** How many of its pictures say nothing to those who do not see them. */
  silent: z.int().min(0),
  /** Ids of the items that it leads to, each once. */
  links: z.array(idSchema),
});
export type TextFacts = Readonly<z.infer<typeof textFactsSchema>>;

/** By the hash of the text; a text with nothing to tell is left out. */
export type FactsByText = ReadonlyMap<string, TextFacts>;

export const NO_FACTS: FactsByText = new Map();

/** Null when the text holds words alone. */
export function textFacts(html: string): TextFacts | null {
  const pieces = piecesOf(html);
  const pictures = pieces.filter((piece) => piece.kind === 'picture');
  const links = pieces.filter((piece) => piece.kind === 'item');
  if (pictures.length === 0 && links.length === 0) return null;
  return {
    pictures: [...new Set(pictures.map(({ hash }) => hash))],
    silent: pictures.filter(({ alt }) => alt === null).length,
    links: [...new Set(links.map(({ id }) => id))],
  };
}
