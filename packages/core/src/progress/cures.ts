/** What cures a reason why a course cannot be finished: tried first, and offered only where the reason is gone then. */
import type { Viewer } from '../access/roles.ts';
import { applyChange } from '../course/edits/apply.ts';
import type { Edit } from '../course/edits/edits.ts';
import { setField } from '../course/edits/making.ts';
import { isContent } from '../course/schema/items-schema.ts';
import type { ContentItem } from '../course/schema/items-schema.ts';
import { conditionsOf, isSeveral } from '../course/schema/progress-schema.ts';
import type {
  CoursePart,
  CourseRule,
  DoneBy,
  DoneCondition,
  DoneRule,
  SectionRule,
  Want,
} from '../course/schema/progress-schema.ts';
import type { Course, CourseNode, Section } from '../course/schema/schema.ts';
import { findNode } from '../course/tree.ts';
import { pointsOf } from '../coursework/terms.ts';
import { keyOf, reasonsWhyNot } from './reasons.ts';
import type { Reason } from './reasons.ts';

/** @returns null where a person has to decide */
export function cureOf(course: Course, viewer: Viewer, reason: Reason): readonly Edit[] | null {
  const before = reasonsWhyNot(course, viewer);
  const isGone = (edits: readonly Edit[]): boolean => {
    const applied = applyChange(course, { id: 'cure', edits: [...edits] });
    if (!applied.ok) return false;
    const after = reasonsWhyNot(applied.course, viewer);
    // With a part of a rule gone, the one after it has its number.
    const isFewer = reason.part !== null && after.length < before.length;
    return isFewer || !after.some((one) => keyOf(one) === keyOf(reason));
  };
  return candidates(course, reason).find((edits) => edits.length > 0 && isGone(edits)) ?? null;
}

/** More than so many are looked at one by one. */
const MOST_AT_ONCE = 5;

/** One cure after the other, until it can be finished; null: there are many, or a person has to decide one of them. */
export function cureOfAll(course: Course, viewer: Viewer): readonly Edit[] | null {
  const edits: Edit[] = [];
  let now = course;
  for (let step = 0; step <= 2 * MOST_AT_ONCE; step += 1) {
    const reasons = reasonsWhyNot(now, viewer);
    const [first] = reasons;
    if (first === undefined) return edits;
    const cure = reasons.length > MOST_AT_ONCE ? null : cureOf(now, viewer, first);
    if (cure === null) return null;
    const applied = applyChange(now, { id: 'cure', edits: [...cure] });
    if (!applied.ok) return null;
    edits.push(...cure);
    now = applied.course;
  }
  return null;
}

function candidates(course: Course, reason: Reason): readonly (readonly Edit[])[] {
  if (reason.because === 'too_few' || reason.because === 'too_few_minutes') {
    return [wantEdits(course, reason), withoutPart(course, reason)];
  }
  const node = findNode(course, reason.of)?.node;
  if (node === undefined) return [];
  if (reason.because === 'not_there') return [shownAgain(node), namedNoMore(course, reason)];
  return [
    ...ofOpening(course, node, reason),
    ...ofItem(node, reason.because),
    ...askedNoMore(course, reason),
    uncounted(node),
    reason.part === null ? [] : withoutPart(course, reason),
  ];
}

/** As much as there is, where there is something. */
function wantEdits(course: Course, { because, of, part, are }: Reason): readonly Edit[] {
  if (are === null || are < 1) return [];
  const want: Want = because === 'too_few' ? { how: 'least', count: are } : { how: 'minutes', minutes: are };
  if (of !== course.id) {
    const section = findNode(course, of)?.node;
    if (section?.kind !== 'section' || section.done === null) return [];
    return [setField<Section, 'done'>(section, 'done', { ...section.done, want })];
  }
  if (course.done === null) return [];
  const mended = course.done.of.map((one, at) => (at === part ? withWant(one, want) : one));
  return [setField<Course, 'done'>(course, 'done', { ...course.done, of: mended })];
}

function withWant(part: CoursePart, want: Want): CoursePart {
  if (part.over === 'scored') return part;
  if (part.over === 'items') return { ...part, want };
  return want.how === 'minutes' ? part : { ...part, want };
}

/** Without the part of the rule that nothing can meet; the last one goes with the rule. */
function withoutPart(course: Course, { of, part }: Reason): readonly Edit[] {
  if (of !== course.id && part === null) {
    const section = findNode(course, of)?.node;
    return section?.kind === 'section' ? [setField<Section, 'done'>(section, 'done', null)] : [];
  }
  return part === null || course.done === null
    ? []
    : [
        courseDone(
          course,
          course.done,
          course.done.of.filter((_one, at) => at !== part),
        ),
      ];
}

