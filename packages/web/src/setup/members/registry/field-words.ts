/** Fields of people and what stands in them, in words. */
import type { RegistryAnswer } from '@itinerary/contract';
import type { Role } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../../stores/plan.ts';
import { roleWord } from '../../../words/own-words.ts';

type Field = RegistryAnswer['differs'][number]['field'];

export function useFieldWords(): {
  readonly name: (field: Field) => string;
  readonly value: (field: Field, value: string) => string;
} {
  const { t } = useI18n();
  const plan = usePlan();
  return {
    name: (field) => t(`setup.registry.fields.${field}`),
    value: (field, value) => {
      if (field === 'standing') return t(`setup.registry.standing.${value}`);
      return field === 'role' ? roleWord(value as Role, plan.course?.roleNames ?? {}, t) : value;
    },
  };
}
