/**
 * Who sees what, and which layer decided (docs/semantics.md, Access). Nothing else in Itinerary decides it.
 *
 * Each layer caps the state; the answer is the lowest cap, and the layer that decided is the first, in this
 * order, with that cap: the course's state; finding it and the way in; its dates; whether the section, the folders
 * and the item can be had at all (shown, staff only, audience); their opening rules; until when they are open.
 */
import type { CoursePlan } from '../calendar/course-plan.ts';
import type { Course } from '../course/schema/schema.ts';
import { singles } from '../course/rules.ts';
import { subtree } from '../course/tree.ts';
import type { Answer } from './answer.ts';
import { lowest } from './answer.ts';
import { compileAccess, walk } from './compile.ts';
import type { Compiled } from './compile.ts';
import { capsOfCourse } from './course-caps.ts';
import { doneAndPassed, laterBy } from './opening.ts';
import { ownCourse } from './own-course.ts';
import { instantOf } from '../calendar/local-instant.ts';
import { joinedDay, planFor } from './plan-for.ts';
import { mayPlan } from './roles.ts';
import type { Viewer } from './roles.ts';

/** Answers by id. */
export interface NodeAnswers extends Iterable<readonly [string, Answer]> {
  readonly get: (id: string) => Answer | undefined;
  readonly size: number;
}

/** What changes by itself, if nobody does anything. */
export interface Ahead {
  /** Milliseconds since 1970-01-01T00:00Z. */
  readonly at: number;
  readonly becomes: Answer;
}

export interface Access {
  readonly course: Answer;
  /** One answer for every node of the document, tombstones included. */
  readonly nodes: NodeAnswers;
  /** The next change of state of the course or a node; null: there is none, or no such node. */
  readonly ahead: (id: string) => Ahead | null;
}

const HELD: Answer = { state: 'absent', because: 'held' };

/** Whether two versions of a course have their days, numbers and moments in common: its state is no part of them. */
function isSamePlan(one: Course, other: Course): boolean {
  return one.sections === other.sections && one.dates === other.dates && one.numbering === other.numbering;
}

const carried = new WeakMap<Course, WeakMap<CoursePlan, CoursePlan>>();

function withCourse(plan: CoursePlan, course: Course): CoursePlan {
  let known = carried.get(course);
  if (known === undefined) carried.set(course, (known = new WeakMap<CoursePlan, CoursePlan>()));
  let found = known.get(plan);
  if (found === undefined) known.set(plan, (found = { ...plan, course }));
  return found;
}

/** The plan of somebody's own course, taken from what is at hand where that is the same. */
export function ownPlan(
  course: Course,
  viewer: Viewer,
  at: number,
  hint: CoursePlan | null = null,
): CoursePlan {
  const own = ownCourse(course, viewer, at);
  if (hint === null || hint.joined !== joinedDay(own, viewer)) return planFor(own, viewer);
  if (hint.course === own) return hint;
  return isSamePlan(hint.course, own) ? withCourse(hint, own) : planFor(own, viewer);
}

/**
 * The answer for the course and each of its nodes.
 *
 * @param moment the instant asked about (ISO, UTC).
 * @param hint a plan of this course; taken where it is this person's.
 */
export function resolveAccess(
  course: Course,
  viewer: Viewer,
  moment: string,
  hint: CoursePlan | null = null,
): Access {
  return accessAt(course, viewer, Date.parse(moment), hint);
}

/** @param at milliseconds since 1970-01-01T00:00Z. */
export function accessAt(course: Course, viewer: Viewer, at: number, hint: CoursePlan | null = null): Access {
  const compiled = compileAccess(ownPlan(course, viewer, at, hint));
  const ofCourse = courseAnswer(compiled, viewer, at);
  return {
    course: ofCourse,
    nodes: answersById(course, compiled, walk(compiled, viewer, ofCourse, at)),
    ahead: (id) => aheadOf(course, viewer, at, id, hint),
  };
}

export function courseAnswer({ course, plan }: Compiled, viewer: Viewer, at: number): Answer {
  const open: Answer = { state: 'open', because: mayPlan(viewer) ? 'staff' : 'member' };
  return lowest(capsOfCourse(course, plan, viewer, at), open);
}

function answersById(
  course: Course,
  { course: own, rowOf, rows }: Compiled,
  answers: readonly Answer[],
): NodeAnswers {
  // Held is what stands in the plan and not in what learners go on seeing.
  let held: ReadonlySet<string> | null = null;
  const isHeld = (id: string): boolean => {
    if (own === course) return false;
    held ??= new Set(course.sections.flatMap((section) => subtree(section)).map((node) => node.id));
    return held.has(id);
  };
  return {
    size: rows.length,
    get: (id) => {
      const row = rowOf.get(id);
      if (row !== undefined) return answers[row];
      return isHeld(id) ? HELD : undefined;
    },
    *[Symbol.iterator]() {
      for (let index = 0; index < rows.length; index += 1) {
        yield [(rows[index] as { node: { id: string } }).node.id, answers[index] as Answer] as const;
      }
    },
  };
}

/** Every instant at which something may change by itself for this person, rising, each once. */
export function instantsFor(
  course: Course,
  viewer: Viewer,
  at: number,
  hint: CoursePlan | null = null,
): readonly number[] {
  const releases = Object.values(course.heldBack).flatMap(({ release }) =>
    release === null ? [] : [instantOf(course, release)],
  );
  const compiled = compileAccess(ownPlan(course, viewer, at, hint));
  const after = laterOpenings(compiled, viewer);
  const { instants } = compiled;
  if (releases.length === 0 && after.length === 0) return instants;
  // What is released has moments of its own, which count from its release on.
  const later = releases.flatMap((release) => compileAccess(ownPlan(course, viewer, release, hint)).instants);
  return [...new Set([...instants, ...after, ...releases, ...later])].sort((a, b) => a - b);
}

/** What opens some days after this person has done something. */
function laterOpenings({ rows }: Compiled, { deeds }: Viewer): readonly number[] {
  if (deeds?.since === undefined) return [];
  return rows
    .flatMap(({ node: { rule } }) => (rule === null ? [] : singles(rule.when)))
    .flatMap((one) =>
      one.kind === 'done' && laterBy(one) > 0 ? [doneAndPassed(one.items, one.days ?? 0, deeds)] : [],
    )
    .filter((instant) => Number.isFinite(instant));
}

function aheadOf(
  course: Course,
  viewer: Viewer,
  at: number,
  id: string,
  hint: CoursePlan | null,
): Ahead | null {
  const answerAt = (instant: number): Answer | undefined => {
    const access = accessAt(course, viewer, instant, hint);
    return id === course.id ? access.course : access.nodes.get(id);
  };
  const now = answerAt(at);
  if (now === undefined) return null;
  for (const instant of instantsFor(course, viewer, at, hint)) {
    if (instant <= at) continue;
    const then = answerAt(instant);
    if (then !== undefined && then.state !== now.state) return { at: instant, becomes: then };
  }
  return null;
}
