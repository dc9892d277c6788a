/** How something of the course stands, as the server has it: asked for, kept up to date, and taken from what is done. */
import { onMounted, shallowRef } from 'vue';
import type { Ref, ShallowRef } from 'vue';
import { useLive } from '../../stores/live.ts';
import { usePlan } from '../../stores/plan.ts';
import { useAttempt } from '../../words/use-attempt.ts';

export interface Standing<Answer> {
  /** Null: not there yet. */
  readonly answer: ShallowRef<Answer | null>;
  /** Why it is not there; null: it is, or is on its way. */
  readonly missing: Ref<string | null>;
  /** Takes over what the server answers to something that has been done. */
  readonly take: (answer: Answer) => void;
  /** What has changed meanwhile; what does not come leaves what is there, and comes with the next that is told. */
  readonly refresh: () => Promise<void>;
}

export function useStanding<Answer>(
  ask: () => Promise<Answer>,
  took: (answer: Answer) => void = () => undefined,
): Standing<Answer> {
  const plan = usePlan();
  const answer: ShallowRef<Answer | null> = shallowRef(null);
  const { failure: missing, attempt } = useAttempt();
  /** What was done meanwhile is newer than anything that was asked for before. */
  let turn = 0;
  const take = (got: Answer): void => {
    turn += 1;
    answer.value = got;
    took(got);
  };
  const read = async (): Promise<void> => {
    turn += 1;
    const mine = turn;
    const got = await ask();
    if (mine === turn) take(got);
  };
  const refresh = (): Promise<void> => read().catch(() => undefined);
  onMounted(() => attempt(read));
  useLive((heard) => {
    if (heard.kind === 'missed' || (heard.kind === 'course' && heard.id === plan.course?.id)) void refresh();
  });
  return { answer, missing, take, refresh };
}
