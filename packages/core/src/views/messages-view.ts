/** Announcements and contacts as they are read. */
import { z } from 'zod';
import { fileSchema } from '../course/schema/file-schema.ts';
import { coursePictureSchema } from '../course/schema/look-schema.ts';
import type { DeepReadonly } from '../course/schema/readonly.ts';
import { momentViewSchema } from './moment-view.ts';

export const announcementViewSchema = z.object({
  id: z.string(),
  subject: z.string(),
  /** Hash of its HTML. */
  text: z.string().nullable(),
  files: z.array(fileSchema),
  pinned: z.boolean(),
  comments: z.boolean(),
  /** Since when it stands. */
  from: momentViewSchema,
});
export type AnnouncementView = DeepReadonly<z.infer<typeof announcementViewSchema>>;

export const staffRoleSchema = z.enum(['instructor', 'assistant']);

/** Somebody of the staff, as their profile has them. */
export const staffProfileSchema = z.object({
  id: z.string(),
  name: z.string(),
  mail: z.string(),
  role: staffRoleSchema,
});
export type StaffProfile = DeepReadonly<z.infer<typeof staffProfileSchema>>;

export const contactViewSchema = z.object({
  id: z.string(),
  name: z.string(),
  /** Null for those who are not of the course's staff. */
  role: staffRoleSchema.nullable(),
  /** What they help with. */
  does: z.string().nullable(),
  mail: z.string().nullable(),
  phone: z.string().nullable(),
  link: z.string().nullable(),
  reach: z.string().nullable(),
  hours: z.string().nullable(),
  picture: coursePictureSchema.nullable(),
});
export type ContactView = DeepReadonly<z.infer<typeof contactViewSchema>>;
