/**
 * A field whose value is read from what is typed. It counts when the field is left; what cannot be taken stays in
 * the field with the sentence that says what is expected, and what stood before goes on counting
 * (docs/semantics.md, What is typed).
 */
import type { Reading } from '@itinerary/core';
import { computed, getCurrentInstance, onBeforeUnmount, ref, watch } from 'vue';
import type { ComputedRef } from 'vue';
import { useExpected } from './expected.ts';
import { leftDraft } from './left-drafts.ts';
import { useRefusals } from './refusals.ts';

export interface Typed<Value> {
  /** What stands, or null for nothing. */
  readonly value: () => Value | null;
  readonly read: (text: string) => Reading<Value | null>;
  readonly write: (value: Value) => string;
  readonly take: (value: Value | null) => void;
  /** What is against a value that can be read; null: nothing. */
  readonly check?: (value: Value | null) => string | null;
  /** In a form that is sent as a whole, a value counts as soon as it can be read. */
  readonly live?: () => boolean;
  /** Under this name, what was refused is there again when the field comes back. */
  readonly keepAs?: () => string | undefined;
}

export interface TypedField {
  readonly shown: ComputedRef<string>;
  /** What is to be said of what was left in the field; null: nothing. */
  readonly sentence: ComputedRef<string | null>;
  /** What is typed, as it would be taken; undefined while it cannot be. */
  readonly reading: ComputedRef<unknown>;
  readonly type: (text: string) => void;
  readonly leave: () => void;
}

export function useTyped<Value>(field: Typed<Value>): TypedField {
  const expected = useExpected();
  const kept = leftDraft(field.keepAs?.());
  /** Null: what stands is shown. */
  const draft = ref<string | null>(kept.get());
  const isTold = ref(draft.value !== null);
  /** What stood before a form's field was typed into. */
  let before: { readonly value: Value | null } | null = null;
  const written = (value: Value | null): string => (value === null ? '' : field.write(value));

  const shown = computed(() => draft.value ?? written(field.value()));
  const got = computed(() => (draft.value === null ? null : field.read(draft.value)));
  const wrong = computed(() => {
    if (got.value === null) return null;
    return got.value.ok ? (field.check?.(got.value.value) ?? null) : expected(got.value.expected);
  });
  const sentence = computed(() => (isTold.value ? wrong.value : null));
  useRefusals(() => wrong.value !== null);

  function take(value: Value | null): void {
    if (written(value) !== written(field.value())) field.take(value);
  }

  function type(text: string): void {
    if (text === shown.value) return;
    draft.value = text;
    if (wrong.value === null) isTold.value = false;
    if (field.live?.() !== true) return;
    before ??= { value: field.value() };
    take(wrong.value === null && got.value?.ok === true ? got.value.value : before.value);
  }

  function leave(): void {
    before = null;
    if (draft.value === null) return;
    isTold.value = true;
    if (wrong.value !== null || got.value?.ok !== true) return;
    const { value } = got.value;
    draft.value = null;
    isTold.value = false;
    take(value);
  }

  // What somebody else has changed it to is shown, unless somebody is at it here.
  watch(
    () => written(field.value()),
    () => {
      if (before === null && isTold.value) draft.value = null;
    },
  );
  if (getCurrentInstance() !== null) {
    onBeforeUnmount(() => {
      leave();
      kept.keep(draft.value);
    });
  }
  return {
    shown,
    sentence,
    reading: computed(() => (got.value?.ok === true && wrong.value === null ? got.value.value : undefined)),
    type,
    leave,
  };
}
