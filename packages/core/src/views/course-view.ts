/**
 * A course as one person gets it: resolved, numbered, dated, without rules. The one description of it: core computes
 * it, the contract sends it, and the learner's pages show it.
 */
import { z } from 'zod';
import { accessStateSchema } from '../access/answer.ts';
import { momentInCourseSchema } from '../calendar/plan.ts';
import { heldMeetingSchema } from '../calendar/rows.ts';
import { timeSchema } from '../course/schema/basics.ts';
import { eventSchema, formatSchema, paceSchema } from '../course/schema/dates-schema.ts';
import { courseSchema } from '../course/schema/schema.ts';
import type { Course } from '../course/schema/schema.ts';
import { fileSchema } from '../course/schema/file-schema.ts';
import { accentSchema } from '../course/schema/items-schema.ts';
import type { DeepReadonly } from '../course/schema/readonly.ts';
import { momentViewSchema } from './moment-view.ts';
import type { MomentView } from './moment-view.ts';
import { ITEM_KINDS } from '../course/schema/kinds.ts';
import { DONE_BY } from '../course/schema/progress-schema.ts';

const moment = momentViewSchema.nullable();

/** An item as it may be named; null: it is there, and not for this reader. */
const namedItemSchema = z
  .object({ id: z.string(), number: z.string().nullable(), title: z.string() })
  .nullable();
export type NamedItem = DeepReadonly<z.infer<typeof namedItemSchema>>;

/** All that an opening waits for, met or not: one thing, or several of which all or any are needed. */
export type WaitView =
  | { readonly kind: 'from'; readonly moment: MomentView; readonly met: boolean }
  /** So many days after all of them are done. */
  | {
      readonly kind: 'done';
      readonly items: readonly NamedItem[];
      readonly days: number;
      readonly met: boolean;
    }
  | { readonly kind: 'scored'; readonly item: NamedItem; readonly least: number; readonly met: boolean }
  | { readonly kind: 'course'; readonly title: string; readonly met: boolean }
  | { readonly kind: 'all' | 'any'; readonly of: readonly WaitView[]; readonly met: boolean };

const met = z.boolean();
const severalWaits: z.ZodType<readonly WaitView[]> = z.lazy(() => z.array(waitViewSchema));
export const waitViewSchema: z.ZodType<WaitView> = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('from'), moment: momentViewSchema, met }),
  z.object({ kind: z.literal('done'), items: z.array(namedItemSchema), days: z.int(), met }),
  z.object({ kind: z.literal('scored'), item: namedItemSchema, least: z.number(), met }),
  z.object({ kind: z.literal('course'), title: z.string(), met }),
  z.object({ kind: z.enum(['all', 'any']), of: severalWaits, met }),
]);

/** What it takes to be done with an item, how far each of it is, and whether it is done. */
const doneViewSchema = z.object({
  match: z.enum(['all', 'any']),
  conditions: z.array(
    z.object({
      by: z.enum(DONE_BY),
      /** Percent, or posts; null: it is done or it is not. */
      wants: z.number().nullable(),
      has: z.number().nullable(),
      isMet: z.boolean(),
    }),
  ),
  /** The course shows marks of done beside its items. */
  isShown: z.boolean(),
  /** By its reader. */
  isTicked: z.boolean(),
  isDone: z.boolean(),
  since: z.iso.datetime().nullable(),
  /** Null: it is not done. Staff have said so, or it was done by a rule that was another then. */
  by: z.enum(['rule', 'staff', 'kept']).nullable(),
  /** Only what is done by then counts. */
  byThen: moment,
});
export type DoneView = DeepReadonly<z.infer<typeof doneViewSchema>>;

const bareItemSchema = z.object({
  id: z.string(),
  kind: z.enum(ITEM_KINDS),
  number: z.string().nullable(),
  title: z.string(),
  /** Null also when it is not to stand in the outline. */
  summary: z.string().nullable(),
  /** Whole minutes, or null. */
  minutes: z.int().nullable(),
  /** Where a link or a video leads; null for everything else. */
  address: z.string().nullable(),
  file: fileSchema.nullable(),
  /** How long a video plays. */
  seconds: z.int().nullable(),
  place: z.string().nullable(),
  due: moment,
  held: moment,
  /** When it opens, while it is only named. */
  opens: moment,
  /** While it is only named: all that its opening waits for, where that is more than one moment. */
  waits: waitViewSchema.nullable(),
  /** Until when it is open, while it is. */
  until: moment,
  /** Null: it is not counted. */
  done: doneViewSchema.nullable(),
  accent: accentSchema.nullable(),
  state: accessStateSchema,
});

