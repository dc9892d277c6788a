<script setup lang="ts">
/** The institution's holidays, kept by its staff: read from a calendar file, offered to every course as pauses. */
import { IconTrash, IconUpload } from '@tabler/icons-vue';
import type { HolidaysAnswer } from '@itinerary/contract';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../api/client.ts';
import { formatDays } from '../words/dates.ts';
import { useSession } from '../stores/session.ts';
import IconButton from '../ui/frame/IconButton.vue';
import KeepingDialog from './KeepingDialog.vue';
import { useKeeping } from './use-keeping.ts';
import PushButton from '../ui/frame/PushButton.vue';
import FilePicker from '../ui/frame/FilePicker.vue';

const isOpen = defineModel<boolean>({ required: true });
const { t, locale } = useI18n();
const session = useSession();
const picker = ref<{ open: () => void } | null>(null);
const { failure, said, isBusy, attempt } = useKeeping();
const holidays = computed(() => session.me?.institution.holidays ?? []);

/** As large as the server takes. */
const MOST_BYTES = 1_000_000;

async function change(
  work: () => Promise<HolidaysAnswer>,
  done: (answer: HolidaysAnswer) => string,
): Promise<void> {
  await attempt(async () => {
    const answer = await work();
    session.keepOfInstitution({ holidays: answer.holidays });
    return done(answer);
  });
}

async function read([file]: readonly File[]): Promise<void> {
  if (file === undefined) return;
  if (file.size > MOST_BYTES) {
    failure.value = t('desk.holidays.large', { name: file.name });
    return;
  }
  const calendar = await file.text();
  await change(
    () => ask('POST /api/holidays', { body: { calendar } }),
    (answer) => t('desk.holidays.read', answer.holidays.length),
  );
}

async function remove(id: string, name: string): Promise<void> {
  await change(
    () => ask('DELETE /api/holidays/{holiday}', { params: { holiday: id } }),
    () => t('desk.holidays.removed', { name }),
  );
}
</script>

<template>
  <KeepingDialog
    v-model="isOpen"
    :title="t('desk.holidays.title')"
    :text="t('desk.holidays.text')"
    :width="620"
    :failure="failure"
    :said="said"
  >
    <ul v-if="holidays.length > 0">
      <li v-for="one in holidays" :key="one.id">
        <span>{{ one.name }}</span>
        <span class="figures">{{ formatDays(one.first, one.last, locale, session.today) }}</span>
        <IconButton
          :icon="IconTrash"
          :label="t('desk.holidays.remove', { name: one.name })"
          :size="16"
          :disabled="isBusy"
          @click="remove(one.id, one.name)"
        />
      </li>
    </ul>
    <p v-else class="soft">{{ t('desk.holidays.none') }}</p>
    <FilePicker ref="picker" accept=".ics,text/calendar" :label="t('desk.holidays.file')" @pick="read" />
    <template #foot>
      <PushButton :disabled="isBusy" @click="picker?.open()">
        <IconUpload :size="17" aria-hidden="true" /> {{ t('desk.holidays.choose') }}
      </PushButton>
      <PushButton weight="main" @click="isOpen = false">{{ t('common.close') }}</PushButton>
    </template>
  </KeepingDialog>
</template>

<style scoped>
li {
  grid-template-columns: minmax(0, 1fr) auto 34px;
  gap: 8px;
}
</style>
