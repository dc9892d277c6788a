/** Who gets what of a course file at a moment, and which layer decided; without any database or server. */
import {
  findNode,
  livingSections,
  NOTHING_DONE,
  numberOf,
  planCourse,
  planFor,
  resolveAccess,
  ROLES,
  startOfDay,
  subtree,
  whyNot,
} from '@itinerary/core';
import type { AccessState, Answer, Course, Edit, LayerName, Reason, Viewer } from '@itinerary/core';

/** `staff`: of the institution, with no role in the course; `nobody`: signed in, and not on it; `passer_by`: not. */
export const PERSONS = [
  'instructor',
  'assistant',
  'learner',
  'visitor',
  'staff',
  'nobody',
  'passer_by',
] as const;
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
  /** The next change of state if nobody does anything; null: none. */
  readonly ahead: { readonly at: string; readonly state: AccessState } | null;
}

export interface FileAccess {
  readonly code: string;
  readonly as: Person;
  readonly joined: string | null;
  readonly at: string;
  readonly course: Pick<AccessRow, 'state' | 'because' | 'opens' | 'ahead'>;
  /** In reading order; what has been removed is left out. */
  readonly nodes: readonly AccessRow[];
}

export interface AccessAsked {
  readonly as: Person;
  /** The day on which they joined, in the course's zone; null: nobody in particular. */
  readonly joined: string | null;
  /** ISO. */
  readonly at: string;
  /** Groups and classes that they are in, by id or by name. */
  readonly groups: readonly string[];
  /** Items that they have done, by id. */
  readonly done: readonly string[];
}

/** The groups asked for that the course does not have. */
export function unknownGroups(course: Course, { groups }: AccessAsked): readonly string[] {
  return groups.filter((asked) => groupOf(course, asked) === null);
}

function groupOf(course: Course, asked: string): string | null {
  if (Object.hasOwn(course.groups, asked)) return asked;
  return Object.entries(course.groups).find(([, { name }]) => name === asked)?.[0] ?? null;
}

function viewerOf(course: Course, { as, joined, groups, done }: AccessAsked): Viewer {
  const joinedAt = joined === null ? null : startOfDay(joined, course.dates.zone);
  const role = ROLES.find((one) => one === as) ?? null;
  return {
    role,
    institutionStaff: as === 'staff',
    joinedAt,
    here: as !== 'passer_by',
    groups: groups.map((one) => groupOf(course, one)).filter((id) => id !== null),
    deeds: { ...NOTHING_DONE, done: new Set(done) },
  };
}

export function accessOf(course: Course, asked: AccessAsked): FileAccess {
  const { as, joined, at } = asked;
  const viewer = viewerOf(course, asked);
  const plan = planFor(course, viewer);
  const access = resolveAccess(course, viewer, at, plan);
  const iso = (instant: number): string => new Date(instant).toISOString();
  const told = (id: string, { state, because, opensAt }: Answer): FileAccess['course'] => {
    const ahead = access.ahead(id);
    return {
      state,
      because,
      opens: opensAt === undefined ? null : iso(opensAt),
      ahead: ahead === null ? null : { at: iso(ahead.at), state: ahead.becomes.state },
    };
  };
  const nodes = livingSections(course)
    .flatMap((section) => subtree(section))
    .filter(({ id, removed }) => !removed && findNode(course, id)?.above.every((holder) => !holder.removed))
    .flatMap((node): AccessRow[] => {
      const answer = access.nodes.get(node.id);
      if (answer === undefined) return [];
      const { id, kind, title } = node;
      return [{ id, kind, number: numberOf(plan, id), title, ...told(id, answer) }];
    });
  return {
    code: course.code,
    as,
    joined,
    at: new Date(at).toISOString(),
    course: told(course.id, access.course),
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
