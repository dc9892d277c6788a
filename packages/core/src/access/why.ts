/**
 * Why something stands for somebody as it does: the whole chain of layers, passed and failed, in the order in
 * which they decide, and the smallest edits that would open it (docs/semantics.md, Access).
 */
import type { CoursePlan } from '../calendar/course-plan.ts';
import type { Edit, FieldValue } from '../course/edits.ts';
import type { Course, CourseNode } from '../course/schema.ts';
import { findNode } from '../course/tree.ts';
import { planFor } from './plan-for.ts';
import { capsOfCourse, capsOfNode, resolveAccess } from './resolve.ts';
import type { Answer, Reason } from './resolve.ts';
import { mayPlan } from './roles.ts';
import type { Viewer } from './roles.ts';

export type LayerName = 'state' | 'membership' | 'dates' | 'removed' | 'shown' | 'aside' | 'opening';

export interface Layer {
  readonly name: LayerName;
  /** The id of what it is about: the course, or a section, folder or item on the way to the one asked about. */
  readonly of: string;
  /** Null: it lets everything through. */
  readonly cap: Answer | null;
}

export interface Why {
  readonly answer: Answer;
  readonly chain: readonly Layer[];
  /**
   * What would open it at that moment, as one change. Empty: it is open. Null: no edit of the course does, since
   * it is about who somebody is, or about what has been removed.
   */
  readonly cure: readonly Edit[] | null;
}

const LAYER_OF: Readonly<Record<Reason, LayerName>> = {
  staff: 'membership',
  member: 'membership',
  not_a_member: 'membership',
  visitor: 'membership',
  course_draft: 'state',
  course_archived: 'state',
  before_dates: 'dates',
  after_dates: 'dates',
  section_not_shown: 'shown',
  item_not_shown: 'shown',
  removed: 'removed',
  kept_aside: 'aside',
  not_yet: 'opening',
};

/**
 * Null when the course has no such node.
 *
 * @param moment the instant asked about (ISO, UTC).
 * @param plan the course's plan for this person; computed when it is not at hand.
 */
export function whyNot(
  course: Course,
  viewer: Viewer,
  moment: string,
  node: string,
  plan: CoursePlan = planFor(course, viewer),
): Why | null {
  const place = findNode(course, node);
  const answer = resolveAccess(course, viewer, moment, plan).nodes.get(node);
  if (place === null || answer === undefined) return null;
  const way: readonly CourseNode[] = [...place.above, place.node];
  const section = plan.sections.find(({ id }) => id === way[0]?.id) ?? null;
  const asked = { course, staff: mayPlan(viewer), at: Date.parse(moment), plan: section };
  const chain = [
    ...layers(course.id, ['state', 'membership', 'dates'], capsOfCourse(course, plan, viewer, asked.at)),
    ...way.flatMap((one) => layers(one.id, layersOf(course, one), capsOfNode(one, asked))),
  ];
  return { answer, chain, cure: cureOf(course, chain) };
}

/** The layers that a node has: what cannot stop anybody there is no link of the chain. */
function layersOf(course: Course, node: CourseNode): readonly LayerName[] {
  const isLeaf = node.kind !== 'section' && node.kind !== 'folder';
  return [
    ...(node.removed ? (['removed'] as const) : []),
    'shown',
    ...(isLeaf && course.dates.format === 'item' ? (['aside'] as const) : []),
    ...(node.opens === null ? [] : (['opening'] as const)),
  ];
}

function layers(of: string, names: readonly LayerName[], caps: readonly Answer[]): readonly Layer[] {
  return names.map((name) => ({
    name,
    of,
    cap: caps.find(({ because }) => LAYER_OF[because] === name) ?? null,
  }));
}

function cureOf(course: Course, chain: readonly Layer[]): readonly Edit[] | null {
  const edits: Edit[] = [];
  for (const { of, cap } of chain) {
    if (cap === null) continue;
    const edit = cureOfCap(course, of, cap);
    if (edit === null) return null;
    edits.push(edit);
  }
  return edits;
}

function cureOfCap(course: Course, of: string, { because }: Answer): Edit | null {
  const set = (field: string, value: FieldValue, was: FieldValue, target = of): Edit => ({
    kind: 'set',
    target,
    field,
    value,
    was,
  });
  switch (because) {
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
    case 'kept_aside':
      return set('dates.around', of, course.dates.around, course.id);
    case 'not_yet':
      return set('opens', null, (findNode(course, of)?.node.opens ?? null) as FieldValue);
    case 'staff':
    case 'member':
    case 'not_a_member':
    case 'visitor':
    case 'removed':
      return null;
  }
}
