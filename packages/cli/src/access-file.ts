/** Who gets what of a course file at a moment, and which layer decided; without any database or server. */
import {
  findNode,
  livingSections,
  numberOf,
  planCourse,
  planFor,
  resolveAccess,
  startOfDay,
  subtree,
  whyNot,
} from '@itinerary/core';
import type { AccessState, Course, Edit, LayerName, Reason, Role, Viewer } from '@itinerary/core';

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

function viewerOf(course: Course, { as, joined }: AccessAsked): Viewer {
  const joinedAt = joined === null ? null : startOfDay(joined, course.dates.zone);
  const isRole = (person: Person): person is Person & Role => person !== 'staff' && person !== 'nobody';
  return { role: isRole(as) ? as : null, institutionStaff: as === 'staff', joinedAt };
}

export function accessOf(course: Course, asked: AccessAsked): FileAccess {
  const { as, joined, at } = asked;
  const viewer = viewerOf(course, asked);
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

export interface FileWhy {
  readonly code: string;
  readonly as: Person;
  readonly joined: string | null;
  readonly at: string;
  readonly node: string;
  readonly title: string | null;
  readonly state: AccessState;
  readonly because: Reason;
  /** Every layer on the way, in the order in which they decide; `because` is null where it is passed. */
  readonly chain: readonly {
    readonly layer: LayerName;
    readonly of: string;
    readonly title: string | null;
    readonly state: AccessState | null;
    readonly because: Reason | null;
  }[];
  /** Edits that open it; null where none does. */
  readonly cure: readonly Edit[] | null;
}

/** @param node an id, or a number as learners see it ("2.3"). Null: the course has no such node. */
export function whyOf(course: Course, node: string, asked: AccessAsked): FileWhy | null {
  const plan = planCourse(course);
  const id = findNode(course, node)?.node.id ?? byNumber(course, node, (one) => numberOf(plan, one));
  const why = id === null ? null : whyNot(course, viewerOf(course, asked), asked.at, id);
  if (id === null || why === null) return null;
  const titleOf = (of: string): string | null =>
    of === course.id ? course.title : (findNode(course, of)?.node.title ?? null);
  const { as, joined, at } = asked;
  return {
    code: course.code,
    as,
    joined,
    at: new Date(at).toISOString(),
    node: id,
    title: titleOf(id),
    state: why.answer.state,
    because: why.answer.because,
    chain: why.chain.map(({ name, of, cap }) => ({
      layer: name,
      of,
      title: titleOf(of),
      state: cap?.state ?? null,
      because: cap?.because ?? null,
    })),
    cure: why.cure,
  };
}

function byNumber(
  course: Course,
  number: string,
  numberOfNode: (id: string) => string | null,
): string | null {
  const nodes = livingSections(course).flatMap((section) => subtree(section));
  return nodes.find(({ id }) => numberOfNode(id) === number)?.id ?? null;
}

export function whyAsText(why: FileWhy): string {
  const { code, as, joined, at, title, state, because, chain, cure } = why;
  const who = joined === null ? as : `${as}, joined ${joined}`;
  const lines = chain.map(
    ({ layer, title: of, because: reason, state: cap }) =>
      `${reason === null ? 'passed' : `${cap ?? ''}`.padEnd(6)}  ${layer.padEnd(10)}  ${of ?? ''}${reason === null ? '' : `  (${reason})`}`,
  );
  const edits = (cure ?? []).flatMap((edit) =>
    edit.kind === 'set' ? [`set ${edit.field} of ${edit.target} to ${JSON.stringify(edit.value)}`] : [],
  );
  const end = cure === null ? ['no edit of the course opens it'] : edits.map((edit) => `to open it: ${edit}`);
  return [`${title ?? ''} is ${state} for ${who}, at ${at}: ${because}  [${code}]`, ...lines, ...end].join(
    '\n',
  );
}
