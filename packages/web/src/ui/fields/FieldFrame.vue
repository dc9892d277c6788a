<script setup lang="ts">
/** Around a field: help that opens as a line below it, and how far what was set in it has got. */
import { IconCheck, IconDeviceFloppy, IconHelp } from '@tabler/icons-vue';
import { computed, ref, useId } from 'vue';
import { useI18n } from 'vue-i18n';
import IconButton from '../frame/IconButton.vue';
import { useFieldState } from './reading/field-state.ts';

const props = defineProps<{
  /** What the field is called. */
  label: string;
  help?: string;
  /** The field of the plan that it sets. */
  of?: string;
  /** The node that has it; left out: the course. */
  target?: string;
}>();
const { t } = useI18n();
const stateOf = useFieldState();
const id = useId();
const isOpen = ref(false);
const state = computed(() => (props.of === undefined ? null : stateOf(props.of, props.target)));
const icon = computed(() => (state.value === 'kept' ? IconDeviceFloppy : IconCheck));
</script>

<template>
  <div class="frame">
    <slot />
    <span v-if="state || help" class="signs">
      <span v-if="state" :class="['state', state]" role="img" :aria-label="t(`common.fields.${state}`)">
        <component :is="icon" :size="14" aria-hidden="true" />
      </span>
      <IconButton
        v-if="help"
        class="ask"
        :icon="IconHelp"
        :label="t('common.fields.help', { label })"
        :size="15"
        :aria-expanded="isOpen"
        :aria-controls="id"
        @click="isOpen = !isOpen"
        @keydown.esc="isOpen = false"
      />
    </span>
    <p v-if="help" v-show="isOpen" :id="id" class="help">{{ help }}</p>
  </div>
</template>

<style scoped>
.frame {
  position: relative;
  min-width: 0;
}

/* On the field's own line, where its label stands at the other end. */
.signs {
  position: absolute;
  inset-inline-end: 8px;
  top: -12px;
  z-index: 1;
  display: flex;
  align-items: center;
  background: linear-gradient(transparent 12px, var(--card) 12px);
}

.signs .ask {
  width: 24px;
  min-width: 24px;
  height: 24px;
  min-height: 24px;
  background: var(--mist);
  color: var(--ink-soft);
}

.state {
  display: grid;
  place-items: center;
  width: 22px;
  height: 22px;
}

.kept {
  color: var(--route);
}

.saved {
  color: var(--open);
}

.help {
  margin-top: 4px;
  padding: 6px 12px;
  border-inline-start: 3px solid var(--route);
  background: var(--card);
  font-size: 13.5px;
}
</style>
