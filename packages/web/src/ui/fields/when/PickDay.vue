<script setup lang="ts">
/** What stands at the end of a field with a day in it: a month to pick from. */
import { IconCalendar } from '@tabler/icons-vue';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { VMenu } from 'vuetify/components/VMenu';
import IconButton from '../../frame/IconButton.vue';
import MonthPicker from './MonthPicker.vue';

defineProps<{ day: string | null; label: string }>();
const emit = defineEmits<{ pick: [day: string] }>();
const { t } = useI18n();
const isOpen = ref(false);

function pick(day: string): void {
  isOpen.value = false;
  emit('pick', day);
}
</script>

<template>
  <VMenu v-model="isOpen" :close-on-content-click="false" location="bottom end">
    <template #activator="{ props: opener }">
      <IconButton
        v-bind="opener"
        class="pick"
        :icon="IconCalendar"
        :label="t('common.pickDayFor', { label })"
        :hint="t('common.pickDay')"
      />
    </template>
    <MonthPicker :day="day" @pick="pick" />
  </VMenu>
</template>

<style scoped>
.pick {
  width: 28px;
  min-height: 28px;
  color: var(--ink-soft);
}
</style>
