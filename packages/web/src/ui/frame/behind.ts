/** What lies behind a dialog cannot be reached while it is open: not by keys, not by touch, not by being read out. */
import { onScopeDispose, watch } from 'vue';
import type { Ref } from 'vue';

/** Dialogs can open over one another. */
let open = 0;

function count(change: 1 | -1): void {
  open += change;
  // Dialogs stand beside the application in the document, not in it.
  document.querySelector('.v-application')?.toggleAttribute('inert', open > 0);
}

/** To be called by whatever opens over the application. */
export function useBehind(isOpen: Ref<boolean>): void {
  let counts = false;
  const tell = (now: boolean): void => {
    if (now === counts) return;
    counts = now;
    count(now ? 1 : -1);
  };
  // At once, so that the focus can go back to where it was.
  watch(isOpen, tell, { immediate: true, flush: 'sync' });
  onScopeDispose(() => tell(false));
}
