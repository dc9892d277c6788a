<script setup lang="ts">
/** A formula, typed as TeX and set below as it is typed. */
import { computed, onMounted, ref, useId, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import DraftField from '../../../ui/fields/DraftField.vue';
import { useForm } from '../../../ui/fields/reading/refusals.ts';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import { formula } from '../formulas.ts';
import PushButton from '../../../ui/frame/PushButton.vue';

const props = defineProps<{
  /** Null: a new one. */
  current: { readonly tex: string; readonly isBlock: boolean } | null;
}>();
const emit = defineEmits<{ set: [tex: string, isBlock: boolean]; close: [] }>();
const { t } = useI18n();
const id = useId();
const field = ref<{ focus: () => void } | null>(null);
/** As long as the server keeps one. */
const MAX_FORMULA = 4000;
const form = useForm();
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
  if (tex.value !== '' && !form.isRefused.value) emit('set', tex.value, isBlock.value);
}
</script>

<template>
  <form class="form" @submit.prevent="set" @keydown.esc.stop="emit('close')">
    <DraftField
      :id="id"
      ref="field"
      :text="tex"
      class="figures-field"
      :label="t('setup.text.tex')"
      :rows="2"
      :most="MAX_FORMULA"
      spellcheck="false"
      autocapitalize="off"
      @type="tex = $event"
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
