/**
 * Why something stands for somebody as it does: the whole chain of layers, passed and failed, in the order in
 * which they decide, and the smallest edits that would open it (docs/semantics.md, Access).
 */
import type { CoursePlan } from '../calendar/course-plan.ts';
import { applyChange } from '../course/edits/apply.ts';
import type { Edit, FieldValue } from '../course/edits/edits.ts';
import type { Course, CourseNode } from '../course/schema/schema.ts';
import { findNode } from '../course/tree.ts';
import type { Answer, Reason } from './answer.ts';
import { compileAccess, walk } from './compile.ts';
import type { OwnCaps } from './compile.ts';
import type { OpeningPart } from './opening.ts';
import { capsOfCourse } from './course-caps.ts';
import { exceptionsFor } from './own-course.ts';
import { holdOver, releaseEdit } from './holding.ts';
import { accessAt, courseAnswer, ownPlan } from './resolve.ts';
import { mayPlan } from './roles.ts';
import type { Viewer } from './roles.ts';
import { isHolder } from '../course/tree.ts';
import { isContentKind } from '../course/schema/kinds.ts';

export type LayerName =
  | 'state'
  | 'membership'
  | 'dates'
  | 'removed'
  | 'held'
  | 'shown'
  | 'staff'
  | 'aside'
  | 'audience'
  | 'opening'
  | 'until';

export interface Layer {
  readonly name: LayerName;
  /** The id of what it is about: the course, or a section, folder or item on the way to the one asked about. */
  readonly of: string;
  /** Null: it lets everything through. */
  readonly cap: Answer | null;
  /** Of an opening: the parts of it that are not met. */
  readonly unmet?: readonly OpeningPart[];
}

export interface Why {
  readonly answer: Answer;
  readonly chain: readonly Layer[];
  /**
   * What would open it at that moment, as one change. Empty: it is open. Null: no edit of the course does, since
   * it is about who somebody is, about what they have of their own, or about what has been removed.
   */
  readonly cure: readonly Edit[] | null;
}

const LAYER_OF: Readonly<Record<Reason, LayerName>> = {
  staff: 'membership',
  member: 'membership',
  not_a_member: 'membership',
  passphrase_wanted: 'membership',
  visitor: 'membership',
  sample: 'membership',
  course_draft: 'state',
  course_archived: 'state',
  before_dates: 'dates',
  after_dates: 'dates',
  removed: 'removed',
  held: 'held',
  section_not_shown: 'shown',
  item_not_shown: 'shown',
  staff_only: 'staff',
  kept_aside: 'aside',
  other_audience: 'audience',
  not_yet: 'opening',
  waiting: 'opening',
  over: 'until',
};

/**
 * Null when the course has no such node.
 *
 * @param moment the instant asked about (ISO, UTC).
 * @param hint a plan of this course; taken where it is this person's.
 */
export function whyNot(
  course: Course,
  viewer: Viewer,
  moment: string,
  node: string,
  hint: CoursePlan | null = null,
): Why | null {
  const at = Date.parse(moment);
  const chain = chainOf(course, viewer, at, node, hint);
  const answer = accessAt(course, viewer, at, hint).nodes.get(node);
  if (chain === null || answer === undefined) return null;
  return { answer, chain, cure: cureFor(course, viewer, at, node, chain) };
}

const NO_CAPS: OwnCaps = { possible: null, opening: null, unmet: [], until: null };

