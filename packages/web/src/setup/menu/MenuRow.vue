<script setup lang="ts">
/** One entry of the menu: what it is called, whether learners get it and why not, and what can be done with it. */
import {
  IconEye,
  IconEyeOff,
  IconGripVertical,
  IconLock,
  IconLockOpen,
  IconPencil,
  IconTrash,
} from '@tabler/icons-vue';
import type { MenuAnswer, Words } from '@itinerary/core';
import { LANGUAGES, MAX_LABEL } from '@itinerary/core';
import { computed, nextTick, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { dayIn, formatDay } from '../../words/dates.ts';
import AreaSign from '../../learner/shell/AreaSign.vue';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import IconButton from '../../ui/frame/IconButton.vue';
import DraftField from '../fields/DraftField.vue';
import MoveButtons from '../fields/MoveButtons.vue';
import { useRowDrag } from '../outline/table/row-drag.ts';
import { useEntryWords } from './entry-words.ts';

const props = defineProps<{ answer: MenuAnswer; readonly: boolean; isFirst: boolean; isLast: boolean }>();
const emit = defineEmits<{
  move: [by: number];
  drop: [dragged: string, edge: 'top' | 'bottom'];
  set: [part: Partial<MenuAnswer['entry']>];
  remove: [];
}>();
const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();
const words = useEntryWords();
const row = ref<HTMLElement | null>(null);
const handle = ref<HTMLElement | null>(null);
const isNaming = ref(false);

const entry = computed(() => props.answer.entry);
const name = computed(() => words(entry.value));
const isHead = computed(() => entry.value.leads.to === 'group' || entry.value.leads.to === 'divider');
const isDivider = computed(() => entry.value.leads.to === 'divider');
const sign = computed(() => {
  const { leads } = entry.value;
  return {
    to: leads.to === 'group' ? ('divider' as const) : leads.to,
    area: leads.to === 'area' ? leads.area : null,
  };
});

/** Why learners do not get it, as it is for whoever one looks as, at the marker's moment. */
const reason = computed(() => {
  const { unseen } = props.answer;
  if (unseen === null) return null;
  if (unseen.kind !== 'closed') return t(`setup.menu.reasons.${unseen.kind}`);
  if (unseen.opensAt === null) return t('setup.menu.reasons.closed');
  const day = dayIn(new Date(unseen.opensAt).toISOString(), plan.course?.dates.zone ?? 'UTC');
  return t('setup.menu.reasons.closedUntil', {
    when: formatDay(day, locale.value, { today: session.today }),
  });
});

const { isDragging, edge } = useRowDrag(
  () => props.answer.id,
  () => false,
  row,
  handle,
  (dragged, drop) => emit('drop', dragged, drop.edge === 'top' ? 'top' : 'bottom'),
  'menu',
);

async function startNaming(): Promise<void> {
  isNaming.value = !isNaming.value;
  await nextTick();
  if (isNaming.value) row.value?.querySelector<HTMLInputElement>('.names input')?.focus();
}
function stopNaming(): void {
  isNaming.value = false;
  row.value?.focus();
}
function rename(language: keyof Words, text: string): void {
  const { [language]: _before, ...others } = entry.value.names;
  void _before;
  emit('set', { names: text === '' ? others : { ...others, [language]: text } });
}

/** Keys of the row itself; in its fields and on its buttons they mean what they mean everywhere. */
function onKey(event: KeyboardEvent): void {
  if (props.readonly) return;
  const isMove = event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown');
  if (isMove) {
    event.preventDefault();
    emit('move', event.key === 'ArrowUp' ? -1 : 1);
    return;
  }
  if (event.target !== row.value) return;
  if (event.key === 'F2' || event.key === 'Enter') {
    event.preventDefault();
    void startNaming();
  } else if (event.key === 'Delete') {
    event.preventDefault();
    emit('remove');
  } else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
    const next = event.key === 'ArrowUp' ? row.value?.previousElementSibling : row.value?.nextElementSibling;
    if (next instanceof HTMLElement) {
      event.preventDefault();
      next.focus();
    }
  }
}
defineExpose({ focus: () => row.value?.focus() });
</script>

