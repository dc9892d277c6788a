<script setup lang="ts">
/** A meeting as its people have it: the room until it is over, being there by a code, and what is left of it. */
import { IconCheck, IconExternalLink, IconPlayerPlay } from '@tabler/icons-vue';
import type { MeetingAnswer } from '@itinerary/contract';
import { computed, ref, shallowRef, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextField } from 'vuetify/components/VTextField';
import { ask } from '../../../api/client.ts';
import { useLive } from '../../../stores/live.ts';
import { useSession } from '../../../stores/session.ts';
import PushButton from '../../../ui/frame/PushButton.vue';
import { refusedWork, useProblemSentence } from '../../../words/problems.ts';
import { useTicking } from '../../../words/ticking.ts';
import WorkFrame from '../WorkFrame.vue';

const props = defineProps<{ courseId: string; itemId: string; personId: string }>();
const emit = defineEmits<{ changed: [] }>();
const { t } = useI18n();
const session = useSession();
const sentence = useProblemSentence();
const params = { course: props.courseId, item: props.itemId };
const meeting = shallowRef<MeetingAnswer | null>(null);
const code = ref('');
const refused = ref<string | null>(null);
const isBusy = ref(false);

async function load(): Promise<void> {
  meeting.value = await ask('GET /api/learn/{course}/items/{item}/meeting', { params });
}
void load().catch(() => undefined);
useLive(() => void load().catch(() => undefined));

/** It begins, and it is over: the server says again what is shown then. */
const now = useTicking(() => Date.parse(session.now()));
const isPast = (iso: string | null | undefined): boolean => iso != null && now.value >= Date.parse(iso);
const turn = computed(() => [isPast(meeting.value?.begins), isPast(meeting.value?.ends)].join());
watch(turn, (_next, before) => {
  if (before !== undefined && meeting.value !== null) void load().catch(() => undefined);
});

async function enter(): Promise<void> {
  if (code.value.trim() === '' || isBusy.value) return;
  isBusy.value = true;
  refused.value = null;
  try {
    meeting.value = await ask('POST /api/learn/{course}/items/{item}/meeting/here', {
      params,
      body: { code: code.value },
    });
    code.value = '';
    emit('changed');
  } catch (error) {
    const path = refusedWork(error)?.path;
    refused.value = path === 'code' || path === 'item' ? t(`meeting.refused.${path}`) : sentence(error);
  } finally {
    isBusy.value = false;
  }
}
const isEmpty = computed(() => {
  const of = meeting.value;
  if (of === null) return true;
  return ![
    of.room,
    of.afterwards,
    of.recording,
    of.mine,
    of.mayEnter,
    of.mayLook && of.attendance !== 'none',
  ].some(Boolean);
});
</script>

<template>
  <WorkFrame v-if="meeting !== null && !isEmpty" class="meeting" :title="t(`meeting.phase.${meeting.phase}`)">
    <p v-if="meeting.mayLook && meeting.attendance !== 'none'">
      <RouterLink class="button" :to="`/courses/${courseId}/items/${itemId}/attendance`">
        {{ t('meeting.list') }}
      </RouterLink>
    </p>
    <p v-if="meeting.room">
      <a class="button main" :href="meeting.room" target="_blank" rel="noopener noreferrer">
        <IconExternalLink :size="18" aria-hidden="true" /> {{ t('meeting.room') }}
      </a>
    </p>
    <p v-if="meeting.mine" class="mine" role="status">
      <IconCheck v-if="meeting.mine === 'there' || meeting.mine === 'late'" :size="17" aria-hidden="true" />
      {{ t(`meeting.mine.${meeting.mine}`) }}
    </p>
    <form v-if="meeting.mayEnter" class="enter" @submit.prevent="enter">
      <VTextField
        v-model="code"
        class="figures-field"
        :label="t('meeting.code')"
        :hint="t('meeting.codeHint')"
        persistent-hint
        maxlength="40"
        autocomplete="off"
        autocapitalize="characters"
        dir="ltr"
        variant="outlined"
        density="comfortable"
        :error-messages="refused ?? []"
      />
      <PushButton weight="main" type="submit" :disabled="isBusy">{{ t('meeting.here') }}</PushButton>
    </form>
    <p v-if="meeting.afterwards" class="afterwards" dir="auto">{{ meeting.afterwards }}</p>
    <p v-if="meeting.recording">
      <a class="button" :href="meeting.recording" target="_blank" rel="noopener noreferrer">
        <IconPlayerPlay :size="18" aria-hidden="true" /> {{ t('meeting.recording') }}
      </a>
    </p>
  </WorkFrame>
</template>

<style scoped>
.mine {
  display: flex;
  gap: 6px;
  align-items: center;
  font-weight: 600;
}

.enter {
  display: grid;
  grid-template-columns: minmax(0, 260px) auto;
  gap: 10px;
  align-items: start;
  justify-content: start;
}

.afterwards {
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}

@media (width <= 520px) {
  .enter {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
