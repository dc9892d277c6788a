/** Who gets what of a course file at a moment, and which layer decided; without any database or server. */
import {
  findNode,
  livingSections,
  numberOf,
  planFor,
  resolveAccess,
  startOfDay,
  subtree,
} from '@itinerary/core';
import type { AccessState, Course, Reason, Role, Viewer } from '@itinerary/core';

/** `staff`: of the institution, with no role in the course; `nobody`: signed in, and not on it. */
export const PERSONS = ['instructor', 'assistant', 'learner', 'visitor', 'staff', 'nobody'] as const;
export type Person = (typeof PERSONS)[number];

export interface AccessRow {
  readonly id: string;
  readonly kind: string;
  readonly number: string | null;
  readonly title: string | null;
  readonly state: AccessState;
  readonly because: Reason;
  /** ISO, UTC; where waiting is what opens it. */
  readonly opens: string | null;
}

export interface FileAccess {
  readonly code: string;
  readonly as: Person;
  readonly joined: string | null;
  readonly at: string;
  readonly course: Pick<AccessRow, 'state' | 'because' | 'opens'>;
  /** In reading order; what has been removed is left out. */
  readonly nodes: readonly AccessRow[];
}

export interface AccessAsked {
  readonly as: Person;
  /** The day on which they joined, in the course's zone; null: nobody in particular. */
  readonly joined: string | null;
  /** ISO. */
  readonly at: string;
}

export function accessOf(course: Course, { as, joined, at }: AccessAsked): FileAccess {
  const joinedAt = joined === null ? null : startOfDay(joined, course.dates.zone);
  const isRole = (person: Person): person is Person & Role => person !== 'staff' && person !== 'nobody';
  const viewer: Viewer = { role: isRole(as) ? as : null, institutionStaff: as === 'staff', joinedAt };
  const plan = planFor(course, viewer);
  const access = resolveAccess(course, viewer, at, plan);
  const told = ({ state, because, opensAt }: { state: AccessState; because: Reason; opensAt?: number }) => ({
    state,
    because,
    opens: opensAt === undefined ? null : new Date(opensAt).toISOString(),
  });
  const nodes = livingSections(course)
    .flatMap((section) => subtree(section))
    .filter(({ id, removed }) => !removed && findNode(course, id)?.above.every((holder) => !holder.removed))
    .flatMap((node): AccessRow[] => {
      const answer = access.nodes.get(node.id);
      if (answer === undefined) return [];
      const { id, kind, title } = node;
      return [{ id, kind, number: numberOf(plan, id), title, ...told(answer) }];
    });
  return {
    code: course.code,
    as,
    joined,
    at: new Date(at).toISOString(),
    course: told(access.course),
    nodes,
  };
}

export function accessAsText({ code, as, joined, at, course, nodes }: FileAccess): string {
  const who = joined === null ? as : `${as}, joined ${joined}`;
  const line = ({ state, because, opens }: FileAccess['course'], what: string): string =>
    `${state.padEnd(6)}  ${because.padEnd(18)}  ${what}${opens === null ? '' : `  (opens ${opens})`}`;
  return [
    `${code} for ${who}, at ${at}`,
    line(course, 'the course'),
    ...nodes.map((node) => line(node, `${(node.number ?? '·').padStart(5)}  ${node.title ?? ''}`)),
  ].join('\n');
}
