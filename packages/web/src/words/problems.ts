/** What went wrong, as a sentence in the reader's language: by the problem's code, or that no answer came. */
import { useI18n } from 'vue-i18n';
import { ProblemError } from '../api/client.ts';

export function useProblemSentence(): (error: unknown) => string {
  const { t, te } = useI18n();
  return (error) => {
    const code = error instanceof ProblemError ? error.problem.code : 'unreachable';
    const key = `common.problems.${code}`;
    return te(key) ? t(key) : t('common.problems.internal');
  };
}
