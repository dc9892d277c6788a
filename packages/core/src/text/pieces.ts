/**
 * The pieces of a long text that are more than words: pictures, formulas, links to items. They stand in the
 * HTML by what they mean, and not by an address, so that they stay right when things move
 * (docs/formats.md, "Texts"):
 *
 * - `<img data-picture="HASH" alt="…" data-author="…" data-licence="…">`
 * - `<span data-formula="TeX"></span>` within a line, `<div data-formula="TeX"></div>` on a line of its own
 * - `<a data-item="ID">words</a>`; without words it reads as the item's number and title
 *
 * Core has no parser of HTML. It reads what the server's allow list has written, or the browser's own
 * serialisation of the same: attribute values stand in double quotes, and a quote in one is escaped.
 */

export interface PicturePiece {
  readonly kind: 'picture';
  /** SHA-256 of the picture's bytes. */
  readonly hash: string;
  /** Null: nobody has thought of it yet; empty: decoration. */
  readonly alt: string | null;
  readonly author: string | null;
  readonly licence: string | null;
}

export interface FormulaPiece {
  readonly kind: 'formula';
  readonly tex: string;
  /** On a line of its own. */
  readonly isBlock: boolean;
}

export interface ItemPiece {
  readonly kind: 'item';
  readonly id: string;
  /** HTML; empty: the item's own number and title are meant. */
  readonly words: string;
}

export type Piece = PicturePiece | FormulaPiece | ItemPiece;

const ATTRIBUTES = String.raw`((?:\s+[a-z][a-z-]*(?:="[^"]*")?)*)`;
const PIECES = new RegExp(
  [
    String.raw`<img${ATTRIBUTES}\s*/?>`,
    String.raw`<(span|div)((?:\s+[a-z][a-z-]*(?:="[^"]*")?)*)></\2>`,
    // Links do not hold links, so that the next end is this one's.
    String.raw`<a${ATTRIBUTES}>((?:(?!</a>)[\s\S])*)</a>`,
  ].join('|'),
  'g',
);

const NAMED: Readonly<Record<string, string>> = { amp: '&', lt: '<', gt: '>', quot: '"', nbsp: '\u00a0' };

function decode(value: string): string {
  return value.replace(/&(amp|lt|gt|quot|nbsp|#39|#x27);/g, (_, name: string) => NAMED[name] ?? "'");
}

/** Words as they stand in HTML, in text and in an attribute's value. */
export function escapeHtml(text: string): string {
  return text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');
}

function attributes(source: string): ReadonlyMap<string, string> {
  return new Map(
    [...source.matchAll(/([a-z][a-z-]*)(?:="([^"]*)")?/g)].map(([, name, value]) => [
      name as string,
      decode(value ?? ''),
    ]),
  );
}

function pieceOf(match: readonly (string | undefined)[]): Piece | null {
  const [, picture, holder, formula, link, words] = match;
  if (picture !== undefined) {
    const at = attributes(picture);
    const hash = at.get('data-picture');
    if (hash === undefined) return null;
    return {
      kind: 'picture',
      hash,
      alt: at.get('alt') ?? null,
      author: at.get('data-author') || null,
      licence: at.get('data-licence') || null,
    };
  }
  if (formula !== undefined) {
    const tex = attributes(formula).get('data-formula');
    return tex === undefined ? null : { kind: 'formula', tex, isBlock: holder === 'div' };
  }
  const id = attributes(link ?? '').get('data-item');
  return id === undefined ? null : { kind: 'item', id, words: words ?? '' };
}

/** Every piece with another HTML in its place; null leaves it as it is. */
export function replacePieces(html: string, replace: (piece: Piece) => string | null): string {
  return html.replace(PIECES, (...match: (string | undefined)[]) => {
    const piece = pieceOf(match);
    return (piece === null ? null : replace(piece)) ?? (match[0] as string);
  });
}

/** In reading order. */
export function piecesOf(html: string): readonly Piece[] {
  return [...html.matchAll(PIECES)].flatMap((match) => pieceOf(match) ?? []);
}