function chainOf(
  course: Course,
  viewer: Viewer,
  at: number,
  node: string,
  hint: CoursePlan | null,
): readonly Layer[] | null {
  const compiled = compileAccess(ownPlan(course, viewer, at, hint));
  const { course: own, rowOf, plan } = compiled;
  const ofCourse = layers(own.id, ['state', 'membership', 'dates'], capsOfCourse(own, plan, viewer, at));
  const place = findNode(own, node);
  if (place === null) {
    if (findNode(course, node) === null) return null;
    return [
      ...ofCourse,
      { name: 'held', of: holdOver(course, node, at) ?? node, cap: { state: 'absent', because: 'held' } },
    ];
  }
  const way: readonly CourseNode[] = [...place.above, place.node];
  const caps = new Map<number, OwnCaps>();
  const wanted = new Set(way.map(({ id }) => rowOf.get(id)));
  walk(compiled, viewer, courseAnswer(compiled, viewer, at), at, (row, own) => {
    if (wanted.has(row)) caps.set(row, own);
  });
  const capsOf = (one: CourseNode): OwnCaps => caps.get(rowOf.get(one.id) as number) ?? NO_CAPS;
  const isStaff = mayPlan(viewer);
  return [
    ...ofCourse,
    ...way.flatMap((one) => {
      // Staff pass every layer but this one: what is removed is gone for them too.
      const gone: Answer | null = one.removed ? { state: 'absent', because: 'removed' } : null;
      const { possible } = capsOf(one);
      const cap = isStaff ? gone : possible;
      return layers(one.id, possibleLayers(own, one), cap === null ? [] : [cap]);
    }),
    ...way.flatMap((one) => {
      if (!hasOpening(own, way[0] as CourseNode, one)) return [];
      const { opening, unmet } = capsOf(one);
      return [{ name: 'opening' as const, of: one.id, cap: opening, unmet }];
    }),
    ...way.flatMap((one) => {
      const { until } = capsOf(one);
      return layers(
        one.id,
        (one.rule?.until ?? null) === null ? [] : ['until'],
        until === null ? [] : [until],
      );
    }),
  ];
}

/** The layers that a node has: what cannot stop anybody there is no link of the chain. */
function possibleLayers(course: Course, node: CourseNode): readonly LayerName[] {
  const isLeaf = !isHolder(node);
  return [
    ...(node.removed ? (['removed'] as const) : []),
    'shown',
    ...(node.staffOnly ? (['staff'] as const) : []),
    ...(isLeaf && course.dates.format === 'item' ? (['aside'] as const) : []),
    ...(node.audience.length === 0 ? [] : (['audience'] as const)),
  ];
}

function isOrdered(course: Course, section: CourseNode, node: CourseNode): boolean {
  const waits = isContentKind(node.kind);
  return waits && (course.inOrder || (section.kind === 'section' && section.inOrder));
}

function hasOpening(course: Course, section: CourseNode, node: CourseNode): boolean {
  const waitsByRule = node.rule !== null && node.rule.when.of.length > 0;
  return node.opens !== null || waitsByRule || isOrdered(course, section, node);
}

function layers(of: string, names: readonly LayerName[], caps: readonly Answer[]): readonly Layer[] {
  return names.map((name) => ({
    name,
    of,
    cap: caps.find(({ because }) => LAYER_OF[because] === name) ?? null,
  }));
}

/** Each round drops at least one thing of those that a way through a course can have. */
const MAX_ROUNDS = 60;

/** The edits of all layers that stop it are tried: what they let through shows what else does. */
function cureFor(
  course: Course,
  viewer: Viewer,
  at: number,
  node: string,
  chain: readonly Layer[],
): readonly Edit[] | null {
  const edits: Edit[] = [];
  let now = course;
  let layersNow: readonly Layer[] | null = chain;
  for (let round = 0; round < MAX_ROUNDS && layersNow !== null; round += 1) {
    const failed = layersNow.filter(({ cap }) => cap !== null);
    if (failed.length === 0) return withoutNeedless(course, viewer, at, node, edits);
    const more: Edit[] = [];
    for (const layer of failed) {
      const edit = releaseOf(now, viewer, at, layer) ?? cureOf(now, viewer, layer);
      if (edit === null) return null;
      more.push(edit);
    }
    const applied = applyChange(now, { id: 'cure', edits: more });
    // Edits that change nothing would be tried for ever.
    if (!applied.ok || applied.inverse.length === 0) return null;
    edits.push(...more);
    now = applied.course;
    layersNow = chainOf(now, viewer, at, node, null);
  }
  return null;
}

/** Edits of what is held reach nobody before it is released: that is what opens it. */
function releaseOf(course: Course, viewer: Viewer, at: number, { of, cap }: Layer): Edit | null {
  if (cap === null || of === course.id || mayPlan(viewer)) return null;
  const id = holdOver(course, of, at);
  return id === null ? null : releaseEdit(course, id);
}

