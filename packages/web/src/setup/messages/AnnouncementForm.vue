<script setup lang="ts">
/** One announcement, being written. */
import { IconPaperclip, IconX } from '@tabler/icons-vue';
import { MAX_ATTACHMENTS } from '@itinerary/core';
import type { Announcement, PlannedMoment } from '@itinerary/core';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import { useUploads } from '../../stores/uploads.ts';
import IconButton from '../../ui/frame/IconButton.vue';
import CheckField from '../../ui/fields/choice/CheckField.vue';
import DraftField from '../../ui/fields/DraftField.vue';
import { asRef } from '../files/arrivals.ts';
import MomentForm from '../outline/dialogs/MomentForm.vue';
import EntryText from '../text/EntryText.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import FilePicker from '../../ui/frame/FilePicker.vue';

const props = defineProps<{ id: string; announcement: Announcement; readonly: boolean }>();
const emit = defineEmits<{ set: [part: Partial<Announcement>, typing: boolean] }>();
const { t } = useI18n();
const plan = usePlan();
const uploads = useUploads();
const picker = ref<{ open: () => void } | null>(null);

/** Chosen, and no room for them. */
const left = ref<readonly string[]>([]);
function attach(files: readonly File[]): void {
  const room = MAX_ATTACHMENTS - props.announcement.files.length;
  const chosen = files.slice(0, room);
  left.value = files.slice(room).map(({ name }) => name);
  for (const file of chosen) {
    uploads.add(file, (answer) => {
      // What has been attached meanwhile is there too.
      const now = plan.course?.announcements[props.id]?.files ?? [];
      if (!now.some(({ hash }) => hash === answer.hash))
        emit('set', { files: [...now, asRef(answer)] }, false);
    });
  }
}
const setFrom = (from: PlannedMoment | null): void => {
  if (from !== null) emit('set', { from }, true);
};
</script>

<template>
  <div class="form">
    <DraftField
      name="subject"
      :keep-as="`${id} subject`"
      :most="200"
      :text="announcement.subject"
      :label="t('setup.messages.subject')"
      :readonly="readonly"
      :wrong="(text) => (text === '' ? t('setup.messages.subjectMissing') : null)"
      @type="emit('set', { subject: $event }, true)"
    />
    <EntryText :field="`announcements.${id}`" :hash="announcement.text" :label="t('setup.messages.text')" />
    <div class="attached">
      <ul v-if="announcement.files.length > 0">
        <li v-for="file in announcement.files" :key="file.hash">
          <IconPaperclip :size="16" aria-hidden="true" /> {{ file.name }}
          <IconButton
            v-if="!readonly"
            :icon="IconX"
            :size="15"
            :label="t('setup.files.takeOff', { name: file.name })"
            @click="
              emit('set', { files: announcement.files.filter(({ hash }) => hash !== file.hash) }, false)
            "
          />
        </li>
      </ul>
      <PushButton
        v-if="!readonly && announcement.files.length < MAX_ATTACHMENTS"
        small
        @click="picker?.open()"
      >
        <IconPaperclip :size="16" aria-hidden="true" /> {{ t('setup.messages.attach') }}
      </PushButton>
      <FilePicker ref="picker" multiple :label="t('setup.messages.attach')" @pick="attach" />
      <p v-if="left.length > 0" class="wrong" role="alert">
        {{ t('setup.messages.attachFull', { most: MAX_ATTACHMENTS, names: left.join(', ') }, left.length) }}
      </p>
    </div>
    <div class="when">
      <fieldset>
        <legend>{{ t('setup.messages.from') }}</legend>
        <MomentForm
          :id="id"
          field="opens"
          of-course
          required
          :model-value="announcement.from"
          @update:model-value="setFrom"
        />
      </fieldset>
      <fieldset>
        <legend>{{ t('setup.messages.until') }}</legend>
        <MomentForm
          :id="id"
          field="until"
          of-course
          :model-value="announcement.until"
          @update:model-value="emit('set', { until: $event }, true)"
        />
      </fieldset>
    </div>
    <div class="checks">
      <CheckField
        :checked="announcement.pinned"
        :disabled="readonly"
        @toggle="emit('set', { pinned: $event }, false)"
        >{{ t('setup.messages.pinned') }}</CheckField
      >
      <CheckField
        :checked="announcement.comments"
        :disabled="readonly"
        @toggle="emit('set', { comments: $event }, false)"
        >{{ t('setup.messages.comments') }}</CheckField
      >
    </div>
  </div>
</template>

<style scoped>
.form {
  display: grid;
  gap: 12px;
}

ul {
  margin: 0 0 6px;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  gap: 6px;
  align-items: center;
}

.when {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(290px, 1fr));
  gap: 16px;
}

fieldset {
  min-width: 0;
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  padding: 0 0 4px;
  font-weight: 600;
}

.checks {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
}
</style>
