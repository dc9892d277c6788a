/** What somebody reading a course gets: resolved on the server, without rules. */
import {
  accentSchema,
  eventSchema,
  fileSchema,
  formatSchema,
  ITEM_KINDS,
  MAX_TEXT,
  paceSchema,
  storableSchema,
  textHashSchema,
  timeSchema,
} from '@itinerary/core';
import type { CourseView, ItemView, SectionView, WaitView } from '@itinerary/core';
import type { Role } from '@itinerary/core';
import type { Arrival, HomeView } from '@itinerary/core';
import { z } from 'zod';
import { homeViewSchema } from './face.ts';
import { roleSchema } from './people.ts';

const accessStateSchema = z.enum(['absent', 'named', 'look', 'open']);
const accentNameSchema = accentSchema.nullable();

/** A planned moment: the day and time in the course's zone, and the instant for everybody else's. */
const momentViewSchema = z
  .object({ day: z.iso.date(), time: timeSchema.nullable(), instant: z.iso.datetime() })
  .nullable();

const namedItemSchema = z
  .object({ id: z.string(), number: z.string().nullable(), title: z.string() })
  .nullable();

/** All that an opening waits for, met or not: one thing, or several of which all or any are needed. */
const waitSchema = z.object({
  kind: z.enum(['from', 'done', 'scored', 'course', 'all', 'any']),
  met: z.boolean(),
  moment: momentViewSchema.optional(),
  items: z.array(namedItemSchema).optional(),
  item: namedItemSchema.optional(),
  least: z.number().optional(),
  title: z.string().optional(),
  get of(): z.ZodType<readonly WaitView[] | undefined> {
    return z.array(waitSchema).optional() as unknown as z.ZodType<readonly WaitView[] | undefined>;
  },
});

const doneViewSchema = z
  .object({
    by: z.enum(['opened', 'ticked', 'handed_in', 'scored', 'posted']),
    isDone: z.boolean(),
  })
  .nullable();

const bareItemSchema = z.object({
  id: z.string(),
  kind: z.enum(ITEM_KINDS),
  number: z.string().nullable(),
  title: z.string(),
  summary: z.string().nullable(),
  minutes: z.int().nullable(),
  address: z.string().nullable(),
  file: fileSchema.nullable(),
  seconds: z.int().nullable(),
  place: z.string().nullable(),
  due: momentViewSchema,
  held: momentViewSchema,
  opens: momentViewSchema,
  waits: waitSchema.nullable(),
  until: momentViewSchema,
  done: doneViewSchema,
  accent: accentNameSchema,
  state: accessStateSchema,
});

const itemViewSchema = bareItemSchema.extend({
  /** What a folder holds: items as this one. */
  get items(): z.ZodType<readonly ItemView[]> {
    return z.array(itemViewSchema) as z.ZodType<readonly ItemView[]>;
  },
});

const heldMeetingSchema = z.object({
  key: z.string(),
  pattern: z.string().nullable(),
  originalDay: z.iso.date(),
  day: z.iso.date(),
  time: timeSchema,
  minutes: z.int(),
  place: z.string().nullable(),
  status: z.enum(['held', 'moved', 'added', 'cancelled']),
});

const bareSectionSchema = z.object({
  id: z.string(),
  number: z.string().nullable(),
  title: z.string().nullable(),
  summary: z.string().nullable(),
  accent: accentNameSchema,
  days: z.object({ first: z.iso.date(), last: z.iso.date() }).nullable(),
  /** Days of the learner's own clock. */
  own: z.object({ first: z.int(), last: z.int() }).nullable(),
  meeting: heldMeetingSchema.nullable(),
  current: z.boolean(),
  opens: momentViewSchema,
  waits: waitSchema.nullable(),
  state: accessStateSchema,
});

const sectionViewSchema = bareSectionSchema.extend({ items: z.array(itemViewSchema) });

