/** A file that the document names. */
import { z } from 'zod';
import { fileNameSchema, storableSchema, textHashSchema } from './basics.ts';

/** The largest file that can be named: 2 GiB, as PostgreSQL's integer holds it. */
export const MAX_FILE_BYTES = 2_147_483_647;
/** Files that go with one text. */
export const MAX_ATTACHMENTS = 10;

/** A file, by the SHA-256 of its content; the content is kept apart. */
export const fileSchema = z.strictObject({
  hash: textHashSchema,
  name: fileNameSchema,
  /** In bytes. */
  size: z.int().min(0).max(MAX_FILE_BYTES),
  /** The media type that its content has. */
  type: z.string().regex(/^[a-z0-9.+-]+\/[a-z0-9.+-]+$/, 'a media type such as image/png'),
  /** What a picture shows, for those who do not see it; an empty text says that it is decoration. */
  alt: storableSchema.trim().max(500).nullable().default(null),
  author: storableSchema.trim().max(200).nullable().default(null),
  licence: storableSchema.trim().max(200).nullable().default(null),
});
export type CourseFileRef = z.infer<typeof fileSchema>;