export interface ItemView extends DeepReadonly<z.infer<typeof bareItemSchema>> {
  /** What a folder holds. */
  readonly items: readonly ItemView[];
}

const severalItems: z.ZodType<readonly ItemView[]> = z.lazy(() => z.array(itemViewSchema));
export const itemViewSchema: z.ZodType<ItemView> = bareItemSchema.extend({ items: severalItems });

/** A section without what it holds. */
export const bareSectionSchema = z.object({
  id: z.string(),
  number: z.string().nullable(),
  /** Null: nobody has typed one, so it follows `days`. */
  title: z.string().nullable(),
  summary: z.string().nullable(),
  accent: accentSchema.nullable(),
  /** ISO days, both included; null when the section has none. */
  days: z.object({ first: z.iso.date(), last: z.iso.date() }).nullable(),
  /** Days of the learner's own clock, for one who has not joined. */
  own: z.object({ first: z.int(), last: z.int() }).nullable(),
  meeting: heldMeetingSchema.nullable(),
  current: z.boolean(),
  /** How much of it its reader has done; null: nothing of it counts for them, or the course shows no marks of what is done. */
  done: z.object({ done: z.int(), counted: z.int(), isDone: z.boolean() }).nullable(),
  opens: moment,
  waits: waitViewSchema.nullable(),
  state: accessStateSchema,
});

const sectionViewSchema = bareSectionSchema.extend({ items: z.array(itemViewSchema) });
export type SectionView = DeepReadonly<z.infer<typeof sectionViewSchema>>;

/** A named pause between sections. */
const pauseViewSchema = z.object({
  name: z.string(),
  number: z.string().nullable(),
  first: z.iso.date(),
  last: z.iso.date(),
  /** The section that it stands before; null: after all of them. */
  before: z.string().nullable(),
});
export type PauseView = DeepReadonly<z.infer<typeof pauseViewSchema>>;

/** Fields of the course that are told as they stand, to everybody who gets anything of it. */
const toldSchema = courseSchema.pick({
  id: true,
  code: true,
  title: true,
  state: true,
  /** Hash of the description's HTML. */
  description: true,
  reading: true,
  madeFor: true,
  bringAlong: true,
  hoursAWeek: true,
});

export function told(course: Course): DeepReadonly<z.infer<typeof toldSchema>> {
  const names = Object.keys(toldSchema.shape) as (keyof typeof toldSchema.shape)[];
  return Object.fromEntries(names.map((name) => [name, course[name]])) as ReturnType<typeof told>;
}

export const courseViewSchema = toldSchema.extend({
  access: accessStateSchema,
  /** The instant at which it opens (ISO, UTC), while only its public page is there. */
  opens: z.iso.datetime().nullable(),
  format: formatSchema,
  pace: paceSchema,
  firstDay: z.iso.date().nullable(),
  lastDay: z.iso.date().nullable(),
  /** On the last day the course goes on until this minute is over. */
  lastTime: timeSchema.nullable(),
  zone: z.string(),
  event: eventSchema.nullable(),
  now: momentInCourseSchema,
  sections: z.array(sectionViewSchema),
  pauses: z.array(pauseViewSchema),
  /** For who is not in the course: items that they may read all the same. */
  samples: z.array(itemViewSchema),
  /** Its dates are over, and after them it is closed. */
  isOver: z.boolean(),
  /** What visitors are asked for before they may look; null: nothing. */
  asks: z.literal('passphrase').nullable(),
  /** On the public page. */
  outcomes: z.array(z.string()),
  /** Around one item: that item, and what is read before it (a hash). */
  around: itemViewSchema.nullable(),
  introduction: z.string().nullable(),
});
export type CourseView = DeepReadonly<z.infer<typeof courseViewSchema>>;
