/**
 * What counts for somebody: the items with a done rule that they can come to get, with what each weighs and by when it is
 * to be done. One for all who are in the same groups and have the same days.
 */
import type { CoursePlan, SectionPlan } from '../calendar/course-plan.ts';
import { addDays, startOfDay } from '../calendar/days.ts';
import type { NodeMoments } from '../calendar/node-moments.ts';
import { compileAccess, possibleRows } from '../access/compile.ts';
import { ownPlan } from '../access/resolve.ts';
import type { Viewer } from '../access/roles.ts';
import { handInWindow } from '../coursework/window.ts';
import { termsOf } from '../coursework/terms.ts';
import type { CourseRule, DoneRule, SectionRule } from '../course/schema/progress-schema.ts';
import { isContent } from '../course/schema/items-schema.ts';
import type { ContentItem, Item } from '../course/schema/items-schema.ts';
import type { Course, CourseNode } from '../course/schema/schema.ts';
import { isHolder, livingSections } from '../course/tree.ts';
import { BoundedBy, LAST_FEW } from '../course/bounded.ts';
import { signOf } from './sign.ts';
import type { DoneTerms } from '../deeds/done.ts';

/** An item that has a rule, whether this person gets it or not. */
export interface Ruled {
  readonly id: string;
  readonly node: ContentItem;
  readonly rule: DoneRule;
  readonly terms: DoneTerms;
}

export interface CountedItem extends Ruled {
  /** The index of its section. */
  readonly section: number;
  /** In minutes: its own, or its kind's mean, or that of all, or one. */
  readonly weight: number;
  /** The first instant after its due minute and grace, or after its section's last day; null: it has no end. */
  readonly ends: number | null;
  /** Its due moment, else its section's end: what is next goes by this; infinity: undated. */
  readonly wanted: number;
}

export interface CountedSection {
  readonly id: string;
  readonly rule: SectionRule | null;
  /** Indices of its counted items, in reading order. */
  readonly items: readonly number[];
}

export interface Counting {
  readonly plan: CoursePlan;
  readonly rule: CourseRule | null;
  /** In reading order. */
  readonly items: readonly CountedItem[];
  readonly indexOf: ReadonlyMap<string, number>;
  /** All that stand in the plan, removed ones too: what was done there stays done. */
  readonly sections: readonly CountedSection[];
  readonly sectionOf: ReadonlyMap<string, number>;
  /** Every item with a rule, removed ones too. */
  readonly ruled: ReadonlyMap<string, Ruled>;
  /** Meetings that this person can come to. */
  readonly meetings: readonly string[];
  /** Items whose facts the course's rule asks about by themselves. */
  readonly asked: ReadonlySet<string>;
  /** The same for the same rules over the same items: what was reckoned by another is reckoned anew. */
  readonly sign: string;
}

const made = new BoundedBy<CoursePlan, Counting>(LAST_FEW);

/** @param groups of the person: ids of groups and classes */
export function countingFor(plan: CoursePlan, groups: readonly string[]): Counting {
  return made.of(plan).orElse([...groups].sort().join(' '), () => make(plan, groups));
}

/** What counts for this person at a moment, in the course as it is theirs. */
export const countingOf = (course: Course, viewer: Viewer, at: number): Counting =>
  countingFor(ownPlan(course, viewer, at), viewer.groups ?? []);

/** What anybody may have to do, whoever it is for: shown, counted, in reading order, each with its section. */
export function countedItems(course: Course): readonly (readonly [item: ContentItem, section: string])[] {
  const within = (items: readonly Item[], section: string): (readonly [ContentItem, string])[] =>
    items.flatMap((item): (readonly [ContentItem, string])[] => {
      if (item.removed || !item.shown || item.staffOnly) return [];
      if (isHolder(item)) return within(item.items, section);
      return isContent(item) && item.done !== null ? [[item, section]] : [];
    });
  if (!course.progress) return [];
  return livingSections(course)
    .filter(({ shown, staffOnly }) => shown && !staffOnly)
    .flatMap(({ id, items }) => within(items, id));
}

