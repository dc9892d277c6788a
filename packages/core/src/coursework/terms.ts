/** What the done rule of an item is asked with: its points, its pass mark, and by when it has to be done. */
import { endOf } from '../calendar/moments.ts';
import type { NodeMoments } from '../calendar/node-moments.ts';
import type { ContentItem } from '../course/schema/items-schema.ts';
import type { DoneTerms } from '../deeds/done.ts';
import { worthOf } from './quiz/planned.ts';

/** What can be reached in it, in points. */
export function pointsOf(node: ContentItem): number {
  if (!('total' in node)) return 0;
  return node.total ?? (node.kind === 'quiz' ? worthOf(node).points : 0);
}

/** The pass mark in percent of what can be reached; null: there is none. */
export function passOf(node: ContentItem): number | null {
  if (!('passAt' in node) || node.passAt === null) return null;
  const points = pointsOf(node);
  return points === 0 ? null : (node.passAt / points) * 100;
}

export const termsOf = (node: ContentItem, { byThen }: NodeMoments): DoneTerms => ({
  pass: passOf(node),
  tooLate: byThen?.kind === 'at' ? endOf(byThen) : Infinity,
});