const courseViewSchema = z.object({
  id: z.string(),
  code: z.string(),
  title: z.string(),
  state: z.enum(['draft', 'live', 'archived']),
  access: accessStateSchema,
  opens: z.iso.datetime().nullable(),
  description: z.string().nullable(),
  format: formatSchema,
  pace: paceSchema,
  reading: z.enum(['scroll', 'sections']),
  firstDay: z.iso.date().nullable(),
  lastDay: z.iso.date().nullable(),
  lastTime: timeSchema.nullable(),
  zone: z.string(),
  event: eventSchema.nullable(),
  now: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('undated') }),
    z.object({ kind: z.literal('before'), days: z.int() }),
    z.object({ kind: z.literal('slot'), number: z.int() }),
    z.object({ kind: z.literal('pause'), name: z.string() }),
    z.object({ kind: z.literal('within') }),
    z.object({ kind: z.literal('after') }),
  ]),
  sections: z.array(sectionViewSchema),
  pauses: z.array(
    z.object({
      name: z.string(),
      number: z.string().nullable(),
      first: z.iso.date(),
      last: z.iso.date(),
      /** The section that it stands before; null: after all of them. */
      before: z.string().nullable(),
    }),
  ),
  /** For who is not in the course: items that they may read all the same. */
  samples: z.array(itemViewSchema),
  isOver: z.boolean(),
  asks: z.literal('passphrase').nullable(),
  outcomes: z.array(z.string()),
  madeFor: z.string().nullable(),
  bringAlong: z.string().nullable(),
  hoursAWeek: z.number().nullable(),
  around: itemViewSchema.nullable(),
  introduction: z.string().nullable(),
});

export const readCourseSchema = z.object({
  course: courseViewSchema,
  descriptionHtml: z.string().nullable(),
  introductionHtml: z.string().nullable(),
  /** Around one item: its text. */
  aroundHtml: z.string().nullable(),
  /** Who teaches: names only. */
  staff: z.array(z.string()),
  mayPlan: z.boolean(),
  isMember: z.boolean(),
  home: homeViewSchema,
  /** Texts of its panels, by their hash. */
  texts: z.record(z.string(), z.string()),
  /** Where this reader arrives who opens the course. */
  arrival: z.object({
    to: z.enum(['home', 'sections', 'announcements', 'item', 'section']),
    id: z.string().optional(),
  }),
  /** The item that they opened last. */
  last: z.string().nullable(),
});
export interface ReadCourseAnswer {
  readonly course: CourseView;
  readonly descriptionHtml: string | null;
  readonly introductionHtml: string | null;
  readonly aroundHtml: string | null;
  readonly staff: readonly string[];
  readonly mayPlan: boolean;
  readonly isMember: boolean;
  readonly home: HomeView;
  readonly texts: Readonly<Record<string, string>>;
  readonly arrival: Arrival;
  readonly last: string | null;
}

const neighbourSchema = z
  .object({ id: z.string(), title: z.string(), number: z.string().nullable() })
  .nullable();

export const readItemSchema = z.object({
  course: z.object({ id: z.string(), title: z.string(), code: z.string(), zone: z.string() }),
  /** Null around one item. */
  section: bareSectionSchema.nullable(),
  item: itemViewSchema,
  html: z.string().nullable(),
  /** Who works together in it; null: everybody by themselves. */
  group: z
    .object({ mode: z.enum(['apart', 'beside']), own: z.string().nullable(), people: z.array(z.string()) })
    .nullable(),
  /** Its words are this reader's to change. */
  mayChange: z.boolean(),
  previous: neighbourSchema,
  next: neighbourSchema,
});
export interface Neighbour {
  readonly id: string;
  readonly title: string;
  readonly number: string | null;
}
export interface ReadItemAnswer {
  readonly course: {
    readonly id: string;
    readonly title: string;
    readonly code: string;
    readonly zone: string;
  };
  readonly section: Omit<SectionView, 'items'> | null;
  readonly item: ItemView;
  readonly html: string | null;
  readonly group: {
    readonly mode: 'apart' | 'beside';
    /** The name of one's own group; null: one is in none. */
    readonly own: string | null;
    /** Names of those whom one works with. */
    readonly people: readonly string[];
  } | null;
  readonly mayChange: boolean;
  readonly previous: Neighbour | null;
  readonly next: Neighbour | null;
}

/** The others on the course, as far as this reader may see them. */
export const classmatesSchema = z.object({
  people: z.array(z.object({ name: z.string(), role: roleSchema, groups: z.array(z.string()) })),
});
export interface ClassmatesAnswer {
  readonly people: readonly {
    readonly name: string;
    readonly role: Role;
    /** Names of the groups and classes that they are in. */
    readonly groups: readonly string[];
  }[];
}

export const visitSchema = z.strictObject({ passphrase: z.string().min(1).max(200) });

/** The words of a page as they are kept, and their hash. */
export const pageTextSchema = z.object({ html: z.string(), hash: textHashSchema.nullable() });
export interface PageTextAnswer {
  readonly html: string;
  readonly hash: string | null;
}
export const pageWordsSchema = z.strictObject({
  html: storableSchema.max(MAX_TEXT),
  was: textHashSchema.nullable(),
});
