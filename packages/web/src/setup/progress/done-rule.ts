/** Done rules as they are begun, written in a few words, and given to many items at once. */
import { conditionsOf, findNode, isContent, isSeveral, traitsOf } from '@itinerary/core';
import type { Course, DoneBy, DoneCondition, DoneRule, Edit, FieldValue } from '@itinerary/core';

type T = (key: string, values?: Record<string, unknown>) => string;

export const MOST_POSTS = 100;
/** What stands there until somebody says otherwise. */
const USUAL: Readonly<Partial<Record<DoneBy, number>>> = { scored: 60, watched: 80, posted: 1, replied: 1 };

export function newCondition(by: DoneBy): DoneCondition {
  const least = USUAL[by];
  return (least === undefined ? { by } : { by, least }) as DoneCondition;
}

/** How much is wanted; null: it is one that is so or is not. */
export const amountOf = (one: DoneCondition): number | null => ('least' in one ? one.least : null);

export const withAmount = <One extends DoneCondition | DoneRule>(one: One, least: number): One =>
  'least' in one ? { ...one, least } : one;

/** "scored at least 60 %" */
export function conditionLabel(one: DoneCondition, t: T, locale: string): string {
  const least = amountOf(one);
  if (least === null) return t(`setup.progress.by.${one.by}`);
  const number = new Intl.NumberFormat(locale, { maximumFractionDigits: 2 }).format(least);
  return t(`setup.progress.atLeast.${one.by}`, { least: number });
}

export function ruleLabel(rule: DoneRule | null, t: T, locale: string): string {
  if (rule === null) return t('setup.progress.by.none');
  const parts = conditionsOf(rule).map((one) => conditionLabel(one, t, locale));
  if (!isSeveral(rule)) return parts[0] ?? '';
  const type = rule.by === 'all' ? 'conjunction' : 'disjunction';
  return new Intl.ListFormat(locale, { type }).format(parts);
}

/** Whether an item of this kind can be done so. */
export function canHave(kind: string, rule: DoneRule | null): boolean {
  const possible: readonly DoneBy[] = traitsOf({ kind }).doneBy;
  return conditionsOf(rule).every(({ by }) => possible.includes(by));
}

/** The same rule for many: those that have it already, and those that cannot, stay as they are. */
export function ruleEdits(
  course: Course,
  ids: readonly string[],
  rule: DoneRule | null,
): { readonly edits: readonly Edit[]; readonly cannot: number } {
  const edits: Edit[] = [];
  let cannot = 0;
  for (const id of ids) {
    const node = findNode(course, id)?.node;
    if (node === undefined || !isContent(node)) continue;
    if (!canHave(node.kind, rule)) cannot += 1;
    else if (JSON.stringify(node.done) !== JSON.stringify(rule)) {
      edits.push({
        kind: 'set',
        target: id,
        field: 'done',
        value: rule as FieldValue,
        was: node.done as FieldValue,
      });
    }
  }
  return { edits, cannot };
}
