/**
 * What counts as done: of an item, of a section, of the course (docs/semantics.md, Progress). Moments and ids mean here
 * what they mean everywhere in the document.
 */
import { z } from 'zod';
import { idSchema } from './basics.ts';
import { ITEM_KINDS } from './kinds.ts';
import { momentSchema } from './moment-schema.ts';

/** Posts of one item, and posts in answer to others. */
export const MAX_POSTS_WANTED = 100;
/** Conditions of one item: more than there are kinds of them would say one twice. */
export const MAX_DONE_CONDITIONS = 8;
/** Items and sections that one rule names. */
export const MAX_NAMED = 200;
export const MAX_COURSE_PARTS = 10;

/** From nought to a hundred. */
const percentSchema = z.number().min(0).max(100);

const CONDITIONS = [
  z.strictObject({ by: z.literal('opened') }),
  z.strictObject({ by: z.literal('ticked') }),
  z.strictObject({ by: z.literal('handed_in') }),
  /** In percent of what can be reached. */
  z.strictObject({ by: z.literal('scored'), least: percentSchema }),
  /** As its own pass mark has it. */
  z.strictObject({ by: z.literal('passed') }),
  z.strictObject({ by: z.literal('posted'), least: z.int().min(1).max(MAX_POSTS_WANTED) }),
  /** Posts that answer somebody. */
  z.strictObject({ by: z.literal('replied'), least: z.int().min(1).max(MAX_POSTS_WANTED) }),
  /** In percent of the film's length. */
  z.strictObject({ by: z.literal('watched'), least: z.int().min(1).max(100) }),
  /** Staff or a code say that one was there. */
  z.strictObject({ by: z.literal('attended') }),
] as const;

export const doneConditionSchema = z.discriminatedUnion('by', [...CONDITIONS]);
export type DoneCondition = z.infer<typeof doneConditionSchema>;
export type DoneBy = DoneCondition['by'];
export const DONE_BY = CONDITIONS.map((one) => one.shape.by.value) as [DoneBy, ...DoneBy[]];

/** Only what is done by then counts; missing: whenever it is done. */
const byThen = { byThen: momentSchema.nullish() };
const several = z.array(doneConditionSchema).min(1).max(MAX_DONE_CONDITIONS);

/** One condition, all of several, or any of them. Null on an item: it is not counted. */
export const doneRuleSchema = z.discriminatedUnion('by', [
  CONDITIONS[0].extend(byThen),
  CONDITIONS[1].extend(byThen),
  CONDITIONS[2].extend(byThen),
  CONDITIONS[3].extend(byThen),
  CONDITIONS[4].extend(byThen),
  CONDITIONS[5].extend(byThen),
  CONDITIONS[6].extend(byThen),
  CONDITIONS[7].extend(byThen),
  CONDITIONS[8].extend(byThen),
  z.strictObject({ by: z.literal('all'), of: several, ...byThen }),
  z.strictObject({ by: z.literal('any'), of: several, ...byThen }),
]);
export type DoneRule = z.infer<typeof doneRuleSchema>;

/** How many of what is asked about. */
const HOW_MANY = [
  z.strictObject({ how: z.literal('all') }),
  z.strictObject({ how: z.literal('any') }),
  z.strictObject({ how: z.literal('least'), count: z.int().min(1).max(1000) }),
  /** A share by their number, in percent. */
  z.strictObject({ how: z.literal('share'), percent: z.number().gt(0).max(100) }),
] as const;
export const manySchema = z.discriminatedUnion('how', [...HOW_MANY]);
export type Many = z.infer<typeof manySchema>;

/** Or so many minutes of work, by the items' expected times. */
export const wantSchema = z.discriminatedUnion('how', [
  ...HOW_MANY,
  z.strictObject({ how: z.literal('minutes'), minutes: z.int().min(1).max(1_000_000) }),
]);
export type Want = z.infer<typeof wantSchema>;

/** Ids; empty: all that are counted. */
const named = z.array(idSchema).max(MAX_NAMED).default([]);

/** Null on a section: all its counted items. */
export const sectionRuleSchema = z.strictObject({ want: wantSchema, named });
export type SectionRule = z.infer<typeof sectionRuleSchema>;

export const coursePartSchema = z.discriminatedUnion('over', [
  z.strictObject({ over: z.literal('sections'), want: manySchema, named }),
  z.strictObject({
    over: z.literal('items'),
    want: wantSchema,
    /** Of this kind alone; null: of all kinds. */
    kind: z.enum(ITEM_KINDS).nullable().default(null),
    named,
  }),
  /** In one item, in percent of what can be reached there. */
  z.strictObject({ over: z.literal('scored'), item: idSchema, least: percentSchema }),
  /** Of the meetings that can be attended, whether they are counted by themselves or not. */
  z.strictObject({ over: z.literal('attended'), want: manySchema }),
]);
export type CoursePart = z.infer<typeof coursePartSchema>;

/** Null on the course: all its counted items. */
export const courseRuleSchema = z.strictObject({
  match: z.enum(['all', 'any']),
  of: z.array(coursePartSchema).min(1).max(MAX_COURSE_PARTS),
});
export type CourseRule = z.infer<typeof courseRuleSchema>;

/** Whether it is several conditions. */
export function isSeveral(rule: DoneRule): rule is Extract<DoneRule, { by: 'all' | 'any' }> {
  return rule.by === 'all' || rule.by === 'any';
}

/** The conditions of a rule, in their order. */
export function conditionsOf(rule: DoneRule | null): readonly DoneCondition[] {
  if (rule === null) return [];
  return isSeveral(rule) ? rule.of : [rule];
}

/** The first of its conditions that is met in this way; null: there is none. */
export function conditionBy<By extends DoneBy>(
  rule: DoneRule | null,
  by: By,
): Extract<DoneCondition, { by: By }> | null {
  const found = conditionsOf(rule).find((one) => one.by === by);
  return (found as Extract<DoneCondition, { by: By }> | undefined) ?? null;
}
