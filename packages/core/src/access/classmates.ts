/** Who else is on a course, as far as the course lets a reader see it (docs/semantics.md, Access). */
import { byName } from '../course/name-order.ts';
import type { Course } from '../course/schema/schema.ts';
import { isReadable } from './answer.ts';
import { resolveAccess } from './resolve.ts';
import { mayPlan, ROLES } from './roles.ts';
import type { Role, Viewer } from './roles.ts';

export interface Classmate {
  readonly name: string;
  readonly role: Role;
  /** Ids of groups and classes of the course. */
  readonly groups: readonly string[];
}

export interface ClassmateView {
  readonly name: string;
  readonly role: Role;
  /** By name. */
  readonly groups: readonly string[];
}

const STAFF: readonly Role[] = ['instructor', 'assistant'];

/** Whether a reader who takes part in the course is told somebody's name: staff's always, others' as the course says. */
export function isNameTold(
  course: Course,
  viewer: Viewer,
  { role, groups }: Pick<Classmate, 'groups'> & { readonly role: Role | null },
): boolean {
  if (mayPlan(viewer) || (role !== null && STAFF.includes(role)) || course.names === 'everybody') return true;
  const own = (viewer.groups ?? []).filter((id) => course.groups[id]?.kind === 'class');
  return course.names === 'class' && groups.some((id) => own.includes(id));
}

/**
 * Staff first, then by name.
 *
 * @param moment the instant asked about (ISO, UTC).
 * @param all everybody who is on the course.
 * @returns null: they take no part in it, or cannot read it; whoever only looks is told nobody's name.
 */
export function classmatesOf(
  course: Course,
  viewer: Viewer,
  moment: string,
  all: readonly Classmate[],
): readonly ClassmateView[] | null {
  const isMember = viewer.role === 'learner' || mayPlan(viewer);
  if (!isMember || !isReadable(resolveAccess(course, viewer, moment).course.state)) return null;
  return all
    .filter((one) => isNameTold(course, viewer, one))
    .map(({ name, role, groups }) => ({
      name,
      role,
      groups: groups.flatMap((id) => course.groups[id]?.name ?? []),
    }))
    .sort((a, b) => ROLES.indexOf(a.role) - ROLES.indexOf(b.role) || byName(a.name, b.name));
}
