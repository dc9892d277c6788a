<script setup lang="ts">
/** In which order names stand where people are looked up: the institution's, for all its courses. */
import { NAME_ORDERS } from '@itinerary/core/people';
import type { NameOrder } from '@itinerary/core/people';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../api/client.ts';
import { useSession } from '../stores/session.ts';
import ChoiceList from '../ui/fields/choice/ChoiceList.vue';
import PushButton from '../ui/frame/PushButton.vue';
import KeepingDialog from './KeepingDialog.vue';
import { useKeeping } from './use-keeping.ts';

const isOpen = defineModel<boolean>({ required: true });
const { t } = useI18n();
const session = useSession();
const { failure, said, isBusy, attempt } = useKeeping();
const choices = computed(() =>
  NAME_ORDERS.map((value) => ({
    value,
    title: t(`desk.names.orders.${value}`),
    text: t(`desk.names.examples.${value}`),
  })),
);

async function choose(nameOrder: NameOrder): Promise<void> {
  await attempt(async () => {
    session.keepOfInstitution(await ask('PUT /api/institution/names', { body: { nameOrder } }));
    return t('desk.names.kept', { order: t(`desk.names.orders.${nameOrder}`) });
  });
}
</script>

<template>
  <KeepingDialog
    v-model="isOpen"
    :title="t('desk.names.title')"
    :text="t('desk.names.text')"
    :width="520"
    :failure="failure"
    :said="said"
  >
    <ChoiceList
      class="orders"
      :legend="t('desk.names.title')"
      legend-hidden
      :choices="choices"
      :chosen="session.me?.institution.nameOrder ?? null"
      :disabled="isBusy"
      @choose="choose"
    />
    <template #foot>
      <PushButton weight="main" @click="isOpen = false">{{ t('common.close') }}</PushButton>
    </template>
  </KeepingDialog>
</template>

<style scoped>
.orders {
  margin-top: 12px;
}
</style>
