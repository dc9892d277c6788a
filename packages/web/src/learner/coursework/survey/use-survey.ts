/**
 * Answering a survey: what is answered so far stays on this device, since on the server it would be somebody's; once it is
 * sent nobody knows any more whose it is.
 */
import type { BodyOf, OwnSurvey } from '@itinerary/contract';
import type { DeepReadonly } from '@itinerary/core';
import { computed, ref, shallowRef } from 'vue';
import type { ComputedRef, Ref, ShallowRef } from 'vue';
import { ask, ProblemError } from '../../../api/client.ts';
import { deviceFor } from '../../../stores/device/on-device.ts';

export type Answers = DeepReadonly<BodyOf<'answerSurvey'>>['answers'];
export type Answer = Answers[string];

export interface Surveying {
  readonly survey: ShallowRef<OwnSurvey | null>;
  readonly answers: ShallowRef<Answers>;
  readonly answered: ComputedRef<number>;
  /** What is answered is kept on this device. */
  readonly isKept: Ref<boolean>;
  readonly failure: ShallowRef<unknown>;
  readonly isBusy: Ref<boolean>;
  readonly load: () => Promise<void>;
  /** Null: not answered after all. */
  readonly answer: (ask: string, answer: Answer | null) => void;
  /** @returns whether it has been sent */
  readonly send: () => Promise<boolean>;
}

export const saysSomething = (answer: Answer): boolean =>
  answer.kind === 'open' ? answer.text.trim() !== '' : answer.kind !== 'several' || answer.choices.length > 0;

export function useSurvey(course: string, item: string, person: string): Surveying {
  const params = { course, item };
  const device = deviceFor<Answers>(person, course, item, 'survey');
  const survey = shallowRef<OwnSurvey | null>(null);
  const answers = shallowRef<Answers>({});
  const isKept = ref(true);
  const failure = shallowRef<unknown>(null);
  const isBusy = ref(false);

  function take(answer: OwnSurvey): void {
    const isFirst = survey.value === null;
    survey.value = answer;
    // Closed for now, what was typed stays: it may open again.
    if (answer.hasAnswered) device.forget();
    else if (isFirst) answers.value = device.read() ?? {};
  }
  /** Only what is still asked, as the kind that it is now. */
  const toSend = (): Answers => {
    const kinds = new Map((survey.value?.asks ?? []).map(({ id, kind }) => [id, kind]));
    return Object.fromEntries(
      Object.entries(answers.value).filter(([id, one]) => kinds.get(id) === one.kind && saysSomething(one)),
    );
  };
  const load = async (): Promise<void> => {
    take(await ask('GET /api/learn/{course}/items/{item}/survey', { params }));
  };
  return {
    survey,
    answers,
    answered: computed(() => Object.keys(toSend()).length),
    isKept,
    failure,
    isBusy,
    load,
    answer: (id, answer) => {
      const { [id]: _before, ...others } = answers.value;
      void _before;
      answers.value = answer === null ? others : { ...others, [id]: answer };
      isKept.value = device.keep(answers.value);
    },
    send: async () => {
      isBusy.value = true;
      failure.value = null;
      try {
        take(
          await ask('POST /api/learn/{course}/items/{item}/survey/answers', {
            params,
            body: { answers: toSend() },
          }),
        );
        answers.value = {};
        return true;
      } catch (error) {
        failure.value = error;
        // What is asked has changed meanwhile: what still answers it stands.
        if (error instanceof ProblemError) await load().catch(() => undefined);
        return false;
      } finally {
        isBusy.value = false;
      }
    },
  };
}
