/** Languages that the interface ships in, and words that a course has of its own in them. */
import { z } from 'zod';
import { storableSchema } from './basics.ts';

/** BCP 47; Arabic is written from right to left. */
export const LANGUAGES = ['en', 'es', 'fr', 'ar'] as const;
export const languageSchema = z.enum(LANGUAGES);
export type Language = z.infer<typeof languageSchema>;

/** Longer is no label: it fits no menu. */
export const MAX_LABEL = 60;
export const labelSchema = storableSchema.trim().min(1).max(MAX_LABEL);

/** One label in some languages; in the others it is called as it is called without one. */
export const wordsSchema = z.partialRecord(languageSchema, labelSchema);
export type Words = z.infer<typeof wordsSchema>;

/** What a role is called in one course, for one person and for several. Rights stay what they are. */
export const roleNameSchema = z.strictObject({ one: labelSchema, many: labelSchema });
export type RoleName = z.infer<typeof roleNameSchema>;
