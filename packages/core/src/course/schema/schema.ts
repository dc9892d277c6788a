/**
 * The course document: one immutable value that holds a course's whole plan.
 *
 * Days are ISO `YYYY-MM-DD` and times `HH:MM` in the course's zone, weekdays ISO 1–7 (Monday = 1), texts are
 * SHA-256 hashes (hex) of HTML that loads apart. Only `parseCourse` makes a `Course` from foreign data; past
 * it nothing checks shapes again. Fields with a default may be missing in data of earlier releases.
 */
import { z } from 'zod';
import {
  codeSchema,
  MAX_OUTCOME,
  MAX_TAGS,
  daySchema,
  idSchema,
  namedCourseSchema,
  storableSchema,
  summarySchema,
  tableSchema,
  tagSchema,
  textHashSchema,
  titleSchema,
} from './basics.ts';
import {
  changedBySchema,
  closedSchema,
  exceptionSchema,
  findableSchema,
  groupingSchema,
  groupSchema,
  groupWorkSchema,
  localMomentSchema,
  MAX_EXCEPTIONS,
  MAX_GROUPINGS,
  MAX_GROUPS,
  MAX_RULE_DEPTH,
  namesSchema,
  outsideSchema,
  visitorsSchema,
} from './access-schema.ts';
import { answerHoursSchema, seatsSchema, SWITCHED_WAYS, wayInSchema } from './joining-schema.ts';
import { datesSchema } from './dates-schema.ts';
import { FIRST_PANELS, MAX_PANELS, panelSchema } from './home-schema.ts';
import {
  accentSchema,
  itemSchema,
  itemsSchema,
  MAX_FOLDER_DEPTH,
  nodeBase,
  TOMBSTONES_FACTOR,
} from './items-schema.ts';
import type { Item } from './items-schema.ts';
import { ITEM_KINDS } from './kinds.ts';
import { coursePictureSchema, lookSchema } from './look-schema.ts';
import { AREAS, arriveSchema, FIRST_MENU, MAX_MENU, menuEntrySchema } from './menu-schema.ts';
import { announcementSchema, contactSchema, MAX_ANNOUNCEMENTS, MAX_CONTACTS } from './messages-schema.ts';
import { courseRuleSchema, doneRuleSchema, sectionRuleSchema } from './progress-schema.ts';
import { languageSchema, roleNameSchema } from './words-schema.ts';

/** Enough for a section a day over half a year; a bound for every walk over the outline. */
export const MAX_SECTIONS = 200;
export const MAX_OUTCOMES = 60;
export const MAX_HELD = 100;

export const purposeSchema = z.enum(['learners', 'practice', 'circle']);
export type Purpose = z.infer<typeof purposeSchema>;

export const courseStateSchema = z.enum(['draft', 'live', 'archived']);
export type CourseState = z.infer<typeof courseStateSchema>;

/** How long a unit is: whole teaching weeks, or days outside pauses. */
export const MAX_SPAN = 370;
export const unitSpanSchema = z.strictObject({
  count: z.int().min(1).max(MAX_SPAN),
  unit: z.enum(['days', 'weeks']),
});
export type UnitSpan = z.infer<typeof unitSpanSchema>;

export const sectionSchema = z.strictObject({
  ...nodeBase,
  kind: z.literal('section'),
  /** Null: the title follows the section's dates. */
  title: titleSchema.nullable(),
  /** True: stands outside the calendar (an opening unit, resources): no days. */
  outside: z.boolean(),
  /** A section outside the calendar that is numbered all the same. */
  numbered: z.boolean().default(false),
  accent: accentSchema.nullable().default(null),
  /** Unit by unit: how long it is, and the day that it is pinned to, if any. Kept through other formats. */
  span: unitSpanSchema.default({ count: 1, unit: 'weeks' }),
  pin: daySchema.nullable().default(null),
  /** True: each item in it waits for the one before it in this section. */
  inOrder: z.boolean().default(false),
  /** What it takes to be done with it; null: all its counted items. */
  done: sectionRuleSchema.nullable().default(null),
  items: itemsSchema,
});

