/** Rows of what is handed in. The migrations own the tables. */
import type { HandedFile } from '@itinerary/core';
import { defineEntity } from '@mikro-orm/core';
import type { InferEntity } from '@mikro-orm/core';

export const WorkDraftRow = defineEntity({
  name: 'WorkDraftRow',
  tableName: 'work_draft',
  properties: (p) => ({
    courseId: p.string().primary(),
    personId: p.string().primary(),
    itemId: p.string().primary(),
    /** Rises with every change. */
    version: p.integer(),
    text: p.text(),
    address: p.text(),
    files: p.json<readonly HandedFile[]>(),
    at: p.string(),
  }),
});

export const HandInRow = defineEntity({
  name: 'HandInRow',
  tableName: 'hand_in',
  properties: (p) => ({
    /** Made by the client: sent again, it is the same. */
    id: p.string().primary(),
    courseId: p.string(),
    itemId: p.string(),
    personId: p.string(),
    attempt: p.integer(),
    text: p.text(),
    address: p.text(),
    files: p.json<readonly HandedFile[]>(),
    at: p.string(),
    hash: p.string(),
  }),
});

export const HandInForRow = defineEntity({
  name: 'HandInForRow',
  tableName: 'hand_in_for',
  properties: (p) => ({
    handInId: p.string().primary(),
    personId: p.string().primary(),
    courseId: p.string(),
    itemId: p.string(),
    isLate: p.boolean(),
  }),
});

export const MarkRow = defineEntity({
  name: 'MarkRow',
  tableName: 'mark',
  properties: (p) => ({
    id: p.string().primary(),
    handInId: p.string(),
    /** The mark that it takes the place of. */
    after: p.string().nullable(),
    points: p.float().nullable(),
    comment: p.text(),
    /** Given back with it. */
    files: p.json<readonly HandedFile[]>().default([]),
    by: p.string(),
    at: p.string(),
  }),
});

/** A file that whoever marks has sent, to go with a mark of this work. */
export const MarkFileRow = defineEntity({
  name: 'MarkFileRow',
  tableName: 'mark_file',
  properties: (p) => ({
    handInId: p.string().primary(),
    hash: p.string().primary(),
    name: p.string(),
    size: p.integer(),
    type: p.string(),
    by: p.string(),
    at: p.string(),
  }),
});

/** For staff alone. */
export const WorkNoteRow = defineEntity({
  name: 'WorkNoteRow',
  tableName: 'work_note',
  properties: (p) => ({
    /** Made by the client: sent again, it is the same. */
    id: p.string().primary(),
    handInId: p.string(),
    text: p.text(),
    by: p.string(),
    at: p.string(),
  }),
});

export type WorkDraftRecord = InferEntity<typeof WorkDraftRow>;
export type HandInRecord = InferEntity<typeof HandInRow>;
export type HandInForRecord = InferEntity<typeof HandInForRow>;
export type MarkRecord = InferEntity<typeof MarkRow>;
