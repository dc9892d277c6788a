/**
 * Whether the preview is open: beside the stop, as each stop was left; over it, where there is no room beside it, until it
 * is put away again.
 */
import { computed, ref } from 'vue';
import type { ComputedRef, WritableComputedRef } from 'vue';
import { useDisplay } from 'vuetify';
import type { Stop } from '../frame/stops.ts';

/** Up to so many points there is no room beside the stop; as in the style of the setup's pages. */
const NARROW = 1080;
/** Tables want the width: there the preview stands folded until it is asked for. */
const TABLES: readonly Stop[] = ['outline', 'progress', 'members'];
const WIDE = 1500;

export function usePreviewOpen(stopOf: () => Stop): {
  readonly isOpen: WritableComputedRef<boolean>;
  readonly isNarrow: ComputedRef<boolean>;
} {
  const { width } = useDisplay();
  const isNarrow = computed(() => width.value <= NARROW);
  const key = computed(() =>
    TABLES.includes(stopOf()) ? `itinerary.preview.${stopOf()}` : 'itinerary.preview',
  );
  const previews = ref<Readonly<Record<string, boolean>>>({});
  const isOver = ref(false);
  const isOpen = computed({
    get: () => {
      if (isNarrow.value) return isOver.value;
      const stored = localStorage.getItem(key.value);
      const standing =
        stored === null ? !TABLES.includes(stopOf()) || width.value >= WIDE : stored !== 'folded';
      return previews.value[key.value] ?? standing;
    },
    set: (open) => {
      if (isNarrow.value) {
        isOver.value = open;
        return;
      }
      previews.value = { ...previews.value, [key.value]: open };
      localStorage.setItem(key.value, open ? 'open' : 'folded');
    },
  });
  return { isOpen, isNarrow };
}
