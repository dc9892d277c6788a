/** Sets formulas in setup. The library is large and seldom needed, so it comes when the first formula does. */
import { escapeHtml, formulaHtml } from '@itinerary/core';
import type { FormulaPiece, SetTex } from '@itinerary/core';
import { shallowRef } from 'vue';

const setTex = shallowRef<SetTex | null>(null);
let isComing = false;

/** Until the library is here, the TeX as it was typed; whoever shows it is told when that changes. */
export function formula(piece: FormulaPiece): string {
  if (setTex.value !== null) return formulaHtml(piece, setTex.value);
  if (!isComing) {
    isComing = true;
    import('katex').then(
      ({ default: katex }) => (setTex.value = katex.renderToString),
      () => (isComing = false),
    );
  }
  return `<code>${escapeHtml(piece.tex)}</code>`;
}
