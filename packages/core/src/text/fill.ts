/** A stored text made ready to be read: its pieces in the place of what stands for them. */
import { escapeHtml, replacePieces } from './pieces.ts';
import type { FormulaPiece, Piece } from './pieces.ts';

/** Where a link to an item leads for the one who reads. */
export interface LinkTarget {
  readonly number: string | null;
  readonly title: string;
  /** Null: it is named, and not open yet. */
  readonly href: string | null;
}

export interface Filling {
  /** Where the bytes of a picture are. */
  readonly picture: (hash: string) => string;
  /** HTML; made by whoever can set formulas. */
  readonly formula: (formula: FormulaPiece) => string;
  /** Null: there is no such item for this reader. */
  readonly item: (id: string) => LinkTarget | null;
}

/** Stands where a link without words leads to what the reader does not have; the reader's language fills it. */
export const AWAY = '<span class="away"></span>';

/** Stands where the contact cards of the course are shown; whoever shows the text puts them there. */
export const CONTACT_CARDS = '<div data-part="contact"></div>';

/**
 * A link to an item that the reader does not have keeps the author's words and leads nowhere: neither the
 * item's title nor its being there is told.
 */
export function fillText(html: string, { picture, formula, item }: Filling): string {
  return inTheirOwnWidth(html, (piece) => {
    switch (piece.kind) {
      case 'picture': {
        const { hash, alt, author, licence } = piece;
        const image = `<img src="${escapeHtml(picture(hash))}" alt="${escapeHtml(alt ?? '')}" loading="lazy">`;
        const credit = [author, licence].filter((words) => words !== null).map(escapeHtml);
        const caption = credit.length === 0 ? '' : `<figcaption>${credit.join(' · ')}</figcaption>`;
        return `<figure>${image}${caption}</figure>`;
      }
      case 'formula':
        return piece.isBlock ? wide(formula(piece)) : formula(piece);
      case 'item': {
        const target = item(piece.id);
        if (target === null) return piece.words === '' ? AWAY : piece.words;
        const words = piece.words === '' ? ownWords(target) : piece.words;
        if (target.href === null) return words;
        return `<a href="${escapeHtml(target.href)}" data-item="${escapeHtml(piece.id)}">${words}</a>`;
      }
    }
  });
}

/** What may be wider than a phone scrolls by itself, and by keyboard. */
const WIDE = '<div class="wide" tabindex="0">';
const wide = (html: string): string => `${WIDE}${html}</div>`;

function inTheirOwnWidth(html: string, replace: (piece: Piece) => string): string {
  const filled = replacePieces(html, replace);
  return filled.replaceAll('<table>', `${WIDE}<table>`).replaceAll('</table>', '</table></div>');
}

function ownWords({ number, title }: LinkTarget): string {
  return escapeHtml(number === null ? title : `${number} ${title}`);
}

/** The same text with its links leading to other items; for copies, whose links lead to what was copied along. */
export function relinkText(html: string, ids: ReadonlyMap<string, string>): string {
  return replacePieces(html, (piece) => {
    if (piece.kind !== 'item') return null;
    const id = ids.get(piece.id);
    return id === undefined ? null : `<a data-item="${escapeHtml(id)}">${piece.words}</a>`;
  });
}
