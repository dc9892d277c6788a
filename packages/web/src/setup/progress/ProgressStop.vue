<script setup lang="ts">
/** What counts as done, of items, sections and the course; what learners see of it; and whether it can be finished. */
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextarea } from 'vuetify/components/VTextarea';
import { usePlan } from '../../stores/plan.ts';
import CheckField from '../../ui/fields/choice/CheckField.vue';
import LaterPart from '../../ui/frame/LaterPart.vue';
import { useFieldFocus } from '../fields/use-field-focus.ts';
import PartLinks from '../frame/PartLinks.vue';
import StopHead from '../frame/StopHead.vue';
import CountedTable from './CountedTable.vue';
import CoursePart from './CoursePart.vue';
import FinishPart from './FinishPart.vue';
import GoOnField from './GoOnField.vue';
import SectionsPart from './SectionsPart.vue';
import UsualPart from './UsualPart.vue';

const { t } = useI18n();
const plan = usePlan();
useFieldFocus();
const course = computed(() => plan.course!);

const parts = computed((): readonly (readonly [string, string])[] =>
  course.value.progress
    ? [
        ['progress-finish', t('setup.progress.parts.finish')],
        ['progress-items', t('setup.progress.parts.items')],
        ['progress-usual', t('setup.progress.parts.usual')],
        ['progress-sections', t('setup.progress.parts.sections')],
        ['progress-course', t('setup.progress.parts.course')],
        ['progress-seen', t('setup.progress.parts.seen')],
      ]
    : [],
);
type Shown = 'progress' | 'shareShown' | 'marksShown' | 'paceShown' | 'ownLog';
const set = (field: Shown, value: boolean): void => {
  plan.set(course.value.id, field, value, course.value[field]);
};
const SEEN = ['shareShown', 'marksShown', 'paceShown', 'ownLog'] as const;
function setWords(event: Event): void {
  const typed = (event.target as HTMLTextAreaElement).value.trim();
  plan.set(course.value.id, 'doneWords', typed === '' ? null : typed, course.value.doneWords);
}
</script>

<template>
  <StopHead stop="progress" />
  <div id="field-progress" tabindex="-1">
    <CheckField :checked="course.progress" :disabled="plan.isReadonly" @toggle="set('progress', $event)">
      {{ t('setup.progress.on') }}
    </CheckField>
    <p v-if="!course.progress" class="soft">{{ t('setup.progress.off') }}</p>
  </div>
  <template v-if="course.progress">
    <PartLinks :parts="parts" />
    <div class="progress">
      <p>
        <RouterLink :to="`/courses/${course.id}/progress`">{{ t('setup.progress.whoIsWhere') }}</RouterLink>
      </p>
      <section aria-labelledby="progress-finish">
        <h2 id="progress-finish">{{ t('setup.progress.parts.finish') }}</h2>
        <FinishPart :readonly="plan.isReadonly" />
      </section>
      <section aria-labelledby="progress-items">
        <h2 id="progress-items">{{ t('setup.progress.parts.items') }}</h2>
        <CountedTable :readonly="plan.isReadonly" />
      </section>
      <LaterPart>
        <section id="field-usualDone" aria-labelledby="progress-usual" tabindex="-1">
          <h2 id="progress-usual">{{ t('setup.progress.parts.usual') }}</h2>
          <p class="soft">{{ t('setup.progress.usualText') }}</p>
          <UsualPart :readonly="plan.isReadonly" />
        </section>
      </LaterPart>
      <LaterPart>
        <section aria-labelledby="progress-sections">
          <h2 id="progress-sections">{{ t('setup.progress.parts.sections') }}</h2>
          <SectionsPart :readonly="plan.isReadonly" />
        </section>
      </LaterPart>
      <LaterPart>
        <section aria-labelledby="progress-course">
          <h2 id="progress-course">{{ t('setup.progress.parts.course') }}</h2>
          <div id="field-done" tabindex="-1"><CoursePart :readonly="plan.isReadonly" /></div>
          <VTextarea
            id="field-doneWords"
            class="words"
            :model-value="course.doneWords ?? ''"
            :label="t('setup.fields.doneWords')"
            :hint="t('setup.progress.doneWordsHint')"
            :readonly="plan.isReadonly"
            persistent-hint
            rows="2"
            auto-grow
            maxlength="300"
            dir="auto"
            @change="setWords"
          />
          <GoOnField :readonly="plan.isReadonly" />
        </section>
      </LaterPart>
      <section aria-labelledby="progress-seen">
        <h2 id="progress-seen">{{ t('setup.progress.parts.seen') }}</h2>
        <CheckField
          v-for="field in SEEN"
          :id="`field-${field}`"
          :key="field"
          :checked="course[field]"
          :disabled="plan.isReadonly"
          @toggle="set(field, $event)"
        >
          {{ t(`setup.progress.seen.${field}`) }}
        </CheckField>
      </section>
    </div>
  </template>
</template>

<style scoped>
.progress {
  display: grid;
  gap: 24px;
}

h2 {
  margin-bottom: 8px;
  font-size: 17px;
}

.words {
  max-width: 620px;
  margin-top: 14px;
}
</style>
