/**
 * What stands in a field while somebody types: their own characters, also those that are not stored (a
 * trailing space, nothing at all), until the field is left or the stored value changes under it. What cannot be
 * stored stays there.
 */
import { ref, watch } from 'vue';
import type { Ref } from 'vue';

export function useDraft(
  stored: () => string,
  commit: (text: string) => void,
  isWrong: (text: string) => boolean = () => false,
): {
  readonly draft: Ref<string>;
  readonly typed: (text: string) => void;
  readonly left: () => void;
} {
  const draft = ref(stored());
  watch(stored, (now) => {
    if (draft.value.trim() !== now) draft.value = now;
  });
  return {
    draft,
    typed: (text) => {
      draft.value = text;
      if (text.trim() !== stored()) commit(text.trim());
    },
    left: () => {
      if (!isWrong(draft.value.trim())) draft.value = stored();
    },
  };
}
