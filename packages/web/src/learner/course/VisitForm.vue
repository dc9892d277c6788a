<script setup lang="ts">
/** Visitors are asked for the passphrase on each visit. */
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../../api/client.ts';
import { useProblemSentence } from '../../words/problems.ts';

const props = defineProps<{ courseId: string }>();
const emit = defineEmits<{ in: [] }>();
const { t } = useI18n();
const sentence = useProblemSentence();
const said = ref('');
const failure = ref<string | null>(null);

async function visit(): Promise<void> {
  failure.value = null;
  try {
    const body = { passphrase: said.value };
    await ask('POST /api/learn/{course}/visit', { params: { course: props.courseId }, body });
    emit('in');
  } catch (error) {
    failure.value = sentence(error);
  }
}
</script>

<template>
  <form class="visit" @submit.prevent="visit">
    <label>
      <span class="soft">{{ t('learner.public.passphrase') }}</span>
      <input v-model="said" class="input" type="password" maxlength="200" autocomplete="off" required />
    </label>
    <button class="button main" type="submit" :disabled="said.trim() === ''">
      {{ t('learner.public.visit') }}
    </button>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
  </form>
</template>

<style scoped>
.visit {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: end;
  margin-top: 14px;
  padding: 12px 16px;
  border-top: 3px solid var(--route);
  background: var(--mist);
}

label {
  display: grid;
  gap: 2px;
}

.failure {
  width: 100%;
  color: var(--blocker);
}
</style>
