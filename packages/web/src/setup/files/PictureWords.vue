<script setup lang="ts">
/** What is said of a picture: what it shows, or that it is decoration; whose it is, and how it may be used. */
import { useI18n } from 'vue-i18n';
import CheckField from '../../ui/fields/choice/CheckField.vue';
import DraftField from '../../ui/fields/DraftField.vue';

type Words = 'alt' | 'author' | 'licence';
defineProps<{
  /** An empty `alt` says that a picture is decoration; null, that nobody has thought of it. */
  words: Readonly<Record<Words, string | null>>;
  readonly: boolean;
}>();
/** `typing`: more of it may follow. */
const emit = defineEmits<{ say: [field: Words, text: string | null, typing: boolean] }>();
const { t } = useI18n();

const say = (field: Words, text: string): void => emit('say', field, text === '' ? null : text, true);
</script>

<template>
  <div class="about-picture">
    <DraftField
      name="alt"
      :most="500"
      :text="words.alt ?? ''"
      :label="t('setup.files.alt')"
      :hint="t('setup.files.altHint')"
      persistent-hint
      :disabled="words.alt === ''"
      :readonly="readonly"
      @type="say('alt', $event)"
    />
    <CheckField
      :checked="words.alt === ''"
      :disabled="readonly"
      @toggle="emit('say', 'alt', $event ? '' : null, false)"
    >
      {{ t('setup.files.decoration') }}
    </CheckField>
    <div class="pair">
      <DraftField
        v-for="field in ['author', 'licence'] as const"
        :key="field"
        :name="field"
        :most="200"
        :text="words[field] ?? ''"
        :label="t(`setup.files.${field}`)"
        :readonly="readonly"
        @type="say(field, $event)"
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

.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
</style>
