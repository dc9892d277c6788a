/** The ways in as the server has them: asked for, kept up to date, and what staff do about them. */
import type { WaysInAnswer } from '@itinerary/contract';
import { computed } from 'vue';
import type { ComputedRef, Ref, ShallowRef } from 'vue';
import { ask } from '../../../api/client.ts';
import { usePlan } from '../../../stores/plan.ts';
import { useAttempt } from '../../../words/use-attempt.ts';
import type { Attempt } from '../../../words/use-attempt.ts';
import { useStanding } from '../use-standing.ts';

export interface Ways {
  /** Null: not there yet. */
  readonly ways: ShallowRef<WaysInAnswer | null>;
  /** Why they are not there; null: they are, or are on their way. */
  readonly missing: Ref<string | null>;
  readonly params: ComputedRef<{ course: string }>;
  /** Takes over what the server answers to something that has been done. */
  readonly take: (answer: WaysInAnswer) => void;
}

export function useWays(): Ways {
  const plan = usePlan();
  const params = computed(() => ({ course: plan.course?.id ?? '' }));
  const {
    answer: ways,
    missing,
    take,
  } = useStanding<WaysInAnswer>(
    () => ask('GET /api/courses/{course}/ways', { params: params.value }),
    ({ door }) => {
      // What readiness asks of it stands as it is here.
      plan.door = { ...door, waiting: [...door.waiting], leftClasses: [...door.leftClasses] };
    },
  );
  return { ways, missing, params, take };
}

/** A press about the ways, with its own sentence where it does not go well. */
export function useWaysAct(held: Ways): Pick<Attempt, 'failure' | 'isUnderWay'> & {
  readonly act: (work: () => Promise<WaysInAnswer>) => Promise<boolean>;
} {
  const { failure, isUnderWay, attempt } = useAttempt();
  const act = (work: () => Promise<WaysInAnswer>): Promise<boolean> =>
    attempt(async () => held.take(await work()));
  return { failure, isUnderWay, act };
}
