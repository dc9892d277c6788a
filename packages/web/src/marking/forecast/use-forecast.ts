/** Where a class is going as it is looked at: as the plan is, and as it would be with one thing changed. */
import type { DeedDaysAnswer } from '@itinerary/contract';
import { addDays, ANY_LEARNER, applyChange, countedItems, nobodyYet, setDatesEntry } from '@itinerary/core';
import type { CohortLearner, ContentItem, Course, Edit, FieldValue, Forecast, Pause } from '@itinerary/core';
import { computed, ref, shallowRef, watch } from 'vue';
import type { ComputedRef, Ref, ShallowRef } from 'vue';
import { ask } from '../../api/client.ts';
import { inWorker } from './in-worker.ts';
import type { Reckoning, RunForecast } from './in-worker.ts';

export type What = 'nothing' | 'due' | 'pause';
export const WHATS = ['nothing', 'due', 'pause'] as const;

export interface WhatIf {
  readonly what: What;
  readonly item: string;
  readonly day: string | null;
  readonly first: string | null;
  readonly last: string | null;
}
const AS_IT_IS: WhatIf = { what: 'nothing', item: '', day: null, first: null, last: null };

/** Without learners it is shown for as many as a small class has. */
const SUPPOSED = 20;

export interface ForecastOf {
  readonly state: Ref<'loading' | 'there' | 'failed'>;
  readonly course: ShallowRef<Course | null>;
  readonly deeds: ShallowRef<DeedDaysAnswer | null>;
  /** Null: there is nothing that counts, or nothing has been reckoned yet. */
  readonly found: ShallowRef<Forecast | null>;
  readonly isReckoning: ComputedRef<boolean>;
  readonly whatIf: Ref<WhatIf>;
  /** Why what is wanted cannot be tried, and which part of it is missing; null: it can, or nothing is. */
  readonly missing: ComputedRef<'day' | 'days' | 'order' | null>;
  /** With that one thing changed; null: nothing is, or it is under way. */
  readonly other: ShallowRef<Forecast | null>;
  /** Items whose due moment can be moved. */
  readonly dues: ComputedRef<readonly ContentItem[]>;
  readonly load: () => Promise<void>;
  readonly stop: () => void;
}

export function useForecast(courseId: string, run: RunForecast = inWorker): ForecastOf {
  const state = ref<'loading' | 'there' | 'failed'>('loading');
  const course = shallowRef<Course | null>(null);
  const deeds = shallowRef<DeedDaysAnswer | null>(null);
  const found = shallowRef<Forecast | null>(null);
  const other = shallowRef<Forecast | null>(null);
  const whatIf = ref<WhatIf>(AS_IT_IS);
  const under = shallowRef<ReadonlySet<Reckoning>>(new Set());
  let trying: Reckoning | null = null;

  const missing = computed(() => missingIn(whatIf.value));
  const edits = computed(() => (course.value === null ? [] : editsFor(course.value, whatIf.value)));

  async function reckon(
    of: Course,
    started: (it: Reckoning) => void = () => undefined,
  ): Promise<Forecast | null | undefined> {
    if (deeds.value === null) return null;
    const { today } = deeds.value;
    const it = run({ course: of, learners: learnersIn(deeds.value), today });
    started(it);
    under.value = new Set([...under.value, it]);
    try {
      return await it.found;
    } finally {
      under.value = new Set([...under.value].filter((one) => one !== it));
    }
  }

  watch(edits, async (wanted) => {
    trying?.stop();
    trying = null;
    other.value = null;
    if (course.value === null || wanted.length === 0) return;
    const applied = applyChange(course.value, { id: 'what-if', edits: [...wanted] });
    if (!applied.ok) return;
    const then = await reckon(applied.course, (it) => (trying = it)).catch(() => null);
    if (then !== undefined && edits.value === wanted) other.value = then;
  });

  return {
    ...{ state, course, deeds, found, other, whatIf, missing },
    isReckoning: computed(() => under.value.size > 0),
    dues: computed(() =>
      course.value === null
        ? []
        : countedItems(course.value)
            .map(([item]) => item)
            .filter((item) => 'due' in item),
    ),
    load: async () => {
      state.value = 'loading';
      try {
        const params = { course: courseId };
        const [plan, days] = await Promise.all([
          ask('GET /api/courses/{course}/plan', { params }),
          ask('GET /api/courses/{course}/forecast', { params }),
        ]);
        course.value = plan.course;
        deeds.value = days;
        found.value = (await reckon(plan.course)) ?? null;
        state.value = 'there';
      } catch {
        state.value = 'failed';
      }
    },
    stop: () => under.value.forEach((it) => it.stop()),
  };
}

function learnersIn({ learners, items, first }: DeedDaysAnswer): readonly CohortLearner[] {
  if (learners.length === 0) return nobodyYet(SUPPOSED);
  return learners.map(({ joinedAt, groups, exceptions, done, since }) => ({
    viewer: {
      ...ANY_LEARNER,
      joinedAt,
      groups: [...groups],
      exceptions: [...exceptions],
    },
    done: Object.fromEntries(done.map(([item = -1, day = 0]) => [items[item] ?? '', addDays(first, day)])),
    since,
  }));
}

function missingIn({ what, item, day, first, last }: WhatIf): 'day' | 'days' | 'order' | null {
  if (what === 'due') return item === '' || day === null ? 'day' : null;
  if (what === 'nothing') return null;
  if (first === null || last === null) return 'days';
  return last < first ? 'order' : null;
}

/** Nothing, where something of it is missing. */
export function editsFor(course: Course, asked: WhatIf): readonly Edit[] {
  const { what, item, day, first, last } = asked;
  if (missingIn(asked) !== null || what === 'nothing') return [];
  if (what === 'pause') {
    const pause: Pause = { name: '–', first: first ?? '', last: last ?? '', policy: 'silent' };
    return [setDatesEntry(course, 'pauses', 'what-if', pause)];
  }
  const node = countedItems(course).find(([one]) => one.id === item)?.[0];
  if (node === undefined || !('due' in node)) return [];
  const time = node.due !== null && 'time' in node.due ? node.due.time : null;
  const value = { kind: 'fixed', day: day ?? '', time } as FieldValue;
  return [{ kind: 'set', target: item, field: 'due', value, was: node.due as FieldValue }];
}
