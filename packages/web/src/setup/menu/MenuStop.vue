<script setup lang="ts">
/** What learners find their way by, and where they arrive. */
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { ownWords } from '../../words/own-words.ts';
import { usePlan } from '../../stores/plan.ts';
import ChoiceTiles from '../../ui/fields/choice/ChoiceTiles.vue';
import PartLinks from '../frame/PartLinks.vue';
import StopHead from '../frame/StopHead.vue';
import { useFieldFocus } from '../fields/use-field-focus.ts';
import AreaPart from './AreaPart.vue';
import ArrivePart from './ArrivePart.vue';
import ComparePart from './ComparePart.vue';
import HomePart from './HomePart.vue';
import MenuPart from './MenuPart.vue';
import LaterPart from '../../ui/frame/LaterPart.vue';

const { t, locale } = useI18n();
const plan = usePlan();
useFieldFocus();
const course = computed(() => plan.course!);
const parts = computed(() =>
  (['menu', 'arrive', 'home', 'areas', 'compare', 'site'] as const).map(
    (part) => [`${part}-part`, t(`setup.menu.parts.${part}`)] as const,
  ),
);
const places = computed(() =>
  (['top', 'side'] as const).map((value) => ({
    value,
    title: t(`setup.menu.places.${value}`),
    text: t(`setup.menu.placeTexts.${value}`),
  })),
);
const site = computed(() => plan.face.pages.find(({ use }) => use === 'site') ?? null);
/** Where this application stands is known to the browser alone. */
const address = computed(() => `${location.origin}/courses/${course.value.id}`);
</script>

<template>
  <StopHead stop="menu" />
  <PartLinks :parts="parts" />
  <div class="stop">
    <MenuPart :readonly="plan.isReadonly" />
    <ChoiceTiles
      :legend="t('setup.menu.places.legend')"
      :tiles="places"
      :chosen="course.menuPlace"
      :disabled="plan.isReadonly"
      compact
      @choose="plan.set(course.id, 'menuPlace', $event, course.menuPlace)"
    />
    <LaterPart><ArrivePart :readonly="plan.isReadonly" /></LaterPart>
    <LaterPart><HomePart :readonly="plan.isReadonly" /></LaterPart>
    <LaterPart><AreaPart :readonly="plan.isReadonly" /></LaterPart>
    <LaterPart><ComparePart :readonly="plan.isReadonly" /></LaterPart>
    <section aria-labelledby="site-part">
      <h2 id="site-part">{{ t('setup.menu.parts.site') }}</h2>
      <p v-if="site">
        {{ t('setup.menu.site.back', { name: ownWords(site.names, locale) ?? '' }) }}
        <a :href="site.address" target="_blank" rel="noopener noreferrer">{{ site.address }}</a>
      </p>
      <p v-else class="soft">{{ t('setup.menu.site.none') }}</p>
      <p>
        {{ t('setup.menu.site.forth') }} <span class="figures address">{{ address }}</span>
      </p>
    </section>
  </div>
</template>

<style scoped>
.stop {
  display: grid;
  gap: 24px;
  max-width: 860px;
}

.stop :deep(h2) {
  font-size: 17px;
}

.address {
  overflow-wrap: anywhere;
  user-select: all;
}
</style>
