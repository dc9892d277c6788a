/** What learners hand in, what they are told of it, and what staff see and say. */
import {
  fileNameSchema,
  fileSchema,
  idSchema,
  MAX_HANDED_TEXT,
  MAX_POINTS,
  storableSchema,
  takesSchema,
} from '@itinerary/core';
import type { DeepReadonly } from '@itinerary/core';
import { z } from 'zod';

const MAX_ADDRESS = 2000;
/** An address of the web, as it is opened by whoever marks; empty: none. */
const handedAddressSchema = storableSchema
  .trim()
  .max(MAX_ADDRESS)
  .refine(
    (text) => text === '' || /^https?:\/\/[^\s/]+/i.test(text),
    'an address that begins with http:// or https://',
  );

export const handedFileSchema = fileSchema.pick({ hash: true, name: true, size: true, type: true });

const handedInSchema = z.object({
  text: z.string(),
  address: z.string(),
  files: z.array(handedFileSchema),
});

export const workDraftSchema = handedInSchema.extend({
  /** Rises with every change: what is built on another is not taken. */
  version: z.int(),
  at: z.iso.datetime(),
});

export const receiptSchema = handedInSchema.extend({
  id: z.string(),
  attempt: z.int(),
  /** By the server’s clock. */
  at: z.iso.datetime(),
  isLate: z.boolean(),
  /** SHA-256 over all of it (core, `receiptWords`). */
  hash: z.string(),
  /** Who handed it in for the group; null: they themselves. */
  by: z.string().nullable(),
});
export type ReceiptAnswer = DeepReadonly<z.infer<typeof receiptSchema>>;

export const ownWorkSchema = z.object({
  takes: takesSchema,
  total: z.number().nullable(),
  passAt: z.number().nullable(),
  limit: z.object({ megabytes: z.number(), by: z.enum(['institution', 'course', 'item']) }),
  /** A learner to whom it is open now, and who may hand in. */
  mayHandIn: z.boolean(),
  /** Staff who look at what was handed in. */
  mayMark: z.boolean(),
  punctual: z.enum(['on_time', 'late', 'over']),
  /** The first instant after the due minute; null: none is planned. */
  due: z.iso.datetime().nullable(),
  /** From when on nothing is taken; null: no end is planned. */
  takenTo: z.iso.datetime().nullable(),
  /** The server’s clock as it answered. */
  now: z.iso.datetime(),
  tries: z.object({ most: z.int().nullable(), used: z.int() }),
  draft: workDraftSchema.nullable(),
  /** The latest first; the first of them counts. */
  handed: z.array(receiptSchema),
  mark: z
    .object({
      /** Null: there is none, or learners are not shown it. */
      points: z.number().nullable(),
      /** Null: it says nothing of that, or learners are not shown it. */
      hasPassed: z.boolean().nullable(),
      comment: z.string(),
      at: z.iso.datetime(),
      files: z.array(handedFileSchema),
    })
    .nullable(),
  zone: z.string(),
  /** What goes with what is to be done. */
  attachments: z.array(handedFileSchema),
});
export type OwnWorkAnswer = DeepReadonly<z.infer<typeof ownWorkSchema>>;

/** Of the version that it is built on; 0: there was none. */
const versionSchema = z.int().min(0).max(1_000_000_000);
export const draftBodySchema = z.strictObject({
  version: versionSchema,
  text: storableSchema.max(MAX_HANDED_TEXT),
  address: handedAddressSchema,
  /** Hashes of those that stay, of this draft or of what was handed in before. */
  files: z.array(storableSchema.max(64)).max(50),
});
export type DraftBody = DeepReadonly<z.infer<typeof draftBodySchema>>;

/** Made by the client: sent again, it is the same. */
export const handInBodySchema = z.strictObject({ id: z.uuid(), version: versionSchema });
export const workFileParams = z.object({ course: idSchema, item: idSchema, hash: idSchema });

export const markSchema = z.object({
  id: z.string(),
  points: z.number().nullable(),
  comment: z.string(),
  files: z.array(handedFileSchema),
  by: z.string(),
  at: z.iso.datetime(),
});

export const workListSchema = z.object({
  item: z.object({
    id: z.string(),
    title: z.string(),
    total: z.number().nullable(),
    passAt: z.number().nullable(),
    /** Names come once it is marked. */
    namesLeftOut: z.boolean(),
    /** How good work looks: for staff alone. */
    exampleWords: z.string(),
    exampleFile: handedFileSchema.nullable(),
  }),
  zone: z.string(),
  /** Those that somebody of them is in, in their order. */
  groups: z.array(z.object({ id: z.string(), name: z.string() })),
  /** Everybody whom it is for, by name: those first who have handed in. */
  people: z.array(
    z.object({
      person: z.string(),
      /** Null: it is left out until the work is marked. */
      name: z.string().nullable(),
      groups: z.array(z.string()),
      /** What counts; null: nothing has been handed in. */
      handIn: z.string().nullable(),
      at: z.iso.datetime().nullable(),
      isLate: z.boolean(),
      attempts: z.int(),
      isMarked: z.boolean(),
      points: z.number().nullable(),
    }),
  ),
});
export type WorkListAnswer = DeepReadonly<z.infer<typeof workListSchema>>;

export const lookedAtSchema = receiptSchema.extend({
  item: z.string(),
  /** Whom it counts for; a name that is null is left out until it is marked. */
  people: z.array(z.object({ person: z.string(), name: z.string().nullable(), isLate: z.boolean() })),
  /** The latest first, each as it was. */
  marks: z.array(markSchema),
  /** What staff note among themselves, the first first. */
  notes: z.array(
    z.object({
      id: z.string(),
      text: z.string(),
      by: z.string(),
      at: z.iso.datetime(),
      isOwn: z.boolean(),
    }),
  ),
});
export type LookedAtAnswer = DeepReadonly<z.infer<typeof lookedAtSchema>>;

export const MAX_MARK_COMMENT = 10_000;
/** Files that are given back with one mark. */
export const MAX_MARK_FILES = 5;
export const MAX_NOTE = 5000;
/** Made by the client: sent again, it is the same. */
export const workNoteBody = z.strictObject({
  id: z.uuid(),
  text: storableSchema.trim().min(1).max(MAX_NOTE),
});
export const markBodySchema = z.strictObject({
  /** Of the mark that it takes the place of; null: there was none. */
  after: z.string().max(100).nullable(),
  points: z.number().min(0).max(MAX_POINTS).nullable(),
  comment: storableSchema.max(MAX_MARK_COMMENT),
  /** Those that go back with it: of the mark before, or sent for it by whoever marks. */
  files: z
    .array(z.strictObject({ hash: storableSchema.max(64), name: fileNameSchema }))
    .max(MAX_MARK_FILES)
    .default([]),
});
export type MarkBody = DeepReadonly<z.infer<typeof markBodySchema>>;
export const receiptParams = z.object({ course: idSchema, item: idSchema, handed: idSchema });
export const handInParams = z.object({ course: idSchema, handed: idSchema });
export const workNoteParams = handInParams.extend({ note: idSchema });
export const handInFileParams = z.object({ course: idSchema, handed: idSchema, hash: idSchema });
