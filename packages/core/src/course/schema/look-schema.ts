/** What a course looks like: one colour, faces and shapes, and its pictures. */
import { z } from 'zod';
import { fileSchema } from './file-schema.ts';

/** sRGB, as `#rrggbb` in lower case. */
export const colourSchema = z
  .string()
  .trim()
  .toLowerCase()
  .regex(/^#[0-9a-f]{6}$/, 'a colour written #rrggbb');

export const headingFaceSchema = z.enum(['bricolage', 'atkinson', 'literata', 'familjen']);
export type HeadingFace = z.infer<typeof headingFaceSchema>;

export const lookSchema = z.strictObject({
  /** The colour that all others are computed from; null: the product's own. */
  seed: colourSchema.nullable().default(null),
  heading: headingFaceSchema.default('bricolage'),
  size: z.enum(['small', 'usual', 'large']).default('usual'),
  density: z.enum(['airy', 'dense']).default('airy'),
  corners: z.enum(['square', 'eased', 'round']).default('eased'),
});
export type Look = z.infer<typeof lookSchema>;

/** Pixels on a side: what the largest screens show, several times over. */
export const MAX_SIDE = 12_000;

const shareSchema = z.number().min(0).max(1);

/** A picture with the place in it that has to be seen, however it is cropped. */
export const coursePictureSchema = z.strictObject({
  file: fileSchema,
  /** Of the picture as it is kept, in pixels. */
  width: z.int().min(1).max(MAX_SIDE),
  height: z.int().min(1).max(MAX_SIDE),
  /** From the left and from above, as shares of its width and height. */
  focus: z.strictObject({ x: shareSchema, y: shareSchema }).default({ x: 0.5, y: 0.5 }),
  /** 1 shows as much of it as fits. */
  zoom: z.number().min(1).max(4).default(1),
});
export type CoursePicture = z.infer<typeof coursePictureSchema>;
