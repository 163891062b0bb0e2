<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { boxOf } from '@azulejo/core/geometry/ring';
import { METRIC_TAPE } from '@azulejo/core/units/tape';
import { useTheme } from '../theme/useTheme.ts';
import { DARK_DRAWING, LIGHT_DRAWING } from '../theme/drawingPalette.ts';
import type { Faces } from './faces.ts';
import type { BoardContent } from './paintBoard.ts';
import { useStage } from './useStage.ts';
import { fitView } from './view.ts';

const props = defineProps<{ plan: SurfacePlan | null; faces: Faces; label: string }>();

const host = ref<HTMLDivElement | null>(null);
const { width, height } = useElementSize(host);
const size = computed(() => ({ width: width.value, height: height.value }));
const { isDark } = useTheme();
const content = computed<BoardContent | null>(() =>
  props.plan
    ? {
        drawing: props.plan,
        cuts: props.plan.cuts,
        toCut: props.plan.toCut,
        faces: props.faces,
        tape: METRIC_TAPE,
        show: 'picture',
        chosenPieces: [],
        chosenEdge: null,
        measure: null,
        sliding: false,
        ticked: new Map(),
        zones: [],
        chosenZone: null,
      }
    : null,
);
const view = computed(() =>
  fitView(props.plan ? boxOf(props.plan.traced.outline) : { minX: 0, minY: 0, maxX: 1, maxY: 1 }, size.value, { x: 14, y: 14 }),
);
useStage(host, { content, view, size, palette: computed(() => (isDark.value ? DARK_DRAWING : LIGHT_DRAWING)) }, 0);
</script>

<template>
  <div ref="host" class="picture" role="img" :aria-label="label" />
</template>

<style scoped>
.picture {
  position: relative;
  width: 100%;
  height: 100%;
  overflow: hidden;
}
</style>
