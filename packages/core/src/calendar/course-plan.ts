/**
 * Everything that the calendar says of a course: which days its sections cover, their numbers and their items',
 * and every planned moment resolved. What an edit did not touch is taken over from the plan before it.
 */
import { isNumbered, numberItems } from '../course/numbering.ts';
import type { SectionNumber } from '../course/numbering.ts';
import type { PlannedMoment } from '../course/schema/moment-schema.ts';
import type { Item } from '../course/schema/items-schema.ts';
import type { Course, CourseNode, Section } from '../course/schema/schema.ts';
import { isForLearners, livingSections } from '../course/tree.ts';
import { toDayNumber } from './day-number.ts';
import { resolveMoment } from './moments.ts';
import type { Anchors, Days, Resolved, Use } from './moments.ts';
import { byThenOf, dueOf, heldOf, leansOnOthers, ofRule } from './node-moments.ts';
import type { NodeMoments } from './node-moments.ts';
import { planSections } from './plan.ts';
import type { Asked, Plan, PlannedSection, Span } from './plan.ts';
import type { CalendarRow } from './rows.ts';
import { zoneOf } from './zone.ts';
import { traitsOf } from '../course/schema/kinds.ts';
import { isHolder } from '../course/tree.ts';

export interface SectionPlan extends PlannedSection {
  readonly section: Section;
  /** As written, or null. */
  readonly number: string | null;
  readonly numbers: ReadonlyMap<string, string>;
  readonly moments: ReadonlyMap<string, NodeMoments>;
  /** Its moments depend on other sections, or on other items' moments in them. */
  readonly leans: boolean;
  readonly before: number;
}

export interface CoursePlan extends Omit<Plan, 'sections'> {
  readonly course: Course;
  readonly joined: string | null;
  readonly sections: readonly SectionPlan[];
  /** The numbers of counted pauses, in the order of the rows. */
  readonly pauseNumbers: readonly string[];
}

/**
 * @param before the plan of an earlier version of the same course: what the edit between did not touch is the
 *   same object in both, so that whoever shows it can tell.
 */
export function planCourse(course: Course, asked: Asked = {}, before: CoursePlan | null = null): CoursePlan {
  const joined = asked.joined ?? null;
  const known = before !== null && before.joined === joined ? before : null;
  const living = livingSections(course);
  const layout = layoutOf(course, living, joined, known);
  const numbered = numberSections(course, living, layout);
  const kept = known !== null && keepsMoments(course, living, layout, known) ? known : null;
  const anchors = anchorsOf(course, living, layout, joined);
  const sections = living.map((section, index): SectionPlan => {
    const { number, before: from } = numbered.sections[index] as SectionNumber;
    const span = (layout.sections[index] as PlannedSection).span;
    const old = kept?.sections[index];
    const isSame =
      old?.section === section && old.span === span && old.number === number && old.before === from;
    if (isSame && (!old.leans || kept?.course === course)) return old;
    const resolved = resolveSection(section, span, daysOf(span, layout), anchors);
    const numbers = numberItems(section, { number, before: from }, course.numbering);
    return { id: section.id, section, span, number, before: from, numbers, ...resolved };
  });
  const isUnchanged =
    known !== null &&
    sections.length === known.sections.length &&
    sections.every((section, at) => section === known.sections[at]);
  return {
    ...layout,
    course,
    joined,
    sections: isUnchanged ? known.sections : sections,
    pauseNumbers: numbered.pauses,
  };
}

/** The layout of days depends on the dates and on what sections take; everything else leaves it as it is. */
function layoutOf(
  course: Course,
  living: readonly Section[],
  joined: string | null,
  known: CoursePlan | null,
): Plan {
  const isSame =
    known !== null &&
    known.course.dates === course.dates &&
    known.sections.length === living.length &&
    living.every((section, index) => takesTheSame(section, (known.sections[index] as SectionPlan).section));
  return isSame ? known : planSections(course, { joined });
}

function takesTheSame(one: Section, other: Section): boolean {
  return (
    one === other ||
    (one.id === other.id && one.outside === other.outside && one.span === other.span && one.pin === other.pin)
  );
}

