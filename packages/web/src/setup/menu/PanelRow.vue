<script setup lang="ts">
/** One panel of the home page: what it is, whether learners get it, and what can be chosen about it. */
import { IconArrowsLeftRight, IconEye, IconEyeOff, IconGripVertical, IconTrash } from '@tabler/icons-vue';
import { isOnlyOnce, MAX_NEXT_DAYS, MOST_ANNOUNCEMENTS_SHOWN } from '@itinerary/core';
import type { CoursePicture, Panel, PanelAnswer } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import IconButton from '../../ui/frame/IconButton.vue';
import MoveButtons from '../fields/MoveButtons.vue';
import NumberField from '../fields/NumberField.vue';
import { useRowDrag } from '../outline/table/row-drag.ts';
import PictureChoice from '../pictures/PictureChoice.vue';
import EntryText from '../text/EntryText.vue';

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
const row = ref<HTMLElement | null>(null);
const handle = ref<HTMLElement | null>(null);
const panel = computed(() => props.answer.panel);
const name = computed(() => t(`learner.panels.${panel.value.kind}`));
const reason = computed(() =>
  props.answer.unseen === null ? null : t(`setup.menu.panelReasons.${props.answer.unseen}`),
);
const { isDragging, edge } = useRowDrag(
  () => props.answer.id,
  () => false,
  row,
  handle,
  (dragged, drop) => emit('drop', dragged, drop.edge === 'top' ? 'top' : 'bottom'),
  'panels',
);

function onKey(event: KeyboardEvent): void {
  if (props.readonly || !event.altKey) return;
  if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
    event.preventDefault();
    emit('move', event.key === 'ArrowUp' ? -1 : 1);
  } else if ((event.key === 'ArrowLeft' || event.key === 'ArrowRight') && props.hasOther) {
    event.preventDefault();
    emit('cross');
  }
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
  <li
    ref="row"
    :class="['row', { dragging: isDragging, unseen: answer.unseen !== null }, edge ? `to-${edge}` : '']"
    tabindex="0"
    :aria-label="reason === null ? name : `${name}. ${reason}`"
    :data-panel="answer.id"
    @keydown="onKey"
  >
    <div class="line">
      <span ref="handle" class="grip" :title="t('setup.menu.drag')"
        ><IconGripVertical :size="16" aria-hidden="true"
      /></span>
      <span class="name">
        {{ name }} <span v-if="reason" class="reason">{{ reason }}</span>
      </span>
      <span v-if="!readonly" class="acts">
        <MoveButtons :name="name" :is-first="isFirst" :is-last="isLast" @move="emit('move', $event)" />
        <IconButton
          v-if="hasOther"
          :icon="IconArrowsLeftRight"
          :label="t('setup.menu.cross', { name })"
          :size="16"
          @click="emit('cross')"
        />
        <IconButton
          :icon="panel.shown ? IconEye : IconEyeOff"
          :label="t(panel.shown ? 'setup.menu.hide' : 'setup.menu.show', { name })"
          :size="16"
          :aria-pressed="panel.shown"
          @click="emit('set', { ...panel, shown: !panel.shown })"
        />
        <IconButton
          v-if="!isOnlyOnce(panel.kind)"
          :icon="IconTrash"
          :label="t('setup.menu.remove', { name })"
          :size="16"
          @click="emit('remove')"
        />
      </span>
    </div>
    <NumberField
      v-if="panel.kind === 'announcements' && panel.shown"
      class="number"
      name="most"
      :number="panel.most"
      :least="1"
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
  </li>
</template>

<style scoped src="./row.css"></style>

<style scoped>
.row {
  display: grid;
  gap: 8px;
  padding: 3px 8px 3px 4px;
}

.line {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
  min-height: 36px;
}

.name {
  flex: 1;
  min-width: 0;
}

.reason {
  display: block;
}

.number {
  max-width: 240px;
  margin: 0 0 8px 24px;
}
</style>
