/**
 * What lies behind a dialog cannot be reached while it is open: not by keys, not by touch, not by being read out. When
 * it closes, the focus goes back to what opened it.
 */
import { nextTick, onScopeDispose, watch } from 'vue';
import type { Ref } from 'vue';

/** Dialogs can open over one another. */
let open = 0;
/** What had the focus last outside of all that opens over the page: a menu that led to a dialog may be gone. */
let ground: HTMLElement | null = null;

const GROUND = '.v-application';
if (typeof document !== 'undefined') {
  document.addEventListener('focusin', ({ target }) => {
    if (target instanceof HTMLElement && target.closest(GROUND) !== null) ground = target;
  });
}

function count(change: 1 | -1): void {
  open += change;
  // Dialogs stand beside the application in the document, not in it.
  document.querySelector(GROUND)?.toggleAttribute('inert', open > 0);
}

const canTake = (element: Element | null): element is HTMLElement =>
  element instanceof HTMLElement && element !== document.body && element.isConnected;

/** Unless somebody has taken the focus elsewhere meanwhile, as a press that closes and leads on does. */
async function giveBack(opener: Element | null): Promise<void> {
  await nextTick();
  const here = document.activeElement;
  const isLost = here === null || here === document.body || here.closest('.v-overlay') !== null;
  if (!isLost || (open > 0 && here !== document.body)) return;
  const target = [opener, ground].find(canTake);
  target?.focus({ preventScroll: true });
}

/** To be called by whatever opens over the application. */
export function useBehind(isOpen: Ref<boolean>): void {
  let counts = false;
  let opener: Element | null = null;
  const tell = (now: boolean): void => {
    if (now === counts) return;
    counts = now;
    // Before the rest is out of reach, which takes the focus from it.
    if (now) opener = document.activeElement;
    count(now ? 1 : -1);
    if (!now) void giveBack(opener);
  };
  // At once, so that the focus can go back to where it was.
  watch(isOpen, tell, { immediate: true, flush: 'sync' });
  onScopeDispose(() => tell(false));
}
