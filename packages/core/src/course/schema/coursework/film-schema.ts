/** What goes with a film: its captions, and where its parts begin. */
import { z } from 'zod';
import { storableSchema } from '../basics.ts';
import { fileSchema } from '../file-schema.ts';

/** In seconds: a day. */
export const MAX_SECONDS = 86_400;

export const MAX_CAPTIONS = 10;
export const MAX_CHAPTERS = 100;
export const MAX_CHAPTER = 120;

/** What is said, as WebVTT, in one language; core reads it before anybody gets it. */
export const captionSchema = z.strictObject({
  language: z.string().regex(/^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$/, 'a language tag such as pt or es-MX'),
  file: fileSchema,
});
export type Caption = z.infer<typeof captionSchema>;

/** A part of the film, from this second on to where the next one begins. */
export const chapterSchema = z.strictObject({
  at: z.int().min(0).max(MAX_SECONDS),
  title: storableSchema.trim().min(1).max(MAX_CHAPTER),
});
export type Chapter = z.infer<typeof chapterSchema>;

const rising = (chapters: readonly Chapter[]): boolean =>
  chapters.every(({ at }, index) => index === 0 || at > (chapters[index - 1]?.at ?? 0));

export const filmSettings = {
  captions: z
    .array(captionSchema)
    .max(MAX_CAPTIONS)
    .refine(
      (all) => new Set(all.map(({ language }) => language)).size === all.length,
      'captions of which each has its own language',
    )
    .default([]),
  chapters: z
    .array(chapterSchema)
    .max(MAX_CHAPTERS)
    .refine(rising, 'chapters in their order, each at a second of its own')
    .default([]),
};