/** Moments can be taken over when all that they are measured from stands where it stood. */
function keepsMoments(course: Course, living: readonly Section[], layout: Plan, known: CoursePlan): boolean {
  return (
    layout.sections === known.sections &&
    known.course.numbering === course.numbering &&
    known.sections.length === living.length
  );
}

function numberSections(
  { numbering }: Course,
  living: readonly Section[],
  layout: Plan,
): { readonly sections: readonly SectionNumber[]; readonly pauses: readonly string[] } {
  const counted = countedPauses(layout.rows);
  const pauses: string[] = [];
  let next = numbering.from as number;
  let items = 0;
  const takePauses = (until: string | null): void => {
    while (pauses.length < counted.length && (until === null || (counted[pauses.length] as string) < until)) {
      pauses.push(String(next));
      next += 1;
    }
  };
  const sections = living.map((section, index): SectionNumber => {
    const span = (layout.sections[index] as PlannedSection).span;
    if (span.kind === 'slot') takePauses(span.slot.first);
    if (span.kind === 'aside' || !isNumbered(section, numbering)) return { number: null, before: 0 };
    const own = { number: String(next), before: numbering.restart ? 0 : items };
    next += 1;
    if (!numbering.restart) items += countNumbered(section.items);
    return own;
  });
  takePauses(null);
  return { sections, pauses: numbering.style === 'none' ? [] : pauses };
}

/** The first days of the pauses that take a number. */
function countedPauses(rows: readonly CalendarRow[]): readonly string[] {
  return rows.flatMap((row) => (row.kind === 'pause' && row.pause.number !== null ? [row.pause.first] : []));
}

function countNumbered(items: readonly Item[]): number {
  return items.reduce((sum, item) => {
    if (!isForLearners(item) || traitsOf(item).part === 'mark') return sum;
    return sum + (isHolder(item) ? countNumbered(item.items) : 1);
  }, 0);
}

/** The days that "this section" means. Around one item there are no sections: the course's days are its own. */
function daysOf(span: Span, { firstDay, lastDay }: Pick<Plan, 'firstDay' | 'lastDay'>): Days | null {
  if (span.kind === 'slot') return { first: toDayNumber(span.slot.first), last: toDayNumber(span.slot.last) };
  if (span.kind !== 'aside' || firstDay === null || lastDay === null) return null;
  return { first: toDayNumber(firstDay), last: toDayNumber(lastDay) };
}

const CIRCLE: Resolved = { kind: 'undated', because: 'circle' };
const MISSING: Resolved = { kind: 'undated', because: 'missing' };

function anchorsOf(course: Course, living: readonly Section[], layout: Plan, joined: string | null): Anchors {
  const sections = new Map(layout.sections.map(({ id, span }) => [id, span]));
  const day = (iso: string | null): number | null => (iso === null ? null : toDayNumber(iso));
  const underWay = new Set<string>();
  const done = new Map<string, Resolved>();
  // Looked up only when some moment is measured from another item's, which is rare.
  let dues: ReadonlyMap<string, { readonly due: PlannedMoment; readonly own: Days | null }> | null = null;
  const anchors: Anchors = {
    zone: zoneOf(course.dates.zone),
    handIn: course.dates.handIn,
    course: { first: day(layout.firstDay), last: day(layout.lastDay) },
    joined: day(joined),
    section: (id) => {
      const span = sections.get(id);
      return span === undefined ? undefined : daysOf(span, layout);
    },
    due: (id) => {
      const known = done.get(id);
      if (known !== undefined) return known;
      if (underWay.has(id)) return CIRCLE;
      dues ??= allDues(living, layout);
      const found = dues.get(id);
      if (found === undefined) return MISSING;
      underWay.add(id);
      const resolved = resolveMoment(found.due, 'due', found.own, anchors);
      underWay.delete(id);
      done.set(id, resolved);
      return resolved;
    },
  };
  return anchors;
}

