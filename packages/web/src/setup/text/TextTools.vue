<script setup lang="ts">
/** The tools of the editor, all in view: one stop of the Tab key, and arrows from one to the next. */
import { nextTick, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import BareButton from '../../ui/frame/BareButton.vue';

export interface Tool {
  /** Its words are `setup.text.NAME`. */
  readonly name: string;
  readonly icon: unknown;
  /** Undefined: pressing it is an act, not a state. */
  readonly on?: boolean;
  readonly run: () => void;
}

const props = defineProps<{ tools: readonly Tool[]; label: string }>();
const { t } = useI18n();
const bar = ref<HTMLElement | null>(null);
const current = ref(0);

async function walk(event: KeyboardEvent): Promise<void> {
  const last = props.tools.length - 1;
  const next = {
    ArrowRight: Math.min(current.value + 1, last),
    ArrowLeft: Math.max(current.value - 1, 0),
    Home: 0,
    End: last,
  }[event.key];
  if (next === undefined) return;
  event.preventDefault();
  current.value = next;
  await nextTick();
  bar.value?.querySelectorAll('button')[next]?.focus();
}
</script>

<template>
  <div ref="bar" class="tools" role="toolbar" :aria-label="label" @keydown="walk">
    <BareButton
      v-for="(tool, at) in tools"
      :key="tool.name"
      :tabindex="at === Math.min(current, tools.length - 1) ? 0 : -1"
      :aria-pressed="tool.on"
      :aria-label="t(`setup.text.${tool.name}`)"
      :title="t(`setup.text.${tool.name}`)"
      @focus="current = at"
      @click="tool.run"
    >
      <component :is="tool.icon" :size="18" aria-hidden="true" />
    </BareButton>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 2px;
  padding: 2px 6px;
  border-bottom: 1px solid var(--rule);
}

button {
  display: grid;
  place-items: center;
  width: 30px;
  height: 30px;
  padding: 0;
  border: 0;
  border-radius: 4px;
  background: none;
  color: inherit;
  cursor: pointer;
}

button:hover {
  background: var(--mist);
}

button[aria-pressed='true'] {
  background: var(--bottle-pale);
  color: var(--bottle);
}
</style>
