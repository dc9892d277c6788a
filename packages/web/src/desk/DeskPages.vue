<script setup lang="ts">
/** Which part of a long list is shown, and the way to the others. */
import { computed, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { VPagination } from 'vuetify/components/VPagination';

const props = defineProps<{ pages: number; total: number; rows: number }>();
const page = defineModel<number>({ required: true });
const { t } = useI18n();
const from = computed(() => (page.value - 1) * props.rows + 1);
// The first of them stand at the top.
watch(page, () => scrollTo({ top: 0 }));
const to = computed(() => Math.min(props.total, page.value * props.rows));
</script>

<template>
  <div class="pages">
    <span class="figures soft">{{ t('desk.pagesOf.part', { from, to, total }) }}</span>
    <VPagination
      v-model="page"
      :length="pages"
      :total-visible="7"
      density="comfortable"
      active-color="primary"
      :aria-label="t('desk.pagesOf.title')"
    />
  </div>
</template>

<style scoped>
.pages {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: center;
  justify-content: space-between;
  margin-top: 16px;
}
</style>