/** A moment of the course itself, in no section: of an announcement. */
export function momentOfCourse(plan: CoursePlan, moment: PlannedMoment, use: Use): Resolved {
  return resolveMoment(
    moment,
    use,
    null,
    anchorsOf(plan.course, livingSections(plan.course), plan, plan.joined),
  );
}

function allDues(
  living: readonly Section[],
  layout: Plan,
): ReadonlyMap<string, { readonly due: PlannedMoment; readonly own: Days | null }> {
  const found = new Map<string, { due: PlannedMoment; own: Days | null }>();
  living.forEach((section, index) => {
    const own = daysOf((layout.sections[index] as PlannedSection).span, layout);
    const visit = (items: readonly Item[]): void => {
      for (const item of items) {
        if (item.removed) continue;
        if (isHolder(item)) visit(item.items);
        else if ('due' in item && item.due !== null) found.set(item.id, { due: item.due, own });
      }
    };
    visit(section.items);
  });
  return found;
}

function resolveSection(
  section: Section,
  span: Span,
  own: Days | null,
  anchors: Anchors,
): Pick<SectionPlan, 'moments' | 'leans'> {
  const moments = new Map<string, NodeMoments>();
  let leans = false;
  const resolve = (moment: PlannedMoment, use: Use, id: string): Resolved => {
    leans ||= leansOnOthers(moment);
    // A due moment asked for by its own id is one place for all: circles are seen from every side.
    return use === 'due' && leansOnOthers(moment)
      ? anchors.due(id)
      : resolveMoment(moment, use, own, anchors);
  };
  const add = ({ id, opens, rule }: CourseNode, more: NodeMoments): void => {
    const first = opens === null ? {} : { opens: resolve(opens, 'opens', id) };
    const found = { ...first, ...ofRule(rule, id, resolve), ...more };
    if (Object.keys(found).length > 0) moments.set(id, found);
  };
  add(section, {});
  const visit = (items: readonly Item[]): void => {
    for (const item of items) {
      if (item.removed) continue;
      if (isHolder(item)) visit(item.items);
      const byThen = byThenOf(item, resolve);
      if ('due' in item) add(item, { ...dueOf(item, resolve), ...byThen });
      else if ('held' in item) add(item, { ...heldOf(item.held, span, item.id, resolve), ...byThen });
      else add(item, byThen);
    }
  };
  visit(section.items);
  return { moments, leans };
}

/** The number of a section or item, or null. */
export function numberOf(plan: CoursePlan, id: string): string | null {
  for (const section of plan.sections) {
    if (section.id === id) return section.number;
    const number = section.numbers.get(id);
    if (number !== undefined) return number;
  }
  return null;
}

const NO_MOMENTS: NodeMoments = {};

/** The resolved moments of a section or item. */
export function momentsOf(plan: CoursePlan, id: string): NodeMoments {
  for (const section of plan.sections) {
    const moments = section.moments.get(id);
    if (moments !== undefined) return moments;
  }
  return NO_MOMENTS;
}

/** All numbers, by id: for those who need them all at once. */
export function numberNodes(course: Course): ReadonlyMap<string, string> {
  const numbers = new Map<string, string>();
  for (const { id, number, numbers: items } of planCourse(course).sections) {
    if (number !== null) numbers.set(id, number);
    items.forEach((value, item) => numbers.set(item, value));
  }
  return numbers;
}

/** A pause as a row of its own between sections. */
export interface NamedPause {
  /** No two rows have the same: a pause that is broken by teaching days has several. */
  readonly key: string;
  readonly name: string;
  /** As learners see it; null for a pause that takes none. */
  readonly number: string | null;
  readonly first: string;
  readonly last: string;
}

/** In the order of their days. Counted pauses take their numbers in the row of sections. */
export function namedPauses(plan: CoursePlan): readonly NamedPause[] {
  let counted = 0;
  return plan.rows.flatMap((row): NamedPause[] => {
    if (row.kind !== 'pause') return [];
    const { pause, name, number, first, last } = row.pause;
    const shown = number === null ? null : (plan.pauseNumbers[counted++] ?? null);
    return [{ key: `${pause}-${first}`, name, number: shown, first, last }];
  });
}
