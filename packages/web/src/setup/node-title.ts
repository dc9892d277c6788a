/** What a section or an item is called where it is spoken of: the title typed, or the one that follows its days. */
import { findNode } from '@itinerary/core';
import type { SectionPlan } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import { sectionTitle } from '../learner/words/titles.ts';
import { usePlan } from '../stores/plan.ts';

type Translate = Parameters<typeof sectionTitle>[1];

export function plannedTitle({ section, span }: SectionPlan, t: Translate, locale: string): string {
  const slot = span.kind === 'slot' ? span.slot : null;
  return sectionTitle({ title: section.title, days: slot, meeting: slot?.meeting ?? null }, t, locale);
}

/** Null: there is no such node. */
export function useNodeTitle(): (id: string) => string | null {
  const { t, locale } = useI18n();
  const plan = usePlan();
  return (id) => {
    const node = plan.course === null ? undefined : findNode(plan.course, id)?.node;
    if (node === undefined) return null;
    const planned = plan.planned?.sections.find((section) => section.id === id);
    return (
      node.title ?? (planned === undefined ? t('learner.untitled') : plannedTitle(planned, t, locale.value))
    );
  };
}
