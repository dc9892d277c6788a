/** What is asked once somebody has stopped typing for a moment, and not with every letter. */
import { onScopeDispose } from 'vue';

const REST_MS = 250;

export interface Rest {
  /** Anew from now. */
  readonly later: () => void;
  readonly cancel: () => void;
}

export function useRest(work: () => void): Rest {
  let resting: ReturnType<typeof setTimeout> | undefined;
  const cancel = (): void => clearTimeout(resting);
  onScopeDispose(cancel);
  return {
    later: () => {
      cancel();
      resting = setTimeout(work, REST_MS);
    },
    cancel,
  };
}
