/** A look ready to be shown: its colours computed. */
import type { Look } from '../course/schema/look-schema.ts';
import type { Palette } from './colours.ts';
import { themeOf } from './theme.ts';

export interface LookView extends Omit<Look, 'seed'> {
  /** As it was chosen; null: the product's own colours, and `colours` is null too. */
  readonly seed: string | null;
  readonly colours: { readonly light: Palette; readonly dark: Palette } | null;
}

export function lookView(look: Look): LookView {
  if (look.seed === null) return { ...look, colours: null };
  const { light, dark } = themeOf(look.seed);
  return { ...look, colours: { light, dark } };
}
