/** What a course tells its learners, and whom they can turn to. */
import { z } from 'zod';
import {
  addressSchema,
  idSchema,
  storableSchema,
  summarySchema,
  textHashSchema,
  titleSchema,
} from './basics.ts';
import { fileSchema, MAX_ATTACHMENTS } from './file-schema.ts';
import { coursePictureSchema } from './look-schema.ts';
import { momentSchema } from './moment-schema.ts';

export const MAX_ANNOUNCEMENTS = 500;
export const MAX_CONTACTS = 40;

export const announcementSchema = z.strictObject({
  subject: titleSchema,
  text: textHashSchema.nullable().default(null),
  files: z.array(fileSchema).max(MAX_ATTACHMENTS).default([]),
  /** Stands before those that are not, however new they are. */
  pinned: z.boolean().default(false),
  from: momentSchema,
  /** Null: until it is taken down. */
  until: momentSchema.nullable().default(null),
  /** Whether learners may comment on it. */
  comments: z.boolean().default(false),
  /** False: still being written; nobody but staff gets it. */
  ready: z.boolean().default(false),
});
export type Announcement = z.infer<typeof announcementSchema>;

const mailSchema = z.email('an address such as name@college.example').max(200);

const card = {
  /** When and how to reach them. */
  reach: summarySchema.nullable().default(null),
  /** Office hours. */
  hours: summarySchema.nullable().default(null),
  phone: storableSchema
    .trim()
    .regex(/^[+\d][\d\s().-]{2,39}$/, 'a telephone number')
    .nullable()
    .default(null),
  link: addressSchema.nullable().default(null),
  picture: coursePictureSchema.nullable().default(null),
  at: z.number().min(0).max(1_000_000),
  shown: z.boolean().default(true),
};

/** Of the staff, whose name and address are their profile's; or of anybody else who helps. */
export const contactSchema = z.discriminatedUnion('who', [
  z.strictObject({
    ...card,
    who: z.literal('staff'),
    person: idSchema,
    /** Whether their address stands on the card. */
    mailShown: z.boolean().default(true),
  }),
  z.strictObject({
    ...card,
    who: z.literal('other'),
    name: titleSchema,
    /** What they help with. */
    does: titleSchema.nullable().default(null),
    mail: mailSchema.nullable().default(null),
  }),
]);
export type Contact = z.infer<typeof contactSchema>;
