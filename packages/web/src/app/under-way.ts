/** The way to another page: how long it takes shows, and that it failed is said. */
import { readonly, ref } from 'vue';
import { START_LOCATION } from 'vue-router';
import type { Router } from 'vue-router';
import { loadWhole } from './try-again.ts';

/** What comes sooner needs no word. */
const PATIENCE_MS = 250;

const slow = ref(false);
const failed = ref<string | null>(null);

/** A page is being fetched, and has been for a while. */
export const isSlow = readonly(slow);
/** The address of the page that could not be fetched, until another one comes. */
export const failedAt = readonly(failed);

export function forgetFailure(): void {
  failed.value = null;
}

/** @param answers asks the server for something; rejects while it is away. */
export function watchTheWay(router: Router, answers: () => Promise<unknown>): void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let ways = 0;
  function arrived(): void {
    clearTimeout(timer);
    slow.value = false;
  }
  router.beforeEach(() => {
    ways += 1;
    clearTimeout(timer);
    timer = setTimeout(() => (slow.value = true), PATIENCE_MS);
  });
  router.afterEach((_to, _from, failure) => {
    arrived();
    if (failure === undefined) failed.value = null;
  });
  // A page is fetched when it is first wanted: the connection may be away by then, or a newer release have come.
  router.onError(async (_error, to, from) => {
    const way = ways;
    try {
      // A first page that does not come would not come the second time either.
      if (from === START_LOCATION) throw new Error('not even whole');
      // What failed once is not asked for again by the browser, and of an older release it is gone: whole, then.
      await answers();
      // Whoever has gone elsewhere meanwhile is let go.
      if (way === ways) loadWhole(to.fullPath);
    } catch {
      if (way !== ways) return;
      arrived();
      failed.value = to.fullPath;
    }
  });
}
