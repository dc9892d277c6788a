/** Loads an answer again whenever its address changes, and says how that went. */
import type { AnswerOf, RequestLine, RouteAt } from '@itinerary/contract';
import { onScopeDispose, ref, shallowRef, watch } from 'vue';
import type { Ref, ShallowRef } from 'vue';
import { addressOf, ask, ProblemError } from './client.ts';
import type { Filling, Given } from './client.ts';
import { isLeaving } from './leaving.ts';

export type Loading = 'loading' | 'there' | 'nothing' | 'failed';

export function useAnswer<Line extends RequestLine>(
  line: Line,
  given: () => Given<Line>,
  /** What was there stays while another address of the line is asked: a list that is narrowed. */
  { keepsWords = false }: { readonly keepsWords?: boolean } = {},
): {
  readonly answer: ShallowRef<AnswerOf<RouteAt<Line>> | null>;
  readonly state: Ref<Loading>;
  readonly reload: () => Promise<void>;
  /** The same without a word, while what was there before stays: for what has changed meanwhile. */
  readonly refresh: () => Promise<void>;
} {
  const answer: ShallowRef<AnswerOf<RouteAt<Line>> | null> = shallowRef(null);
  const state = ref<Loading>('loading');
  let latest = 0;
  let underWay: Promise<void> | null = null;
  let afterIt: Promise<void> | null = null;

  async function load(quietly: boolean, isElsewhere = false): Promise<void> {
    latest += 1;
    const mine = latest;
    const hasWords = quietly && (state.value === 'there' || state.value === 'nothing');
    if (!hasWords) state.value = 'loading';
    try {
      const got = await ask(line, given());
      if (mine !== latest) return;
      answer.value = got;
      state.value = 'there';
    } catch (error) {
      if (mine !== latest) return;
      const code = error instanceof ProblemError ? error.problem.code : null;
      if (code === 'not_signed_in') {
        // The session has ended meanwhile: sign in, and come back here; unless it was ended from here.
        if (!isLeaving()) location.assign(`/sign-in?then=${encodeURIComponent(location.pathname)}`);
        return;
      }
      if (code === 'not_found' || code === 'not_allowed') state.value = 'nothing';
      // Of another address what stands there would say what is not so.
      else if (!hasWords || isElsewhere) state.value = 'failed';
    } finally {
      if (mine === latest) underWay = null;
    }
  }

  function start(quietly: boolean, isElsewhere = false): Promise<void> {
    afterIt = null;
    underWay = load(quietly, isElsewhere);
    return underWay;
  }

  /**
   * Changes may be told faster than answers come. Whatever is told while one is under way is met by one more after
   * it: the server is not asked once for each, and what is under way still arrives.
   */
  function refresh(): Promise<void> {
    if (underWay === null) return start(true);
    const before = latest;
    afterIt ??= underWay.then(() => {
      if (latest === before) return start(true);
      // Another address is asked for meanwhile, or the page has been left.
      return underWay ?? undefined;
    });
    return afterIt;
  }

  const reload = (): Promise<void> => start(false);
  const go = (): Promise<void> => (keepsWords ? start(true, true) : reload());
  watch(() => addressOf(line, given() as Filling), go, { immediate: true });
  // What comes for a page that is left leads nobody anywhere.
  onScopeDispose(() => (latest += 1));
  return { answer, state, reload, refresh };
}
