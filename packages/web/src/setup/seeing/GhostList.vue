<script setup lang="ts">
/** What is not there for whoever is looked as: each with its reason, and with its cure in one press. */
import { IconEyeOff } from '@tabler/icons-vue';
import { findNode, numberOf, onceLive, whyNot } from '@itinerary/core';
import type { Edit, Layer } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import { useSeeing } from '../../stores/seeing.ts';
import { useActs } from '../frame/acts.ts';
import { useNodeTitle } from '../node-title.ts';
import { useWhyWords } from '../access/why-words.ts';
import { ghostsOf } from './ghosts.ts';
import PushButton from '../../ui/frame/PushButton.vue';

const { t } = useI18n();
const plan = usePlan();
const seeing = useSeeing();
const { marker } = useActs();
const titleOf = useNodeTitle();
const words = useWhyWords();

const ghosts = computed(() => {
  const { course, planned } = plan;
  if (course === null) return [];
  return (ghostsOf(onceLive(course), seeing.viewer, marker.moment.value, planned) ?? []).map(
    ({ id, answer, more }) => ({
      id,
      more,
      answer,
      number: planned === null ? null : numberOf(planned, id),
      kind: findNode(course, id)?.node.kind ?? 'page',
    }),
  );
});

function whyOf(id: string): { readonly failed: readonly Layer[]; readonly cure: readonly Edit[] } {
  const { course, planned } = plan;
  if (course === null) return { failed: [], cure: [] };
  const why = whyNot(onceLive(course), seeing.viewer, marker.moment.value, id, planned);
  return { failed: why?.chain.filter(({ cap }) => cap !== null) ?? [], cure: why?.cure ?? [] };
}

/** Asked only for the few that are looked at: it tries what it proposes. */
const MOST = 60;
const listed = computed(() =>
  ghosts.value.slice(0, MOST).map((ghost) => {
    const { failed, cure } = whyOf(ghost.id);
    return { ...ghost, cure, reasons: failed.map((layer) => words.sentence(layer)) };
  }),
);
</script>

<template>
  <div class="ghosts">
    <p v-if="ghosts.length === 0" class="none soft">{{ t('setup.seeing.nothingMissing') }}</p>
    <ul>
      <li v-for="ghost in listed" :key="ghost.id">
        <IconEyeOff :size="16" aria-hidden="true" />
        <div class="what">
          <strong
            ><span v-if="ghost.number" class="figures">{{ ghost.number }}</span>
            {{ titleOf(ghost.id) }}</strong
          >
          <span v-if="ghost.more > 0" class="soft">{{ t('setup.seeing.andMore', ghost.more) }}</span>
          <span v-if="ghost.answer.state === 'named'" class="named">{{ t('setup.seeing.nameOnly') }}</span>
          <p v-for="reason in ghost.reasons" :key="reason">{{ reason }}</p>
        </div>
        <PushButton
          v-if="!plan.isReadonly && ghost.cure.length > 0"
          small
          :aria-label="t('setup.seeing.openIt', { title: titleOf(ghost.id) ?? '' })"
          @click="plan.change(ghost.cure)"
        >
          {{ words.cure(ghost.cure) }}
        </PushButton>
      </li>
    </ul>
    <p v-if="ghosts.length > MOST" class="soft none">
      {{ t('setup.seeing.further', ghosts.length - MOST) }}
    </p>
  </div>
</template>

<style scoped>
.ghosts {
  height: 100%;
  overflow-y: auto;
}

ul {
  margin: 0;
  padding: 8px;
  list-style: none;
}

li {
  display: flex;
  gap: 8px;
  align-items: start;
  margin-bottom: 8px;
  padding: 8px 10px;
  border: 1px dashed var(--staff);
  border-radius: 4px;
}

li svg {
  flex: none;
  margin-top: 3px;
  color: var(--staff);
}

.what {
  flex: 1;
  min-width: 0;
  line-height: 1.35;
}

.what p {
  color: var(--ink-soft);
  font-size: 13.5px;
}

.what > .soft,
.named {
  margin-inline-start: 6px;
  font-size: 12.5px;
}

.named {
  color: var(--later);
}

.none {
  padding: 16px;
}
</style>
