<script setup lang="ts">
/** The keys there are. Opened with a question mark. */
import { useI18n } from 'vue-i18n';
import DialogBox from '../ui/frame/DialogBox.vue';
import PushButton from '../ui/frame/PushButton.vue';

const open = defineModel<boolean>({ required: true });
const { t } = useI18n();
const isMac = /Mac|iPhone|iPad/.test(navigator.userAgent);
const control = isMac ? '⌘' : 'Ctrl';
const KEYS = [
  { name: 'palette', keys: [control, 'K'] },
  { name: 'undo', keys: [control, 'Z'] },
  { name: 'redo', keys: [control, 'Shift', 'Z'] },
  { name: 'cells', keys: ['↑', '↓', '←', '→'] },
  { name: 'move', keys: ['Alt', '↑ ↓'] },
  { name: 'select', keys: ['Space', 'Shift ↓', `${control} A`] },
  { name: 'marker', keys: ['←', '→'] },
  { name: 'week', keys: ['Page ↑ ↓'] },
  { name: 'list', keys: ['?'] },
] as const;
</script>

<template>
  <DialogBox v-model="open" :title="t('common.shortcuts.title')">
    <dl>
      <div v-for="{ name, keys } in KEYS" :key="name">
        <dt>{{ t(`common.shortcuts.${name}`) }}</dt>
        <dd>
          <kbd v-for="key in keys" :key="key" class="figures">{{ key }}</kbd>
        </dd>
      </div>
    </dl>
    <template #foot>
      <PushButton @click="open = false">{{ t('common.close') }}</PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
dl {
  margin: 0;
}

dl > div {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}

dd {
  display: flex;
  gap: 4px;
  margin: 0;
}

kbd {
  padding: 0 7px;
  border: 1px solid var(--field-rule);
  border-radius: 4px;
  background: var(--mist);
  font-size: 13px;
}
</style>
