/**
 * Copies of sections and items. New ids are arguments; what points inside the copied part points inside the
 * copy, and what was fixed in a section is measured from the section's first day, so that it moves with it.
 */
import { daysBetween } from '../calendar/days.ts';
import { planCourse } from '../calendar/course-plan.ts';
import type { CoursePlan } from '../calendar/course-plan.ts';
import type { OpeningRule } from '../course/schema/access-schema.ts';
import type { DoneRule, SectionRule } from '../course/schema/progress-schema.ts';
import type { Edit } from '../course/edits/edits.ts';
import type { Item } from '../course/schema/items-schema.ts';
import type { PlannedMoment } from '../course/schema/moment-schema.ts';
import { mapRule } from '../course/rules.ts';
import type { Course, CourseNode, Section } from '../course/schema/schema.ts';
import { findNode, isHolder, livingItems, subtree } from '../course/tree.ts';

/** Makes ids that nothing has. */
export type NewId = () => string;

/** A copy without tombstones and with new ids; anchors within it follow. */
function copyNode<T extends CourseNode>(
  node: T,
  newId: NewId,
  mend: (moment: PlannedMoment) => PlannedMoment,
): T {
  const ids = new Map(subtree(node).map(({ id }) => [id, newId()]));
  const moment = (value: PlannedMoment): PlannedMoment => {
    const mended = mend(value);
    if (mended.kind !== 'relative') return mended;
    const { anchor } = mended;
    if (anchor.of === 'due')
      return { ...mended, anchor: { ...anchor, item: ids.get(anchor.item) ?? anchor.item } };
    if (anchor.of !== 'section' || anchor.section === null) return mended;
    return { ...mended, anchor: { ...anchor, section: ids.get(anchor.section) ?? anchor.section } };
  };
  const copy = <N extends CourseNode>(one: N): N => {
    const next: N = { ...one, id: ids.get(one.id) as string };
    for (const field of ['opens', 'due', 'lateUntil', 'held'] as const) {
      const held = (one as Partial<Record<typeof field, PlannedMoment | null>>)[field];
      if (held !== undefined && held !== null) Object.assign(next, { [field]: moment(held) });
    }
    if ('done' in one && one.done !== null) Object.assign(next, { done: copyDone(one.done, ids, moment) });
    if (one.rule !== null) Object.assign(next, { rule: copyRule(one.rule, ids, moment) });
    return isHolder(one) ? { ...next, items: livingItems(one).map((item): Item => copy(item)) } : next;
  };
  return copy(node);
}

/** What a section names and what is not in the copy stays what it was. */
function copyDone(
  done: DoneRule | SectionRule,
  ids: ReadonlyMap<string, string>,
  moment: (value: PlannedMoment) => PlannedMoment,
): DoneRule | SectionRule {
  if ('named' in done) return { ...done, named: done.named.map((id) => ids.get(id) ?? id) };
  const { byThen = null } = done;
  return byThen === null ? done : { ...done, byThen: moment(byThen) };
}

function copyRule(
  rule: OpeningRule,
  ids: ReadonlyMap<string, string>,
  moment: (value: PlannedMoment) => PlannedMoment,
): OpeningRule {
  const led = (id: string): string => ids.get(id) ?? id;
  const copied = mapRule(rule, (one) => {
    if (one.kind === 'from') return { ...one, moment: moment(one.moment) };
    if (one.kind === 'done') return { ...one, items: one.items.map(led) };
    return one.kind === 'scored' ? { ...one, item: led(one.item) } : one;
  });
  return { ...copied, until: rule.until === null ? null : moment(rule.until) };
}

const AS_IT_IS = (moment: PlannedMoment): PlannedMoment => moment;

/** Copies nodes, each after itself, under their own titles. Nodes within others that are copied come along. */
export function duplicateNodes(course: Course, ids: readonly string[], newId: NewId): readonly Edit[] {
  const chosen = new Set(ids);
  return ids.flatMap((id): Edit[] => {
    const place = findNode(course, id);
    if (place === null || place.above.some((holder) => chosen.has(holder.id))) return [];
    const node = copyNode(place.node, newId, AS_IT_IS);
    return [{ kind: 'insert', parent: place.parent, after: id, node }];
  });
}

/** In the title `#` is the copy's number, counted on from `from`, and `…` the original's title. */
export interface CopyPattern {
  readonly title: string | null;
  /** The number that the first copy gets. */
  readonly from: number;
}

/**
 * A worked unit, copied: so many copies of a section, one after the other, after the original. Fixed moments
 * become relative to the section's first day, where it has one.
 */
export function copySection(
  course: Course,
  id: string,
  count: number,
  pattern: CopyPattern,
  newId: NewId,
): readonly Edit[] {
  const section = course.sections.find((one) => one.id === id);
  if (section === undefined) return [];
  const first = firstDayOf(planCourse(course), id);
  const mend = first === null ? AS_IT_IS : (moment: PlannedMoment) => fromFirstDay(moment, first);
  let after = id;
  return Array.from({ length: count }, (_, at): Edit => {
    const node: Section = {
      ...copyNode(section, newId, mend),
      title: titleOf(section, pattern, at),
      // A pin is one date; copies of it would all stand on the same.
      pin: null,
    };
    const edit: Edit = { kind: 'insert', parent: course.id, after, node };
    after = node.id;
    return edit;
  });
}

function titleOf(section: Section, { title, from }: CopyPattern, at: number): string | null {
  if (title === null) return section.title;
  const made = title.replaceAll('#', String(from + at)).replaceAll('…', section.title ?? '');
  return made.trim() === '' ? null : made.trim().slice(0, 200);
}

function firstDayOf(plan: CoursePlan, id: string): string | null {
  const span = plan.sections.find((section) => section.id === id)?.span;
  return span?.kind === 'slot' ? span.slot.first : null;
}

function fromFirstDay(moment: PlannedMoment, first: string): PlannedMoment {
  if (moment.kind !== 'fixed') return moment;
  const by = daysBetween(first, moment.day);
  return {
    kind: 'relative',
    anchor: { of: 'section', at: 'start', section: null },
    shift: by === 0 ? null : { by, unit: 'days' },
    weekday: null,
    time: moment.time,
  };
}

/** A text that a copy has from its original, and the ids that its links are to be led to instead. */
export interface CopiedText {
  readonly hash: string;
  readonly ids: ReadonlyMap<string, string>;
}

/**
 * The texts of an original whose copies have other ids: for each, where links into the original lead in the
 * copy. Core holds hashes alone, so whoever holds the texts writes them again (`relinkText`).
 */
export function copiedTexts(original: CourseNode, copy: CourseNode): readonly CopiedText[] {
  const ids = new Map<string, string>();
  const texts = new Set<string>();
  const pair = (from: CourseNode, to: CourseNode): void => {
    ids.set(from.id, to.id);
    if ('text' in from && from.text !== null) texts.add(from.text);
    if (!isHolder(from) || !isHolder(to)) return;
    livingItems(from).forEach((item, at) => {
      const twin = to.items[at];
      if (twin !== undefined) pair(item, twin);
    });
  };
  pair(original, copy);
  return [...texts].map((hash) => ({ hash, ids }));
}
