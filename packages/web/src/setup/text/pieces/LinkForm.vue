<script setup lang="ts">
/** Where chosen words lead: to an address, or to an item of the course, which stays right when that moves. */
import { IconUnlink } from '@tabler/icons-vue';
import { addressSchema, allLivingItems, isContent, livingSections, numberOf } from '@itinerary/core';
import { computed, nextTick, onMounted, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { VAutocomplete } from 'vuetify/components/VAutocomplete';
import { usePlan } from '../../../stores/plan.ts';
import { VTextField } from 'vuetify/components/VTextField';
import ChoiceList from '../../../ui/fields/choice/ChoiceList.vue';
import PushButton from '../../../ui/frame/PushButton.vue';

const props = defineProps<{
  address: string | null;
  item: string | null;
  /** There are words to lead from; without, the item's own number and title stand there. */
  hasWords: boolean;
}>();
const emit = defineEmits<{
  address: [href: string, typed: string];
  item: [id: string];
  unlink: [];
  close: [];
}>();
const { t } = useI18n();
const plan = usePlan();
const WAYS = ['address', 'item'] as const;
const way = ref<'address' | 'item'>(props.item === null ? 'address' : 'item');
const typed = ref(props.address ?? '');
const isWrong = ref(false);
const field = ref<{ focus: () => void } | null>(null);
onMounted(() => nextTick(() => field.value?.focus()));

const items = computed(() => {
  if (plan.course === null) return [];
  return livingSections(plan.course)
    .flatMap((section) => allLivingItems(section))
    .filter((item) => isContent(item))
    .map((item) => {
      const number = plan.planned === null ? null : numberOf(plan.planned, item.id);
      return { value: item.id, title: number === null ? item.title : `${number} ${item.title}` };
    });
});

/** "example.org" means https, and a name at a place is a mail address. */
function full(text: string): string {
  if (/^[a-z][a-z0-9+.-]*:/i.test(text)) return text;
  return text.includes('@') ? `mailto:${text}` : `https://${text}`;
}

function link(): void {
  if (way.value === 'item') return;
  const text = typed.value.trim();
  isWrong.value = !addressSchema.safeParse(full(text)).success;
  if (!isWrong.value) emit('address', full(text), text);
}
</script>

<template>
  <form class="form" @submit.prevent="link" @keydown.esc.stop="emit('close')">
    <ChoiceList
      class="ways"
      :legend="t('setup.text.linkTo')"
      :choices="
        WAYS.map((value) => ({ value, title: t(`setup.text.${value === 'item' ? 'toItem' : 'toAddress'}`) }))
      "
      :chosen="way"
      @choose="way = $event"
    />
    <div v-if="way === 'address'" class="line">
      <VTextField
        ref="field"
        v-model="typed"
        class="address"
        density="compact"
        inputmode="url"
        :label="t('setup.text.address')"
        :error-messages="isWrong ? [t('setup.text.addressWrong')] : []"
        :aria-invalid="isWrong"
        hide-details="auto"
      />
      <PushButton weight="main" small type="submit">{{ t('setup.text.setLink') }}</PushButton>
    </div>
    <VAutocomplete
      v-else
      :model-value="item"
      :items="items"
      :label="t('setup.text.item')"
      :hint="hasWords ? undefined : t('setup.text.itemHint')"
      :no-data-text="t('setup.text.noItem')"
      auto-select-first
      persistent-hint
      density="compact"
      @update:model-value="(chosen) => chosen && emit('item', chosen)"
    />
    <div class="line">
      <PushButton v-if="address !== null || item !== null" small @click="emit('unlink')">
        <IconUnlink :size="16" aria-hidden="true" /> {{ t('setup.text.unlink') }}
      </PushButton>
      <PushButton small @click="emit('close')">{{ t('common.cancel') }}</PushButton>
    </div>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  gap: 8px;
}

.line {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 8px;
  align-items: center;
}

.address {
  flex: 1;
  min-width: 160px;
}
</style>
