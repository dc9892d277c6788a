/** For what opens beside something: it takes the focus, and gives it back to what opened it when it goes. */
import { nextTick, onBeforeUnmount, onMounted } from 'vue';
import type { Ref } from 'vue';

export function useFocusIn(root: Ref<HTMLElement | null>, takes: () => boolean = () => true): void {
  const opener = document.activeElement;
  onMounted(() => {
    if (takes()) root.value?.focus({ preventScroll: true });
  });
  onBeforeUnmount(() => {
    // Whoever has gone elsewhere meanwhile stays there.
    if (root.value?.contains(document.activeElement) !== true) return;
    void nextTick(() => {
      if (opener instanceof HTMLElement && opener.isConnected) opener.focus({ preventScroll: true });
    });
  });
}
