<script setup lang="ts">
/** A formula, typed as TeX and set below as it is typed. */
import { computed, onMounted, ref, useId, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import CheckField from '../../../ui/fields/CheckField.vue';
import { formula } from '../formulas.ts';
import PushButton from '../../../ui/frame/PushButton.vue';

const props = defineProps<{
  /** Null: a new one. */
  current: { readonly tex: string; readonly isBlock: boolean } | null;
}>();
const emit = defineEmits<{ set: [tex: string, isBlock: boolean]; close: [] }>();
const { t } = useI18n();
const id = useId();
const field = ref<HTMLTextAreaElement | null>(null);
const tex = ref('');
const isBlock = ref(false);
const html = computed(() => formula({ kind: 'formula', tex: tex.value, isBlock: isBlock.value }));

watch(
  () => props.current,
  (now) => {
    tex.value = now?.tex ?? '';
    isBlock.value = now?.isBlock ?? false;
  },
  { immediate: true },
);
// A new one was asked for; one that was come across leaves the focus where it is.
onMounted(() => {
  if (props.current === null) field.value?.focus();
});

function set(): void {
  if (tex.value.trim() !== '') emit('set', tex.value.trim(), isBlock.value);
}
</script>

<template>
  <form class="form" @submit.prevent="set" @keydown.esc.stop="emit('close')">
    <label :for="id">{{ t('setup.text.tex') }}</label>
    <textarea
      :id="id"
      ref="field"
      v-model="tex"
      class="input figures"
      rows="2"
      maxlength="4000"
      spellcheck="false"
      autocapitalize="off"
      @keydown.enter.exact.prevent="set"
    />
    <!-- Set by KaTeX from TeX, without trust. -->
    <!-- eslint-disable-next-line vue/no-v-html -->
    <output v-if="tex.trim() !== ''" :for="id" class="rich-text set" v-html="html" />
    <CheckField :checked="isBlock" :disabled="false" @toggle="isBlock = $event">
      {{ t('setup.text.formulaBlock') }}
    </CheckField>
    <div class="acts">
      <PushButton weight="main" small type="submit" :disabled="tex.trim() === ''">
        {{ t(current === null ? 'setup.text.insertFormula' : 'setup.text.changeFormula') }}
      </PushButton>
      <PushButton v-if="current === null" small @click="emit('close')">
        {{ t('common.cancel') }}
      </PushButton>
    </div>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  gap: 6px;
}

textarea {
  width: 100%;
}

.set {
  display: block;
  max-width: none;
  padding: 6px 8px;
  overflow-x: auto;
  border-radius: 4px;
  background: var(--card);
}

.acts {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 28px;
}
</style>
