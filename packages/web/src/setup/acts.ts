/** What any part of the workspace can ask of the whole. */
import type { InjectionKey, Ref } from 'vue';
import { inject } from 'vue';
import type { Marker } from './preview/marker.ts';

export interface SetupActs {
  readonly goLive: () => void;
  readonly members: () => void;
  readonly marker: Marker;
  /** What an item holds is open beside the outline, in the place of the preview. */
  readonly isItemOpen: Ref<boolean>;
}

export const SETUP_ACTS: InjectionKey<SetupActs> = Symbol('setup acts');

export function useActs(): SetupActs {
  const acts = inject(SETUP_ACTS);
  if (acts === undefined) throw new Error('used outside the setup workspace');
  return acts;
}
