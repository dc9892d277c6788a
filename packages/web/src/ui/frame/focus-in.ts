/** For what opens beside something: it takes the focus, and gives it back to what opened it last when it goes. */
import { nextTick, onBeforeUnmount, onMounted, watch } from 'vue';
import type { Ref } from 'vue';

/** @param of what it holds: with something else in it, it has opened anew. */
export function useFocusIn(
  root: Ref<HTMLElement | null>,
  takes: () => boolean = () => true,
  of: () => unknown = () => null,
): void {
  let opener = document.activeElement;
  const takeIt = (): void => {
    if (takes()) root.value?.focus({ preventScroll: true });
  };
  onMounted(takeIt);
  watch(of, () => (opener = document.activeElement));
  watch(
    of,
    () => {
      if (root.value !== null) root.value.scrollTop = 0;
      takeIt();
    },
    { flush: 'post' },
  );
  onBeforeUnmount(() => {
    // Whoever has gone elsewhere meanwhile stays there.
    if (root.value?.contains(document.activeElement) !== true) return;
    void nextTick(() => {
      if (opener instanceof HTMLElement && opener.isConnected) opener.focus({ preventScroll: true });
    });
  });
}
