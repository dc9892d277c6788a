/** How the demo's teaching material is written down: HTML in the words of whoever teaches it. */
export type Piece =
  | { readonly kind: 'page'; readonly title: string; readonly minutes: number; readonly html: string }
  | { readonly kind: 'link'; readonly title: string; readonly minutes: number; readonly address: string };

export interface Unit {
  readonly title: string;
  readonly pieces: readonly Piece[];
}

/** Lines and indentation of the source are not part of the text. */
export function page(title: string, minutes: number, html: string): Piece {
  return { kind: 'page', title, minutes, html: html.trim().replaceAll(/\s*\n\s*/g, '') };
}

export function link(title: string, minutes: number, address: string): Piece {
  return { kind: 'link', title, minutes, address };
}
