/** Why what came is no list, as a sentence. */
import { computed } from 'vue';
import type { ComputedRef, Ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatBytes } from '../../../words/bytes.ts';
import type { HeldOrNot } from './held-list.ts';

/** @returns null: it is one, or nothing has come */
export function useRefusal(held: Ref<HeldOrNot | null>): ComputedRef<string | null> {
  const { t, n, locale } = useI18n();
  return computed(() => {
    if (held.value?.ok !== false) return null;
    const { code, ...rest } = held.value.refusal;
    const inBytes = code === 'unpacks';
    const figures = Object.fromEntries(
      Object.entries(rest).map(([key, value]) => [
        key,
        inBytes ? formatBytes(value, locale.value) : n(value),
      ]),
    );
    return t(`setup.members.list.refused.${code}`, figures);
  });
}
