/**
 * What has the focus can be seen. Browsers scroll to it, but take what sticks to an edge of its own, and what stands
 * in a box that cannot be scrolled, for seen.
 */
import { onBeforeUnmount, onMounted } from 'vue';

const MARGIN = 12;

function bringIntoView({ target }: FocusEvent): void {
  if (!(target instanceof HTMLElement)) return;
  requestAnimationFrame(() => {
    const { top, bottom, height } = target.getBoundingClientRect();
    if (height === 0) return;
    if (top > innerHeight - MARGIN * 2)
      scrollBy({ top: Math.min(bottom, top + innerHeight / 2) - innerHeight + MARGIN });
    else if (bottom < MARGIN) scrollBy({ top: top - MARGIN });
  });
}

/** For as long as the page that calls it is there. */
export function keepFocusInView(): void {
  onMounted(() => document.addEventListener('focusin', bringIntoView));
  onBeforeUnmount(() => document.removeEventListener('focusin', bringIntoView));
}
