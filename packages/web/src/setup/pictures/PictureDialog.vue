<script setup lang="ts">
/** Pictures that are there already: in the library that ships with the product, and in one's own courses. */
import type { LibraryAnswer, OwnPicturesAnswer, TakenPicture, TakePicture } from '@itinerary/contract';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask, path } from '../../api/client.ts';
import { useProblemSentence } from '../../words/problems.ts';
import DialogBox from '../../ui/frame/DialogBox.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import { VTextField } from 'vuetify/components/VTextField';
import BareButton from '../../ui/frame/BareButton.vue';

const props = defineProps<{ courseId: string }>();
const emit = defineEmits<{ take: [picture: TakenPicture] }>();
const isOpen = defineModel<boolean>({ required: true });
const { t } = useI18n();
const sentence = useProblemSentence();
const side = ref<'library' | 'own'>('library');
const find = ref('');
const library = ref<LibraryAnswer['pictures'] | null>(null);
const own = ref<OwnPicturesAnswer['pictures'] | null>(null);
const failure = ref<string | null>(null);
const isBusy = ref(false);

async function attempt(work: () => Promise<void>): Promise<void> {
  failure.value = null;
  try {
    await work();
  } catch (error) {
    failure.value = sentence(error);
  }
}
watch([isOpen, side], ([open, now]) => {
  if (!open) return;
  if (now === 'library' && library.value === null) {
    void attempt(async () => {
      library.value = (await ask('GET /api/library', {})).pictures;
    });
  }
  if (now === 'own') {
    void attempt(async () => {
      own.value = (
        await ask('GET /api/courses/{course}/pictures', { params: { course: props.courseId } })
      ).pictures;
    });
  }
});
/** Few enough to be searched where one stands; the server answers the same to other programs. */
const found = computed(() => {
  const words = find.value.toLowerCase().split(/\s+/).filter(Boolean);
  return (library.value ?? []).filter(({ title, tags, author }) => {
    const all = [title, author, ...tags].join(' ').toLowerCase();
    return words.every((word) => all.includes(word));
  });
});

async function take(choice: TakePicture): Promise<void> {
  isBusy.value = true;
  await attempt(async () => {
    const body = choice;
    emit(
      'take',
      await ask('POST /api/courses/{course}/pictures', { params: { course: props.courseId }, body }),
    );
  });
  isBusy.value = false;
}
</script>

<template>
  <DialogBox v-model="isOpen" :title="t('setup.look.choosePicture')" :width="860">
    <div class="sides" role="group" :aria-label="t('setup.look.whence')">
      <BareButton
        v-for="one in ['library', 'own'] as const"
        :key="one"
        :aria-pressed="side === one"
        @click="side = one"
      >
        {{ t(`setup.look.whences.${one}`) }}
      </BareButton>
    </div>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <template v-if="side === 'library'">
      <VTextField v-model="find" class="find" type="search" maxlength="100" :label="t('setup.look.find')" />
      <p class="visually-hidden" role="status">{{ t('setup.look.found', found.length) }}</p>
      <ul>
        <li v-for="picture in found" :key="picture.id">
          <BareButton :disabled="isBusy" @click="take({ from: 'library', id: picture.id })">
            <img :src="path`/api/library/${picture.id}`" alt="" loading="lazy" />
            <strong>{{ picture.title }}</strong>
            <span class="soft">{{ picture.author }} · {{ picture.licence }}</span>
          </BareButton>
        </li>
      </ul>
      <p v-if="library !== null && found.length === 0" class="soft">{{ t('setup.look.noneFound') }}</p>
    </template>
    <template v-else>
      <ul>
        <li v-for="{ course, code, file } in own ?? []" :key="`${course} ${file.hash}`">
          <BareButton :disabled="isBusy" @click="take({ from: 'course', course, hash: file.hash })">
            <img :src="path`/api/courses/${course}/files/${file.hash}`" alt="" loading="lazy" />
            <strong>{{ file.name }}</strong>
            <span class="soft figures">{{ code }}</span>
          </BareButton>
        </li>
      </ul>
      <p v-if="own !== null && own.length === 0" class="soft">{{ t('setup.look.noneOwn') }}</p>
    </template>
    <template #foot>
      <PushButton @click="isOpen = false">{{ t('common.cancel') }}</PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
.sides {
  display: flex;
  margin-bottom: 10px;
}

.sides button {
  flex: 1;
  min-height: 34px;
  border: 1px solid var(--field-rule);
  background: none;
  color: var(--ink);
  cursor: pointer;
}

.sides [aria-pressed='true'] {
  background: var(--card);
  box-shadow: inset 0 3px 0 var(--route);
  font-weight: 600;
}

.find {
  display: grid;
  gap: 2px;
  max-width: 320px;
  margin-bottom: 10px;
}

ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: 12px;
  max-height: 52vh;
  margin: 0;
  padding: 2px;
  overflow-y: auto;
  list-style: none;
}

li button {
  display: grid;
  gap: 1px;
  width: 100%;
  padding: 0 0 6px;
  border: 1px solid var(--rule);
  border-radius: 6px;
  background: var(--card);
  color: var(--ink);
  overflow: hidden;
  text-align: start;
  cursor: pointer;
}

li button:hover {
  border-color: var(--bottle);
}

li img {
  width: 100%;
  height: 104px;
  object-fit: cover;
}

li strong,
li .soft {
  padding: 0 8px;
  font-size: 13px;
  overflow-wrap: anywhere;
}

li .soft {
  font-size: 12px;
}

.failure {
  margin-bottom: 8px;
  color: var(--blocker);
}
</style>
