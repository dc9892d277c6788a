/** How the course stands with the registry, as the server has it: asked for, kept up to date, and what staff do. */
import type { RegistryAnswer } from '@itinerary/contract';
import { computed } from 'vue';
import type { ComputedRef, Ref, ShallowRef } from 'vue';
import { ask } from '../../../api/client.ts';
import { usePlan } from '../../../stores/plan.ts';
import { useAttempt } from '../../../words/use-attempt.ts';
import { useStanding } from '../use-standing.ts';

export interface RegistryHeld {
  /** Null: not there yet. */
  readonly registry: ShallowRef<RegistryAnswer | null>;
  readonly missing: Ref<string | null>;
  readonly params: ComputedRef<{ course: string }>;
  readonly failure: Ref<string | null>;
  readonly isUnderWay: Ref<boolean>;
  /** What has changed meanwhile; what does not come leaves what is there. */
  readonly refresh: () => Promise<void>;
  /** @returns whether it went well */
  readonly act: (work: () => Promise<RegistryAnswer>) => Promise<boolean>;
}

export function useRegistry(): RegistryHeld {
  const plan = usePlan();
  const params = computed(() => ({ course: plan.course?.id ?? '' }));
  const {
    answer: registry,
    missing,
    take,
    refresh,
  } = useStanding<RegistryAnswer>(() => ask('GET /api/courses/{course}/registry', { params: params.value }));
  const { failure, isUnderWay, attempt } = useAttempt();
  const act = (work: () => Promise<RegistryAnswer>): Promise<boolean> =>
    attempt(async () => take(await work()));
  return { registry, missing, params, failure, isUnderWay, refresh, act };
}
