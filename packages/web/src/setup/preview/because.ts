/** Why what is pointed at in the preview stands as it does; and why there is no course, where there is none. */
import { onceLive, whyNot } from '@itinerary/core';
import type { Layer, Viewer } from '@itinerary/core';
import { computed, ref } from 'vue';
import type { ComputedRef } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import { useWhyWords } from '../access/why-words.ts';

export interface Because {
  /** Of the whole course, where not even its name is there. */
  readonly reasons: ComputedRef<readonly string[]>;
  /** Null: nothing is pointed at. */
  readonly because: ComputedRef<string | null>;
  readonly point: (event: Event) => void;
  readonly leave: () => void;
}

export function useBecause(asked: () => { readonly viewer: Viewer; readonly moment: string }): Because {
  const { t } = useI18n();
  const plan = usePlan();
  const words = useWhyWords();
  const pointed = ref<string | null>(null);
  const chainOf = (id: string): readonly Layer[] | null => {
    const { course, planned } = plan;
    if (course === null) return null;
    const { viewer, moment } = asked();
    return whyNot(onceLive(course), viewer, moment, id, planned)?.chain ?? null;
  };
  return {
    reasons: computed(() => {
      const { course } = plan;
      const [first] = course?.sections ?? [];
      if (course === null || first === undefined) return [];
      const ofCourse = ({ of, cap }: Layer): boolean => of === course.id && cap !== null;
      return (
        chainOf(first.id)
          ?.filter(ofCourse)
          .map((layer) => words.sentence(layer)) ?? []
      );
    }),
    because: computed(() => {
      const chain = pointed.value === null ? null : chainOf(pointed.value);
      if (chain === null) return null;
      const failed = chain.filter(({ cap }) => cap !== null).map((layer) => words.sentence(layer));
      const name = words.named(pointed.value ?? '');
      return failed.length === 0 ? t('setup.seeing.isOpen', { title: name }) : failed.join(' ');
    }),
    point: (event) => {
      const at = (event.target as HTMLElement).closest<HTMLElement>('[data-node]');
      pointed.value = at?.dataset['node'] ?? null;
    },
    leave: () => (pointed.value = null),
  };
}
