<script setup lang="ts">
/** What a course is for, as tiles. Readiness stays silent about what makes no sense for it. */
import { IconFlask, IconSchool, IconUsersGroup } from '@tabler/icons-vue';
import type { Purpose } from '@itinerary/core';
import { useId } from 'vue';
import { useI18n } from 'vue-i18n';

const purpose = defineModel<Purpose>({ required: true });
const { t } = useI18n();
const group = useId();
const TILES = [
  { value: 'learners', icon: IconSchool },
  { value: 'practice', icon: IconFlask },
  { value: 'circle', icon: IconUsersGroup },
] as const;
</script>

<template>
  <fieldset class="tiles">
    <legend>{{ t('setup.about.purpose') }}</legend>
    <label v-for="tile in TILES" :key="tile.value" :class="{ chosen: purpose === tile.value }">
      <input v-model="purpose" class="visually-hidden" type="radio" :name="group" :value="tile.value" />
      <component :is="tile.icon" :size="22" :stroke-width="1.75" aria-hidden="true" />
      <strong>{{ t(`setup.about.purposes.${tile.value}`) }}</strong>
      <span class="soft">{{ t(`setup.about.purposeTexts.${tile.value}`) }}</span>
    </label>
  </fieldset>
</template>

<style scoped>
.tiles {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 10px;
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  margin-bottom: 6px;
  padding: 0;
  font-weight: 600;
}

label {
  position: relative;
  display: grid;
  gap: 2px;
  align-content: start;
  padding: 12px 14px;
  border: 1px solid var(--rule);
  border-radius: 8px;
  background: var(--card);
  cursor: pointer;
}

label svg {
  margin-bottom: 4px;
  color: var(--route);
}

label .soft {
  font-size: 13px;
  line-height: 1.4;
}

label.chosen {
  border-color: var(--bottle);
  outline: 2px solid var(--bottle);
  outline-offset: -2px;
}

label:focus-within {
  box-shadow: 0 0 0 4px var(--bottle-pale);
}

@media (max-width: 620px) {
  .tiles {
    grid-template-columns: 1fr;
  }
}
</style>
