/** The way to another page: how long it takes shows, and that it failed is said. */
import { readonly, ref } from 'vue';
import { START_LOCATION } from 'vue-router';
import type { Router } from 'vue-router';

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

/** @param answers comes to nothing but when the server is away. */
export function watchTheWay(router: Router, answers: () => Promise<unknown>): void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  function arrived(): void {
    clearTimeout(timer);
    slow.value = false;
  }
  router.beforeEach(() => {
    clearTimeout(timer);
    timer = setTimeout(() => (slow.value = true), PATIENCE_MS);
  });
  router.afterEach((_to, _from, failure) => {
    arrived();
    if (failure === undefined) failed.value = null;
  });
  // A page is fetched when it is first wanted: the connection may be away by then, or a newer release have come.
  router.onError(async (_error, to, from) => {
    try {
      // A first page that does not come would not come the second time either.
      if (from === START_LOCATION) throw new Error('not even whole');
      // What failed once is not asked for again by the browser, and of an older release it is gone: whole, then.
      await answers();
      location.assign(to.fullPath);
    } catch {
      arrived();
      failed.value = to.fullPath;
    }
  });
}
