/** A clock that is looked at as long as a part of a page stands. */
import { onScopeDispose, ref } from 'vue';
import type { Ref } from 'vue';

/** @param clock milliseconds since 1970-01-01T00:00Z */
export function useTicking(clock: () => number): Readonly<Ref<number>> {
  const now = ref(clock());
  const ticking = setInterval(() => (now.value = clock()), 500);
  onScopeDispose(() => clearInterval(ticking));
  return now;
}
