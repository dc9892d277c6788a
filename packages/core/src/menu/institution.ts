/** Pages of the institution's own, kept in one place by its staff, that menus can lead to. */
import { z } from 'zod';
import { addressSchema, idSchema } from '../course/schema/basics.ts';
import { areaSchema } from '../course/schema/menu-schema.ts';
import { wordsSchema } from '../course/schema/words-schema.ts';

export const institutionPageSchema = z.strictObject({
  id: idSchema,
  /** `site` is the institution's own first page, which every course leads back to. */
  use: z.enum(['site', 'help', 'library', 'policies', 'other']),
  names: wordsSchema.refine((names) => Object.keys(names).length > 0, 'a name in one language at least'),
  address: addressSchema,
  /** Help with one area: it stands beside that area's own page. */
  beside: areaSchema.nullable(),
});
export type InstitutionPage = z.infer<typeof institutionPageSchema>;
