/** What staff of the institution keep for all courses: what is done, what was said of it, and what went wrong. */
import { ref } from 'vue';
import type { Ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { ProblemError } from '../api/client.ts';
import { useProblemSentence } from '../words/problems.ts';

export interface Keeping {
  readonly failure: Ref<string | null>;
  readonly said: Ref<string>;
  readonly isBusy: Ref<boolean>;
  /** `work` does it and says so. False: it went wrong, and `failure` says how. */
  readonly attempt: (work: () => Promise<string>) => Promise<boolean>;
}

export function useKeeping(): Keeping {
  const { t } = useI18n();
  const sentence = useProblemSentence();
  const failure = ref<string | null>(null);
  const said = ref('');
  const isBusy = ref(false);

  function words(error: unknown): string {
    const wrong = error instanceof ProblemError ? error.problem.errors?.[0] : undefined;
    if (wrong === undefined) return sentence(error);
    const { path, value, expected } = wrong;
    return t('desk.holidays.wrong', { place: path, value: String(value), expected });
  }
  async function attempt(work: () => Promise<string>): Promise<boolean> {
    isBusy.value = true;
    failure.value = null;
    try {
      said.value = await work();
      return true;
    } catch (error) {
      failure.value = words(error);
      return false;
    } finally {
      isBusy.value = false;
    }
  }
  return { failure, said, isBusy, attempt };
}
