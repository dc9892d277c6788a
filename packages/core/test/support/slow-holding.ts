/** What learners have while some of a course is held, node by node, from what they had at each hold. */
import type { Course, CourseNode, Holder } from '../../src/index.ts';

/** A line of what learners have: what it says, and what it stands in. */
export interface Line {
  readonly id: string;
  readonly parent: string;
  readonly title: string | null;
}

const insideOf = (node: CourseNode): readonly CourseNode[] => ('items' in node ? node.items : []);

/** The living lines of a course, parents before what stands in them, in reading order. */
export function linesOf(course: Pick<Course, 'id' | 'sections'>): readonly Line[] {
  const below = (nodes: readonly CourseNode[], parent: string): Line[] =>
    nodes
      .filter(({ removed }) => !removed)
      .flatMap((node) => [{ id: node.id, parent, title: node.title }, ...below(insideOf(node), node.id)]);
  return below(course.sections, course.id);
}

/** The line of a node and those below it; empty: nothing was there. */
export type Snapshot = readonly Line[];

export function snapshotOf(lines: readonly Line[], id: string): Snapshot {
  const kept = new Set<string>();
  return lines.filter((line) => {
    if (line.id !== id && !kept.has(line.parent)) return false;
    kept.add(line.id);
    return true;
  });
}

/** @param holds by the id of what is held now: what learners had of it then. */
export function slowView(plan: Course, holds: ReadonlyMap<string, Snapshot>): readonly Line[] {
  const planned = new Map<string, { node: CourseNode; parent: string; above: readonly CourseNode[] }>();
  const visit = (nodes: readonly CourseNode[], above: readonly CourseNode[]): void => {
    for (const node of nodes) {
      planned.set(node.id, { node, parent: above.at(-1)?.id ?? plan.id, above });
      visit(insideOf(node), [...above, node]);
    }
  };
  visit(plan.sections, []);

  const then = (id: string): Line | undefined =>
    holds.has(id)
      ? holds.get(id)?.[0]
      : [...holds.values()].flatMap((lines) => lines.slice(1)).find((line) => line.id === id);
  // What was in something held is in it still; in what was held by itself later, as that was.
  const kept = (id: string): string | undefined => {
    const all = [...holds.entries()].flatMap(([held, lines]) =>
      lines.slice(1).map((line) => ({ ...line, held })),
    );
    const found = all.filter((line) => line.id === id);
    return (found.find((line) => line.parent === line.held) ?? found[0])?.parent;
  };
  const isGone = (id: string): boolean => planned.get(id)?.node.removed ?? false;
  const has = (id: string): boolean => {
    if (id === plan.id) return true;
    if (holds.has(id) && holds.get(id)?.length === 0) return false;
    const within = kept(id);
    if (within !== undefined) return has(within);
    if (holds.has(id)) return has(place(id));
    const one = planned.get(id);
    if (one === undefined || one.node.removed) return false;
    return has(one.parent) && !isFixed(one.parent);
  };
  /** Whether what stands in it is what stood in it when it, or what it is in, was held. */
  const isFixed = (id: string): boolean => holds.has(id) || kept(id) !== undefined;
  /** Of what is held by itself: the nearest above it in the plan that learners have, unless it went with one that is gone. */
  const place = (id: string): string => {
    const above = planned.get(id)?.above ?? [];
    for (const one of [...above].reverse()) {
      if (has(one.id)) return one.id;
      if (isGone(one.id)) return '';
    }
    return above.length === 0 ? plan.id : '';
  };
  const parentOf = (id: string): string =>
    kept(id) ?? (holds.has(id) ? place(id) : (planned.get(id)?.parent ?? ''));

  const children = (parent: string): string[] => {
    const own =
      holds.get(parent) ??
      [...holds.values()].find((lines) => lines.slice(1).some(({ id }) => id === parent));
    const order = parent === plan.id ? plan.sections : insideOf(planned.get(parent)?.node as Holder);
    const ids = order.map(({ id }) => id);
    const first = isFixed(parent)
      ? (own ?? []).filter((line) => line.parent === parent).map(({ id }) => id)
      : ids;
    const list = first.filter((id) => has(id) && parentOf(id) === parent);
    // Others come from elsewhere, held by themselves: behind the nearest before them in the plan.
    for (const id of planned.keys()) {
      if (list.includes(id) || !holds.has(id) || !has(id) || parentOf(id) !== parent) continue;
      const child = [...(planned.get(id)?.above ?? []).map((one) => one.id), id].find((one) =>
        ids.includes(one),
      );
      const before = ids.slice(0, ids.indexOf(child ?? ''));
      list.splice(list.findLastIndex((one) => before.includes(one)) + 1, 0, id);
    }
    return list;
  };
  const lines = (parent: string): Line[] =>
    children(parent).flatMap((id) => {
      const title = isFixed(id) ? (then(id)?.title ?? null) : (planned.get(id)?.node.title ?? null);
      return [{ id, parent, title }, ...lines(id)];
    });
  return lines(plan.id);
}
