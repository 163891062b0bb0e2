<script setup lang="ts">
import { BarChart } from 'echarts/charts';
import { GridComponent, LegendComponent } from 'echarts/components';
import { use } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { computed } from 'vue';
import VChart from 'vue-echarts';
import { useTheme } from '../../theme/useTheme.ts';

use([BarChart, GridComponent, LegendComponent, SVGRenderer]);

/** Hours planned beside hours written down, by kind of work. */
const props = defineProps<{ bars: readonly { readonly name: string; readonly planned: number; readonly done: number }[] }>();
const { isDark } = useTheme();
const shown = (hours: number): string => `${Math.round(hours * 10) / 10} h`;
const told = computed(() =>
  props.bars.map(({ name, planned, done }) => `${name}: ${shown(planned)} planned, ${shown(done)} done`).join('. '),
);
const option = computed(() => {
  const [ink, plan, fact] = isDark.value ? ['#e8edf1', '#6c7d8a', '#f2c12e'] : ['#14202b', '#8494a1', '#1c4f9c'];
  const series = (name: string, color: string, of: 'planned' | 'done') => ({
    name,
    type: 'bar' as const,
    data: props.bars.map((bar) => bar[of]),
    itemStyle: { color },
    barGap: '10%',
    label: {
      show: true,
      position: 'right' as const,
      color: ink,
      fontFamily: 'Barlow Condensed',
      fontSize: 14,
      formatter: ({ value }: { value: unknown }) => shown(Number(value)),
    },
  });
  return {
    animation: false,
    legend: { top: 0, left: 0, textStyle: { color: ink, fontFamily: 'Barlow', fontSize: 14 } },
    grid: { left: 4, right: 60, top: 34, bottom: 4, containLabel: true },
    xAxis: { type: 'value' as const, show: false },
    yAxis: {
      type: 'category' as const,
      inverse: true,
      data: props.bars.map(({ name }) => name),
      axisLine: { show: false },
      axisTick: { show: false },
      axisLabel: { color: ink, fontFamily: 'Barlow', fontSize: 14 },
    },
    series: [series('Planned', plan, 'planned'), series('Written down', fact, 'done')],
  };
});
</script>

<template>
  <VChart class="chart" :style="{ height: `${bars.length * 52 + 48}px` }" :option="option" autoresize role="img" :aria-label="told" />
</template>

<style scoped>
.chart {
  width: min(100%, 46rem);
}
</style>
