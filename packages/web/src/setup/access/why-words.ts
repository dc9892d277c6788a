/** The layers of an answer in words, and what the press that opens something does. */
import { numberOf } from '@itinerary/core';
import type { Edit, Layer } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import { dayIn, formatDay, formatTime } from '../../words/dates.ts';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import { useNodeTitle } from '../node-title.ts';

export interface WhyWords {
  /** "2.1 Mud opens Mon 1 Mar 00:00." */
  readonly sentence: (layer: Layer) => string;
  /** What one press does: "Show it", "Open it now", or how many changes it takes. */
  readonly cure: (edits: readonly Edit[]) => string;
  readonly named: (id: string) => string;
  /** An instant by the course's clocks. */
  readonly when: (instant: number) => string;
}

/** Cures by the field that they set, where there is a word for just that. */
const CURES: ReadonlySet<string> = new Set([
  'shown',
  'staffOnly',
  'audience',
  'opens',
  'rule',
  'inOrder',
  'window',
  'heldBack',
]);

export function useWhyWords(): WhyWords {
  const { t, locale } = useI18n();
  const plan = usePlan();
  const session = useSession();
  const titleOf = useNodeTitle();
  const when = (instant: number): string => {
    const zone = plan.course?.dates.zone ?? 'UTC';
    const iso = new Date(instant).toISOString();
    const day = formatDay(dayIn(iso, zone), locale.value, { today: session.today });
    return `${day} ${formatTime(iso, locale.value, zone)}`;
  };
  const named = (id: string): string => {
    const number = plan.planned === null ? null : numberOf(plan.planned, id);
    return [number, titleOf(id)].filter((part) => part !== null).join(' ');
  };
  return {
    when,
    named,
    sentence: ({ name, of, cap }) => {
      const { course } = plan;
      const title = of === course?.id ? course.title : named(of);
      if (cap === null && name === 'state' && course?.state === 'draft' && course.goesLive === null) {
        return t('setup.access.why.willBeLive');
      }
      if (cap === null) return t(`setup.access.why.passed.${name}`, { title });
      const opens = cap.opensAt === undefined ? '' : when(cap.opensAt);
      return t(`setup.access.why.failed.${cap.because}`, { title, when: opens });
    },
    cure: (edits) => {
      const [only] = edits;
      const field = only?.kind === 'set' ? (only.field.split('.')[0] as string) : '';
      return edits.length === 1 && CURES.has(field)
        ? t(`setup.access.why.cures.${field}`)
        : t('setup.access.why.cure', { count: edits.length }, edits.length);
    },
  };
}
