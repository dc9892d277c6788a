/** Long texts of a plan: kept here under their hash, and sent along with the change that names it. */
import { findNode, MAX_TEXT, readField } from '@itinerary/core';
import type { Course, FieldValue } from '@itinerary/core';
import type { ComputedRef } from 'vue';
import { useTexts } from './texts.ts';
import type { Telltale } from './told.ts';

type Write = (
  target: string,
  field: string,
  value: FieldValue,
  was: FieldValue,
  how: { readonly typing: boolean },
) => boolean;

export interface TextSetters {
  readonly setText: (target: string, field: string, html: string | null) => Promise<void>;
  readonly setEntryText: (field: string, html: string | null) => Promise<void>;
}

export function textSetters(
  course: ComputedRef<Course | null>,
  set: Write,
  tell: Telltale['tell'],
): TextSetters {
  const texts = useTexts();

  /** Undefined: it is too long, and that is told. */
  async function keep(html: string | null): Promise<string | null | undefined> {
    if (html === null) return null;
    if (html.length <= MAX_TEXT) return texts.keep(html);
    tell({ kind: 'problem', code: 'too_large' });
    return undefined;
  }

  /** The hash of what stands there. */
  function standing(target: string, field: string): FieldValue {
    const now = course.value;
    if (now === null) return null;
    const holder = now.id === target ? now : findNode(now, target)?.node;
    return (holder as unknown as Record<string, FieldValue> | undefined)?.[field] ?? null;
  }

  async function setText(target: string, field: string, html: string | null): Promise<void> {
    const was = standing(target, field);
    const hash = await keep(html);
    if (hash !== undefined) set(target, field, hash, was, { typing: true });
  }

  /** The same for a text that an entry of a table holds: its hash is the entry's `text`. */
  async function setEntryText(field: string, html: string | null): Promise<void> {
    const hash = await keep(html);
    const now = course.value === null ? null : readField(course.value, field);
    if (hash === undefined || now === null || typeof now !== 'object' || course.value === null) return;
    set(course.value.id, field, { ...now, text: hash }, now, { typing: true });
  }

  return { setText, setEntryText };
}
