<script setup lang="ts">
/** A worked unit, copied so many times: what the copies are called, and on which days they fall. */
import {
  applyChange,
  copySection,
  livingSections,
  MAX_SECTIONS,
  MAX_TITLE,
  planCourse,
} from '@itinerary/core';
import type { Edit } from '@itinerary/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { VSelect } from 'vuetify/components/VSelect';
import { formatDays } from '../../../words/dates.ts';
import { newId } from '../../../stores/new-id.ts';
import { usePlan } from '../../../stores/plan.ts';
import { useSession } from '../../../stores/session.ts';
import NumberField from '../../../ui/fields/NumberField.vue';
import { useForm } from '../../../ui/fields/reading/refusals.ts';
import DialogBox from '../../../ui/frame/DialogBox.vue';
import { plannedTitle } from '../../node-title.ts';
import DraftField from '../../../ui/fields/DraftField.vue';
import PushButton from '../../../ui/frame/PushButton.vue';

const props = defineProps<{ section: string | null }>();
const isOpen = defineModel<boolean>({ required: true });
const emit = defineEmits<{ copy: [edits: readonly Edit[], original: string] }>();
const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();

const course = computed(() => plan.course!);
const chosen = ref<string | null>(null);
const count = ref(1);
const title = ref('');
const most = computed(() => MAX_SECTIONS - livingSections(course.value).length);
const form = useForm();

watch(isOpen, (open) => {
  if (!open) return;
  chosen.value = props.section ?? livingSections(course.value)[0]?.id ?? null;
  count.value = Math.max(1, plan.planned?.spare.length ?? 1);
  title.value = '';
});

const sections = computed(() =>
  (plan.planned?.sections ?? []).map((section) => ({
    value: section.id,
    title: `${section.number ?? '·'} ${plannedTitle(section, t, locale.value)}`,
  })),
);
/** The original's number in the row of sections, so that {n} goes on from it. */
const from = computed(() => livingSections(course.value).findIndex(({ id }) => id === chosen.value) + 2);
const edits = computed(() =>
  chosen.value === null || form.isRefused.value
    ? []
    : copySection(
        course.value,
        chosen.value,
        count.value,
        { title: title.value.trim() === '' ? null : title.value, from: from.value },
        newId,
      ),
);
const preview = computed(() => {
  const applied = applyChange(course.value, { id: 'copy', edits: [...edits.value] });
  if (!applied.ok || edits.value.length === 0) return [];
  const made = new Set(edits.value.flatMap((edit) => (edit.kind === 'insert' ? [edit.node.id] : [])));
  return planCourse(applied.course)
    .sections.filter(({ id }) => made.has(id))
    .map((section) => {
      const { id, span, number } = section;
      const slot = span.kind === 'slot' ? span.slot : null;
      return {
        id,
        number: number ?? '·',
        title: plannedTitle(section, t, locale.value),
        days:
          slot !== null
            ? formatDays(slot.first, slot.last, locale.value, session.today)
            : span.kind === 'unplaced'
              ? t('setup.dates.unplaced')
              : '',
        unplaced: span.kind === 'unplaced',
      };
    });
});
</script>

<template>
  <DialogBox v-model="isOpen" :title="t('setup.outline.copyTitle')" :width="640">
    <div class="fields">
      <VSelect v-model="chosen" class="wide" :items="sections" :label="t('setup.outline.copyOf')" />
      <NumberField
        name="copies"
        :number="count"
        :least="1"
        :most="most"
        :label="t('setup.outline.copies')"
        required
        live
        @set="$event !== null && (count = $event)"
      />
      <DraftField
        :text="title"
        name="copy-title"
        :most="MAX_TITLE"
        :label="t('setup.outline.copyPattern')"
        :hint="t('setup.outline.copyPatternHint')"
        persistent-hint
        @type="title = $event"
      />
    </div>
    <ol class="preview" :aria-label="t('setup.outline.copyPreview')" tabindex="0">
      <li v-for="row in preview" :key="row.id" :class="{ unplaced: row.unplaced }">
        <span class="figures">{{ row.number }}</span> <span>{{ row.title }}</span>
        <span class="figures days">{{ row.days }}</span>
      </li>
    </ol>
    <p class="soft">{{ t('setup.outline.copyText') }}</p>
    <template #foot>
      <PushButton @click="isOpen = false">{{ t('common.cancel') }}</PushButton>
      <PushButton weight="main" :disabled="edits.length === 0" @click="emit('copy', edits, chosen ?? '')">
        {{ t('setup.outline.copyIt', { count: edits.length }, edits.length) }}
      </PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: 120px 1fr;
  gap: 12px;
}

.wide {
  grid-column: 1 / -1;
}

.preview {
  max-height: 220px;
  margin: 12px 0 8px;
  padding: 0;
  overflow: auto;
  border-top: 3px solid var(--route);
  list-style: none;
}

.preview li {
  display: grid;
  grid-template-columns: 34px 1fr auto;
  gap: 8px;
  padding: 4px 6px;
  border-bottom: 1px solid var(--rule);
}

.unplaced .days {
  color: var(--blocker);
  font-family: var(--font-text);
  font-weight: 600;
}
</style>
