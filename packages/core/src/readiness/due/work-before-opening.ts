import type { Course } from '../../course/schema/schema.ts';
import { findNode } from '../../course/tree.ts';
import type { Holder } from '../../course/tree.ts';
import { datedWork } from './dated-work.ts';
import type { DatedWork } from './dated-work.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

function holdersOf(course: Course, { item }: DatedWork): readonly Holder[] {
  return findNode(course, item.id)?.above ?? [];
}

/** Work due before it, or what holds it, opens: it can never be handed in. The cure drops its own opening. */
export const workBeforeOpening: Rule = {
  id: 'work_before_opening',
  stop: 'outline',
  purposes: WITH_PEOPLE,
  find: ({ plan }) => {
    const opensLater = (work: DatedWork, id: string): boolean => {
      const opens = work.section.moments.get(id)?.opens;
      return opens?.kind === 'at' && opens.instant > work.due.instant;
    };
    const early = datedWork(plan).filter((work) =>
      [...holdersOf(plan.course, work), work.item].some(({ id }) => opensLater(work, id)),
    );
    const [first] = early;
    if (first === undefined) return null;
    const isByItself = early.every(
      (work) => !holdersOf(plan.course, work).some(({ id }) => opensLater(work, id)),
    );
    return {
      severity: 'blocker',
      targets: early.map(({ item }) => item.id),
      values: { count: early.length, title: first.item.title, day: first.due.day },
      cure: isByItself
        ? early.map(({ item: { id, opens } }) => ({
            kind: 'set',
            target: id,
            field: 'opens',
            value: null,
            was: opens,
          }))
        : null,
    };
  },
};
