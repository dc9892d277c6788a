/**
 * What somebody has done in one item, folded from deed to deed: small enough to be kept beside the deeds themselves, and
 * all that any done rule asks about, so that a rule can change without a deed being read again.
 *
 * Deeds come in the order of their moments. Of equal moments what undoes comes last, however they arrive
 * (docs/semantics.md, Progress).
 */
import { z } from 'zod';
import type { DeepReadonly } from '../course/schema/readonly.ts';

/** Milliseconds since 1970-01-01T00:00Z. */
const instant = z.number();

export const deedSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.enum(['opened', 'ticked', 'unticked', 'handed_in', 'posted', 'replied', 'attended', 'absent']),
  }),
  /** A post that was taken away again; `reply`: it answered somebody; `posted`: when it was posted. */
  z.object({ kind: z.literal('unposted'), reply: z.boolean(), posted: instant }),
  /** Of the film's length, in percent. */
  z.object({ kind: z.literal('watched'), percent: z.number() }),
  /** Of what can be reached, in percent; null: there is no mark any more. */
  z.object({ kind: z.literal('scored'), percent: z.number().nullable(), by: z.enum(['learner', 'staff']) }),
  /** Staff say that it is done; that they do not say so any more; that nothing before counts. */
  z.object({ kind: z.enum(['marked', 'unmarked', 'taken_back']) }),
  /** Earned under a rule that has changed since, and kept: since when it was done. */
  z.object({ kind: z.literal('kept'), since: instant }),
]);
export type DeedKind = z.infer<typeof deedSchema>;
export type Deed = DeedKind & { readonly item: string; readonly at: number };

/** So much from a moment on, both rising. */
const stepSchema = z.tuple([instant, z.number()]).readonly();
export type Step = z.infer<typeof stepSchema>;

/** Posts: how many stood before the last moment, and what came and went at it. */
const countedSchema = z.object({
  before: z.number(),
  at: instant,
  came: z.number(),
  went: z.number(),
  /** The most that ever stood. */
  most: z.array(stepSchema),
});
type Counted = DeepReadonly<z.infer<typeof countedSchema>>;

/** Marks before the last moment, and at it the best of one's own and the least of staff's. */
const markedSchema = z.object({
  before: z.array(stepSchema),
  at: instant,
  own: z.number().nullable(),
  /** False: staff said nothing then; null: they took the mark away. */
  staff: z.number().nullable().or(z.literal(false)),
});
type Marked = DeepReadonly<z.infer<typeof markedSchema>>;

const perhaps = instant.exactOptional();
/** What is missing has not happened. */
export const factsSchema = z.object({
  opened: perhaps,
  ticked: perhaps,
  unticked: perhaps,
  handedIn: perhaps,
  attended: perhaps,
  absent: perhaps,
  posts: countedSchema.exactOptional(),
  replies: countedSchema.exactOptional(),
  watched: z.array(stepSchema).exactOptional(),
  marks: markedSchema.exactOptional(),
  marked: perhaps,
  unmarked: perhaps,
  kept: perhaps,
  /** Nothing up to this moment counts any more. */
  takenBack: perhaps,
});
export type Facts = DeepReadonly<z.infer<typeof factsSchema>>;

export const NO_FACTS_YET: Facts = {};

export function fold(facts: Facts, deed: DeedKind & { readonly at: number }): Facts {
  const { at } = deed;
  if (deed.kind === 'taken_back') return { takenBack: at };
  if (facts.takenBack !== undefined && at <= facts.takenBack) return facts;
  switch (deed.kind) {
    case 'opened':
      return facts.opened === undefined ? { ...facts, opened: at } : facts;
    case 'handed_in':
      return facts.handedIn === undefined ? { ...facts, handedIn: at } : facts;
    case 'marked':
      return begun(facts, 'marked', 'unmarked', at);
    case 'unmarked':
      return undone(facts, 'marked', 'unmarked', at);
    case 'kept':
      return { ...facts, kept: Math.min(facts.kept ?? Infinity, deed.since) };
    case 'ticked':
      return begun(facts, 'ticked', 'unticked', at);
    case 'unticked':
      return undone(facts, 'ticked', 'unticked', at);
    case 'attended':
      return begun(facts, 'attended', 'absent', at);
    case 'absent':
      return undone(facts, 'attended', 'absent', at);
    case 'posted':
      return { ...facts, posts: count(facts.posts, at, true) };
    case 'replied':
      return { ...facts, posts: count(facts.posts, at, true), replies: count(facts.replies, at, true) };
    case 'unposted': {
      // It went with what was taken back.
      if (facts.takenBack !== undefined && deed.posted <= facts.takenBack) return facts;
      const posts = count(facts.posts, at, false);
      return deed.reply ? { ...facts, posts, replies: count(facts.replies, at, false) } : { ...facts, posts };
    }
    case 'watched': {
      const watched = raised(facts.watched ?? NO_STEPS, at, deed.percent);
      return watched === (facts.watched ?? NO_STEPS) ? facts : { ...facts, watched };
    }
    case 'scored':
      return { ...facts, marks: mark(facts.marks, at, deed) };
  }
}

