<script setup lang="ts">
/** One entry of the menu: what it is called, whether learners get it and why not, and what can be done with it. */
import { IconLock, IconLockOpen, IconPencil } from '@tabler/icons-vue';
import type { MenuAnswer, Words } from '@itinerary/core';
import { LANGUAGES, MAX_LABEL } from '@itinerary/core';
import { computed, nextTick, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { dayIn, formatDay } from '../../words/dates.ts';
import AreaSign from '../../learner/shell/AreaSign.vue';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import IconButton from '../../ui/frame/IconButton.vue';
import DraftField from '../../ui/fields/DraftField.vue';
import ArrangedRow from './ArrangedRow.vue';
import { useEntryWords } from './entry-words.ts';
import PushButton from '../../ui/frame/PushButton.vue';

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
const arranged = ref<{ element: HTMLElement | null } | null>(null);
const row = computed(() => arranged.value?.element ?? null);
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

function onKey(event: KeyboardEvent, isRows: boolean): void {
  if (!isRows) return;
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
</script>

<template>
  <ArrangedRow
    :id="answer.id"
    ref="arranged"
    list="menu"
    :class="{ head: isHead }"
    :name="name"
    :reason="reason"
    :shown="isHead ? null : entry.shown"
    can-go
    :readonly="readonly"
    :is-first="isFirst"
    :is-last="isLast"
    :data-entry="answer.id"
    @move="emit('move', $event)"
    @drop="(dragged, edge) => emit('drop', dragged, edge)"
    @show="emit('set', { shown: $event })"
    @remove="emit('remove')"
    @key="onKey"
  >
    <template #sign>
      <AreaSign v-if="!isHead" class="sign" :item="sign" :size="18" />
    </template>
    <template v-if="isDivider" #name>
      <span class="rule" aria-hidden="true" />
    </template>
    <template #mark>
      <span v-if="entry.staffOnly" class="mark">{{ t('setup.menu.staffOnly') }}</span>
    </template>
    <template #acts>
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
    </template>
    <div v-if="isNaming" class="names" @keydown.esc.stop="stopNaming" @keydown.enter.stop="stopNaming">
      <DraftField
        v-for="language in LANGUAGES"
        :key="language"
        :name="`name-${language}`"
        :keep-as="`${answer.id} ${language}`"
        :most="MAX_LABEL"
        :lang="language"
        :text="entry.names[language] ?? ''"
        :label="t('setup.menu.nameIn', { language: t(`common.languages.${language}`) })"
        :readonly="readonly"
        @type="rename(language, $event)"
      />
      <p class="soft">{{ t('setup.menu.namesHint') }}</p>
      <PushButton small @click="stopNaming">{{ t('common.close') }}</PushButton>
    </div>
  </ArrangedRow>
</template>

<style scoped>
.head {
  background: var(--mist);
  font-family: var(--font-heading);
  font-weight: 650;
}

.sign {
  color: var(--bottle);
}

.unseen .sign {
  color: var(--ink-soft);
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

.names {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: 8px;
  align-items: center;
  padding: 0 6px 10px 26px;
  font-family: var(--font-text);
  font-weight: 400;
}
</style>
