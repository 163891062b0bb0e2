<script setup lang="ts">
import { ScatterChart } from 'echarts/charts';
import { GridComponent, TooltipComponent } from 'echarts/components';
import { use } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { computed } from 'vue';
import VChart from 'vue-echarts';
import { formatLength } from '@azulejo/core/units/formatLength';
import { useTape } from '../../../fields/useTape.ts';
import { useTheme } from '../../../theme/useTheme.ts';
import { tradePoints } from '../model.ts';
import type { ShownSetout } from '../../../workers/planWorker.ts';
import { narrowestOf } from './startWords.ts';

use([ScatterChart, GridComponent, TooltipComponent, SVGRenderer]);

/** How the starts trade what is left over against the narrowest piece; the larger a mark, the more pieces are cut. */
const props = defineProps<{ starts: readonly ShownSetout[] }>();
const emit = defineEmits<{ choose: [k: number] }>();
const tape = useTape();
const { isDark } = useTheme();
const points = computed(() => tradePoints(props.starts, narrowestOf));
const option = computed(() => {
  const [ink, soft, line, mark] = isDark.value
    ? ['#e8edf1', '#a9b6c1', '#2b3742', '#8fb8ee']
    : ['#14202b', '#4a5967', '#d5dce2', '#1c4f9c'];
  const most = Math.max(1, ...points.value.map(({ cuts }) => cuts));
  const axis = {
    nameTextStyle: { color: soft, fontFamily: 'Barlow', fontSize: 13 },
    axisLabel: { color: soft, fontFamily: 'Barlow Condensed', fontSize: 14 },
    axisLine: { lineStyle: { color: line } },
    splitLine: { lineStyle: { color: line } },
    nameLocation: 'middle' as const,
    scale: true,
    min: ({ min, max }: { min: number; max: number }) => Math.max(0, Math.floor(min - 0.15 * Math.max(1, max - min))),
    max: ({ min, max }: { min: number; max: number }) => Math.ceil(max + 0.15 * Math.max(1, max - min)),
  };
  return {
    animation: false,
    grid: { left: 52, right: 18, top: 14, bottom: 46 },
    xAxis: {
      ...axis,
      name: `Narrowest piece, ${tape.value.system === 'metric' ? 'mm' : 'in'}`,
      nameGap: 28,
      axisLabel: { ...axis.axisLabel, formatter: (mm: number) => formatLength(mm, tape.value) },
    },
    yAxis: { ...axis, name: 'Left over, %', nameGap: 34 },
    tooltip: {
      formatter: ({ dataIndex }: { dataIndex: number }) => {
        const { k, cuts } = points.value[dataIndex];
        return `Start ${k + 1}: ${cuts} cuts`;
      },
    },
    series: [
      {
        type: 'scatter',
        data: points.value.map(({ narrowestMm, wastePercent, cuts, k }) => ({
          value: [narrowestMm ?? 0, wastePercent],
          symbolSize: 18 + (22 * cuts) / most,
          itemStyle: { color: k === 0 ? '#f2c12e' : mark, opacity: 0.85 },
          label: {
            show: true,
            formatter: String(k + 1),
            color: k === 0 || isDark.value ? '#1b1608' : '#ffffff',
            fontFamily: 'Barlow Condensed',
            fontWeight: 600 as const,
            fontSize: 15,
          },
        })),
      },
    ],
    textStyle: { color: ink, fontFamily: 'Barlow' },
  };
});
const told = computed(() =>
  points.value
    .map(
      ({ k, narrowestMm, wastePercent, cuts }) =>
        `Start ${k + 1}: ${narrowestMm === null ? 'nothing cut' : formatLength(narrowestMm, tape.value)}, ${wastePercent} % left over, ${cuts} cuts`,
    )
    .join('. '),
);
</script>

<template>
  <figure class="chart">
    <VChart :option="option" autoresize role="img" :aria-label="told" @click="emit('choose', $event.dataIndex as number)" />
    <figcaption class="small soft">The larger the mark, the more pieces are cut. Press one to lay it.</figcaption>
  </figure>
</template>

<style scoped>
.chart {
  margin: 0;
  display: grid;
  gap: 0.2rem;
}
.chart :deep(x-vue-echarts) {
  height: 230px;
  width: 100%;
  cursor: pointer;
}
</style>
