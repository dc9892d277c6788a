/** How a formula is read and set, wherever it is shown. The library that can is handed in: core lists none. */
import type { FormulaPiece } from './pieces.ts';

/** KaTeX's `renderToString`, as far as it is used here. */
export type SetTex = (tex: string, options: FormulaOptions) => string;

export interface FormulaOptions {
  readonly output: 'mathml';
  readonly displayMode: boolean;
  readonly throwOnError: boolean;
  readonly errorColor: string;
  readonly strict: 'ignore';
  readonly trust: boolean;
  readonly maxExpand: number;
  readonly maxSize: number;
}

/** MathML, which browsers set and screen readers say. What is no TeX stands there as it was typed, marked. */
export function formulaHtml({ tex, isBlock }: FormulaPiece, setTex: SetTex): string {
  return setTex(tex, {
    output: 'mathml',
    displayMode: isBlock,
    throwOnError: false,
    errorColor: 'currentColor',
    strict: 'ignore',
    // No macros that load or link anything, no expansion without end, no letters larger than the page.
    trust: false,
    maxExpand: 500,
    maxSize: 20,
  });
}