const courseDone = (course: Course, rule: CourseRule, of: CoursePart[]): Edit =>
  setField<Course, 'done'>(course, 'done', of.length === 0 ? null : { ...rule, of });

/** What waits for a mark that there cannot be waits for nothing any more. */
function askedNoMore(course: Course, reason: Reason): readonly (readonly Edit[])[] {
  if (reason.because !== 'no_points') return [];
  return reason.others.map((asker) => {
    const node = asker === course.id ? null : findNode(course, asker)?.node;
    return node == null ? namedNoMore(course, reason) : ruleless(node);
  });
}

const shownAgain = (node: CourseNode): readonly Edit[] =>
  node.removed || node.shown ? [] : [setField(node, 'shown', true)];

/** The rule that names it does so no more; with nothing left to name it is as if it had never been. */
function namedNoMore(course: Course, { of, others: [rule] }: Reason): readonly Edit[] {
  if (rule === course.id) {
    if (course.done === null) return [];
    const left = course.done.of.flatMap((part): CoursePart[] => {
      if (part.over === 'scored') return part.item === of ? [] : [part];
      if (part.over === 'attended') return [part];
      const named = part.named.filter((id) => id !== of);
      return named.length === 0 && part.named.length > 0 ? [] : [{ ...part, named }];
    });
    return [courseDone(course, course.done, left)];
  }
  const section = findNode(course, rule ?? '')?.node;
  if (section?.kind !== 'section' || section.done === null) return [];
  const named = section.done.named.filter((id) => id !== of);
  const done: SectionRule | null = named.length === 0 ? null : { ...section.done, named };
  return [setField<Section, 'done'>(section, 'done', done)];
}

function ofOpening(
  course: Course,
  node: CourseNode,
  { because, others }: Reason,
): readonly (readonly Edit[])[] {
  if (because === 'circle' || because === 'waits_for_hidden' || because === 'waits_for_never') {
    const waited = others.flatMap((id) => {
      const found = findNode(course, id)?.node;
      return found === undefined || because !== 'waits_for_hidden' ? [] : [shownAgain(found)];
    });
    return [...waited, ruleless(node)];
  }
  if (because === 'over_before_open' || because === 'after_the_end') {
    const { rule } = node;
    const withoutEnd =
      rule === null || rule.until === null ? [] : [setField(node, 'rule', { ...rule, until: null })];
    return [withoutEnd, openAtOnce(node)];
  }
  return [];
}

const ruleless = (node: CourseNode): readonly Edit[] =>
  node.rule === null ? [] : [setField(node, 'rule', { ...node.rule, when: { kind: 'all', of: [] } })];

const openAtOnce = (node: CourseNode): readonly Edit[] =>
  node.opens === null ? [] : [setField(node, 'opens', null)];

function ofItem(node: CourseNode, because: Reason['because']): readonly (readonly Edit[])[] {
  if (!isContent(node)) return [];
  switch (because) {
    case 'takes_nothing':
      return node.kind === 'assignment' ? [[setField(node, 'takes', { ...node.takes, text: true })]] : [];
    case 'no_points':
      return node.kind === 'assignment'
        ? [[setField(node, 'total', 100)], doneBy(node, 'scored', { by: 'handed_in' })]
        : [doneBy(node, 'scored', { by: 'handed_in' })];
    case 'no_pass_mark':
      return [doneBy(node, 'passed', { by: 'handed_in' })];
    case 'pass_beyond':
      return 'passAt' in node ? [[setField(node, 'passAt', pointsOf(node))]] : [];
    case 'talk_shut':
      return node.kind === 'discussion' ? [[setField(node, 'shut', false)]] : [];
    case 'film_not_followed':
      return [doneBy(node, 'watched', { by: 'opened' })];
    case 'no_list':
      return node.kind === 'meeting' ? [[setField(node, 'attendance', 'list')]] : [];
    case 'meeting_undated':
    case 'meeting_over':
      return [doneBy(node, 'attended', { by: 'ticked' })];
    case 'too_late':
      return node.done === null ? [] : [[setDone(node, { ...node.done, byThen: null })]];
    default:
      return [];
  }
}

const setDone = (node: ContentItem, done: DoneRule | null): Edit =>
  setField<ContentItem, 'done'>(node, 'done', done);

/** Another condition in the place of one; said twice it would be one. */
function doneBy(node: ContentItem, was: DoneBy, is: DoneCondition): readonly Edit[] {
  const { done } = node;
  if (done === null) return [];
  if (!isSeveral(done)) return [setDone(node, { ...is, byThen: done.byThen })];
  const kept = conditionsOf(done).filter(({ by }) => by !== was && by !== is.by);
  return [setDone(node, { ...done, of: [...kept, is] })];
}

const uncounted = (node: CourseNode): readonly Edit[] =>
  isContent(node) && node.done !== null ? [setDone(node, null)] : [];
