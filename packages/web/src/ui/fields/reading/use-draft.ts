/**
 * What stands in a field while somebody types: their own characters, also those that are not stored (a
 * trailing space, nothing at all), until the field is left or the stored value changes under it. What cannot be
 * stored stays there, also for whoever comes back to it.
 */
import { getCurrentInstance, onBeforeUnmount, ref, watch } from 'vue';
import type { Ref } from 'vue';
import { leftDraft } from './left-drafts.ts';

interface More {
  /** Such a text is not told. */
  readonly isWrong?: (text: string) => boolean;
  /** Under this name, what was wrong is there again when the field comes back; under another, it is another field. */
  readonly keepAs?: () => string | undefined;
}

export function useDraft(
  stored: () => string,
  commit: (text: string) => void,
  { isWrong = () => false, keepAs = () => undefined }: More = {},
): {
  readonly draft: Ref<string>;
  readonly typed: (text: string) => void;
  readonly left: () => void;
} {
  let kept = leftDraft(keepAs());
  const draft = ref(kept.get() ?? stored());
  const isHeld = (): boolean => isWrong(draft.value.trim());
  const keep = (stood: string): void =>
    kept.keep(isHeld() && draft.value.trim() !== stood ? draft.value : null);
  watch([keepAs, stored], ([name, now], [nameBefore, stood]) => {
    if (name !== nameBefore) {
      keep(stood);
      kept = leftDraft(name);
      draft.value = kept.get() ?? now;
    } else if (draft.value.trim() !== now && !isHeld()) draft.value = now;
  });
  if (getCurrentInstance() !== null) onBeforeUnmount(() => keep(stored()));
  return {
    draft,
    typed: (text) => {
      draft.value = text;
      if (text.trim() !== stored() && !isHeld()) commit(text.trim());
    },
    left: () => {
      if (!isHeld()) draft.value = stored();
    },
  };
}