function make(plan: CoursePlan, groups: readonly string[]): Counting {
  const { course } = plan;
  const { rows } = compileAccess(plan);
  const possible = possibleRows(rows, groups);
  const sections: { id: string; rule: SectionRule | null; items: number[] }[] = [];
  const plans = new Map(plan.sections.map((one) => [one.id, one]));
  const ruled = new Map<string, Ruled>();
  const found: Omit<CountedItem, 'weight'>[] = [];
  const meetings: string[] = [];
  rows.forEach(({ node, above, counts }, at) => {
    if (above < 0) sections.push({ id: node.id, rule: ruleOfSection(node), items: [] });
    const section = sections.length - 1;
    const its = sections[section] as (typeof sections)[number];
    if (!isContent(node)) return;
    if (node.kind === 'meeting' && possible[at] === true) meetings.push(node.id);
    if (node.done === null || !course.progress) return;
    const planned = plans.get(its.id) ?? null;
    const moments = planned?.moments.get(node.id) ?? NO_MOMENTS;
    const one: Ruled = { id: node.id, node, rule: node.done, terms: termsOf(node, moments) };
    ruled.set(node.id, one);
    if (!counts || possible[at] !== true) return;
    its.items.push(found.length);
    found.push({ ...one, section, ...endsOf(node, moments, planned, course.dates.zone) });
  });
  const items = weighed(found);
  return {
    ...{ plan, rule: course.done, items, sections, ruled, meetings },
    indexOf: new Map(items.map(({ id }, at) => [id, at])),
    sectionOf: new Map(sections.map(({ id }, at) => [id, at])),
    asked: askedBy(course.done, meetings),
    sign: signOf([
      course.done,
      meetings,
      sections.map(({ id, rule, items: own }) => [id, rule, own]),
      [...ruled.values()].map(({ id, rule, terms }) => [id, rule, terms.pass, String(terms.tooLate)]),
      items.map(({ id, weight }) => [id, weight]),
    ]),
  };
}

const NO_MOMENTS: NodeMoments = {};

const ruleOfSection = (node: CourseNode): SectionRule | null => (node.kind === 'section' ? node.done : null);

function askedBy(rule: CourseRule | null, meetings: readonly string[]): ReadonlySet<string> {
  const parts = rule?.of ?? [];
  return new Set(
    parts.flatMap((part) =>
      part.over === 'scored' ? [part.item] : part.over === 'attended' ? meetings : [],
    ),
  );
}

function endsOf(
  node: ContentItem,
  moments: NodeMoments,
  section: SectionPlan | null,
  zone: string,
): Pick<CountedItem, 'ends' | 'wanted'> {
  const { due } = moments;
  if (due?.kind === 'at') {
    const { onTimeTo } = handInWindow({ due }, 'grace' in node ? node.grace : 0);
    return { ends: onTimeTo, wanted: due.instant };
  }
  const span = section?.span;
  const last = span?.kind === 'slot' ? span.slot.last : null;
  if (last === null) return { ends: null, wanted: Infinity };
  const ends = Date.parse(startOfDay(addDays(last, 1), zone));
  return { ends, wanted: ends };
}

/** An item without minutes weighs its kind's mean over those that have them, else the mean of all, else one. */
function weighed(items: readonly Omit<CountedItem, 'weight'>[]): readonly CountedItem[] {
  const minutes = ({ node }: Ruled): number => node.minutes ?? 0;
  const mean = (of: readonly Omit<CountedItem, 'weight'>[]): number | null => {
    const given = of.map(minutes).filter((one) => one > 0);
    return given.length === 0 ? null : given.reduce((sum, one) => sum + one, 0) / given.length;
  };
  const ofAll = mean(items) ?? 1;
  const ofKind = new Map<string, number>();
  for (const { node } of items) {
    if (ofKind.has(node.kind)) continue;
    ofKind.set(node.kind, mean(items.filter((one) => one.node.kind === node.kind)) ?? ofAll);
  }
  return items.map((one) => ({
    ...one,
    weight: minutes(one) > 0 ? minutes(one) : (ofKind.get(one.node.kind) ?? ofAll),
  }));
}
