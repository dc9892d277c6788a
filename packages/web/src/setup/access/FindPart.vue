<script setup lang="ts">
/** Who can find the course, who may look without joining, and what the public page says. */
import { MAX_SUMMARY } from '@itinerary/core';
import type { Findable, Visitors } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../../api/client.ts';
import { useProblemSentence } from '../../words/problems.ts';
import { usePlan } from '../../stores/plan.ts';
import ChoiceTiles from '../../ui/fields/choice/ChoiceTiles.vue';
import { useForm } from '../../ui/fields/reading/refusals.ts';
import DraftField from '../../ui/fields/DraftField.vue';
import PushButton from '../../ui/frame/PushButton.vue';

defineProps<{ readonly: boolean }>();
const { t } = useI18n();
const plan = usePlan();
const sentence = useProblemSentence();
const course = computed(() => plan.course!);

const FIND: readonly Findable[] = ['members', 'here', 'anyone'];
const VISITORS: readonly Visitors[] = ['off', 'passphrase', 'anyone'];
const tiles = <Value extends string>(field: 'find' | 'visitors', values: readonly Value[]) =>
  values.map((value) => ({
    value,
    title: t(`setup.access.${field}.${value}`),
    text: t(`setup.access.${field}Texts.${value}`),
  }));

const setText = (field: 'madeFor' | 'bringAlong', text: string): void => {
  plan.set(course.value.id, field, text === '' ? null : text, course.value[field], { typing: true });
};

const form = useForm();
const typed = ref('');
const failure = ref<string | null>(null);
async function setPassphrase(passphrase: string | null): Promise<void> {
  failure.value = null;
  try {
    const answer = await ask('PUT /api/courses/{course}/passphrase', {
      params: { course: course.value.id },
      body: { passphrase },
    });
    plan.passphrase = answer.passphrase;
    typed.value = '';
  } catch (error) {
    failure.value = sentence(error);
  }
}
</script>

<template>
  <section class="part" aria-labelledby="access-find">
    <h2 id="access-find">{{ t('setup.access.parts.find') }}</h2>
    <div id="field-find" tabindex="-1">
      <ChoiceTiles
        :legend="t('setup.access.find.title')"
        :tiles="tiles('find', FIND)"
        :chosen="course.find"
        :disabled="readonly"
        compact
        @choose="plan.set(course.id, 'find', $event, course.find)"
      />
    </div>
    <div id="field-visitors" tabindex="-1">
      <ChoiceTiles
        :legend="t('setup.access.visitors.title')"
        :tiles="tiles('visitors', VISITORS)"
        :chosen="course.visitors"
        :disabled="readonly"
        compact
        @choose="plan.set(course.id, 'visitors', $event, course.visitors)"
      />
      <form
        v-if="course.visitors === 'passphrase'"
        class="phrase"
        @submit.prevent="form.isRefused.value || setPassphrase(typed)"
      >
        <DraftField
          :text="typed"
          class="word"
          :most="200"
          autocomplete="off"
          :readonly="readonly"
          @type="typed = $event"
          :label="t('setup.access.passphrase.word')"
          :hint="t(`setup.access.passphrase.${plan.passphrase}`)"
          persistent-hint
        />
        <PushButton small type="submit" :disabled="readonly || typed === '' || form.isRefused.value">
          {{ t('setup.access.passphrase.set') }}
        </PushButton>
        <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
      </form>
    </div>
    <template v-if="course.find !== 'members'">
      <p class="soft">{{ t('setup.access.publicPage') }}</p>
      <DraftField
        v-for="field in ['madeFor', 'bringAlong'] as const"
        :key="field"
        :rows="1"
        :most="MAX_SUMMARY"
        :text="course[field] ?? ''"
        :label="t(`learner.public.${field}`)"
        :readonly="readonly"
        :keep-as="field"
        @type="setText(field, $event)"
      />
    </template>
  </section>
</template>

<style scoped>
.part {
  display: grid;
  gap: 14px;
}

h2 {
  font-size: 17px;
}

.phrase {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
  margin-top: 8px;
}

.word {
  min-width: 280px;
}

.failure {
  width: 100%;
  color: var(--blocker);
}
</style>
