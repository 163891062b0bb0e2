<script setup lang="ts">
import { BarChart } from 'echarts/charts';
import { GridComponent } from 'echarts/components';
import { use } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { computed } from 'vue';
import VChart from 'vue-echarts';
import { useTheme } from '../../../theme/useTheme.ts';

use([BarChart, GridComponent, SVGRenderer]);

/** What a whole is made of, the largest first. */
const props = defineProps<{ parts: readonly { readonly name: string; readonly amount: number }[]; unit: string }>();
const { isDark } = useTheme();
const sorted = computed(() => [...props.parts].filter(({ amount }) => amount !== 0).sort((a, b) => a.amount - b.amount));
const shown = (amount: number): string =>
  Math.abs(amount) >= 100 ? Math.round(amount).toString() : (Math.round(amount * 10) / 10).toString();
const told = computed(() =>
  [...sorted.value]
    .reverse()
    .map(({ name, amount }) => `${name}: ${shown(amount)} ${props.unit}`)
    .join('. '),
);
const option = computed(() => {
  const [ink, bar] = isDark.value ? ['#e8edf1', '#8fb8ee'] : ['#14202b', '#1c4f9c'];
  return {
    animation: false,
    grid: { left: 4, right: 70, top: 4, bottom: 4, containLabel: true },
    xAxis: { type: 'value' as const, show: false },
    yAxis: {
      type: 'category' as const,
      data: sorted.value.map(({ name }) => name),
      axisLine: { show: false },
      axisTick: { show: false },
      axisLabel: { color: ink, fontFamily: 'Barlow', fontSize: 14 },
    },
    series: [
      {
        type: 'bar' as const,
        data: sorted.value.map(({ amount }) => amount),
        barWidth: '62%',
        itemStyle: { color: bar },
        label: {
          show: true,
          position: 'right' as const,
          color: ink,
          fontFamily: 'Barlow Condensed',
          fontSize: 15,
          formatter: ({ value }: { value: unknown }) => `${shown(Number(value))} ${props.unit}`,
        },
      },
    ],
  };
});
</script>

<template>
  <VChart class="chart" :style="{ height: `${sorted.length * 30 + 12}px` }" :option="option" autoresize role="img" :aria-label="told" />
</template>

<style scoped>
.chart {
  width: 100%;
}
</style>
