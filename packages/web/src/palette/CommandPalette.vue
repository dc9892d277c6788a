<script setup lang="ts">
/** Finds courses, stops and acts by name. Opened with Ctrl or ⌘ and K. */
import type { DeskAnswer } from '@itinerary/contract';
import { computed, nextTick, onMounted, ref, shallowRef, useId, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import { VDialog } from 'vuetify/components/VDialog';
import { VTextField } from 'vuetify/components/VTextField';
import { ask } from '../api/client.ts';
import { changeLocale, LOCALES } from '../words/i18n.ts';
import { useCommands } from '../stores/commands.ts';
import type { Command } from '../stores/commands.ts';
import { useRest } from '../ui/fields/rest.ts';
import { useSession } from '../stores/session.ts';
import { useBehind } from '../ui/frame/behind.ts';
import { bestMatches } from './matches.ts';

const open = defineModel<boolean>({ required: true });
const { t, locale } = useI18n();
const router = useRouter();
const session = useSession();
const commands = useCommands();
const listId = useId();
const find = ref('');
const at = ref(0);
const courses = shallowRef<DeskAnswer['courses']>([]);
const isWhole = ref(false);
const field = ref<{ focus: () => void; $el: HTMLElement } | null>(null);
const list = ref<HTMLElement | null>(null);

const everywhere = computed((): readonly Command[] => [
  { id: 'desk', title: t('common.toDesk'), run: () => router.push('/desk') },
  ...(session.me?.mayCreate === true
    ? [{ id: 'new', title: t('common.palette.newCourse'), run: () => router.push('/new-course') }]
    : []),
  ...LOCALES.filter((code) => code !== locale.value).map((code) => ({
    id: `locale-${code}`,
    title: t(`common.languages.${code}`),
    run: () => changeLocale(code),
  })),
]);
const toCourses = computed((): readonly Command[] =>
  courses.value.map((course) => ({
    id: `course-${course.id}`,
    title: course.title,
    note: course.code,
    run: () => router.push(course.mayPlan ? `/setup/${course.id}` : `/courses/${course.id}`),
  })),
);
const shown = computed(() =>
  bestMatches([...commands.all, ...toCourses.value, ...everywhere.value], find.value),
);

const active = computed(() => {
  const command = shown.value[at.value];
  return command === undefined ? undefined : `${listId}-${command.id}`;
});

function run(command: Command | undefined): void {
  if (command === undefined) return;
  open.value = false;
  void command.run();
}

async function onKey(event: KeyboardEvent): Promise<void> {
  const last = shown.value.length - 1;
  if (event.key === 'ArrowDown') at.value = at.value >= last ? 0 : at.value + 1;
  else if (event.key === 'ArrowUp') at.value = at.value <= 0 ? last : at.value - 1;
  else if (event.key === 'Enter') run(shown.value[at.value]);
  else return;
  event.preventDefault();
  await nextTick();
  list.value?.querySelector('[aria-selected="true"]')?.scrollIntoView({ block: 'nearest' });
}

async function start(): Promise<void> {
  find.value = '';
  at.value = 0;
  await nextTick();
  // The library puts a role on what stands around the field, where nobody types.
  field.value?.$el.querySelector('input')?.setAttribute('role', 'combobox');
  field.value?.focus();
  await look();
}

let latest = 0;
/** Of thousands of courses those that the words are of; the others would not be shown anyway. */
async function look(): Promise<void> {
  if (session.person === null) return;
  latest += 1;
  const mine = latest;
  const words = find.value.trim();
  try {
    const answer = await ask('GET /api/desk', { query: words === '' ? {} : { find: words } });
    if (mine !== latest) return;
    courses.value = answer.courses;
    isWhole.value = words === '' && answer.total === answer.courses.length;
  } catch {
    // Without an answer the acts of this page are still there.
  }
}

const { later, cancel } = useRest(() => void look());
watch(find, () => {
  at.value = 0;
  cancel();
  // All that are theirs are here already.
  if (!isWhole.value) later();
});
watch(open, (now) => now && void start());
onMounted(start);
useBehind(open);
</script>

<template>
  <VDialog
    v-model="open"
    :max-width="560"
    :aria-label="t('common.palette.title')"
    location="top"
    :offset="80"
  >
    <div class="palette">
      <VTextField
        ref="field"
        v-model="find"
        class="find"
        variant="plain"
        hide-details
        autocomplete="off"
        aria-expanded="true"
        aria-autocomplete="list"
        :aria-controls="listId"
        :aria-activedescendant="active"
        :aria-label="t('common.palette.title')"
        :placeholder="t('common.palette.find')"
        @keydown="onKey"
      />
      <ul :id="listId" ref="list" role="listbox" :aria-label="t('common.palette.title')">
        <li
          v-for="(command, index) in shown"
          :id="`${listId}-${command.id}`"
          :key="command.id"
          role="option"
          :aria-selected="index === at"
          @click="run(command)"
          @pointermove="at = index"
        >
          <span>{{ command.title }}</span>
          <span v-if="command.note" class="figures soft">{{ command.note }}</span>
        </li>
      </ul>
      <p v-if="shown.length === 0" class="none soft" role="status">{{ t('common.palette.none') }}</p>
    </div>
  </VDialog>
</template>

<style scoped>
.palette {
  overflow: hidden;
  border: 1px solid var(--field-rule);
  border-top: 4px solid var(--route);
  border-radius: 8px;
  background: var(--card);
  color: var(--ink);
}

.find :deep(input) {
  min-height: 52px;
  padding-block: 0;
}

.find {
  padding: 0 16px;
  border-bottom: 1px solid var(--rule);
  font-size: 16px;
}

ul {
  max-height: 46vh;
  overflow-y: auto;
  padding: 4px;
  list-style: none;
}

li {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  padding: 7px 12px;
  border-radius: 4px;
  cursor: pointer;
}

li[aria-selected='true'] {
  background: var(--bottle-pale);
  box-shadow: inset 3px 0 0 var(--bottle);
}

.none {
  padding: 12px 16px 16px;
}
</style>
