<script setup lang="ts">
/** All areas in one list, each on or off: off, no menu and no address leads there, and what is in it is untouched. */
import { AREAS } from '@itinerary/core';
import type { Area } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import AreaSign from '../../learner/shell/AreaSign.vue';
import { usePlan } from '../../stores/plan.ts';
import CheckField from '../../ui/fields/choice/CheckField.vue';

defineProps<{ readonly: boolean }>();
const { t } = useI18n();
const plan = usePlan();

function turn(area: Area, on: boolean): void {
  const course = plan.course!;
  plan.set(course.id, `areas.${area}`, on ? null : 'off', course.areas[area] ?? null);
}
</script>

<template>
  <section aria-labelledby="areas-part">
    <h2 id="areas-part">{{ t('setup.menu.parts.areas') }}</h2>
    <p class="soft">{{ t('setup.menu.areasText') }}</p>
    <ul>
      <li v-for="area in AREAS" :key="area">
        <CheckField
          :checked="plan.course!.areas[area] !== 'off'"
          :disabled="readonly"
          @toggle="turn(area, $event)"
        >
          <span class="area">
            <AreaSign :item="{ to: 'area', area }" :size="17" />
            <span>
              {{ t(`learner.areas.${area}`) }}
              <span class="soft">{{ t(`setup.menu.areaTexts.${area}`) }}</span>
            </span>
          </span>
        </CheckField>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
  gap: 0 24px;
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}

li {
  border-bottom: 1px solid var(--rule);
}

.area {
  display: flex;
  gap: 9px;
  align-items: center;
  padding-block: 3px;
}

.soft {
  display: block;
  font-size: 12.5px;
  line-height: 1.3;
}
</style>
