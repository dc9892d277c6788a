/** Pages loaded whole, and whether the server answers again, so that they can be. */
import { readonly, ref } from 'vue';
import type { Ref } from 'vue';
import { useSession } from '../stores/session.ts';

/** An address that is open already, with a place in it, would otherwise only be scrolled to. */
export function loadWhole(address: string): void {
  if (new URL(address, location.href).href === location.href) location.reload();
  else location.assign(address);
}

export function useTryAgain(address: () => string): {
  readonly trying: Readonly<Ref<boolean>>;
  readonly again: () => Promise<void>;
} {
  const session = useSession();
  const trying = ref(false);
  async function again(): Promise<void> {
    trying.value = true;
    try {
      await session.load();
      loadWhole(address());
    } catch {
      // Still away, which the page goes on saying.
      trying.value = false;
    }
  }
  return { trying: readonly(trying), again };
}
