/** What joining by a way means today, for somebody whom it is for: by the answer that decides. */
import type { WaysInAnswer } from '@itinerary/contract';
import type { SwitchedWay } from '@itinerary/core';
import { canJoin, joinCourseOf, wayIn, wayOf } from '@itinerary/core/people';
import type { JoinAnswer, Joiner, JoinWay } from '@itinerary/core/people';
import { computed } from 'vue';
import type { ComputedRef } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../../stores/plan.ts';
import { useSession } from '../../../stores/session.ts';
import { factsOf } from './ways-facts.ts';
import { useMomentWords } from '../../../stores/moment-words.ts';

/** Somebody of whom nothing is missing: with the code, an invitation, and all that the way asks for. */
const somebody = ({ domains, kinds, after }: JoinWay): Joiner => ({
  person: null,
  kind: kinds?.[0] ?? null,
  addresses: domains === null ? [] : [`somebody@${domains[0] ?? ''}`],
  completed: after === null ? [] : [after],
  standing: 'never',
  hasLink: true,
  invitation: { lapses: null },
});

export function useWaySentence(
  kind: () => SwitchedWay,
  ways: () => WaysInAnswer | null,
): ComputedRef<string> {
  const { t } = useI18n();
  const plan = usePlan();
  const session = useSession();
  const when = useMomentWords();
  const answer = computed((): JoinAnswer | null => {
    if (plan.planned === null) return null;
    const at = Date.parse(session.now());
    const way = wayOf(plan.planned, kind());
    // Where seats are not counted, nobody is.
    const isCounted = plan.course?.seats !== null || way.seats !== null;
    const counts = ways() ?? {
      learners: [{ way: 'staff' as const, count: plan.learners }],
      held: [],
      waiting: [],
    };
    const facts = factsOf(isCounted ? counts : { ...counts, learners: [] });
    const course = joinCourseOf(plan.planned, facts, at);
    return canJoin(course, somebody(way), way, at);
  });
  return computed(() => {
    // Whoever switches it sees what the switch does, whatever else stands in the way.
    if (plan.planned !== null && !wayIn(plan.planned, kind()).on) return t('setup.members.ways.says.off');
    const now = answer.value;
    if (now === null) return '';
    const zone = plan.course?.dates.zone ?? 'UTC';
    const until = 'until' in now && now.until !== null ? when(now.until, zone) : null;
    if (now.can === 'wait') {
      return t(`setup.members.ways.says.${kind() === 'request' ? 'waitAsk' : 'wait'}`);
    }
    if (now.can === 'yes') {
      const says = `setup.members.ways.says.${kind()}`;
      return until === null ? t(`${says}.yes`) : t(`${says}.yesUntil`, { until });
    }
    const dated = until !== null && (now.because === 'draft' || now.because === 'not_yet');
    return t(`setup.members.ways.says.${now.because}${dated ? '_until' : ''}`, { until: until ?? '' });
  });
}
