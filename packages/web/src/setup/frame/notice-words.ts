/** Fields and what they hold, in words, for whoever is told about a change. */
import { courseEntries, ITEM_KINDS, nodeEntries, TEXT_FIELDS, textHashSchema } from '@itinerary/core';
import type { FieldValue } from '@itinerary/core';

type Translate = (key: string) => string;

/** The key of a field's name: an entry has that of its table. */
export function fieldKey(field: string): string {
  const table = [...courseEntries(), ...ITEM_KINDS.flatMap((kind) => nodeEntries(kind))].find((one) =>
    field.startsWith(`${one}.`),
  );
  return `setup.fields.${(table ?? field).replaceAll('.', '_')}`;
}

/** Moments, files, formats: what has a name or a day is told by it, the rest is only said to be another. */
function objectWords(said: Readonly<Record<string, FieldValue>>, t: Translate): string {
  for (const key of ['name', 'title', 'subject', 'text', 'day']) {
    const words = said[key];
    // A long text is a hash, and nobody wants to read one.
    if (typeof words !== 'string' || words === '' || textHashSchema.safeParse(words).success) continue;
    const time = key === 'day' && typeof said['time'] === 'string' ? ` ${said['time']}` : '';
    return `${words}${time}`;
  }
  return t('setup.notices.other');
}

/** @param titleOf the title of a node, for fields that name one; null when there is none. */
export function valueWords(
  field: string,
  said: FieldValue,
  t: Translate,
  titleOf: (id: string) => string | null,
): string {
  if (said === null || said === '') return t('setup.notices.nothing');
  // Long texts are hashes here, and nobody wants to read one.
  if (TEXT_FIELDS.has(field)) return t('setup.notices.aText');
  if (field === 'dates.around') return titleOf(String(said)) ?? t('setup.notices.anItem');
  if (typeof said === 'boolean') return t(said ? 'setup.notices.yes' : 'setup.notices.no');
  // Outcomes are named by ids; tags and the like are words.
  if (field === 'teaches' || field === 'assesses') return t('setup.notices.other');
  if (Array.isArray(said)) return said.map((one) => String(one)).join(', ');
  return typeof said === 'object' ? objectWords(said as Record<string, FieldValue>, t) : String(said);
}
