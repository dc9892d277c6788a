<script setup lang="ts">
/** A page to start from, ready to fill: what is left empty does not stand on it. */
import { CONTACT_CARDS, escapeHtml, newItem, setEntry, setField } from '@itinerary/core';
import type { Edit, MenuEntry } from '@itinerary/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { newId } from '../../stores/new-id.ts';
import { usePlan } from '../../stores/plan.ts';
import { useTexts } from '../../stores/texts.ts';
import DialogBox from '../../ui/frame/DialogBox.vue';
import CheckField from '../../ui/fields/choice/CheckField.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import DraftField from '../../ui/fields/DraftField.vue';
import { inOpening } from './in-opening.ts';
import { useForm } from '../../ui/fields/reading/refusals.ts';

const isOpen = defineModel<boolean>({ required: true });
const { t } = useI18n();
const plan = usePlan();
const texts = useTexts();

const PARTS = ['about', 'how', 'needed', 'help'] as const;
type Part = (typeof PARTS)[number];
const written = ref<Record<Part, string>>({ about: '', how: '', needed: '', help: '' });
const isFirst = ref(true);
const form = useForm();

/** What the course says already is there to begin with. */
watch(isOpen, (open) => {
  const { course } = plan;
  if (!open || course === null) return;
  written.value = {
    about: course.madeFor ?? '',
    how: t(`setup.menu.start.hows.${course.dates.format}`),
    needed: course.bringAlong ?? '',
    help: '',
  };
});

const html = computed(() => {
  const part = (name: string, body: string): string =>
    `<h2>${escapeHtml(t(`setup.menu.start.parts.${name}`))}</h2>${body}`;
  const words = (name: Part): string => {
    const lines = written.value[name]
      .split(/\n+/)
      .map((line) => line.trim())
      .filter((line) => line !== '');
    return lines.length === 0 ? '' : part(name, lines.map((line) => `<p>${escapeHtml(line)}</p>`).join(''));
  };
  return [words('about'), words('how'), words('needed'), part('who', CONTACT_CARDS), words('help')].join('');
});

/** In the opening unit, where there is one before everything else; else in one of its own. */
async function make(): Promise<void> {
  const { course } = plan;
  if (course === null || form.isRefused.value) return;
  const page = newItem('page', {
    id: newId(),
    title: t('setup.menu.start.title'),
    text: await texts.keep(html.value),
  });
  const edits: Edit[] = [inOpening(course, page, t('setup.menu.start.section'))];
  const entry: MenuEntry = {
    leads: { to: 'item', item: page.id },
    names: {},
    at: Math.min(2, ...Object.values(course.menu).map(({ at }) => at)) / 2,
    shown: true,
    staffOnly: false,
    removed: false,
  };
  edits.push(setEntry(course, newId(), entry));
  if (isFirst.value) {
    edits.push(setField(course, 'firstArrive', { at: 'page', item: page.id }));
  }
  if (plan.change(edits)) isOpen.value = false;
}
</script>

<template>
  <DialogBox v-model="isOpen" :title="t('setup.menu.start.title')" :width="640">
    <p class="soft">{{ t('setup.menu.start.hint') }}</p>
    <DraftField
      v-for="name in PARTS"
      :key="name"
      :text="written[name]"
      class="part"
      :rows="3"
      :most="4000"
      :label="t(`setup.menu.start.parts.${name}`)"
      @type="written[name] = $event"
    />
    <p class="soft">{{ t('setup.menu.start.who') }}</p>
    <CheckField :checked="isFirst" :disabled="false" @toggle="isFirst = $event">{{
      t('setup.menu.start.first')
    }}</CheckField>
    <template #foot>
      <PushButton @click="isOpen = false">{{ t('common.cancel') }}</PushButton>
      <PushButton weight="main" @click="make">{{ t('setup.menu.start.make') }}</PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
.part {
  margin-top: 10px;
}

.soft {
  margin-top: 8px;
  font-size: 13px;
}
</style>
