/** What any part of the workspace can ask of the whole. */
import type { ComputedRef, InjectionKey, Ref } from 'vue';
import { inject } from 'vue';
import type { Marker } from '../preview/marker.ts';
import type { Change } from '../seeing/changes.ts';

export interface SetupActs {
  readonly goLive: () => void;
  readonly members: () => void;
  readonly marker: Marker;
  /** When something changes by itself for whoever is looked as. */
  readonly changes: ComputedRef<readonly Change[]>;
  /** The days that the timeline spans. */
  readonly span: ComputedRef<{ readonly first: string; readonly last: string } | null>;
  /** The choice of as whom the course is looked at stands open beside the stop. */
  readonly isSeeing: Ref<boolean>;
  /** What an item holds is open beside the outline, in the place of the preview. */
  readonly isItemOpen: Ref<boolean>;
}

export const SETUP_ACTS: InjectionKey<SetupActs> = Symbol('setup acts');

export function useActs(): SetupActs {
  const acts = inject(SETUP_ACTS);
  if (acts === undefined) throw new Error('used outside the setup workspace');
  return acts;
}
