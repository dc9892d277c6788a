/** The ways in as the server has them: asked for, kept up to date, and what staff do about them. */
import type { WaysInAnswer } from '@itinerary/contract';
import { computed, onMounted, shallowRef } from 'vue';
import type { ComputedRef, Ref, ShallowRef } from 'vue';
import { ask } from '../../../api/client.ts';
import { useLive } from '../../../stores/live.ts';
import { usePlan } from '../../../stores/plan.ts';
import { useAttempt } from '../use-attempt.ts';
import type { Attempt } from '../use-attempt.ts';

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
  const ways = shallowRef<WaysInAnswer | null>(null);
  const { failure, attempt } = useAttempt();
  /** What was done meanwhile is newer than anything that was asked for before. */
  let turn = 0;
  const show = (answer: WaysInAnswer): void => {
    ways.value = answer;
    // What readiness asks of it stands as it is here.
    plan.door = {
      ...answer.door,
      waiting: [...answer.door.waiting],
      leftClasses: [...answer.door.leftClasses],
    };
  };
  const read = async (): Promise<void> => {
    turn += 1;
    const mine = turn;
    const got = await ask('GET /api/courses/{course}/ways', { params: params.value });
    if (mine === turn) show(got);
  };
  onMounted(() => attempt(read));
  useLive((heard) => {
    const isOfThis = heard.kind === 'missed' || (heard.kind === 'course' && heard.id === params.value.course);
    // Nobody has pressed anything: what does not come now comes with the next that is told.
    if (isOfThis) read().catch(() => undefined);
  });
  const take = (answer: WaysInAnswer): void => {
    turn += 1;
    show(answer);
  };
  return { ways, missing: failure, params, take };
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
