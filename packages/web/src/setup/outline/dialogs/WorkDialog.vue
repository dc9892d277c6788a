<script setup lang="ts">
/** All work on one table: number, section, due, minutes, what it assesses. */
import { listOutcomes, numberOf, workTable } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import ItemSign from '../../../learner/outline/ItemSign.vue';
import { momentWords } from '../../../words/moment-words.ts';
import PlainTable from '../../../ui/frame/PlainTable.vue';
import { usePlan } from '../../../stores/plan.ts';
import { useSession } from '../../../stores/session.ts';
import DialogBox from '../../../ui/frame/DialogBox.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import BareButton from '../../../ui/frame/BareButton.vue';

const isOpen = defineModel<boolean>({ required: true });
const emit = defineEmits<{ open: [id: string] }>();
const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();

const outcomes = computed(() => listOutcomes(plan.course!));
const rows = computed(() =>
  (plan.planned === null ? [] : workTable(plan.planned)).map(({ item, number, section, due }) => ({
    item,
    number: number ?? '·',
    section: (plan.planned === null ? null : numberOf(plan.planned, section)) ?? '·',
    due:
      due === null
        ? '–'
        : due.kind === 'at'
          ? momentWords(due, locale.value, session.today)
          : t(`setup.outline.undated.${due.because}`),
    assesses: outcomes.value.filter(({ id }) => item.assesses.includes(id)).map(({ text }) => text),
  })),
);
const unassessed = computed(() => outcomes.value.filter(({ assessedBy }) => assessedBy.length === 0));
</script>

<template>
  <DialogBox v-model="isOpen" :title="t('setup.work.title')" :width="960">
    <p v-if="rows.length === 0" class="soft">{{ t('setup.work.none') }}</p>
    <div v-else class="scroll" tabindex="0" role="region" :aria-label="t('setup.work.title')">
      <PlainTable
        sticky
        :columns="[
          { title: t('setup.outline.columns.number') },
          { title: t('setup.outline.columns.title') },
          { title: t('setup.work.section') },
          { title: t('setup.outline.momentNames.due') },
          { title: t('setup.outline.columns.minutes'), atEnd: true },
          { title: t('setup.work.assesses') },
        ]"
      >
        <tr v-for="row in rows" :key="row.item.id">
          <td class="figures">{{ row.number }}</td>
          <td>
            <span class="title">
              <ItemSign :kind="row.item.kind" :size="16" />
              <BareButton class="link" @click="emit('open', row.item.id)">
                {{ row.item.title }}
              </BareButton>
            </span>
          </td>
          <td class="figures">{{ row.section }}</td>
          <td class="figures nowrap">{{ row.due }}</td>
          <td class="figures right">{{ row.item.minutes ?? '–' }}</td>
          <td class="outcomes">{{ row.assesses.join('; ') || '–' }}</td>
        </tr>
      </PlainTable>
    </div>
    <p v-if="unassessed.length > 0" class="unassessed">
      {{ t('setup.work.unassessed') }} {{ unassessed.map(({ text }) => text).join('; ') }}
    </p>
    <template #foot>
      <PushButton weight="main" @click="isOpen = false">{{ t('common.close') }}</PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
.scroll {
  max-height: 60vh;
  overflow: auto;
  border-top: 3px solid var(--route);
}

.title {
  display: flex;
  gap: 8px;
  align-items: center;
}

.link {
  padding: 0;
  border: 0;
  background: none;
  color: var(--bottle);
  text-align: start;
  text-decoration: underline;
  cursor: pointer;
}

.nowrap {
  white-space: nowrap;
}

.outcomes {
  font-size: 13px;
}

.unassessed {
  margin-top: 12px;
  padding: 8px 12px;
  border-inline-start: 4px solid var(--advice);
  background: var(--advice-pale);
}
</style>