/** What one layer lets through can meet what another waits for: an edit is kept only if nothing opens without it. */
function withoutNeedless(
  course: Course,
  viewer: Viewer,
  at: number,
  node: string,
  edits: readonly Edit[],
): readonly Edit[] {
  if (edits.length < 2) return edits;
  const isOpen = (tried: readonly Edit[]): boolean => {
    const applied = applyChange(course, { id: 'cure', edits: [...tried] });
    return applied.ok && accessAt(applied.course, viewer, at).nodes.get(node)?.state === 'open';
  };
  let kept = edits;
  for (const edit of edits) {
    const less = kept.filter((one) => one !== edit);
    if (isOpen(less)) kept = less;
  }
  return kept;
}

function cureOf(course: Course, viewer: Viewer, { of, cap, unmet }: Layer): Edit | null {
  const set = (field: string, value: unknown, was: unknown, target = of): Edit => ({
    kind: 'set',
    target,
    field,
    value: value as FieldValue,
    was: was as FieldValue,
  });
  const node = findNode(course, of)?.node ?? null;
  switch (cap?.because) {
    case 'course_draft':
    case 'course_archived':
      return set('state', 'live', course.state);
    case 'before_dates':
      return set('window', { ...course.window, before: 'open' }, course.window);
    case 'after_dates':
      return set('window', { ...course.window, after: 'open' }, course.window);
    case 'section_not_shown':
    case 'item_not_shown':
      return set('shown', true, false);
    case 'staff_only':
      return set('staffOnly', false, true);
    case 'kept_aside':
      return set('dates.around', of, course.dates.around, course.id);
    case 'other_audience':
      return set('audience', [], node?.audience ?? []);
    case 'not_yet':
    case 'waiting':
      return node === null ? null : openingCure(course, viewer, node, unmet?.[0], set);
    case 'over':
      return node === null ? null : untilCure(course, viewer, node, set);
    default:
      return null;
  }
}

type Set = (field: string, value: unknown, was: unknown, target?: string) => Edit;

/** The exception in the course that gives this person that moment of the node; null: it is the node's own. */
function exceptionOf(course: Course, viewer: Viewer, node: string, field: 'opens' | 'until'): string | null {
  const used = exceptionsFor(course, viewer).find((one) => one.node === node)?.[field] ?? null;
  if (used === null) return null;
  const found = Object.entries(course.exceptions).find(
    ([, one]) => one.node === node && one[field] === used && (viewer.groups ?? []).includes(one.for),
  );
  return found?.[0] ?? null;
}

/** The first part of its opening that is not met is dropped. */
function openingCure(
  course: Course,
  viewer: Viewer,
  node: CourseNode,
  part: OpeningPart | undefined,
  set: Set,
): Edit | null {
  if (part === 'opens') {
    const own = exceptionsFor(course, viewer).find((one) => one.node === node.id);
    return own?.opens == null
      ? set('opens', null, node.opens)
      : withoutException(course, viewer, node, 'opens', set);
  }
  if (part === 'rule' && node.rule !== null) {
    const left = node.rule.until === null ? null : { ...node.rule, when: { kind: 'all', of: [] } };
    return set('rule', left, node.rule);
  }
  const section = findNode(course, node.id)?.above[0];
  if (section?.kind === 'section' && section.inOrder && !course.inOrder) {
    return set('inOrder', false, true, section.id);
  }
  return course.inOrder ? set('inOrder', false, true, course.id) : null;
}

/** A moment of their own stands outside the course, and no edit of it changes that. */
function withoutException(
  course: Course,
  viewer: Viewer,
  node: CourseNode,
  field: 'opens' | 'until',
  set: Set,
): Edit | null {
  const id = exceptionOf(course, viewer, node.id, field);
  const exception = id === null ? undefined : course.exceptions[id];
  if (id === null || exception === undefined) return null;
  const left = { ...exception, [field]: null };
  const isEmpty = left.opens === null && left.due === null && left.until === null && left.factor == null;
  return set(`exceptions.${id}`, isEmpty ? null : left, exception, course.id);
}

function untilCure(course: Course, viewer: Viewer, node: CourseNode, set: Set): Edit | null {
  const own = exceptionsFor(course, viewer).find((one) => one.node === node.id);
  if (own?.until != null) return withoutException(course, viewer, node, 'until', set);
  return node.rule === null ? null : set('rule', { ...node.rule, until: null }, node.rule);
}
