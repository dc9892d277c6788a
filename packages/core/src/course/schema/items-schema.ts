/** What stands in sections: everything learners read, watch, hand in, talk about or meet for. */
import { z } from 'zod';
import {
  addressSchema,
  idSchema,
  minutesSchema,
  placeSchema,
  storableSchema,
  summarySchema,
  textHashSchema,
  titleSchema,
} from './basics.ts';
import { changedBySchema, closedSchema, groupWorkSchema, openingRuleSchema } from './access-schema.ts';
import { isContentKind, isWorkKind } from './kinds.ts';
import type { ContentKind, HolderKind, ItemKind, WorkKind } from './kinds.ts';
import type { Closed, OpeningRule } from './access-schema.ts';
import { fileSchema, MAX_ATTACHMENTS } from './file-schema.ts';
import { filmSettings, MAX_SECONDS } from './coursework/film-schema.ts';
import { meetingSettings } from './coursework/meeting-schema.ts';
import { momentSchema } from './moment-schema.ts';
import { doneRuleSchema } from './progress-schema.ts';
import { quizSettings } from './coursework/quiz-schema.ts';
import { surveySettings } from './coursework/survey-schema.ts';
import {
  graceSchema,
  pointsSchema,
  takesSchema,
  triesSchema,
  USUAL_TAKES,
} from './coursework/work-schema.ts';
import type { PlannedMoment } from './moment-schema.ts';

export const MAX_ITEMS_PER_PARENT = 500;
/** Folders in folders: a bound for every walk, and as deep as anybody can still find their way. */
export const MAX_FOLDER_DEPTH = 5;
/** Tombstones count here alone: years of adding and removing must not fill a course up. */
export const TOMBSTONES_FACTOR = 20;
export const MAX_OUTCOMES_PER_ITEM = 20;
/** Of a worked example, in characters. */
export const MAX_EXAMPLE = 20_000;
/** Groups and classes that one node can be for. */
export const MAX_AUDIENCE = 50;

/** Accent colours by name; the look gives each a value for light and dark. */
export const accentSchema = z.enum(['bottle', 'tide', 'heather', 'kelp', 'rust', 'slate']);
export type Accent = z.infer<typeof accentSchema>;

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
  seconds: z.int().min(0).max(MAX_SECONDS).nullable().default(null),
  ...filmSettings,
});
export type Film = z.infer<typeof videoSchema>;
/** What is taken by a moment, and marked. */
const taken = {
  ...work,
  /** Minutes after the due minute in which it is still on time; nobody is told of them. */
  grace: graceSchema.default(0),
  /** Until when it is taken late; null: not at all. */
  lateUntil: momentSchema.nullable().default(null),
  /** How often it can be handed in; null: as often as wanted. */
  tries: triesSchema.nullable().default(null),
  /** What can be reached, in points; null: an assignment has no mark, and a quiz what its questions come to. */
  total: pointsSchema.nullable().default(null),
  /** So many points pass. */
  passAt: pointsSchema.nullable().default(null),
  /** Whoever marks is not told whose it is until it is marked. */
  namesLeftOut: z.boolean().default(false),
};

export const assignmentSchema = z.strictObject({
  ...taken,
  kind: z.literal('assignment'),
  takes: takesSchema.default(USUAL_TAKES),
  /** The largest file, in megabytes, where the course would take a larger one; null: as the course has it. */
  largest: z.int().min(1).max(2000).nullable().default(null),
  /** What learners see of their mark, beside the comment and what is given back. */
  markShown: z.enum(['points', 'passed', 'comment']).default('points'),
  /** What goes with what is to be done: sheets, data, forms to fill in. */
  attachments: z.array(fileSchema).max(MAX_ATTACHMENTS).default([]),
  /** How good work looks, for staff alone: in words, as a file, or both. */
  exampleWords: storableSchema.trim().max(MAX_EXAMPLE).default(''),
  exampleFile: fileSchema.nullable().default(null),
});
export type Assignment = z.infer<typeof assignmentSchema>;
export const quizSchema = z.strictObject({ ...taken, kind: z.literal('quiz'), ...quizSettings });
export type Quiz = z.infer<typeof quizSchema>;
export const discussionSchema = z.strictObject({
  ...work,
  kind: z.literal('discussion'),
  /** Who may begin a thread; staff always may. */
  starts: z.enum(['everybody', 'staff']).default('everybody'),
  /** True: others' posts are seen by learners who have posted something themselves. */
  firstPost: z.boolean().default(false),
  /** Learners may change and take away what they have posted; what it was is kept for staff. */
  ownEdits: z.boolean().default(true),
  /** Files can go with a post. */
  mayAttach: z.boolean().default(true),
  /** Nothing is posted any more; what has been said can be read. */
  shut: z.boolean().default(false),
});
export type Discussion = z.infer<typeof discussionSchema>;
export const meetingSchema = z.strictObject({
  ...content,
  kind: z.literal('meeting'),
  /** When it is held; null: with its section's own meeting, where the format has them. */
  held: momentSchema.nullable().default(null),
  place: placeSchema.nullable().default(null),
  ...meetingSettings,
});
export type Meeting = z.infer<typeof meetingSchema>;
export const surveySchema = z.strictObject({ ...content, kind: z.literal('survey'), ...surveySettings });
export type Survey = z.infer<typeof surveySchema>;
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
  survey: surveySchema,
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
