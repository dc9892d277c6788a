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
    String.raw`<a${ATTRIBUTES}>([\s\S]*?)</a>`,
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

function pictureOf(source: string): PicturePiece | null {
  const at = attributes(source);
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

function formulaOf(holder: string, source: string): FormulaPiece | null {
  const tex = attributes(source).get('data-formula');
  return tex === undefined ? null : { kind: 'formula', tex, isBlock: holder === 'div' };
}

type Replace = (piece: Piece) => string | null;

/** What a link holds is looked at as well: words may lead somewhere and have a formula in them. */
function replaceLink(source: string, held: string, replace: Replace): string {
  const words = replacePieces(held, replace);
  const id = attributes(source).get('data-item');
  const made = id === undefined ? null : replace({ kind: 'item', id, words });
  return made ?? `<a${source}>${words}</a>`;
}

/** Every piece with another HTML in its place; null leaves it as it is. What a link holds comes before the link. */
export function replacePieces(html: string, replace: Replace): string {
  return html.replace(PIECES, (whole: string, ...found: (string | undefined)[]) => {
    const [picture, holder, formula, link, words] = found;
    if (link !== undefined) return replaceLink(link, words ?? '', replace);
    const piece = picture !== undefined ? pictureOf(picture) : formulaOf(holder ?? '', formula ?? '');
    return (piece === null ? null : replace(piece)) ?? whole;
  });
}

/** In reading order, what a link holds before the link. */
export function piecesOf(html: string): readonly Piece[] {
  const found: Piece[] = [];
  replacePieces(html, (piece) => {
    found.push(piece);
    return null;
  });
  return found;
}
