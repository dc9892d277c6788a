/** What is asked of the server by a press: under way, gone well, or refused with a sentence. */
import { ref } from 'vue';
import type { Ref } from 'vue';
import { useProblemSentence } from './problems.ts';

export interface Attempt {
  readonly failure: Ref<string | null>;
  readonly isUnderWay: Ref<boolean>;
  /** @returns whether it went well */
  readonly attempt: (work: () => Promise<void>) => Promise<boolean>;
}

export function useAttempt(): Attempt {
  const sentence = useProblemSentence();
  const failure = ref<string | null>(null);
  const isUnderWay = ref(false);
  const attempt = async (work: () => Promise<void>): Promise<boolean> => {
    failure.value = null;
    isUnderWay.value = true;
    try {
      await work();
      return true;
    } catch (error) {
      failure.value = sentence(error);
      return false;
    } finally {
      isUnderWay.value = false;
    }
  };
  return { failure, isUnderWay, attempt };
}
