<script setup lang="ts">
/** One panel of the home page: what it is, whether learners get it, and what can be chosen about it. */
import { IconArrowsLeftRight } from '@tabler/icons-vue';
import { isOnlyOnce, MAX_NEXT_DAYS, MOST_ANNOUNCEMENTS_SHOWN } from '@itinerary/core';
import type { CoursePicture, Panel, PanelAnswer } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import IconButton from '../../ui/frame/IconButton.vue';
import NumberField from '../../ui/fields/NumberField.vue';
import PictureChoice from '../pictures/PictureChoice.vue';
import EntryText from '../text/EntryText.vue';
import ArrangedRow from './ArrangedRow.vue';

const props = defineProps<{
  answer: PanelAnswer;
  readonly: boolean;
  isFirst: boolean;
  isLast: boolean;
  /** There is another column to go to. */
  hasOther: boolean;
}>();
const emit = defineEmits<{
  move: [by: number];
  cross: [];
  drop: [dragged: string, edge: 'top' | 'bottom'];
  set: [panel: Panel];
  remove: [];
}>();
const { t } = useI18n();
const panel = computed(() => props.answer.panel);
const name = computed(() => t(`learner.panels.${panel.value.kind}`));
const reason = computed(() =>
  props.answer.unseen === null ? null : t(`setup.menu.panelReasons.${props.answer.unseen}`),
);

function onKey(event: KeyboardEvent): void {
  if (!event.altKey || !props.hasOther || (event.key !== 'ArrowLeft' && event.key !== 'ArrowRight')) return;
  event.preventDefault();
  emit('cross');
}
function setPicture(picture: CoursePicture | null): void {
  if (panel.value.kind === 'picture') emit('set', { ...panel.value, picture });
}
function setMost(most: number | null): void {
  if (panel.value.kind === 'announcements' && most !== null) emit('set', { ...panel.value, most });
}
function setDays(days: number | null): void {
  if (panel.value.kind === 'next' && days !== null) emit('set', { ...panel.value, days });
}
</script>

<template>
  <ArrangedRow
    :id="answer.id"
    list="panels"
    :name="name"
    :reason="reason"
    :shown="panel.shown"
    :can-go="!isOnlyOnce(panel.kind)"
    :readonly="readonly"
    :is-first="isFirst"
    :is-last="isLast"
    :data-panel="answer.id"
    @move="emit('move', $event)"
    @drop="(dragged, edge) => emit('drop', dragged, edge)"
    @show="emit('set', { ...panel, shown: $event })"
    @remove="emit('remove')"
    @key="onKey"
  >
    <template #acts>
      <IconButton
        v-if="hasOther"
        :icon="IconArrowsLeftRight"
        :label="t('setup.menu.cross', { name })"
        :size="16"
        @click="emit('cross')"
      />
    </template>
    <NumberField
      v-if="panel.kind === 'announcements' && panel.shown"
      class="number"
      name="most"
      :number="panel.most"
      required
      :least="0"
      :most="MOST_ANNOUNCEMENTS_SHOWN"
      :label="t('setup.menu.most')"
      :readonly="readonly"
      @set="setMost"
    />
    <NumberField
      v-if="panel.kind === 'next' && panel.shown"
      class="number"
      name="days"
      :number="panel.days"
      required
      :least="1"
      :most="MAX_NEXT_DAYS"
      :label="t('setup.menu.days')"
      :readonly="readonly"
      @set="setDays"
    />
    <EntryText
      v-if="panel.kind === 'welcome' && panel.shown"
      :field="`panels.${answer.id}`"
      :hash="panel.text"
      :label="t('setup.menu.welcomeText')"
    />
    <PictureChoice
      v-if="panel.kind === 'picture' && panel.shown"
      :picture="panel.picture"
      :frames="['panel']"
      :readonly="readonly"
      @set="setPicture"
    />
  </ArrangedRow>
</template>

<style scoped>
.number {
  max-width: 240px;
  margin: 0 0 8px 24px;
}
</style>
