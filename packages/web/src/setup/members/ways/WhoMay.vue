<script setup lang="ts">
/** Whom a way is for: domains of addresses, what somebody is to the institution, a course completed; and as what they come. */
import { domainSchema, GIVEN_ROLES, MAX_DOMAINS, PERSON_KINDS } from '@itinerary/core';
import type { WayIn } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../../stores/plan.ts';
import { roleWord } from '../../../words/own-words.ts';
import DraftField from '../../../ui/fields/DraftField.vue';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import SelectField from '../../../ui/fields/choice/SelectField.vue';
import CourseField from '../../rules/CourseField.vue';
import type { CourseChoice } from '../../rules/courses-found.ts';

const props = defineProps<{
  way: WayIn;
  /** Whoever comes may come as something else than a learner. */
  givesRole: boolean;
}>();
const emit = defineEmits<{ set: [change: Partial<WayIn>] }>();
const { t } = useI18n();
const plan = usePlan();

const domainsOf = (text: string): string[] => text.split(/[\s,;]+/).filter((word) => word !== '');
const wrongDomain = (text: string): string | null => {
  const domains = domainsOf(text);
  const wrong = domains.find((one) => !domainSchema.safeParse(one).success);
  if (wrong !== undefined) return t('setup.members.ways.noDomain', { domain: wrong });
  return domains.length > MAX_DOMAINS ? t('setup.members.ways.domainsMost', { most: MAX_DOMAINS }) : null;
};
function setDomains(text: string): void {
  const domains = [...new Set(domainsOf(text.toLowerCase()))];
  emit('set', { domains: domains.length === 0 ? null : domains });
}

type Kind = (typeof PERSON_KINDS)[number];
const isFor = (kind: Kind): boolean => props.way.kinds?.includes(kind) === true;
/** All of them, or none, is anybody: whoever is outside has a kind too. */
function setKind(kind: Kind, on: boolean): void {
  const kinds = PERSON_KINDS.filter((one) => (one === kind ? on : isFor(one)));
  emit('set', { kinds: kinds.length === 0 || kinds.length === PERSON_KINDS.length ? null : kinds });
}

function setAfter(course: CourseChoice | null): void {
  emit('set', { after: course === null ? null : { course: course.id, title: course.title } });
}
</script>

<template>
  <div class="who">
    <DraftField
      :text="way.domains?.join(', ') ?? ''"
      :label="t('setup.members.ways.domains')"
      :readonly="plan.isReadonly"
      :wrong="wrongDomain"
      @type="setDomains"
    />
    <CourseField
      :label="t('setup.members.ways.after')"
      :chosen="way.after"
      :none="t('setup.members.ways.afterNone')"
      :readonly="plan.isReadonly"
      @choose="setAfter"
    />
    <SelectField
      v-if="givesRole"
      :label="t('setup.members.ways.gives')"
      :value="way.gives"
      :options="
        GIVEN_ROLES.map((role) => ({ value: role, title: roleWord(role, plan.course?.roleNames ?? {}, t) }))
      "
      :disabled="plan.isReadonly"
      @choose="emit('set', { gives: $event })"
    />
  </div>
  <fieldset :disabled="plan.isReadonly">
    <legend>{{ t('setup.members.ways.kinds') }}</legend>
    <div class="kinds">
      <CheckField
        v-for="kind in PERSON_KINDS"
        :key="kind"
        :checked="isFor(kind)"
        :disabled="plan.isReadonly"
        @toggle="setKind(kind, $event)"
      >
        {{ t(`setup.members.ways.priced.kinds.${kind}`) }}
      </CheckField>
    </div>
    <p class="soft">{{ way.kinds === null ? t('setup.members.ways.anybody') : '' }}</p>
  </fieldset>
</template>

<style scoped>
.who {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
  gap: 12px;
  align-items: start;
}

.kinds {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
}

fieldset {
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  font-weight: 600;
}
</style>
