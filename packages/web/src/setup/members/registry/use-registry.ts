/** How the course stands with the registry, as the server has it: asked for, kept up to date, and what staff do. */
import type { RegistryAnswer } from '@itinerary/contract';
import { computed, onMounted, shallowRef } from 'vue';
import type { ComputedRef, Ref, ShallowRef } from 'vue';
import { ask } from '../../../api/client.ts';
import { useLive } from '../../../stores/live.ts';
import { usePlan } from '../../../stores/plan.ts';
import { useAttempt } from '../use-attempt.ts';

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
  const registry = shallowRef<RegistryAnswer | null>(null);
  const { failure: missing, attempt: first } = useAttempt();
  const { failure, isUnderWay, attempt } = useAttempt();
  /** What was done meanwhile is newer than anything that was asked for before. */
  let turn = 0;
  const read = async (): Promise<void> => {
    turn += 1;
    const mine = turn;
    const got = await ask('GET /api/courses/{course}/registry', { params: params.value });
    if (mine === turn) registry.value = got;
  };
  const refresh = (): Promise<void> => read().catch(() => undefined);
  onMounted(() => first(read));
  useLive((heard) => {
    const isOfThis = heard.kind === 'missed' || (heard.kind === 'course' && heard.id === params.value.course);
    if (isOfThis) void refresh();
  });
  const act = (work: () => Promise<RegistryAnswer>): Promise<boolean> =>
    attempt(async () => {
      const got = await work();
      turn += 1;
      registry.value = got;
    });
  return { registry, missing, params, failure, isUnderWay, refresh, act };
}
