/** Putting words where they can be pasted from, which a browser may not allow. */
import type { Ref } from 'vue';
import { useI18n } from 'vue-i18n';

/** @param failure is set to a sentence where it did not go well */
export function useCopied(failure: Ref<string | null>): (text: string) => Promise<boolean> {
  const { t } = useI18n();
  return async (text) => {
    failure.value = null;
    try {
      await navigator.clipboard.writeText(text);
      return true;
    } catch {
      failure.value = t('setup.members.notCopied', { text });
      return false;
    }
  };
}
