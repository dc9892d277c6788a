/** What stands in sections: everything learners read, watch, hand in, talk about or meet for. */
import { z } from 'zod';
import {
  addressSchema,
  fileNameSchema,
  idSchema,
  minutesSchema,
  placeSchema,
  storableSchema,
  summarySchema,
  textHashSchema,
  titleSchema,
} from './basics.ts';
import {
  changedBySchema,
  closedSchema,
  doneRuleSchema,
  groupWorkSchema,
  openingRuleSchema,
} from './access-schema.ts';
import { isContentKind, isWorkKind } from './kinds.ts';
import type { ContentKind, HolderKind, ItemKind, WorkKind } from './kinds.ts';
import type { Closed, OpeningRule } from './access-schema.ts';
import { momentSchema } from './moment-schema.ts';
import type { PlannedMoment } from './moment-schema.ts';

export const MAX_ITEMS_PER_PARENT = 500;
/** Folders in folders: a bound for every walk, and as deep as anybody can still find their way. */
export const MAX_FOLDER_DEPTH = 5;
/** Tombstones count here alone: years of adding and removing must not fill a course up. */
export const TOMBSTONES_FACTOR = 20;
export const MAX_OUTCOMES_PER_ITEM = 20;
/** Groups and classes that one node can be for. */
export const MAX_AUDIENCE = 50;

/** Accent colours by name; the look gives each a value for light and dark. */
export const accentSchema = z.enum(['bottle', 'tide', 'heather', 'kelp', 'rust', 'slate']);
export type Accent = z.infer<typeof accentSchema>;

/** The largest file that can be named: 2 GiB, as PostgreSQL's integer holds it. */
export const MAX_FILE_BYTES = 2_147_483_647;

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

export const nodeBase = {
  id: idSchema,
  /** False: learners never get it, and it takes no number. */
  shown: z.boolean(),
  /** A tombstone: the node and all below it are out of sight, and keep their place. */
  removed: z.boolean().default(false),
  summary: summarySchema.nullable().default(null),
  /** From when on; null: as soon as what holds it is open. */
  opens: momentSchema.nullable().default(null),
  /** What else its opening waits for, and how long it stays open. */
  rule: openingRuleSchema.nullable().default(null),
  /** While it is not open; null: as the course has it. */
  closed: closedSchema.nullable().default(null),
  /** True: for staff alone, whatever else is set; a sample that learners never get. */
  staffOnly: z.boolean().default(false),
  /** Ids of the groups and classes that it is for; empty: everybody. */
  audience: z.array(idSchema).max(MAX_AUDIENCE).default([]),
};

const titled = {
  ...nodeBase,
  title: titleSchema,
  /** Whether the summary stands under the title in the learner's outline. */
  summaryShown: z.boolean().default(true),
};

/** False: it stands in no list, and whoever has its address gets it. */
const listed = z.boolean().default(true);

const outcomes = z.array(idSchema).max(MAX_OUTCOMES_PER_ITEM).default([]);

const content = {
  ...titled,
  text: textHashSchema.nullable().default(null),
  /** Expected time, in whole minutes. */
  minutes: minutesSchema.nullable(),
  /** Ids of the outcomes that it teaches. */
  teaches: outcomes,
  /** What counts as done; null: it is not counted. */
  done: doneRuleSchema.nullable().default(null),
  listed,
  /** True: whoever can find the course may look at it before they join. */
  sample: z.boolean().default(false),
  /** Null: as the course has it. */
  groupWork: groupWorkSchema.nullable().default(null),
};

const work = {
  ...content,
  due: momentSchema.nullable().default(null),
  /** Ids of the outcomes that it assesses. */
  assesses: outcomes,
};

