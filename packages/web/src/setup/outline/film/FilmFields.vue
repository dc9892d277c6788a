<script setup lang="ts">
/** What goes with a film: its captions, and where its parts begin. */
import { IconUpload, IconX } from '@tabler/icons-vue';
import {
  findNode,
  MAX_CAPTIONS,
  MAX_CAPTIONS_BYTES,
  readCaptions,
  readChapters,
  setField,
  writeChapters,
} from '@itinerary/core';
import type { Caption, Film } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../../stores/plan.ts';
import { useUploads } from '../../../stores/uploads.ts';
import SelectField from '../../../ui/fields/choice/SelectField.vue';
import DraftField from '../../../ui/fields/DraftField.vue';
import FilePicker from '../../../ui/frame/FilePicker.vue';
import IconButton from '../../../ui/frame/IconButton.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import { asRef } from '../../files/arrivals.ts';
import PanelPart from '../panel/PanelPart.vue';
import { languageName, SPOKEN } from '../../../words/spoken.ts';

const props = defineProps<{ item: Film; readonly: boolean }>();
const { t, locale } = useI18n();
const plan = usePlan();
const uploads = useUploads();
const picker = ref<{ open: () => void } | null>(null);
const wrong = ref<string | null>(null);
const chosen = ref<string>(plan.course?.language ?? locale.value);

const languages = computed(() =>
  SPOKEN.map((value) => ({ value, title: languageName(value, locale.value) })).sort((a, b) =>
    a.title.localeCompare(b.title, locale.value),
  ),
);
/** As the film stands then: others may have changed it while the file was on its way. */
function put(id: string, captions: (before: readonly Caption[]) => Caption[]): void {
  const film = plan.course === null ? undefined : findNode(plan.course, id)?.node;
  if (film?.kind === 'video') plan.change([setField(film, 'captions', captions(film.captions))]);
}
async function take(files: readonly File[]): Promise<void> {
  const [file] = files;
  if (file === undefined) return;
  const [language, { id }] = [chosen.value, props.item];
  wrong.value = await faultOf(file);
  if (wrong.value !== null) return;
  uploads.add(file, (answer) =>
    put(id, (before) => [
      ...before.filter((one) => one.language !== language),
      { language, file: asRef(answer) },
    ]),
  );
}
/** Read before it is sent, so that what is wrong is said at once, with its line. */
async function faultOf(file: File): Promise<string | null> {
  const { name } = file;
  if (file.size > MAX_CAPTIONS_BYTES) return t('setup.film.large', { name });
  const read = readCaptions(await file.text());
  if (read.ok) return null;
  const { line, found, why } = read.mistake;
  return t(`setup.film.wrong.${why}`, { name, line, found });
}
function remove(language: string): void {
  put(props.item.id, (before) => before.filter((one) => one.language !== language));
}

const chapters = computed(() => writeChapters(props.item.chapters));
function chaptersWrong(text: string): string | null {
  const read = readChapters(text, props.item.seconds);
  return read.ok ? null : t(`setup.film.chapterWrong.${read.why}`, { line: read.line, text: read.text });
}
function setChapters(text: string): void {
  const read = readChapters(text, props.item.seconds);
  if (read.ok) plan.change([setField(props.item, 'chapters', [...read.chapters])], { typing: true });
}
</script>

<template>
  <PanelPart class="film" :title="t('setup.film.title')" :readonly="readonly">
    <div class="captions" role="group" :aria-label="t('setup.film.captions')">
      <p class="soft">{{ t('setup.film.captions') }}</p>
      <ul v-if="item.captions.length > 0">
        <li v-for="one in item.captions" :key="one.language">
          <span>{{ languageName(one.language, locale) }}</span>
          <span class="soft name" dir="auto">{{ one.file.name }}</span>
          <IconButton
            v-if="!readonly"
            :icon="IconX"
            :label="t('setup.film.remove', { language: languageName(one.language, locale) })"
            @click="remove(one.language)"
          />
        </li>
      </ul>
      <p v-else class="soft">{{ t('setup.film.none') }}</p>
      <div v-if="!readonly && item.captions.length < MAX_CAPTIONS" class="add">
        <SelectField
          :label="t('setup.film.language')"
          :value="chosen"
          :options="languages"
          @choose="chosen = $event"
        />
        <PushButton small @click="picker?.open()">
          <IconUpload :size="16" aria-hidden="true" /> {{ t('setup.film.add') }}
        </PushButton>
        <FilePicker ref="picker" accept=".vtt,text/vtt" :label="t('setup.film.add')" @pick="take" />
      </div>
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    </div>
    <DraftField
      :key="`${item.id} chapters`"
      class="figures-field"
      name="chapters"
      :rows="4"
      :text="chapters"
      :label="t('setup.film.chapters')"
      :readonly="readonly"
      :keep-as="`${item.id} chapters`"
      :wrong="chaptersWrong"
      dir="auto"
      @type="setChapters"
    />
    <p class="soft hint">{{ t('setup.film.chaptersHint') }}</p>
  </PanelPart>
</template>

<style scoped>
.captions {
  display: grid;
  gap: 6px;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: 8px;
  align-items: center;
}

.name {
  overflow-wrap: anywhere;
}

.add {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 8px;
  align-items: center;
}

.wrong {
  padding-inline-start: 10px;
  border-inline-start: 4px solid var(--blocker);
}

.hint {
  margin-top: -6px;
  font-size: 12.5px;
}
</style>
