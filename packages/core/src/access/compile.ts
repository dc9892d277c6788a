/**
 * A course's plan made ready for answering: one row a node, in reading order, with all that is the same for
 * everybody worked out beforehand. An answer for one person is then one walk over the rows, so that ten thousand
 * learners of a course cost ten thousand walks and one plan.
 */
import type { CoursePlan, SectionPlan } from '../calendar/course-plan.ts';
import { endOf } from '../calendar/moments.ts';
import type { NodeMoments } from '../calendar/node-moments.ts';
import type { Item } from '../course/schema/items-schema.ts';
import type { Course, CourseNode } from '../course/schema/schema.ts';
import type { AccessState, Answer } from './answer.ts';
import { lower, ofParts } from './answer.ts';
import { goesLiveAt, isFindable, stateAt } from './course-caps.ts';
import { metFrom, openingOf } from './opening.ts';
import type { Opening, OpeningPart } from './opening.ts';
import { mayPlan, NOTHING_DONE } from './roles.ts';
import type { Deeds, Viewer } from './roles.ts';
import { boundsOf } from './window.ts';
import { isHolder } from '../course/tree.ts';
import { isContent } from '../course/schema/items-schema.ts';
import { isContentKind } from '../course/schema/kinds.ts';

export interface Row {
  readonly node: CourseNode;
  /** The row of what holds it; -1 for a section. */
  readonly above: number;
  /** Why nobody but staff can come to get it, as far as it is up to the node alone. */
  readonly shut: Answer | null;
  readonly audience: readonly string[];
  readonly opening: Opening;
  /** What stands there while it is not open. */
  readonly closed: AccessState;
  /** For the node and for what it holds, where the opening is the same for everybody. */
  readonly notYet: Answer;
  readonly notYetBelow: Answer;
  /** The first instant at which it is over, and what is left of it then. */
  readonly overAt: number;
  readonly over: Answer;
  /** Counted for whoever can come to get it. */
  readonly counts: boolean;
}

export interface Compiled {
  readonly course: Course;
  readonly plan: CoursePlan;
  readonly rows: readonly Row[];
  readonly rowOf: ReadonlyMap<string, number>;
  /** Every instant at which something may change by itself, rising, each once. */
  readonly instants: readonly number[];
}

const compiled = new WeakMap<CoursePlan, Compiled>();

export function compileAccess(plan: CoursePlan): Compiled {
  let found = compiled.get(plan);
  if (found === undefined) compiled.set(plan, (found = compile(plan)));
  return found;
}

const NO_MOMENTS: NodeMoments = {};

function compile(plan: CoursePlan): Compiled {
  const { course } = plan;
  const rows: Row[] = [];
  const instants = new Set<number>();
  const sections = new Map(plan.sections.map((one) => [one.id, one]));
  const add = (node: CourseNode, above: number, section: SectionPlan | null, inOrder: boolean): void => {
    const moments = section?.moments.get(node.id) ?? NO_MOMENTS;
    const at = rows.length;
    rows.push(rowOf(course, node, above, moments, inOrder));
    for (const one of [moments.opens, ...(moments.from ?? [])]) {
      if (one?.kind === 'at') instants.add(one.instant);
    }
    const over = overAt(moments);
    if (Number.isFinite(over)) instants.add(over);
    if (isHolder(node)) {
      const isOrdered = node.kind === 'section' ? node.inOrder : inOrder;
      node.items.forEach((item: Item) => add(item, at, section, isOrdered));
    }
  };
  course.sections.forEach((section) => add(section, -1, sections.get(section.id) ?? null, section.inOrder));
  const { opensAt, closesAt } = boundsOf(plan);
  for (const one of [opensAt, closesAt, goesLiveAt(course)]) if (one !== null) instants.add(one);
  return {
    course,
    plan,
    rows,
    rowOf: new Map(rows.map(({ node }, at) => [node.id, at])),
    instants: [...instants].sort((a, b) => a - b),
  };
}

function rowOf(course: Course, node: CourseNode, above: number, moments: NodeMoments, inOrder: boolean): Row {
  const isLeaf = !isHolder(node);
  const waits = isContentKind(node.kind);
  const order = !waits ? null : course.inOrder ? 'course' : inOrder ? 'section' : null;
  const opening = openingOf(node, moments, order);
  const closed = (node.closed ?? course.closed) === 'name' ? 'named' : 'absent';
  const notYet: Answer =
    typeof opening.whole === 'number' && Number.isFinite(opening.whole)
      ? { state: closed, because: 'not_yet', opensAt: opening.whole }
      : { state: closed, because: 'waiting' };
  return {
    node,
    above,
    shut: shutOf(course, node, isLeaf),
    audience: node.audience,
    opening,
    closed,
    notYet,
    notYetBelow: ofParts(notYet),
    overAt: overAt(moments),
    over: { state: node.rule?.then ?? 'look', because: 'over' },
    counts: course.progress && isContent(node) && node.done !== null,
  };
}

const overAt = ({ until }: NodeMoments): number => (until?.kind === 'at' ? endOf(until) : Infinity);

function shutOf(course: Course, node: CourseNode, isLeaf: boolean): Answer | null {
  if (node.removed) return { state: 'absent', because: 'removed' };
  if (!node.shown) {
    return { state: 'absent', because: node.kind === 'section' ? 'section_not_shown' : 'item_not_shown' };
  }
  if (node.staffOnly) return { state: 'absent', because: 'staff_only' };
  // Sections and folders are passed through: what they hold decides for itself.
  const isAside = course.dates.format === 'item' && isLeaf && node.id !== course.dates.around;
  return isAside ? { state: 'absent', because: 'kept_aside' } : null;
}

