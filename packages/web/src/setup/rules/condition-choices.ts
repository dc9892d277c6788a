/** What a condition can be, and the items and courses that it can name. */
import { allLivingItems, isContent, livingSections, numberOf } from '@itinerary/core';
import type { Condition, ConditionGroup, SingleCondition } from '@itinerary/core';
import { computed } from 'vue';
import type { ComputedRef } from 'vue';
import { usePlan } from '../../stores/plan.ts';
import type { CourseChoice } from './courses-found.ts';

export type ConditionKind = SingleCondition['kind'] | ConditionGroup['kind'];

export interface Choice {
  readonly id: string;
  readonly title: string;
  /** It has a done rule; one without never counts as done. */
  readonly counts: boolean;
}

export interface ConditionChoices {
  readonly kinds: ComputedRef<readonly ConditionKind[]>;
  readonly items: ComputedRef<readonly Choice[]>;
  readonly first: () => Condition;
  /** A condition of a kind, with what it names taken from what is there. */
  readonly blank: (kind: ConditionKind, course?: CourseChoice) => Condition;
}

export function useConditionChoices(node: () => string): ConditionChoices {
  const plan = usePlan();
  const items = computed(() => {
    const { course, planned } = plan;
    if (course === null) return [];
    return livingSections(course)
      .flatMap((section) => allLivingItems(section))
      .filter((item) => isContent(item) && item.id !== node())
      .map((item): Choice => {
        const number = planned === null ? null : numberOf(planned, item.id);
        const counts = 'done' in item && item.done !== null;
        return { id: item.id, title: [number, item.title].filter(Boolean).join(' '), counts };
      });
  });
  const kinds = computed<readonly ConditionKind[]>(() => [
    'before',
    ...(items.value.length > 0 ? (['done', 'scored'] as const) : []),
    'from',
    'course',
    'any',
    'all',
  ]);
  /** Of those that count where there are any, the one that comes before. */
  const someItem = (): string => {
    const counted = items.value.filter(({ counts }) => counts);
    return (counted[0] ?? items.value[0])?.id ?? '';
  };
  const blank = (kind: ConditionKind, course?: CourseChoice): Condition => {
    switch (kind) {
      case 'before':
        return { kind };
      case 'done':
        return { kind, items: [someItem()] };
      case 'scored':
        return { kind, item: someItem(), least: 60 };
      case 'from':
        return {
          kind,
          moment: {
            kind: 'relative',
            anchor: { of: 'joining' },
            shift: { by: 1, unit: 'weeks' },
            weekday: null,
            time: null,
          },
        };
      case 'course':
        return { kind, course: course?.id ?? 'none', title: course?.title ?? '–' };
      case 'all':
      case 'any':
        return { kind, of: [{ kind: 'before' }] };
    }
  };
  return { kinds, items, blank, first: () => blank('before') };
}
