<script setup lang="ts">
/** Minutes a section as bars, the target as a line over them, and the work due as figures on top. */
import { BarChart, LineChart } from 'echarts/charts';
import { AriaComponent, GridComponent, TooltipComponent } from 'echarts/components';
import { escapeHtml } from '@itinerary/core';
import { use } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { computed } from 'vue';
import VChart from 'vue-echarts';
import { useI18n } from 'vue-i18n';
import { useTheme } from 'vuetify';
import { formatMinutes } from '../../words/dates.ts';

interface Load {
  readonly number: string;
  readonly title: string;
  readonly minutes: number;
  readonly due: number;
  readonly target: number | null;
  readonly isHeavy: boolean;
}

use([BarChart, LineChart, GridComponent, TooltipComponent, AriaComponent, SVGRenderer]);

const props = defineProps<{ loads: readonly Load[] }>();
const { t, locale } = useI18n();
const theme = useTheme();
const FONT = "'Atkinson Hyperlegible Mono Variable', monospace";

const option = computed(() => {
  const colours = theme.current.value.colors as Readonly<Record<string, string>>;
  const ink = colours['ink'] ?? '#000';
  const soft = colours['ink-soft'] ?? '#555';
  return {
    animation: false,
    aria: { enabled: true },
    textStyle: { fontFamily: FONT, color: ink },
    grid: { left: 56, right: 12, top: 26, bottom: 26 },
    tooltip: {
      trigger: 'axis',
      formatter: (points: readonly { dataIndex: number }[]): string => {
        const load = props.loads[points[0]?.dataIndex ?? 0];
        return load === undefined
          ? ''
          : `${load.number} ${escapeHtml(load.title)}<br>${formatMinutes(load.minutes, locale.value)}`;
      },
    },
    xAxis: {
      type: 'category',
      data: props.loads.map(({ number }) => number),
      axisLine: { lineStyle: { color: soft } },
      axisLabel: { color: soft },
    },
    yAxis: {
      type: 'value',
      axisLabel: { color: soft, formatter: '{value} h' },
      splitLine: { lineStyle: { color: colours['rule'] ?? '#ddd' } },
      minInterval: 1,
    },
    series: [
      {
        type: 'bar',
        name: t('setup.load.asks'),
        barMaxWidth: 34,
        data: props.loads.map(({ minutes, due, isHeavy }) => ({
          value: minutes / 60,
          itemStyle: {
            color: isHeavy ? (colours['advice'] ?? '#850') : (colours['route'] ?? '#a70'),
            // A heavy one is told by more than its colour.
            decal: isHeavy
              ? { symbol: 'rect', dashArrayX: [1, 0], dashArrayY: [3, 3], color: 'rgba(255,255,255,0.35)' }
              : undefined,
          },
          label: { show: due > 0, position: 'top', color: ink, fontFamily: FONT, formatter: `⚑ ${due}` },
        })),
      },
      {
        type: 'line',
        name: t('setup.load.targetLine'),
        step: 'middle',
        symbol: 'none',
        lineStyle: { color: colours['bottle'] ?? '#154', width: 2, type: 'dashed' },
        data: props.loads.map(({ target }) => (target === null ? null : target / 60)),
      },
    ],
  };
});
</script>

<template>
  <VChart :option="option" autoresize role="img" :aria-label="t('setup.load.chart')" />
</template>
