<script setup lang="ts">
/** What each reading of the registry has changed in the course, the latest first. */
import type { RegistryAnswer, RegistryStep } from '@itinerary/contract';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useMomentWords } from '../../../stores/moment-words.ts';
import { usePlan } from '../../../stores/plan.ts';
import PushButton from '../../../ui/frame/PushButton.vue';
import { useFieldWords } from './field-words.ts';

const props = defineProps<{ registry: RegistryAnswer }>();
const { t } = useI18n();
const plan = usePlan();
const when = useMomentWords();
const words = useFieldWords();
const zone = computed(() => plan.course?.dates.zone ?? 'UTC');

const MOST_SHOWN = 12;
const whole = ref<ReadonlySet<string>>(new Set());
const stepsOf = (one: RegistryAnswer['news'][number]): readonly RegistryStep[] =>
  whole.value.has(one.at) ? one.steps : one.steps.slice(0, MOST_SHOWN);
const fieldsOf = ({ fields }: RegistryStep): string =>
  fields
    .map(({ field, from, to }) =>
      t('setup.registry.change', {
        field: words.name(field),
        from: from === '' ? t('setup.registry.nothingSaid') : words.value(field, from),
        to: words.value(field, to),
      }),
    )
    .join(', ');
</script>

<template>
  <details>
    <summary>{{ t('setup.registry.news') }}</summary>
    <p v-if="props.registry.news.length === 0" class="soft">{{ t('setup.registry.noNews') }}</p>
    <section v-for="one in props.registry.news" :key="one.at + one.steps.length">
      <h4 class="figures">{{ when(Date.parse(one.at), zone) }}</h4>
      <ul>
        <li v-for="(step, at) in stepsOf(one)" :key="at">
          {{ t(`setup.registry.says.${step.kind}`, { name: step.name }) }}
          <span v-if="step.fields.length > 0" class="soft">{{ fieldsOf(step) }}</span>
        </li>
      </ul>
      <PushButton
        v-if="one.steps.length > stepsOf(one).length"
        small
        @click="whole = new Set(whole).add(one.at)"
      >
        {{ t('setup.registry.more', one.steps.length - stepsOf(one).length) }}
      </PushButton>
    </section>
  </details>
</template>

<style scoped>
h4 {
  margin-top: 6px;
  font-size: 13px;
}

ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
  gap: 0 16px;
  margin: 0;
  padding: 0;
  list-style: none;
}
</style>
