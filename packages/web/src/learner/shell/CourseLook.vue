<script setup lang="ts">
/** The look of a course, for all that stands in it: colours, faces, size, density, corners. */
import type { LookView } from '@itinerary/core';
import { computed } from 'vue';
import { useTheme } from 'vuetify';
import { DARK, LIGHT } from '../../theme/tokens.ts';

const props = withDefaults(
  defineProps<{
    look: LookView | null;
    /** Left out: as the page around it is. */
    dark?: boolean | undefined;
  }>(),
  { dark: undefined },
);
const theme = useTheme();
const isDark = computed(() => props.dark ?? theme.current.value.dark);

const FACES: Readonly<Record<LookView['heading'], string>> = {
  bricolage: "'Bricolage Grotesque Variable'",
  atkinson: "'Atkinson Hyperlegible Next Variable'",
  literata: "'Literata Variable'",
  familjen: "'Familjen Grotesk Variable'",
};
const SIZES: Readonly<Record<LookView['size'], string>> = { small: '14px', usual: '15px', large: '17px' };
const CORNERS: Readonly<Record<LookView['corners'], string>> = { square: '0px', eased: '6px', round: '14px' };

const style = computed(() => {
  const { look } = props;
  if (look === null) return {};
  const own = isDark.value ? look.colours?.dark : look.colours?.light;
  // Shown otherwise than the page around it, even the product's own colours have to be said.
  const palette = own ?? (props.dark === undefined ? undefined : isDark.value ? DARK : LIGHT);
  return {
    ...Object.fromEntries(Object.entries(palette ?? {}).map(([name, hex]) => [`--${name}`, hex])),
    '--font-heading': `${FACES[look.heading]}, 'Noto Sans Arabic Variable', 'Noto Sans', sans-serif`,
    '--text-size': SIZES[look.size],
    '--corner': CORNERS[look.corners],
    '--gap': look.density === 'dense' ? '14px' : '22px',
  };
});
</script>

<template>
  <div :class="['look', { dark: isDark, dense: look?.density === 'dense' }]" :style="style">
    <slot />
  </div>
</template>

<style scoped>
.look {
  color: var(--ink);
  font-size: var(--text-size);
}
</style>
