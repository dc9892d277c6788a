<script setup lang="ts">
/** The colour of the course: a preset, or any; and what it had to become to be read. */
import { contrastOf, PRESETS, themeOf } from '@itinerary/core';
import type { Palette } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatNumber } from '../../words/intl.ts';
import ColourField from '../../ui/fields/ColourField.vue';
import { usePlan } from '../../stores/plan.ts';
import BareButton from '../../ui/frame/BareButton.vue';

const props = defineProps<{ readonly: boolean }>();
const { t, locale } = useI18n();
const plan = usePlan();
const course = computed(() => plan.course!);
const seed = computed(() => course.value.look.seed);
const theme = computed(() => (seed.value === null ? null : themeOf(seed.value)));
function set(value: string | null, typing = false): void {
  if (!props.readonly) plan.set(course.value.id, 'look.seed', value, seed.value, { typing });
}
/** Below this nobody sees that anything was moved. */
const SEEN = 0.02;
const modes = computed(() => {
  const now = theme.value;
  if (now === null) return [];
  return (['light', 'dark'] as const).map((mode) => {
    const palette: Palette = now[mode];
    return {
      mode,
      used: palette.bottle,
      card: palette.card,
      ink: palette.ink,
      moved: now.moved[mode] > SEEN,
      before: contrastOf(now.seed, palette.card),
      after: contrastOf(palette.bottle, palette.card),
    };
  });
});
const ratio = (value: number): string =>
  `${formatNumber(Math.floor(value * 10) / 10, locale.value, { minimumFractionDigits: 1 })}:1`;
</script>

<template>
  <section id="field-seed" aria-labelledby="colour-part" tabindex="-1">
    <h2 id="colour-part">{{ t('setup.look.parts.colour') }}</h2>
    <p class="soft">{{ t('setup.look.colourText') }}</p>
    <div class="presets" role="group" :aria-label="t('setup.look.presets')">
      <BareButton :aria-pressed="seed === null" :disabled="readonly" @click="set(null)">
        <span class="swatch own" /> {{ t('setup.look.ownColours') }}
      </BareButton>
      <BareButton
        v-for="preset in PRESETS"
        :key="preset.name"
        :aria-pressed="seed === preset.seed"
        :disabled="readonly"
        @click="set(preset.seed)"
      >
        <span class="swatch" :style="{ background: preset.seed }" />
        {{ t(`setup.look.presetNames.${preset.name}`) }}
      </BareButton>
    </div>
    <ColourField
      class="any"
      name="seed"
      :colour="seed"
      :label="t('setup.look.anyColour')"
      :readonly="readonly"
      @set="set"
    />
    <ul v-if="theme" class="modes">
      <li v-for="one in modes" :key="one.mode">
        <div class="sample" :style="{ background: one.card, color: one.ink }">
          <strong>{{ t(`setup.look.modes.${one.mode}`) }}</strong>
          <span class="pair">
            <span class="chip" :style="{ background: theme.seed }" />
            <span aria-hidden="true">→</span>
            <span class="chip" :style="{ background: one.used }" />
          </span>
          <span class="words" :style="{ color: one.used }">{{ t('setup.look.sample') }}</span>
        </div>
        <p>
          {{
            one.moved
              ? t('setup.look.moved', {
                  from: theme.seed,
                  to: one.used,
                  before: ratio(one.before),
                  after: ratio(one.after),
                })
              : t('setup.look.unmoved', { to: one.used, after: ratio(one.after) })
          }}
        </p>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.presets {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(138px, 1fr));
  gap: 6px;
  margin-top: 8px;
}

.presets button {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 36px;
  padding: 3px 8px;
  border: 1px solid var(--rule);
  border-radius: 6px;
  background: var(--card);
  color: var(--ink);
  text-align: start;
  cursor: pointer;
}

.presets [aria-pressed='true'] {
  border-color: var(--bottle);
  outline: 2px solid var(--bottle);
  outline-offset: -2px;
}

.swatch {
  flex: none;
  width: 24px;
  height: 24px;
  border: 1px solid var(--field-rule);
  border-radius: 4px;
}

.own {
  background: #15493b;
}

.any {
  max-width: 320px;
  margin-top: 12px;
}

.modes {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: 12px;
  margin: 12px 0 0;
  padding: 0;
  list-style: none;
}

.sample {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
  padding: 10px 14px;
  border: 1px solid var(--field-rule);
  border-radius: 6px;
}

.pair {
  display: flex;
  gap: 6px;
  align-items: center;
}

.chip {
  width: 34px;
  height: 24px;
  border: 1px solid var(--field-rule);
  border-radius: 4px;
}

.words {
  font-weight: 600;
  text-decoration: underline;
}

.modes p {
  margin-top: 4px;
  font-size: 13px;
}
</style>
