/** The moments that a section or an item has of its own, as they are planned and as they come out. */
import type { Item } from '../course/schema/items-schema.ts';
import type { OpeningRule } from '../course/schema/access-schema.ts';
import type { PlannedMoment } from '../course/schema/moment-schema.ts';
import { momentsOfRule } from '../course/rules.ts';
import type { Resolved, Use } from './moments.ts';
import type { Span } from './plan.ts';

/** The moments of one section or item; those that it does not have are absent. */
export interface NodeMoments {
  readonly opens?: Resolved;
  /** Of the conditions of its rule that name one, in the order in which they stand there. */
  readonly from?: readonly Resolved[];
  readonly until?: Resolved;
  readonly due?: Resolved;
  /** Until when it is taken late. */
  readonly late?: Resolved;
  readonly held?: Resolved;
  /** What is done later than this does not count. */
  readonly byThen?: Resolved;
}

export type Resolve = (moment: PlannedMoment, use: Use, id: string) => Resolved;

export function ofRule(rule: OpeningRule | null, id: string, resolve: Resolve): NodeMoments {
  if (rule === null) return {};
  const from = momentsOfRule(rule.when).map((moment) => resolve(moment, 'opens', id));
  return {
    ...(from.length === 0 ? {} : { from }),
    ...(rule.until === null ? {} : { until: resolve(rule.until, 'until', id) }),
  };
}

export function dueOf(item: Item & { readonly due: PlannedMoment | null }, resolve: Resolve): NodeMoments {
  const late = 'lateUntil' in item ? item.lateUntil : null;
  return {
    ...(item.due === null ? {} : { due: resolve(item.due, 'due', item.id) }),
    ...(late === null ? {} : { late: resolve(late, 'until', item.id) }),
  };
}

/** By when it has to be done to count. */
export function byThenOf(item: Item, resolve: Resolve): NodeMoments {
  const byThen = 'done' in item ? (item.done?.byThen ?? null) : null;
  return byThen === null ? {} : { byThen: resolve(byThen, 'until', item.id) };
}

/** A meeting item without a moment of its own is its section's meeting, where the format has them. */
export function heldOf(held: PlannedMoment | null, span: Span, id: string, resolve: Resolve): NodeMoments {
  if (held !== null) return { held: resolve(held, 'held', id) };
  const meeting = span.kind === 'slot' ? span.slot.meeting : null;
  if (meeting === null) return {};
  return { held: resolve({ kind: 'fixed', day: meeting.day, time: meeting.time }, 'held', id) };
}

export function leansOnOthers(moment: PlannedMoment): boolean {
  if (moment.kind !== 'relative') return false;
  const { anchor } = moment;
  return anchor.of === 'due' || (anchor.of === 'section' && anchor.section !== null);
}
