<script setup lang="ts">
import { computed } from 'vue';
import { boxOf, rectangleRing } from '@azulejo/core/geometry/ring';
import { layPattern, type Laying } from '@azulejo/core/pattern/laying';
import { cellArea, unitOf, type Repeat } from '@azulejo/core/pattern/repeat';
import { productAt, type Field } from '@azulejo/core/setout/fields/field';
import { forEachWhole, tileRing } from '@azulejo/core/setout/place/layout';
import { placeRepeat } from '@azulejo/core/setout/place/placeRepeat';
import type { Product } from '@azulejo/core/tile/product';
import { colourOf, facesOf } from '../../../board/faces.ts';

const props = defineProps<{ laying: Laying; products: readonly Product[]; jointColour: string }>();

/** How wide the patch is against its height. */
const ASPECT = 0.66;

/** What the patch shows some of: a piece or a block of them; of stones of many sizes, and of chips, one of middling size. */
function unitSize(repeat: Repeat): readonly [number, number] {
  const { minX, minY, maxX, maxY } = unitOf(repeat);
  if (!repeat.sheet && repeat.pieces.length <= MANY_PIECES) return [maxX - minX, maxY - minY];
  const side = Math.sqrt(cellArea(repeat) / repeat.pieces.length) * (repeat.sheet ? 1.6 : 1.25);
  return [side, side];
}
const MANY_PIECES = 24;

/** The real repeat in the real tiles and joint, over a patch of some pieces. */
const patch = computed(() => {
  const laid = layPattern(props.laying, props.products);
  const [width, height] = unitSize(laid.repeat);
  // Long pieces are shown by some of their length, small ones by some courses.
  const span = Math.min(2.6 * Math.max(width, height), 1.3 * Math.max(width, height) + 3.2 * Math.min(width, height));
  const area = rectangleRing(0, 0, span, span * ASPECT);
  const layout = placeRepeat([[area]], laid.repeat, { origin: [-width * 0.4, -height * 0.3], turnDeg: 0 });
  const field: Field = { id: 'main', kind: 'main', laid, layout, box: boxOf(area) };
  const faces = facesOf({ products: [...props.products] }, props);
  const shapes: { d: string; fill: string }[] = [];
  const trace = (ring: readonly (readonly [number, number])[], address: Parameters<typeof productAt>[1]): void => {
    const fill = laid.repeat.pieces[address.piece].colour ?? colourOf(faces, productAt(field, address));
    shapes.push({ fill, d: `M${ring.map(([x, y]) => `${x.toFixed(1)} ${(span * ASPECT - y).toFixed(1)}`).join('L')}Z` });
  };
  forEachWhole(layout, (address) => trace(tileRing(layout, address), address));
  for (const tile of layout.cutTiles) for (const polygon of tile.polygons) trace(polygon[0], tile);
  return { shapes, box: `0 0 ${span} ${span * ASPECT}` };
});
</script>

<template>
  <svg :viewBox="patch.box" class="patch" aria-hidden="true" :style="{ background: jointColour }">
    <path v-for="shape in patch.shapes" :key="shape.d" :d="shape.d" :fill="shape.fill" class="piece" />
  </svg>
</template>

<style scoped>
.patch {
  display: block;
  width: 100%;
  border-radius: 2px;
}
.piece {
  stroke: #14202b61;
  stroke-width: 1;
  vector-effect: non-scaling-stroke;
}
</style>