<template>
  <li
    :id="`field-menu-${answer.id}`"
    ref="row"
    :class="[
      'row',
      { head: isHead, dragging: isDragging, unseen: answer.unseen !== null },
      edge ? `to-${edge}` : '',
    ]"
    tabindex="0"
    :aria-label="reason === null ? name : `${name}. ${reason}`"
    :data-entry="answer.id"
    @keydown="onKey"
  >
    <span ref="handle" class="grip" :title="t('setup.menu.drag')"
      ><IconGripVertical :size="16" aria-hidden="true"
    /></span>
    <AreaSign v-if="!isHead" class="sign" :item="sign" :size="18" />
    <span v-if="isDivider" class="rule" aria-hidden="true" />
    <span v-else class="name">
      {{ name }}
      <span v-if="reason" class="reason">{{ reason }}</span>
    </span>
    <span v-if="entry.staffOnly" class="mark">{{ t('setup.menu.staffOnly') }}</span>
    <span v-if="!readonly" class="acts">
      <MoveButtons :name="name" :is-first="isFirst" :is-last="isLast" @move="emit('move', $event)" />
      <IconButton
        v-if="!isDivider"
        :icon="IconPencil"
        :label="t('setup.menu.rename', { name })"
        :size="16"
        :aria-expanded="isNaming"
        @click="startNaming"
      />
      <IconButton
        v-if="!isHead"
        :icon="entry.staffOnly ? IconLock : IconLockOpen"
        :label="t(entry.staffOnly ? 'setup.menu.forAll' : 'setup.menu.forStaff', { name })"
        :size="16"
        :aria-pressed="entry.staffOnly"
        @click="emit('set', { staffOnly: !entry.staffOnly })"
      />
      <IconButton
        v-if="!isHead"
        :icon="entry.shown ? IconEye : IconEyeOff"
        :label="t(entry.shown ? 'setup.menu.hide' : 'setup.menu.show', { name })"
        :size="16"
        :aria-pressed="entry.shown"
        @click="emit('set', { shown: !entry.shown })"
      />
      <IconButton
        :icon="IconTrash"
        :label="t('setup.menu.remove', { name })"
        :size="16"
        @click="emit('remove')"
      />
    </span>
    <div v-if="isNaming" class="names" @keydown.esc.stop="stopNaming" @keydown.enter.stop="stopNaming">
      <DraftField
        v-for="language in LANGUAGES"
        :key="language"
        :name="`name-${language}`"
        :maxlength="MAX_LABEL"
        :lang="language"
        :text="entry.names[language] ?? ''"
        :label="t('setup.menu.nameIn', { language: t(`common.languages.${language}`) })"
        :readonly="readonly"
        @type="rename(language, $event)"
      />
      <p class="soft">{{ t('setup.menu.namesHint') }}</p>
      <button class="button small" type="button" @click="stopNaming">{{ t('common.close') }}</button>
    </div>
  </li>
</template>

<style scoped src="./row.css"></style>

<style scoped>
.row {
  position: relative;
  display: grid;
  grid-template-columns: 18px 20px minmax(0, 1fr) auto auto;
  gap: 8px;
  align-items: center;
  min-height: 40px;
  padding: 2px 8px 2px 4px;
}

.row:focus-visible {
  z-index: 1;
}

.head {
  grid-template-columns: 18px minmax(0, 1fr) auto auto;
  background: var(--mist);
}

.head .name {
  font-family: var(--font-heading);
  font-weight: 650;
}

.grip {
  min-height: 28px;
}

.sign {
  color: var(--bottle);
}

.unseen .sign {
  color: var(--ink-soft);
}

.name {
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
  align-items: baseline;
  overflow-wrap: anywhere;
}

.rule {
  height: 1px;
  background: var(--field-rule);
}

.mark {
  padding: 0 6px;
  border: 1px dashed var(--staff);
  border-radius: 4px;
  color: var(--staff);
  font-size: 12px;
}

.acts {
  grid-column: -2;
}

.names {
  display: grid;
  grid-column: 1 / -1;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: 8px;
  align-items: center;
  padding: 8px 6px 10px 26px;
}

@media (max-width: 720px) {
  .row {
    grid-template-columns: 18px 20px minmax(0, 1fr);
  }

  .acts,
  .mark {
    grid-column: 3;
    justify-self: start;
  }
}
</style>
