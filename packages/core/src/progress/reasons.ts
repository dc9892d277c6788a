/**
 * Why a course cannot be finished: the fewest things that have to become others, each with what cures it
 * (docs/semantics.md, Progress: Feasible).
 */
import { whyNever } from '../access/analysis.ts';
import { metAt, waitsOf } from '../access/reach.ts';
import type { NeverBecause } from '../access/analysis.ts';
import type { Row } from '../access/compile.ts';
import type { Viewer } from '../access/roles.ts';
import { isContent } from '../course/schema/items-schema.ts';
import type { CoursePart, SectionRule, Want } from '../course/schema/progress-schema.ts';
import type { Course } from '../course/schema/schema.ts';
import { conditionDoable, markDoable } from './doable.ts';
import type { NeverDone } from './doable.ts';
import { countWanted } from './enough.ts';
import { wayOf } from './feasible.ts';
import type { Way } from './feasible.ts';
import { itemsAsked, sectionsAsked } from './reckon.ts';

export type ReasonBecause =
  | NeverBecause
  | NeverDone
  /** More is wanted than there is. */
  | 'too_few'
  | 'too_few_minutes'
  /** A rule names what this learner does not get, or what is not counted. */
  | 'not_there';

export interface Reason {
  readonly because: ReasonBecause;
  /** The item, section or course that it is about. */
  readonly of: string;
  /** Ids of what it waits for, or of what asks for it. */
  readonly others: readonly string[];
  /** Of a rule of the course with several parts, which; null: it is about none of them. */
  readonly part: number | null;
  /** How much is wanted, and how much there is; null: it is not about so much. */
  readonly wants: number | null;
  readonly are: number | null;
}

type Reasons = readonly Reason[];

export const keyOf = ({ because, of, part }: Reason): string => `${because} ${of} ${part ?? ''}`;

const together = (all: readonly Reasons[]): Reasons => [
  ...new Map(all.flat().map((one) => [keyOf(one), one])).values(),
];

/** None: it can be finished, or nothing counts. */
export function reasonsWhyNot(course: Course, viewer: Viewer): Reasons {
  const way = wayOf(course, viewer);
  if (way.counting.items.length === 0) return [];
  return ofCourse(way);
}

function ofCourse(way: Way): Reasons {
  const { rule, items, plan } = way.counting;
  const of = plan.course.id;
  if (rule === null) {
    return ofWant(
      way,
      { how: 'all' },
      items.map(({ id }) => ofItem(way, id, new Map())),
      of,
    );
  }
  const parts = rule.of.map((part, at) =>
    // What asks for a mark or for meetings asks for nothing else of them: it is cured with that part as well.
    ofPart(way, part, of).map((reason) =>
      reason.of === of || part.over === 'scored' || part.over === 'attended'
        ? { ...reason, part: at }
        : reason,
    ),
  );
  return rule.match === 'all' ? together(parts) : fewest(parts);
}

const fewest = (all: readonly Reasons[]): Reasons =>
  all.reduce((best, one) => (one.length < best.length ? one : best));

function ofPart(way: Way, part: CoursePart, of: string): Reasons {
  const { counting, reach } = way;
  switch (part.over) {
    case 'items': {
      const ids = itemsAsked(counting, part);
      const reasons = ids.map((id) => named(way, id, of) ?? ofItem(way, id, new Map()));
      return ofWant(way, part.want, reasons, of, ids);
    }
    case 'sections': {
      const ids = sectionsAsked(counting, part, new Map());
      return ofWant(
        way,
        part.want,
        ids.map((id) => ofSection(way, id)),
        of,
      );
    }
    case 'scored': {
      const missing = there(way, part.item, of);
      return missing ?? ofMark(way, part.item, of, new Map());
    }
    case 'attended':
      return ofWant(
        way,
        part.want,
        counting.meetings.map((id) => {
          const row = reach.compiled.rowOf.get(id) as number;
          return ofOpening(way, row, new Map()) ?? ofAttending(way, row);
        }),
        of,
      );
  }
}

function ofSection(way: Way, id: string): Reasons {
  const { counting } = way;
  const section = counting.sections[counting.sectionOf.get(id) ?? -1];
  if (section === undefined) return [];
  const { want, named: names }: SectionRule = section.rule ?? { want: { how: 'all' }, named: [] };
  const counted = section.items.map((at) => counting.items[at]?.id ?? '');
  const ids = names.length > 0 ? [...new Set(names)] : counted;
  const reasons = ids.map((one) => named(way, one, id) ?? ofItem(way, one, new Map()));
  return ofWant(way, want, reasons, id, ids);
}

