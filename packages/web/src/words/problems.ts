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

/** What of somebody's work was not taken; null: it was refused as any request is, or no answer came. */
export function refusedWork(error: unknown): { readonly path: string; readonly value: unknown } | null {
  if (!(error instanceof ProblemError) || error.problem.code !== 'cannot_hand_in') return null;
  const [first] = error.problem.errors ?? [];
  return { path: first?.path ?? '', value: first?.value };
}
