/** The desk as it is asked for: narrowed by words, term, state and tag, and a page of it at a time. */
import { DESK_ROWS } from '@itinerary/contract';
import type { DeskAnswer } from '@itinerary/contract';
import type { CourseState } from '@itinerary/core';
import { computed, ref, watch } from 'vue';
import type { ComputedRef, Ref } from 'vue';
import { useAnswer } from '../api/use-answer.ts';
import type { Loading } from '../api/use-answer.ts';
import { useRest } from '../ui/fields/rest.ts';

export interface DeskFilter {
  readonly text: string;
  readonly term: string | null;
  readonly state: CourseState | null;
  readonly tag: string | null;
}

export const NO_FILTER: DeskFilter = { text: '', term: null, state: null, tag: null };

export const isFiltering = ({ text, term, state, tag }: DeskFilter): boolean =>
  text.trim() !== '' || term !== null || state !== null || tag !== null;

export interface Desk {
  readonly filter: Ref<DeskFilter>;
  /** From 1. */
  readonly page: Ref<number>;
  readonly pages: ComputedRef<number>;
  readonly answer: Ref<DeskAnswer | null>;
  readonly state: Ref<Loading>;
  readonly reload: () => Promise<void>;
  readonly refresh: () => Promise<void>;
}

export function useDesk(): Desk {
  const filter = ref<DeskFilter>(NO_FILTER);
  const page = ref(1);
  const text = ref('');
  const { later, cancel } = useRest(() => (text.value = filter.value.text.trim()));
  watch(filter, (now, before) => {
    page.value = 1;
    cancel();
    if (now.text === before.text || now.text.trim() === '') text.value = now.text.trim();
    else later();
  });
  const asked = useAnswer(
    'GET /api/desk',
    () => {
      const { term, state, tag } = filter.value;
      return {
        query: {
          ...(text.value === '' ? {} : { find: text.value }),
          ...(term === null ? {} : { term }),
          ...(state === null ? {} : { state }),
          ...(tag === null ? {} : { tag }),
          ...(page.value === 1 ? {} : { page: page.value }),
        },
      };
    },
    { keepsWords: true },
  );
  const pages = computed(() => Math.max(1, Math.ceil((asked.answer.value?.total ?? 0) / DESK_ROWS)));
  // Where there are fewer meanwhile, the last page is shown, and that is the one somebody is on.
  watch(asked.answer, (now) => {
    if (now !== null) page.value = now.page;
  });
  return { filter, page, pages, ...asked };
}