/**
 * A section or item that is held: what learners go on seeing of it, as they had it when it was held, until it is
 * released; null: they had nothing of it. `release`: by itself, at that moment.
 */
export const heldBackSchema = z.strictObject({
  node: z.union([sectionSchema, itemSchema]).nullable(),
  release: localMomentSchema.nullable(),
});
export type HeldBack = z.infer<typeof heldBackSchema>;

/** What learners can do afterwards. `at` orders the list. */
export const outcomeSchema = z.strictObject({
  text: storableSchema.trim().min(1).max(MAX_OUTCOME),
  at: z.number().min(0).max(1_000_000),
});
export type Outcome = z.infer<typeof outcomeSchema>;

export const numberingSchema = z.strictObject({
  style: z.enum(['none', 'sections', 'items']),
  from: z.union([z.literal(0), z.literal(1)]),
  /** Whether items begin anew in each section; otherwise their count runs on through the course. */
  restart: z.boolean(),
});
export type Numbering = z.infer<typeof numberingSchema>;

export const courseSchema = z.strictObject({
  id: idSchema,
  title: titleSchema,
  code: codeSchema,
  purpose: purposeSchema,
  state: courseStateSchema,
  /** Codes of the institution's department and term. */
  department: storableSchema.max(40).nullable(),
  term: storableSchema.max(40).nullable(),
  description: textHashSchema.nullable(),
  tags: z.array(tagSchema).max(MAX_TAGS),
  dates: datesSchema,
  numbering: numberingSchema.default({ style: 'items', from: 1, restart: true }),
  /** How sections read: all on one page, or an index and one at a time. */
  reading: z.enum(['scroll', 'sections']).default('scroll'),
  /** A section that is not open yet: its name stands there, or nothing does. */
  closed: closedSchema.default('name'),
  /** True: each item waits for the one before it, through the whole course. */
  inOrder: z.boolean().default(false),
  /** A draft goes live by itself then. */
  goesLive: localMomentSchema.nullable().default(null),
  find: findableSchema.default('members'),
  visitors: visitorsSchema.default('off'),
  /** On the public page: who the course is made for, and what to bring along. */
  madeFor: summarySchema.nullable().default(null),
  bringAlong: summarySchema.nullable().default(null),
  /** The ways in that it has, by their kind. */
  ways: tableSchema(wayInSchema, SWITCHED_WAYS.length),
  /** For learners; null: as many as come. */
  seats: seatsSchema.nullable().default(null),
  /** Whoever finds no seat of the course may wait for one. */
  line: z.boolean().default(false),
  /** How long a seat that is offered to somebody who waits is kept for them. */
  answerHours: answerHoursSchema.default(48),
  /** Whether learners may leave by themselves. */
  mayLeave: z.boolean().default(true),
  groups: tableSchema(groupSchema, MAX_GROUPS),
  groupings: tableSchema(groupingSchema, MAX_GROUPINGS),
  /** What items have that have no mode of their own. */
  groupWork: groupWorkSchema.default('none'),
  /** Who may change the words of pages that do not say so themselves. */
  changedBy: changedBySchema.default('staff'),
  names: namesSchema.default('everybody'),
  exceptions: tableSchema(exceptionSchema, MAX_EXCEPTIONS),
  /** By the id of what is held. */
  heldBack: tableSchema(heldBackSchema, MAX_HELD),
  /** What learners get of it before its first day and after its last; staff get all of it, always. */
  window: z
    .strictObject({ before: outsideSchema, after: outsideSchema })
    .default({ before: 'open', after: 'open' }),
  /** The load that a learner can be asked for, in hours a week; null: nobody has said. */
  hoursAWeek: z.number().min(0.5).max(80).nullable().default(null),
  /** What the course's description promises, in hours all in all; null: nothing. */
  statedHours: z.int().min(1).max(5000).nullable().default(null),
  /** The largest upload, in megabytes (10⁶ bytes); null: the institution's. */
  largestUpload: z.int().min(1).max(2000).nullable().default(null),
  /** Whether files are taken that run on the machine of whoever opens them: macros, scripts, programs. */
  programs: z.boolean().default(false),
  /** Around one item: what is read before it. */
  introduction: textHashSchema.nullable().default(null),
  outcomes: tableSchema(outcomeSchema, MAX_OUTCOMES),
  menu: tableSchema(menuEntrySchema, MAX_MENU, FIRST_MENU),
  /** Areas that are switched off: no menu and no address leads there. Area: `off`. */
  areas: tableSchema(z.literal('off'), AREAS.length),
  menuPlace: z.enum(['top', 'side']).default('top'),
  /** Learners can look at what they have done, and when. */
  ownLog: z.boolean().default(true),
  /** False: nothing counts as done, and nothing of it shows anywhere. */
  progress: z.boolean().default(true),
  /** What it takes to be done with the course; null: all its counted items. */
  done: courseRuleSchema.nullable().default(null),
  /** By kind of item: what a new one counts as done by. */
  usualDone: tableSchema(doneRuleSchema, ITEM_KINDS.length),
  /** What learners see of it: how much of it they have done, what is done beside each item, whether they keep pace. */
  shareShown: z.boolean().default(true),
  marksShown: z.boolean().default(true),
  paceShown: z.boolean().default(true),
  /** Said to whoever has done the course; null: nothing. */
  doneWords: summarySchema.nullable().default(null),
  /** Where whoever has done the course can go on; null: nowhere in particular. */
  doneNext: namedCourseSchema.nullable().default(null),
  arrive: arriveSchema.default({ at: 'home' }),
  /** Where somebody arrives who comes for the first time; null: where everybody does. */
  firstArrive: arriveSchema.nullable().default(null),
  panels: tableSchema(panelSchema, MAX_PANELS, FIRST_PANELS),
  homeColumns: z.union([z.literal(1), z.literal(2)]).default(2),
  announcements: tableSchema(announcementSchema, MAX_ANNOUNCEMENTS),
  contacts: tableSchema(contactSchema, MAX_CONTACTS),
  look: lookSchema.default(lookSchema.parse({})),
  /** Null: one is computed from the title and the colour. */
  banner: coursePictureSchema.nullable().default(null),
  /** In lists of courses; null: as the banner. */
  thumbnail: coursePictureSchema.nullable().default(null),
  /** Of the learner's pages; null: each reader's own. */
  language: languageSchema.nullable().default(null),
  /** True: whatever a reader has chosen. */
  languageHeld: z.boolean().default(false),
  /** By role: what the course calls it. */
  roleNames: tableSchema(roleNameSchema, 3),
  sections: z.array(sectionSchema).max(MAX_SECTIONS * TOMBSTONES_FACTOR),
});

export type Section = z.infer<typeof sectionSchema>;
export type Course = z.infer<typeof courseSchema>;
export type CourseNode = Section | Item;

/** What is held back, a section in it, folders in folders, and an item; with the rules that fields hold below them. */
export const MAX_NESTING = 12 + 2 * MAX_FOLDER_DEPTH + 6 + 2 * MAX_RULE_DEPTH;

/**
 * What no schema can say of foreign data, or null where it is as it should be: that it nests no deeper than a
 * course can, and that nothing in it goes by a name which is dropped in silence. Asked first, and without
 * recursion, so that no reader after it can run out of stack.
 */
export function wrongBefore(data: unknown, most = MAX_NESTING): string | null {
  let level: unknown[] = [data];
  for (let depth = 0; level.length > 0; depth += 1) {
    if (depth > most) return 'less nesting';
    const next: unknown[] = [];
    for (const one of level) {
      if (one === null || typeof one !== 'object') continue;
      if (Object.hasOwn(one, '__proto__')) return 'nothing named __proto__';
      for (const inner of Object.values(one)) next.push(inner);
    }
    level = next;
  }
  return null;
}
