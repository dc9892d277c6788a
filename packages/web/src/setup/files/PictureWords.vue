<script setup lang="ts">
/** What is said of a picture: what it shows, or that it is decoration; whose it is, and how it may be used. */
import { useI18n } from 'vue-i18n';
import { VTextField } from 'vuetify/components/VTextField';
import { useDraft } from '../use-draft.ts';

type Words = 'alt' | 'author' | 'licence';
const props = defineProps<{ words: Readonly<Record<Words, string | null>>; readonly: boolean }>();
/** `typing`: more of it may follow. */
const emit = defineEmits<{ say: [field: Words, text: string | null, typing: boolean] }>();
const { t } = useI18n();

const draftOf = (field: Words): ReturnType<typeof useDraft> =>
  useDraft(
    () => props.words[field] ?? '',
    (text) => emit('say', field, text === '' ? null : text, true),
  );
const alt = draftOf('alt');
const author = draftOf('author');
const licence = draftOf('licence');
/** An empty alternative text says that a picture is decoration; none says that nobody has thought of it. */
const toggle = (): void => emit('say', 'alt', props.words.alt === '' ? null : '', false);
</script>

<template>
  <div class="about-picture">
    <VTextField
      :model-value="alt.draft.value"
      name="alt"
      maxlength="500"
      :label="t('setup.files.alt')"
      :hint="t('setup.files.altHint')"
      persistent-hint
      :disabled="words.alt === ''"
      :readonly="readonly"
      @update:model-value="alt.typed"
      @blur="alt.left"
    />
    <label class="check">
      <input type="checkbox" :checked="words.alt === ''" :disabled="readonly" @change="toggle" />
      {{ t('setup.files.decoration') }}
    </label>
    <div class="pair">
      <VTextField
        :model-value="author.draft.value"
        name="author"
        maxlength="200"
        :label="t('setup.files.author')"
        :readonly="readonly"
        @update:model-value="author.typed"
        @blur="author.left"
      />
      <VTextField
        :model-value="licence.draft.value"
        name="licence"
        maxlength="200"
        :label="t('setup.files.licence')"
        :readonly="readonly"
        @update:model-value="licence.typed"
        @blur="licence.left"
      />
    </div>
  </div>
</template>

<style scoped>
.about-picture {
  display: grid;
  gap: 8px;
  width: 100%;
}

.check {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 28px;
}

.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}

.check input {
  accent-color: var(--bottle);
}
</style>
