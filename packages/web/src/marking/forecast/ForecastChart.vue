<script setup lang="ts">
/** By day: what is done of all that counts, or how many have finished; where it is going, with its band; and the plan. */
import type { Band, Forecast } from '@itinerary/core';
import { LineChart } from 'echarts/charts';
import { AriaComponent, GridComponent, MarkLineComponent, TooltipComponent } from 'echarts/components';
import { use } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { computed } from 'vue';
import VChart from 'vue-echarts';
import { useI18n } from 'vue-i18n';
import { useTheme } from 'vuetify';
import { formatDay } from '../../words/dates.ts';
import { formatNumber } from '../../words/intl.ts';

use([LineChart, GridComponent, MarkLineComponent, TooltipComponent, AriaComponent, SVGRenderer]);

const props = defineProps<{
  found: Forecast;
  /** With one thing changed. */
  other: Forecast | null;
  of: 'share' | 'finished';
  label: string;
}>();
const { t, locale } = useI18n();
const theme = useTheme();
const FONT = "'Atkinson Hyperlegible Mono Variable', monospace";

const today = computed(() => props.found.days[props.found.today] ?? '');
const say = (value: number): string =>
  props.of === 'share'
    ? formatNumber(value / 100, locale.value, { style: 'percent', maximumFractionDigits: 0 })
    : formatNumber(value, locale.value);
const day = (iso: string): string => formatDay(iso, locale.value, { today: today.value, weekday: false });
/** Days of both, since one of them may end later. */
const days = computed(() => {
  const { days: own } = props.found;
  const others = props.other?.days ?? [];
  return others.length > own.length ? others : own;
});
const scaled = (value: number): number => (props.of === 'share' ? value * 100 : value);
const bandsOf = (found: Forecast): readonly Band[] => found[props.of];

interface Line {
  readonly name: string;
  readonly data: readonly (number | null)[];
  readonly style: object;
  readonly area?: object;
  readonly stack?: string;
}
const option = computed(() => {
  const colours = theme.current.value.colors as Readonly<Record<string, string>>;
  const of = (name: string): string => colours[name] ?? '#555';
  const { found, other } = props;
  const bands = bandsOf(found);
  const from = found.today;
  /** What is to come begins with the last day that was. */
  const ahead = (pick: (band: Band) => number, all: readonly Band[] = bands): (number | null)[] =>
    all.map((band, at) => (at < from - 1 ? null : scaled(pick(band))));
  const none = { width: 0, opacity: 0 };
  const lines: readonly Line[] = [
    ...(props.of === 'share'
      ? [
          {
            name: t('forecast.lines.plan'),
            data: found.planned.map((one) => scaled(one)),
            style: { color: of('ink-soft'), width: 1.5, type: 'dotted' },
          },
        ]
      : []),
    { name: 'low', stack: 'band', data: ahead(({ low }) => low), style: none },
    {
      name: t('forecast.lines.band'),
      ...{ stack: 'band', data: ahead(({ low, high }) => high - low), style: none },
      area: { color: of('route'), opacity: 0.25 },
    },
    {
      name: t('forecast.lines.ahead'),
      data: ahead(({ middle }) => middle),
      style: { color: of('route'), width: 2.5, type: 'dashed' },
    },
    {
      name: t('forecast.lines.was'),
      data: bands.map(({ middle }, at) => (at < from ? scaled(middle) : null)),
      style: { color: of('bottle'), width: 3 },
    },
    ...(other === null
      ? []
      : [
          {
            name: t('forecast.lines.other'),
            data: ahead(({ middle }) => middle, bandsOf(other)),
            style: { color: of('ink'), width: 2, type: 'dashed' },
          },
        ]),
  ];
  return {
    animation: false,
    aria: { enabled: true },
    textStyle: { fontFamily: FONT, color: of('ink') },
    grid: { left: 52, right: 18, top: 26, bottom: 28 },
    tooltip: {
      trigger: 'axis',
      backgroundColor: of('surface'),
      textStyle: { color: of('ink'), fontFamily: FONT },
      formatter: (points: readonly { dataIndex: number }[]): string => words(points[0]?.dataIndex ?? 0),
    },
    xAxis: {
      type: 'category',
      boundaryGap: false,
      data: days.value.map(day),
      axisLine: { lineStyle: { color: of('ink-soft') } },
      axisTick: { show: false },
      axisLabel: { color: of('ink-soft'), hideOverlap: true },
    },
    yAxis: {
      type: 'value',
      min: 0,
      max: props.of === 'share' ? 100 : found.learners,
      minInterval: 1,
      axisLabel: { color: of('ink-soft'), formatter: (value: number) => say(value) },
      splitLine: { lineStyle: { color: of('rule') } },
    },
    series: lines.map(({ name, data, style, area, stack }, at) => ({
      ...{ type: 'line', name, data, symbol: 'none', lineStyle: style },
      ...(area === undefined ? {} : { areaStyle: area }),
      ...(stack === undefined ? {} : { stack, stackStrategy: 'all' }),
      ...(at > 0
        ? {}
        : {
            markLine: {
              ...{ silent: true, symbol: 'none', animation: false },
              lineStyle: { color: of('ink'), type: 'solid', width: 1 },
              label: { formatter: t('forecast.today'), color: of('ink'), fontFamily: FONT },
              data: [{ xAxis: from }],
            },
          }),
    })),
  };
});

/** One day, in words. */
function words(at: number): string {
  const { found, other } = props;
  const band = bandsOf(found)[at];
  const lines = [day(days.value[at] ?? '')];
  if (band !== undefined) {
    const range = {
      low: say(scaled(band.low)),
      high: say(scaled(band.high)),
      middle: say(scaled(band.middle)),
    };
    lines.push(at < found.today ? range.middle : t('forecast.between', range));
  }
  const then = other === null ? undefined : bandsOf(other)[at];
  if (then !== undefined && at >= found.today)
    lines.push(t('forecast.withIt', { middle: say(scaled(then.middle)) }));
  if (props.of === 'share') lines.push(t('forecast.planned', { share: say(scaled(found.planned[at] ?? 1)) }));
  return lines.join('<br>');
}
</script>

<template>
  <VChart class="forecast" :option="option" autoresize role="img" :aria-label="label" />
</template>

<style scoped>
.forecast {
  width: 100%;
  height: 300px;
}
</style>
