/** The grid as it is looked at: whom and what to show, in which order, and what is said of those that are chosen. */
import type { GridAnswer, MarkDone } from '@itinerary/contract';
import { computed, ref, shallowRef } from 'vue';
import type { ComputedRef, Ref, ShallowRef } from 'vue';
import { ask } from '../../api/client.ts';

export type Learner = GridAnswer['people'][number];
export const WHO = ['all', 'not_begun', 'stuck', 'behind', 'done'] as const;
export type Who = (typeof WHO)[number];
export const ORDERS = ['name', 'share', 'last', 'behind'] as const;
export type Order = (typeof ORDERS)[number];

const IS: Readonly<Record<Who, (one: Learner, now: number) => boolean>> = {
  all: () => true,
  not_begun: ({ done }) => done === 0,
  // Behind, and not here for a week: whoever works on it is not stuck.
  stuck: ({ behind, lastHere }, now) =>
    behind > 0 && (lastHere === null || now - Date.parse(lastHere) > WEEK_MS),
  behind: ({ behind }) => behind > 0,
  done: ({ since }) => since !== null,
};
const WEEK_MS = 7 * 86_400_000;

const share = ({ done, counted }: Learner): number => (counted === 0 ? 0 : done / counted);
const BY: Readonly<Record<Order, (a: Learner, b: Learner) => number>> = {
  name: () => 0,
  share: (a, b) => share(a) - share(b),
  last: (a, b) => (a.lastHere ?? '').localeCompare(b.lastHere ?? ''),
  behind: (a, b) => b.behind - a.behind,
};

export interface Grid {
  readonly answer: ShallowRef<GridAnswer | null>;
  readonly who: Ref<Who>;
  readonly order: Ref<Order>;
  readonly group: Ref<string>;
  readonly section: Ref<string>;
  readonly chosen: Ref<readonly string[]>;
  readonly counts: ComputedRef<Readonly<Record<Who, number>>>;
  readonly people: ComputedRef<readonly Learner[]>;
  readonly items: ComputedRef<GridAnswer['items']>;
  /** Where in a learner's cells each item is. */
  readonly places: ComputedRef<readonly number[]>;
  /** Items at which learners stand who are behind, those with the most of them first. */
  readonly stuckAt: ComputedRef<
    readonly { readonly id: string; readonly title: string; readonly count: number }[]
  >;
  readonly load: () => Promise<void>;
  readonly mark: (item: string, what: MarkDone['what'], reason: string) => Promise<void>;
  readonly toggle: (person: string) => void;
}

/** Everywhere, and everybody: the lists take no null. */
export const ALL = '';

export function useGrid(course: string): Grid {
  const answer = shallowRef<GridAnswer | null>(null);
  const who = ref<Who>('all');
  const order = ref<Order>('name');
  const group = ref(ALL);
  const section = ref(ALL);
  const chosen = ref<readonly string[]>([]);
  const now = computed(() => Date.parse(answer.value?.at ?? ''));

  const inGroup = computed(() =>
    (answer.value?.people ?? []).filter(({ groups }) => group.value === ALL || groups.includes(group.value)),
  );
  const people = computed(() =>
    inGroup.value.filter((one) => IS[who.value](one, now.value)).sort(BY[order.value]),
  );
  const indexed = computed(() =>
    (answer.value?.items ?? [])
      .map((item, at) => ({ item, at }))
      .filter(({ item }) => section.value === ALL || item.section === section.value),
  );
  return {
    ...{ answer, who, order, group, section, chosen, people },
    counts: computed(
      () =>
        Object.fromEntries(
          WHO.map((one) => [one, inGroup.value.filter((learner) => IS[one](learner, now.value)).length]),
        ) as Record<Who, number>,
    ),
    items: computed(() => indexed.value.map(({ item }) => item)),
    places: computed(() => indexed.value.map(({ at }) => at)),
    stuckAt: computed(() => {
      const counts = new Map<string, number>();
      for (const one of inGroup.value) {
        if (one.behind > 0 && one.standsAt !== null)
          counts.set(one.standsAt, (counts.get(one.standsAt) ?? 0) + 1);
      }
      return [...counts]
        .map(([id, count]) => ({
          ...{ id, count },
          title: answer.value?.items.find((item) => item.id === id)?.title ?? '',
        }))
        .sort((a, b) => b.count - a.count)
        .slice(0, 3);
    }),
    load: async () => {
      answer.value = await ask('GET /api/courses/{course}/progress', { params: { course } });
    },
    mark: async (item, what, reason) => {
      const body = { people: [...chosen.value], what, reason };
      answer.value = await ask('POST /api/courses/{course}/items/{item}/done', {
        params: { course, item },
        body,
      });
      chosen.value = [];
    },
    toggle: (person) => {
      chosen.value = chosen.value.includes(person)
        ? chosen.value.filter((one) => one !== person)
        : [...chosen.value, person];
    },
  };
}