/** The least that has to become different for so many of these to be done. */
function ofWant(
  { counting }: Way,
  want: Want,
  members: readonly Reasons[],
  of: string,
  ids: readonly string[] = [],
): Reasons {
  if (want.how === 'minutes') {
    const weight = (at: number): number =>
      counting.items[counting.indexOf.get(ids[at] ?? '') ?? -1]?.weight ?? 0;
    const all = members.reduce((sum, _one, at) => sum + weight(at), 0);
    if (all < want.minutes) {
      return [
        { because: 'too_few_minutes', of, others: [], part: null, wants: want.minutes, are: Math.floor(all) },
      ];
    }
    return cheapest(members, (taken) => taken.reduce((sum, at) => sum + weight(at), 0) >= want.minutes);
  }
  const count = countWanted(want, members.length);
  if (count > members.length) {
    return [{ because: 'too_few', of, others: [], part: null, wants: count, are: members.length }];
  }
  return cheapest(members, (taken) => taken.length >= count);
}

/** Taken one after the other, each time the one that asks for the fewest more, until they are enough. */
function cheapest(members: readonly Reasons[], isEnough: (taken: readonly number[]) => boolean): Reasons {
  const taken: number[] = [];
  const left = new Set(members.map((_one, at) => at));
  let reasons: Reasons = [];
  while (!isEnough(taken) && left.size > 0) {
    const known = new Set(reasons.map(keyOf));
    const more = (at: number): number =>
      (members[at] as Reasons).filter((one) => !known.has(keyOf(one))).length;
    const next = [...left].reduce((best, at) => (more(at) < more(best) ? at : best));
    left.delete(next);
    taken.push(next);
    reasons = together([reasons, members[next] as Reasons]);
  }
  return reasons;
}

/** What a rule names, and this learner does not get, or cannot be done with; null: it is counted for them. */
function named({ counting }: Way, id: string, rule: string): Reasons | null {
  if (counting.indexOf.has(id)) return null;
  return [plain('not_there', id, [rule])];
}

/** The same, of what need not be counted. */
function there({ reach }: Way, id: string, rule: string): Reasons | null {
  const row = reach.compiled.rowOf.get(id);
  if (row !== undefined && reach.possible[row] === true) return null;
  return [plain('not_there', id, [rule])];
}

/** @param asker what asks for the mark */
function ofMark(way: Way, id: string, asker: string, asked: Map<string, Reasons>): Reasons {
  const row = way.reach.compiled.rowOf.get(id) as number;
  const opening = ofOpening(way, row, asked);
  if (opening !== null) return opening;
  const { node } = way.reach.compiled.rows[row] as Row;
  const doable = markDoable(node, way.bounds(row), way.opens[row] as number);
  return 'never' in doable ? [plain(doable.never, id, [asker])] : [];
}

const plain = (because: ReasonBecause, of: string, others: readonly string[] = []): Reason => ({
  ...{ because, of, others },
  ...{ part: null, wants: null, are: null },
});

function ofAttending(way: Way, row: number): Reasons {
  const { node } = way.reach.compiled.rows[row] as Row;
  if (!isContent(node)) return [];
  const own = way.bounds(row);
  const doable = conditionDoable(node, { by: 'attended' }, own, way.opens[row] as number);
  if ('never' in doable) return [plain(doable.never, node.id)];
  return doable.at >= own.ends ? [plain('after_the_end', node.id)] : [];
}

/** Why an item can never be done; none: it can. `asked`: what has been found out on the way here. */
function ofItem(way: Way, id: string, asked: Map<string, Reasons>): Reasons {
  const known = asked.get(id);
  if (known !== undefined) return known;
  asked.set(id, []);
  const found = ofAsked(way, id, asked);
  asked.set(id, found);
  return found;
}

function ofAsked(way: Way, id: string, asked: Map<string, Reasons>): Reasons {
  const row = way.reach.compiled.rowOf.get(id);
  if (row === undefined) return [];
  const opening = ofOpening(way, row, asked);
  if (opening !== null) return opening;
  const doable = way.doable(row);
  return doable !== null && 'never' in doable ? [plain(doable.never, id)] : [];
}

/** Why it never opens; null: it does. */
function ofOpening(way: Way, row: number, asked: Map<string, Reasons>): Reasons | null {
  const { reach, opens } = way;
  if (opens[row] !== Infinity) return null;
  // What holds it may be what never opens.
  const outermost = (reach.ways[row] as readonly number[]).find((part) => opens[part] === Infinity) ?? row;
  const why = whyNever(reach, opens, outermost);
  if (why === null) return [];
  if (why.because !== 'waits_for_never') return [plain(why.because, why.id, why.waitsFor)];
  const waited = waitsOf(reach, outermost).filter((one) => metAt(reach, opens, one) === Infinity);
  const roots = together(
    waited.map(({ id, by }) => (by === 'done' ? ofItem(way, id, asked) : ofMark(way, id, why.id, asked))),
  );
  return roots.length > 0 ? roots : [plain(why.because, why.id, why.waitsFor)];
}