export const OTHER_AUDIENCE: Answer = { state: 'absent', because: 'other_audience' };
const REMOVED: Answer = { state: 'absent', because: 'removed' };
const SAMPLE: Answer = { state: 'look', because: 'sample' };

export function isInAudience(audience: readonly string[], groups: readonly string[]): boolean {
  return audience.length === 0 || audience.some((id) => groups.includes(id));
}

/** Of each row, whether somebody in these groups can come to get it: neither moment nor rule is asked. */
export function possibleRows(rows: readonly Row[], groups: readonly string[]): readonly boolean[] {
  const possible: boolean[] = [];
  for (const { shut, audience, above } of rows) {
    const own = shut === null && isInAudience(audience, groups);
    possible.push(own && (above < 0 || possible[above] === true));
  }
  return possible;
}

/** What each layer of a node says by itself, for one person at one moment. */
export interface OwnCaps {
  readonly possible: Answer | null;
  readonly opening: Answer | null;
  /** The parts of the opening that are not met. */
  readonly unmet: readonly OpeningPart[];
  readonly until: Answer | null;
}

const PARTS: readonly OpeningPart[] = ['opens', 'rule', 'order'];

/** Hears of every row that is walked over, in order. */
export type Listener = (row: number, caps: OwnCaps) => void;

/** The opening of a row that is not met at the moment, or null. */
function openingCap(row: Row, met: number, at: number): Answer | null {
  if (met <= at) return null;
  // Without anything to do it is the same for everybody, and made beforehand.
  if (typeof row.opening.whole === 'number') return row.notYet;
  return Number.isFinite(met) ? { state: row.closed, because: 'not_yet', opensAt: met } : row.notYet;
}

/**
 * One answer a row.
 *
 * @param ofCourse the course's own answer for this person.
 * @param at milliseconds since 1970-01-01T00:00Z.
 */
export function walk(
  { course, rows }: Compiled,
  viewer: Viewer,
  ofCourse: Answer,
  at: number,
  listen: Listener | null = null,
): readonly Answer[] {
  if (mayPlan(viewer)) return staffAnswers(rows, ofCourse);
  const parts = ofParts(ofCourse);
  const groups = viewer.groups ?? [];
  const deeds: Deeds = viewer.deeds ?? NOTHING_DONE;
  const count = rows.length;
  const answers = new Array<Answer>(count);
  if (parts.state === 'absent' && listen === null) {
    answers.fill(parts);
  } else {
    const shut = new Array<Answer | null>(count);
    const closed = new Array<Answer | null>(count);
    const over = new Array<Answer | null>(count);
    const standing: { deeds: Deeds; before: string | null; beforeInSection: string | null } = {
      deeds,
      before: null,
      beforeInSection: null,
    };
    for (let index = 0; index < count; index += 1) {
      const row = rows[index] as Row;
      const { above } = row;
      if (above < 0) standing.beforeInSection = null;
      const own = row.shut ?? (isInAudience(row.audience, groups) ? null : OTHER_AUDIENCE);
      const possible = (above < 0 ? null : (shut[above] as Answer | null)) ?? own;
      shut[index] = possible;
      const { whole } = row.opening;
      const met = typeof whole === 'number' ? whole : whole(standing);
      const opening = openingCap(row, met, at);
      const until = at >= row.overAt ? row.over : null;
      if (listen !== null) {
        const unmet = PARTS.filter((part) => metFrom(row.opening[part], standing) > at);
        listen(index, { possible: own, opening, unmet, until });
      }
      const closedAbove = above < 0 ? null : (closed[above] as Answer | null);
      const overAbove = above < 0 ? null : (over[above] as Answer | null);
      closed[index] = both(closedAbove, opening === null ? null : below(row, opening));
      over[index] = both(overAbove, until);
      if (possible !== null) {
        answers[index] = lower(parts, possible);
        continue;
      }
      let answer = parts;
      const stop = both(closedAbove, opening);
      if (stop !== null) answer = lower(answer, stop);
      const end = over[index] ?? null;
      if (end !== null) answer = lower(answer, end);
      answers[index] = answer;
      if (row.counts) standing.before = standing.beforeInSection = row.node.id;
    }
  }
  addSamples({ course, rows }, viewer, at, answers);
  return answers;
}

function both(first: Answer | null, second: Answer | null): Answer | null {
  if (first === null) return second;
  return second === null ? first : lower(first, second);
}

function below(row: Row, opening: Answer): Answer {
  return opening === row.notYet ? row.notYetBelow : ofParts(opening);
}

function staffAnswers(rows: readonly Row[], ofCourse: Answer): readonly Answer[] {
  const answers: Answer[] = [];
  for (const { node, above } of rows) {
    const isGone = node.removed || (above >= 0 && (answers[above] as Answer).state === 'absent');
    answers.push(isGone ? REMOVED : ofCourse);
  }
  return answers;
}

/** Samples skip all that stands above them, for those who are not in the course and can find it. */
function addSamples(
  { course, rows }: Pick<Compiled, 'course' | 'rows'>,
  viewer: Viewer,
  at: number,
  answers: Answer[],
): void {
  if (viewer.role !== null || stateAt(course, at) !== 'live' || !isFindable(course, viewer)) return;
  const removed = new Array<boolean>(rows.length);
  rows.forEach(({ node, above, shut }, index) => {
    removed[index] = node.removed || (above >= 0 && removed[above] === true);
    const isSample = 'sample' in node && node.sample && shut === null && !removed[index];
    if (isSample && (answers[index] as Answer).state !== 'look') answers[index] = SAMPLE;
  });
}
