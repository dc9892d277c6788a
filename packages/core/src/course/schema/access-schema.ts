/**
 * What decides who gets what: opening rules, done rules, groups, exceptions, and what is held back
 * (docs/semantics.md, Access). Moments and ids mean here what they mean everywhere in the document.
 */
import { z } from 'zod';
import { daySchema, idSchema, namedCourseSchema, titleSchema, timeSchema } from './basics.ts';
import { momentSchema } from './moment-schema.ts';

/** The most that one list or group of a rule holds. */
export const MAX_CONDITIONS = 20;
/** Days between something done and what it opens. */
export const MAX_DAYS_AFTER = 365;
/** Groups of conditions in groups of conditions, the rule's own counted: what a sentence can still say. */
export const MAX_RULE_DEPTH = 3;
export const MAX_GROUPS = 200;
export const MAX_EXCEPTIONS = 500;

/** Outside the dates: the public page alone; everything to look at; everything to work in. */
export const outsideSchema = z.enum(['closed', 'look', 'open']);
export type Outside = z.infer<typeof outsideSchema>;

/** Who can find a course without being in it: nobody; people of the institution; anybody at all. */
export const findableSchema = z.enum(['members', 'here', 'anyone']);
export type Findable = z.infer<typeof findableSchema>;

export const visitorsSchema = z.enum(['off', 'passphrase', 'anyone']);
export type Visitors = z.infer<typeof visitorsSchema>;

/** What is not open yet: its name stands there, or nothing does. */
export const closedSchema = z.enum(['name', 'leave_out']);
export type Closed = z.infer<typeof closedSchema>;

/** No groups; work and members of one's own group alone; work in one's own, and look at the others'. */
export const groupWorkSchema = z.enum(['none', 'apart', 'beside']);
export type GroupWork = z.infer<typeof groupWorkSchema>;

export const changedBySchema = z.enum(['staff', 'learners']);
export type ChangedBy = z.infer<typeof changedBySchema>;

/** Whose names a learner sees: everybody's; those of the own class, and of all staff; the staff's alone. */
export const namesSchema = z.enum(['everybody', 'class', 'staff']);
export type Names = z.infer<typeof namesSchema>;

/** A moment by the course's own clocks. */
export const localMomentSchema = z.strictObject({ day: daySchema, time: timeSchema });
export type LocalMoment = z.infer<typeof localMomentSchema>;

export const singleConditionSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('from'), moment: momentSchema }),
  /** After the item before it, of those that count for the person. */
  z.strictObject({ kind: z.literal('before') }),
  z.strictObject({
    kind: z.literal('done'),
    items: z.array(idSchema).min(1).max(MAX_CONDITIONS),
    /** So many times 24 hours after the last of them was done; none: at once. */
    days: z.int().min(0).max(MAX_DAYS_AFTER).optional(),
  }),
  /** In percent of what can be reached. */
  z.strictObject({ kind: z.literal('scored'), item: idSchema, least: z.number().min(0).max(100) }),
  namedCourseSchema.extend({ kind: z.literal('course') }),
]);
export type SingleCondition = z.infer<typeof singleConditionSchema>;

/** All of them, or any of them. An empty *all* is met; an empty *any* could never be, and is refused. */
export interface ConditionGroup {
  readonly kind: 'all' | 'any';
  readonly of: readonly Condition[];
}
export type Condition = SingleCondition | ConditionGroup;

const groupOf = <Inner extends z.ZodType<Condition>>(inner: Inner) =>
  z
    .strictObject({ kind: z.enum(['all', 'any']), of: z.array(inner).max(MAX_CONDITIONS) })
    .refine(
      ({ kind, of }) => kind === 'all' || of.length > 0,
      'at least one condition, of which any will do',
    );

const innermost = groupOf(singleConditionSchema);
const either = <Group extends ReturnType<typeof groupOf>>(group: Group) =>
  z.discriminatedUnion('kind', [...singleConditionSchema.options, group]);
const middle = groupOf(either(innermost));
export const whenSchema: z.ZodType<ConditionGroup> = groupOf(either(middle));

/**
 * What an opening waits for besides its own moment, `opens`, which stands first and has to be met as well.
 * `until`: from then on it can only be looked at, or is gone.
 */
export const openingRuleSchema = z.strictObject({
  when: whenSchema,
  until: momentSchema.nullable(),
  then: z.enum(['look', 'absent']),
});
export type OpeningRule = z.infer<typeof openingRuleSchema>;

/** A class comes from the registry; a group is made in the course. `at` orders the list. */
export const groupSchema = z.strictObject({
  name: titleSchema,
  kind: z.enum(['class', 'group']),
  at: z.number().min(0).max(1_000_000),
  /** The grouping that a group is of, where one is said. */
  grouping: idSchema.nullish(),
});
export type Group = z.infer<typeof groupSchema>;

/** Several stand side by side: project groups, lab groups. */
export const MAX_GROUPINGS = 20;
export const MAX_IN_GROUP = 10_000;
export const groupingSchema = z.strictObject({
  name: titleSchema,
  at: z.number().min(0).max(1_000_000),
  /** Learners choose their group of it by themselves; null: staff say who is where. */
  choice: z
    .strictObject({
      /** Until when; null: as long as the course is open. */
      until: momentSchema.nullable(),
      /** In one of its groups; null: as many as come. */
      most: z.int().min(1).max(MAX_IN_GROUP).nullable(),
      /** Learners may make groups of their own. */
      own: z.boolean(),
    })
    .nullable(),
});
export type GroupingPlan = z.infer<typeof groupingSchema>;

/** How much more time somebody has: 1.5 is half as much again. */
export const MAX_FACTOR = 10;
export const factorSchema = z.number().min(1).max(MAX_FACTOR);

/** Other moments on one node. Null leaves the node's own. */
const exceptionMoments = {
  node: idSchema,
  opens: momentSchema.nullable(),
  due: momentSchema.nullable(),
  until: momentSchema.nullable(),
  /** In a quiz with a time limit: so many times the usual time; null or missing: the usual. */
  factor: factorSchema.nullish(),
  /** Of two that are as close, the later one counts. */
  at: z.number().min(0).max(Number.MAX_SAFE_INTEGER),
};

/** For a group or class, in the course; those for persons stand outside it and are never copied. */
export const exceptionSchema = z.strictObject({ for: idSchema, ...exceptionMoments });
export type Exception = z.infer<typeof exceptionSchema>;

export const personExceptionSchema = z.strictObject(exceptionMoments);
export type PersonException = z.infer<typeof personExceptionSchema>;
