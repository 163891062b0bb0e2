<script setup lang="ts">
import { LineChart } from 'echarts/charts';
import { GridComponent } from 'echarts/components';
import { use } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { computed } from 'vue';
import VChart from 'vue-echarts';
import { ALLOWED_MM, simulateDrift, spreadOf } from '@azulejo/core/setout/drift/drift';
import type { Layout } from '@azulejo/core/setout/place/layout';
import type { Product } from '@azulejo/core/tile/product';
import { formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import { useTape } from '../../fields/useTape.ts';
import { useTheme } from '../../theme/useTheme.ts';

use([LineChart, GridComponent, SVGRenderer]);

/** How far courses of these pieces run off when each is laid against the one before. */
const props = defineProps<{ product: Product; layout: Layout }>();
const tape = useTape();
const { isDark } = useTheme();
const COURSES = 30;
const spread = computed(() => spreadOf(props.product.sample.map(({ heightMm }) => heightMm)));
const drift = computed(() => (spread.value ? simulateDrift(spread.value.spreadMm, spread.value.rangeMm, COURSES) : null));
const told = computed(() => {
  if (!drift.value) return '';
  const last = drift.value.courses[COURSES - 1];
  const every = drift.value.controlEvery;
  return (
    `After ${COURSES} courses the last one may be ${formatLengthWithUnit(last.bandMm, tape.value)} off, 95 times in 100. ` +
    (every >= COURSES
      ? 'No control line is needed for that.'
      : `Check against a control line every ${every} ${every === 1 ? 'course' : 'courses'}.`) +
    ` A joint of ${formatLengthWithUnit(drift.value.jointMm, tape.value)} or more takes the variation up.`
  );
});
const option = computed(() => {
  const [soft, line, band, chalk] = isDark.value
    ? ['#a9b6c1', '#2b3742', '#8fb8ee', '#f0957c']
    : ['#4a5967', '#d5dce2', '#1c4f9c', '#a83621'];
  const courses = drift.value?.courses ?? [];
  const axis = {
    nameTextStyle: { color: soft, fontFamily: 'Barlow', fontSize: 13 },
    axisLabel: { color: soft, fontFamily: 'Barlow Condensed', fontSize: 14 },
    splitLine: { lineStyle: { color: line } },
    nameLocation: 'middle' as const,
  };
  const edge = (sign: 1 | -1) => ({
    type: 'line' as const,
    symbol: 'none',
    lineStyle: { color: band, width: 2 },
    areaStyle: { color: band, opacity: 0.12 },
    data: courses.map(({ course, bandMm }) => [course, Math.round(sign * bandMm * 100) / 100]),
  });
  const limit = (mm: number) => ({
    type: 'line' as const,
    symbol: 'none',
    lineStyle: { color: chalk, width: 1.5, type: 'dashed' as const },
    data: [
      [1, mm],
      [COURSES, mm],
    ],
  });
  return {
    animation: false,
    grid: { left: 48, right: 14, top: 12, bottom: 44 },
    xAxis: { ...axis, type: 'value' as const, min: 1, max: COURSES, name: 'Courses', nameGap: 26 },
    yAxis: { ...axis, type: 'value' as const, name: 'Off by, mm', nameGap: 30 },
    series: [edge(1), edge(-1), limit(ALLOWED_MM), limit(-ALLOWED_MM)],
  };
});
</script>

<template>
  <section class="stack">
    <h2>How far courses run off</h2>
    <template v-if="drift">
      <VChart class="chart" :option="option" autoresize role="img" :aria-label="told" />
      <p class="small">{{ told }}</p>
      <p class="small soft">Dashed: a millimetre either way.</p>
    </template>
    <p v-else class="small soft">
      Measure five pieces of {{ product.name }} in the Tile step; from how they differ follows how often to check.
    </p>
  </section>
</template>

<style scoped>
.chart {
  height: 210px;
  width: 100%;
}
</style>
