/** Files and pictures of a course, and the library of pictures. */
import { fileSchema } from '@itinerary/core';
import type { DeepReadonly } from '@itinerary/core';
import { z } from 'zod';

/** What came: its content's hash, size in bytes, and the media type that its content has. */
export const uploadAnswerSchema = fileSchema.pick({ hash: true, name: true, size: true, type: true }).extend({
  /** Of a picture, in pixels. */
  width: z.int().nullable(),
  height: z.int().nullable(),
});
export type UploadAnswer = DeepReadonly<z.infer<typeof uploadAnswerSchema>>;

/** A picture that is ready to be used in this course. */
export const takenPictureSchema = z.object({ file: fileSchema, width: z.int(), height: z.int() });
export type TakenPicture = DeepReadonly<z.infer<typeof takenPictureSchema>>;

export const takePictureSchema = z.discriminatedUnion('from', [
  /** From the library that ships with the product. */
  z.strictObject({ from: z.literal('library'), id: z.string().max(60) }),
  /** From another course that one plans. */
  z.strictObject({
    from: z.literal('course'),
    course: z.string().max(64),
    hash: z.string().regex(/^[0-9a-f]{64}$/),
  }),
]);
export type TakePicture = z.infer<typeof takePictureSchema>;

export const ownPicturesSchema = z.object({
  pictures: z.array(
    z.object({
      course: z.string(),
      code: z.string(),
      title: z.string(),
      file: fileSchema,
    }),
  ),
});
export type OwnPicturesAnswer = DeepReadonly<z.infer<typeof ownPicturesSchema>>;

export const librarySchema = z.object({
  pictures: z.array(
    z.object({
      id: z.string(),
      title: z.string(),
      author: z.string(),
      licence: z.string(),
      tags: z.array(z.string()),
    }),
  ),
});
export type LibraryAnswer = DeepReadonly<z.infer<typeof librarySchema>>;
