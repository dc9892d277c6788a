/** What joining by link or code means today, for somebody whom it is for: by the answer that decides. */
import type { WaysInAnswer } from '@itinerary/contract';
import { canJoin, joinCourseOf, wayIn, wayOf } from '@itinerary/core/people';
import type { JoinAnswer, Joiner } from '@itinerary/core/people';
import { computed } from 'vue';
import type { ComputedRef } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../../stores/plan.ts';
import { useSession } from '../../../stores/session.ts';
import { useMomentWords } from '../../../stores/moment-words.ts';

/** Whoever has the code, and an address at a domain that is wanted. */
const somebody = (domains: readonly string[] | null): Joiner => ({
  person: null,
  kind: null,
  addresses: domains === null ? [] : [`somebody@${domains[0] ?? ''}`],
  completed: [],
  standing: 'never',
  hasLink: true,
  invitation: null,
});

export function useWaySentence(ways: () => WaysInAnswer | null): ComputedRef<string> {
  const { t } = useI18n();
  const plan = usePlan();
  const session = useSession();
  const when = useMomentWords();
  const answer = computed((): JoinAnswer | null => {
    if (plan.planned === null) return null;
    const at = Date.parse(session.now());
    const way = wayOf(plan.planned, 'link');
    const byLink = ways()?.byLink ?? 0;
    const learners = Array.from({ length: ways()?.learners ?? plan.learners }, (_, index) => ({
      person: `learner ${index}`,
      way: index < byLink ? ('link' as const) : ('staff' as const),
    }));
    const course = joinCourseOf(plan.planned, { learners, held: [], waiting: [] }, at);
    return canJoin(course, somebody(way.domains), way, at);
  });
  return computed(() => {
    // Whoever switches it sees what the switch does, whatever else stands in the way.
    if (plan.planned !== null && !wayIn(plan.planned, 'link').on) return t('setup.members.ways.says.off');
    const now = answer.value;
    if (now === null) return '';
    const zone = plan.course?.dates.zone ?? 'UTC';
    const until = 'until' in now && now.until !== null ? when(now.until, zone) : null;
    if (now.can === 'yes') {
      return until === null
        ? t('setup.members.ways.says.yes')
        : t('setup.members.ways.says.yesUntil', { until });
    }
    const because = now.can === 'wait' ? 'full' : now.because;
    const dated = until !== null && (because === 'draft' || because === 'not_yet');
    return t(`setup.members.ways.says.${because}${dated ? '_until' : ''}`, { until: until ?? '' });
  });
}