/**
 * The last moment of what a deed of this kind could undo, or be undone by: whoever knows that it came after that, though
 * in the same millisecond, has it come a millisecond later. Minus infinity: there is none.
 */
export function lastRelated(facts: Facts, kind: DeedKind['kind']): number {
  const { takenBack, ticked, unticked, attended, absent, marked, unmarked, marks, posts } = facts;
  const last = (...moments: readonly (number | undefined)[]): number =>
    Math.max(takenBack ?? -Infinity, ...moments.map((at) => at ?? -Infinity));
  switch (kind) {
    case 'ticked':
    case 'unticked':
      return last(ticked, unticked);
    case 'attended':
    case 'absent':
      return last(attended, absent);
    case 'marked':
    case 'unmarked':
      return last(marked, unmarked);
    case 'scored':
      return last(marks?.at);
    case 'unposted':
      return last(posts?.at);
    case 'taken_back':
      return last(
        ticked,
        unticked,
        attended,
        absent,
        marked,
        unmarked,
        marks?.at,
        posts?.at,
        facts.opened,
        facts.handedIn,
      );
    default:
      return last();
  }
}

type Undoable = 'ticked' | 'attended' | 'marked';
type Undoing = 'unticked' | 'absent' | 'unmarked';

function begun(facts: Facts, what: Undoable, by: Undoing, at: number): Facts {
  return facts[what] !== undefined || facts[by] === at ? facts : { ...facts, [what]: at };
}

function undone(facts: Facts, what: Undoable, by: Undoing, at: number): Facts {
  const left = Object.entries(facts).filter(([name]) => name !== what);
  return { ...(Object.fromEntries(left) as Facts), [by]: at };
}

const NO_STEPS: readonly Step[] = [];
const NO_COUNT: Counted = { before: 0, at: -Infinity, came: 0, went: 0, most: [] };

/** What came at a moment stood before what went at it was gone. */
function count(counted: Counted = NO_COUNT, at: number, isMore: boolean): Counted {
  const isSame = at === counted.at;
  const before = isSame ? counted.before : Math.max(0, counted.before + counted.came - counted.went);
  const came = (isSame ? counted.came : 0) + (isMore ? 1 : 0);
  const went = (isSame ? counted.went : 0) + (isMore ? 0 : 1);
  return { before, at, came, went, most: raised(counted.most, at, before + came) };
}

/** The most so far, from moment to moment. */
function raised(steps: readonly Step[], at: number, much: number): readonly Step[] {
  const last = steps.at(-1);
  if (last !== undefined && last[1] >= much) return steps;
  if (much <= 0) return steps;
  return [...(last !== undefined && last[0] === at ? steps.slice(0, -1) : steps), [at, much]];
}

const NO_MARK: Marked = { before: [], at: -Infinity, own: null, staff: false };

function mark(
  marks: Marked = NO_MARK,
  at: number,
  { percent, by }: { readonly percent: number | null; readonly by: 'learner' | 'staff' },
): Marked {
  const here: Marked = at === marks.at ? marks : { before: stepsOf(marks), at, own: null, staff: false };
  if (by === 'learner')
    return { ...here, own: percent === null ? here.own : Math.max(here.own ?? 0, percent) };
  const least = here.staff === false ? percent : lower(here.staff, percent);
  return { ...here, staff: least };
}

const lower = (one: number | null, other: number | null): number | null =>
  one === null || other === null ? null : Math.min(one, other);

/** Marks as they stand after the last moment: what one does oneself never lowers them, what staff say does. */
export function stepsOf({ before, at, own, staff }: Marked = NO_MARK): readonly Step[] {
  const raisedBy = own === null ? before : markUp(before, at, own);
  if (staff === false) return raisedBy;
  if (staff === null) return [];
  const capped = raisedBy.reduce<readonly Step[]>(
    (kept, [from, much]) => markUp(kept, from, Math.min(much, staff)),
    [],
  );
  return markUp(capped, at, staff);
}

/** Like `raised`, where nought is a mark too. */
function markUp(steps: readonly Step[], at: number, much: number): readonly Step[] {
  const last = steps.at(-1);
  if (last !== undefined && last[1] >= much) return steps;
  return [...(last !== undefined && last[0] === at ? steps.slice(0, -1) : steps), [at, much]];
}

/** The first moment from which there was so much; infinity: there is not. */
export function since(steps: readonly Step[] | undefined, least: number): number {
  return steps?.find(([, much]) => much >= least)?.[0] ?? Infinity;
}

/** The highest mark that stands, in percent; null: there is none. */
export const topOf = (facts: Facts): number | null => stepsOf(facts.marks).at(-1)?.[1] ?? null;
