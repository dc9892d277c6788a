<script setup lang="ts">
/** Two that set the same without having seen each other: both are shown, and either or both can be kept. */
import type { FieldValue, Replaced } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import PushButton from '../../ui/frame/PushButton.vue';
import ComparedWords from '../compare/ComparedWords.vue';
import { shortened } from '../compare/word-changes.ts';
import { useMet } from './met-values.ts';
import { fieldKey } from './notice-words.ts';

const props = defineProps<{ notice: Replaced; place: string }>();
const emit = defineEmits<{ settled: [] }>();
const { t } = useI18n();
const plan = usePlan();
const { pieces, both } = useMet(() => props.notice);

const sentence = computed(() => {
  const { by, stands, field } = props.notice;
  const words = { who: by ?? '', field: t(fieldKey(field)), place: props.place };
  if (stands === 'theirs') return t(`setup.notices.${by === null ? 'replacedElsewhere' : 'replaced'}`, words);
  return t(`setup.notices.${by === null ? 'standsElsewhere' : 'stands'}`, words);
});
const standing = computed(() => props.notice[props.notice.stands]);

function keep(value: FieldValue): void {
  const { target, field } = props.notice;
  if (plan.set(target, field, value, standing.value)) emit('settled');
}
</script>

<template>
  <div class="words">
    <p>{{ sentence }}</p>
    <p v-if="pieces" class="both">
      <ComparedWords :pieces="shortened(pieces)" />
    </p>
    <p class="soft key">{{ t('setup.notices.key') }}</p>
    <p class="acts">
      <PushButton v-if="notice.stands === 'theirs'" small @click="keep(notice.yours)">
        {{ t('setup.notices.putBack') }}
      </PushButton>
      <PushButton v-else small @click="keep(notice.theirs)">{{ t('setup.notices.takeTheirs') }}</PushButton>
      <PushButton v-if="both !== undefined" small @click="keep(both)">
        {{ t('setup.notices.keepBoth') }}
      </PushButton>
    </p>
  </div>
</template>

<style scoped>
.both {
  max-height: 11em;
  margin-top: 4px;
  overflow-y: auto;
  white-space: pre-line;
}

.key {
  font-size: 12.5px;
}

.acts {
  display: flex;
  gap: 8px;
  margin-top: 6px;
}
</style>