export const pageSchema = z.strictObject({
  ...content,
  kind: z.literal('page'),
  /** Who may change its words; null: as the course has it. */
  changedBy: changedBySchema.nullable().default(null),
});
export const fileItemSchema = z.strictObject({
  ...content,
  kind: z.literal('file'),
  file: fileSchema.nullable().default(null),
});
export const linkSchema = z.strictObject({
  ...content,
  kind: z.literal('link'),
  address: addressSchema.nullable(),
});
export const videoSchema = z.strictObject({
  ...content,
  kind: z.literal('video'),
  /** An address or an uploaded file; when both are there the file is played. */
  address: addressSchema.nullable().default(null),
  file: fileSchema.nullable().default(null),
  /** How long it plays, in seconds. */
  seconds: z.int().min(0).max(86_400).nullable().default(null),
});
export const assignmentSchema = z.strictObject({ ...work, kind: z.literal('assignment') });
export const quizSchema = z.strictObject({ ...work, kind: z.literal('quiz') });
export const discussionSchema = z.strictObject({ ...work, kind: z.literal('discussion') });
export const meetingSchema = z.strictObject({
  ...content,
  kind: z.literal('meeting'),
  /** When it is held; null: with its section's own meeting, where the format has them. */
  held: momentSchema.nullable().default(null),
  place: placeSchema.nullable().default(null),
});
export const headingSchema = z.strictObject({ ...titled, kind: z.literal('heading') });

/** A kind is one line here, beside its traits; folders, which hold all of them, come last. */
const LEAVES = {
  page: pageSchema,
  file: fileItemSchema,
  link: linkSchema,
  video: videoSchema,
  assignment: assignmentSchema,
  quiz: quizSchema,
  discussion: discussionSchema,
  meeting: meetingSchema,
  heading: headingSchema,
} as const satisfies Readonly<Record<Exclude<ItemKind, HolderKind>, z.ZodType>>;

export type Leaf = z.infer<(typeof LEAVES)[keyof typeof LEAVES]>;

/** Holds items, folders among them. */
export interface Folder {
  id: string;
  kind: 'folder';
  title: string;
  shown: boolean;
  removed: boolean;
  summary: string | null;
  summaryShown: boolean;
  opens: PlannedMoment | null;
  rule: OpeningRule | null;
  closed: Closed | null;
  staffOnly: boolean;
  audience: string[];
  accent: Accent | null;
  items: Item[];
}
export type Item = Leaf | Folder;

const folderItems: z.ZodType<Item[]> = z.lazy(() => itemsSchema);

export const folderSchema = z.strictObject({
  ...titled,
  kind: z.literal('folder'),
  accent: accentSchema.nullable().default(null),
  items: folderItems,
});

export const itemSchema: z.ZodType<Item> = z.discriminatedUnion('kind', [
  ...(Object.values(LEAVES) as [typeof pageSchema]),
  folderSchema,
]) as z.ZodType<Item>;

type Shape = Readonly<Record<string, z.ZodType>>;

/** The fields of each kind. */
export const ITEM_SHAPES = Object.fromEntries(
  Object.entries<{ readonly shape: Shape }>({ ...LEAVES, folder: folderSchema }).map(([kind, { shape }]) => [
    kind,
    shape,
  ]),
) as Readonly<Record<ItemKind, Shape>>;

export const itemsSchema: z.ZodType<Item[]> = z
  .array(itemSchema)
  .max(MAX_ITEMS_PER_PARENT * TOMBSTONES_FACTOR);

/** An item that is worked on for a set time and can be pointed at by outcomes. */
export type ContentItem = Extract<Leaf, { kind: ContentKind }>;
/** An item that something is made in by a due moment. */
export type WorkItem = Extract<Leaf, { kind: WorkKind }>;

/** An item with a file of its own. */
export type FiledItem = Extract<Leaf, { file: unknown }>;

export function isWork(node: { readonly kind: string }): node is WorkItem {
  return isWorkKind(node.kind);
}

export function isContent(node: { readonly kind: string }): node is ContentItem {
  return isContentKind(node.kind);
}

/** A media type that every browser shows as a picture, and that cannot carry a script. */
export function isPictureType(type: string): boolean {
  return /^image\/(png|apng|jpeg|gif|webp|avif)$/.test(type);
}
