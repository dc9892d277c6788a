/** Two values of one field, kept both: for whoever met somebody else there. */
import { textHashSchema } from '../schema/basics.ts';
import type { Course } from '../schema/schema.ts';
import { findNode } from '../tree.ts';
import { sameValue } from './edits.ts';
import type { FieldValue } from './edits.ts';
import { fieldSchema } from './fields.ts';

type Entry = Readonly<Record<string, FieldValue>>;

const isEntry = (value: FieldValue): value is Entry =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * Words one after the other, lists as one list, entries by the one thing in which they differ.
 *
 * @param joinText joins two long texts, which are hashes here; undefined where that cannot be.
 * @returns undefined where the field has no room for both, or can only be one of them.
 */
export function bothValues(
  course: Course,
  place: { readonly target: string; readonly field: string },
  [first, second]: readonly [FieldValue, FieldValue],
  joinText: (first: string, second: string) => string | undefined,
): FieldValue | undefined {
  const both = joined(first, second, joinText);
  if (both === undefined) return undefined;
  const { target, field } = place;
  const kind = target === course.id ? null : findNode(course, target)?.node.kind;
  if (kind === undefined) return undefined;
  const checked = fieldSchema(kind, field)?.safeParse(both);
  return checked?.success ? (checked.data as FieldValue) : undefined;
}

function joined(
  first: FieldValue,
  second: FieldValue,
  joinText: (first: string, second: string) => string | undefined,
): FieldValue | undefined {
  if (typeof first === 'string' && typeof second === 'string') {
    if (first === '' || second === '') return undefined;
    const areTexts = [first, second].every((one) => textHashSchema.safeParse(one).success);
    return areTexts ? joinText(first, second) : `${first} / ${second}`;
  }
  if (Array.isArray(first) && Array.isArray(second)) {
    const list: readonly FieldValue[] = first as readonly FieldValue[];
    return [
      ...list,
      ...(second as readonly FieldValue[]).filter((one) => !list.some((other) => sameValue(one, other))),
    ];
  }
  if (!isEntry(first) || !isEntry(second)) return undefined;
  const keys = [...new Set([...Object.keys(first), ...Object.keys(second)])];
  const differing = keys.filter((key) => !sameValue(first[key] ?? null, second[key] ?? null));
  const [key] = differing;
  if (key === undefined || differing.length > 1) return undefined;
  const one = joined(first[key] ?? null, second[key] ?? null, joinText);
  return one === undefined ? undefined : { ...first, [key]: one };
}
