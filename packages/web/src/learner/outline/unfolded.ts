/** Sections that somebody has unfolded or folded: as they left them when they come back, for as long as the window is open. */
import { ref, watch } from 'vue';
import type { Ref } from 'vue';

const chosen = new Map<string, boolean>();

/** @param place of one section on one page. Null: nobody has chosen. */
export function useUnfolded(place: string): Ref<boolean | null> {
  const is = ref(chosen.get(place) ?? null);
  watch(is, (now) => {
    if (now !== null) chosen.set(place, now);
  });
  return is;
}
