/** As whom the course is looked at, in words: a person's name, or what the course calls the role. */
import type { ComputedRef } from 'vue';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import { useSeeing } from '../../stores/seeing.ts';

export function useRoleOfExample(): (role: string) => string {
  const { t } = useI18n();
  const plan = usePlan();
  return (role) => plan.course?.roleNames[role]?.one ?? t(`setup.seeing.roles.${role}`);
}

export function useWho(): ComputedRef<string> {
  const seeing = useSeeing();
  const word = useRoleOfExample();
  return computed(() => seeing.person?.standing.name ?? word(seeing.role));
}
