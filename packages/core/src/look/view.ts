/** A look ready to be shown: its colours computed. */
import { z } from 'zod';
import { lookSchema } from '../course/schema/look-schema.ts';
import type { Look } from '../course/schema/look-schema.ts';
import type { DeepReadonly } from '../course/schema/readonly.ts';
import { COLOURS } from './colours.ts';
import { themeOf } from './theme.ts';

const paletteSchema = z.record(z.enum(COLOURS), z.string());

/** Null colours: the product's own. */
export const lookViewSchema = lookSchema.omit({ seed: true }).extend({
  seed: z.string().nullable(),
  colours: z.object({ light: paletteSchema, dark: paletteSchema }).nullable(),
});
export type LookView = DeepReadonly<z.infer<typeof lookViewSchema>>;

export function lookView(look: Look): LookView {
  if (look.seed === null) return { ...look, colours: null };
  const { light, dark } = themeOf(look.seed);
  return { ...look, colours: { light, dark } };
}
