<script setup lang="ts">
/** Why something does not show: every layer between a learner and it, and one press that opens it. */
import { IconCheck, IconX } from '@tabler/icons-vue';
import { isHolder, livingSections, onceLive, subtree, whyNot } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { VAutocomplete } from 'vuetify/components/VAutocomplete';
import { formatDay } from '../../words/dates.ts';
import { usePlan } from '../../stores/plan.ts';
import { useSeeing } from '../../stores/seeing.ts';
import { useSession } from '../../stores/session.ts';
import { useActs } from '../frame/acts.ts';
import { useWhyWords } from './why-words.ts';
import PushButton from '../../ui/frame/PushButton.vue';

defineProps<{ readonly: boolean }>();
const { t, locale } = useI18n();
const plan = usePlan();
const seeing = useSeeing();
const session = useSession();
const { marker } = useActs();
const chosen = ref<string | null>(null);

const course = computed(() => plan.course!);
const { named, sentence, cure: cureWords } = useWhyWords();
const nodes = computed(() =>
  livingSections(course.value).flatMap((section) =>
    subtree(section)
      .filter(({ removed }) => !removed)
      .map((node) => ({ value: node.id, title: named(node.id), holds: isHolder(node) })),
  ),
);

/** A draft is asked about as it would be once live, as the preview shows it. */
const why = computed(() => {
  if (chosen.value === null || plan.planned === null) return null;
  return whyNot(onceLive(course.value), seeing.viewer, marker.moment.value, chosen.value, plan.planned);
});
/** Archived is a state of the course, which is changed on purpose and not on the way. */
const cure = computed(() => {
  const edits = why.value?.cure ?? [];
  return edits.some((edit) => edit.kind === 'set' && edit.field === 'state') ? [] : edits;
});

const day = computed(() => formatDay(marker.day.value, locale.value, { today: session.today }));
</script>

<template>
  <section aria-labelledby="why-not">
    <h2 id="why-not">{{ t('setup.access.why.title') }}</h2>
    <p class="soft">{{ t('setup.access.why.text', { day }) }}</p>
    <VAutocomplete
      v-model="chosen"
      :items="nodes"
      :label="t('setup.access.why.choose')"
      :no-data-text="t('setup.outline.noneFound')"
      auto-select-first
      clearable
    />
    <template v-if="why">
      <p class="verdict" role="status">
        {{ t(`setup.access.why.verdict.${why.answer.state}`, { title: named(chosen ?? ''), day }) }}
      </p>
      <ol>
        <li v-for="layer in why.chain" :key="`${layer.of} ${layer.name}`" :class="{ failed: layer.cap }">
          <component :is="layer.cap ? IconX : IconCheck" :size="17" aria-hidden="true" />
          <span class="visually-hidden">{{
            t(layer.cap ? 'setup.access.why.stops' : 'setup.access.why.passes')
          }}</span>
          {{ sentence(layer) }}
        </li>
      </ol>
      <PushButton v-if="cure.length > 0 && !readonly" weight="main" @click="plan.change(cure)">
        {{ cureWords(cure) }}
      </PushButton>
    </template>
  </section>
</template>

<style scoped>
h2 {
  font-size: 17px;
}

section {
  display: grid;
  gap: 8px;
  justify-items: start;
}

section > :deep(.v-input) {
  width: 100%;
}

.verdict {
  font-weight: 600;
}

ol {
  width: 100%;
  margin: 0;
  padding: 0;
  border-top: 2px solid var(--route);
  background: var(--card);
  list-style: none;
}

li {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 32px;
  padding: 4px 12px;
  border-bottom: 1px solid var(--rule);
  color: var(--ink-soft);
}

li svg {
  color: var(--open);
}

li.failed {
  color: var(--ink);
  font-weight: 500;
}

li.failed svg {
  color: var(--blocker);
}
</style>
