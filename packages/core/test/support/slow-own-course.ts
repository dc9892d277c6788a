/** What learners get instead of the plan, slowly: held nodes as they were, and a person's exceptions written in. */
import { Temporal } from 'temporal-polyfill';
import type {
  Course,
  CourseNode,
  LocalMoment,
  PersonException,
  PlannedMoment,
  Viewer,
} from '../../src/index.ts';

export const isStaff = ({ role, institutionStaff }: Viewer): boolean =>
  institutionStaff || role === 'instructor' || role === 'assistant';
export const inside = (node: CourseNode): readonly CourseNode[] => ('items' in node ? node.items : []);
export const all = (nodes: readonly CourseNode[]): readonly CourseNode[] =>
  nodes.flatMap((node) => [node, ...all(inside(node))]);

export function clock({ day, time }: LocalMoment, zone: string): number {
  return Temporal.PlainDateTime.from(`${day}T${time}`).toZonedDateTime(zone).epochMilliseconds;
}

/** What learners get instead of the plan: held nodes as they were, and the person's exceptions written in. */
export function theirs(course: Course, who: Viewer, now: number): Course {
  if (isStaff(who)) return course;
  const ids = new Set(all(course.sections).map(({ id }) => id));
  const held = Object.entries(course.heldBack).filter(
    ([id, { node, release }]) =>
      ids.has(id) &&
      (node === null || node.id === id) &&
      (release === null || now < clock(release, course.dates.zone)),
  );
  const holds = (outer: CourseNode, id: string): boolean => all(inside(outer)).some((one) => one.id === id);
  const top = held.filter(
    ([id]) =>
      !held.some(([other]) => {
        const standing = all(course.sections).find((one) => one.id === other);
        return standing !== undefined && holds(standing, id);
      }),
  );
  const taken = new Set(
    top.flatMap(([, { node }]) => (node === null ? [] : all([node])).map(({ id }) => id)),
  );
  const rebuild = (nodes: readonly CourseNode[]): CourseNode[] =>
    nodes.flatMap((node) => {
      const entry = top.find(([id]) => id === node.id);
      if (entry !== undefined) return entry[1].node?.kind === node.kind ? [entry[1].node] : [];
      if (taken.has(node.id)) return [];
      return ['items' in node ? ({ ...node, items: rebuild(node.items) } as CourseNode) : node];
    });
  const mend = (nodes: readonly CourseNode[]): CourseNode[] =>
    nodes.map((node) => {
      const own: Record<string, unknown> = { ...node };
      const opens = exceptional(course, who, node.id, 'opens');
      const due = exceptional(course, who, node.id, 'due');
      const until = exceptional(course, who, node.id, 'until');
      if (opens !== null) own['opens'] = opens;
      if (due !== null && 'due' in node) own['due'] = due;
      if (until !== null) {
        own['rule'] = {
          when: node.rule?.when ?? { kind: 'all', of: [] },
          then: node.rule?.then ?? 'look',
          until,
        };
      }
      if ('items' in node) own['items'] = mend(node.items);
      return own as CourseNode;
    });
  const isPlain = top.length === 0 && (who.exceptions ?? []).length === 0 && !mayHaveExceptions(course, who);
  return isPlain ? course : { ...course, sections: mend(rebuild(course.sections)) as Course['sections'] };
}

export function mayHaveExceptions(course: Course, who: Viewer): boolean {
  return Object.values(course.exceptions).some((one) => (who.groups ?? []).includes(one.for));
}

/** The moment that an exception gives: a person's before a group's before a class's, the latest on a tie. */
export function exceptional(
  course: Course,
  who: Viewer,
  node: string,
  field: 'opens' | 'due' | 'until',
): PlannedMoment | null {
  const latest = (list: readonly PersonException[]): PlannedMoment | null => {
    let found: PersonException | null = null;
    for (const one of list) {
      if (one.node === node && one[field] !== null && (found === null || one.at >= found.at)) found = one;
    }
    return found?.[field] ?? null;
  };
  const of = (isClass: boolean): readonly PersonException[] =>
    Object.values(course.exceptions).filter(
      (one) => (who.groups ?? []).includes(one.for) && (course.groups[one.for]?.kind === 'class') === isClass,
    );
  return latest(who.exceptions ?? []) ?? latest(of(false)) ?? latest(of(true));
}
