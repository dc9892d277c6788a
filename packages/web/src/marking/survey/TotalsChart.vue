<script setup lang="ts">
/** How often each step or choice was taken, as bars from the side, with the count at each. */
import { BarChart } from 'echarts/charts';
import { AriaComponent, GridComponent } from 'echarts/components';
import { use } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { computed } from 'vue';
import VChart from 'vue-echarts';
import { useTheme } from 'vuetify';

use([BarChart, GridComponent, AriaComponent, SVGRenderer]);

const props = defineProps<{
  label: string;
  bars: readonly { readonly key: string; readonly title: string; readonly count: number }[];
}>();
const theme = useTheme();
const FONT = "'Atkinson Hyperlegible Mono Variable', monospace";
const BAR = 34;

const option = computed(() => {
  const colours = theme.current.value.colors as Readonly<Record<string, string>>;
  const ink = colours['ink'] ?? '#000';
  return {
    animation: false,
    aria: { enabled: true },
    textStyle: { fontFamily: FONT, color: ink },
    grid: { left: 8, right: 40, top: 4, bottom: 4, containLabel: true },
    xAxis: { type: 'value', show: false, minInterval: 1, min: 0 },
    yAxis: {
      type: 'category',
      inverse: true,
      data: props.bars.map(({ title }) => title),
      axisTick: { show: false },
      axisLine: { lineStyle: { color: colours['rule'] ?? '#ddd' } },
      axisLabel: { color: ink, width: 240, overflow: 'break', fontSize: 13.5 },
    },
    series: [
      {
        type: 'bar',
        barMaxWidth: 18,
        data: props.bars.map(({ count }) => count),
        itemStyle: { color: colours['bottle'] ?? '#154' },
        label: { show: true, position: 'right', color: ink, fontFamily: FONT },
      },
    ],
  };
});
</script>

<template>
  <VChart
    class="totals"
    :style="{ height: `${bars.length * BAR + 8}px` }"
    :option="option"
    autoresize
    role="img"
    :aria-label="label"
  />
</template>

<style scoped>
.totals {
  width: 100%;
}
</style>
