<script setup lang="ts">
import { computed } from 'vue';
import { cornerFigures, parallelFigures } from '@azulejo/core/surface/reconcile/judgeReadings';
import { cornersOf } from '@azulejo/core/surface/reconcile/reconcileWalls';
import { cornerLetter, wallTitle } from '@azulejo/core/surface/reconcile/wallTitle';
import type { WallsShape } from '@azulejo/core/surface/shapes/walls';
import { formatLength, formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import { useTape } from '../../../fields/useTape.ts';

const props = defineProps<{ shape: WallsShape }>();
const tape = useTape();
const corners = computed(() => cornersOf(props.shape));
const angles = computed(() =>
  cornerFigures(corners.value).map(({ angleDeg, outOfSquareMmPerM }, k) => ({
    letter: cornerLetter(k),
    angle: angleDeg.toFixed(2),
    off:
      outOfSquareMmPerM === null
        ? ''
        : outOfSquareMmPerM < 0.25
          ? 'square'
          : `${formatLengthWithUnit(outOfSquareMmPerM, tape.value)} in a metre`,
  })),
);
const parallels = computed(() =>
  parallelFigures(corners.value).map(({ first, second, apartMm, differenceMm }) => {
    const [a, b] = [first, second].map((k) => wallTitle(props.shape, props.shape.walls[k].id));
    const [near, far] = apartMm.map((mm) => formatLength(mm, tape.value));
    const even = Math.abs(differenceMm) < 0.5;
    return `${a} and ${b}: ${even ? `${near} apart all along` : `${near} and ${far} apart, ${formatLengthWithUnit(Math.abs(differenceMm), tape.value)} out of parallel`}.`;
  }),
);
</script>

<template>
  <section class="stack">
    <h3>Corners</h3>
    <table>
      <tbody>
        <tr v-for="corner in angles" :key="corner.letter">
          <th scope="row">{{ corner.letter }}</th>
          <td class="figure">{{ corner.angle }}°</td>
          <td>{{ corner.off }}</td>
        </tr>
      </tbody>
    </table>
    <p v-for="line in parallels" :key="line" class="small">{{ line }}</p>
  </section>
</template>

<style scoped>
table {
  border-collapse: collapse;
  font-size: 0.93rem;
}
th {
  text-align: left;
  width: 2.5rem;
}
td {
  padding: 0.15rem 1.2rem 0.15rem 0;
}
</style>
