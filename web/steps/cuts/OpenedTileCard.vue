<script setup lang="ts">
import { computed } from 'vue';
import type { Job } from '@azulejo/core/job/job';
import type { LeftOver } from '@azulejo/core/cuts/offCuts/leftOver';
import type { OpenedTile } from '@azulejo/core/cuts/offCuts/planOffCuts';
import { labelPoint } from '@azulejo/core/geometry/labelPoint';
import { boxOf, type Polygon } from '@azulejo/core/geometry/ring';
import { useBoardStore } from '../../stores/boardStore.ts';

/** One tile that is opened for cuts: the pieces where they are cut, and what is left. */
const props = defineProps<{ tile: OpenedTile; left: readonly LeftOver[]; job: Job; surfaceId: string; note: string }>();
const board = useBoardStore();

const around = computed(() => boxOf(props.tile.outline));
const size = computed(() => ({ width: around.value.maxX - around.value.minX, height: around.value.maxY - around.value.minY }));
/** Drawn up the page, the bottom of the tile below. */
const pathOf = (polygon: Polygon): string =>
  polygon.map((ring) => `M${ring.map(([x, y]) => `${x.toFixed(1)} ${(around.value.maxY - y).toFixed(1)}`).join('L')}Z`).join('');
/** Letters as large as a fifteenth of the drawing, whatever the size of the tile. */
const letters = computed(() => Math.max(size.value.width, size.value.height) / 11);
const pieces = computed(() =>
  props.tile.uses.map((use) => {
    const [x, y] = labelPoint(use.outline);
    const own = use.surfaceId === props.surfaceId;
    const room = boxOf(use.outline[0]);
    const [wide, high] = [room.maxX - room.minX, room.maxY - room.minY];
    const long = use.label.length * letters.value * 0.55;
    const upright = wide < long;
    const hasRoom = upright ? high >= long && wide >= 0.9 * letters.value : high >= 0.9 * letters.value;
    return { ...use, own, d: pathOf(use.outline), x, y: around.value.maxY - y, upright, hasRoom };
  }),
);
const nameOf = (id: string): string => props.job.surfaces.find((surface) => surface.id === id)?.name ?? id;
const others = computed(() =>
  props.tile.uses
    .filter(({ surfaceId }) => surfaceId !== props.surfaceId)
    .map(({ label, surfaceId }) => `${label} is for ${nameOf(surfaceId)}.`),
);
const words = computed(() => props.tile.uses.map(({ label }) => label).join(', '));
function choose(label: string): void {
  board.chosenLabel = board.chosenLabel === label ? null : label;
}
</script>

<template>
  <li>
    <svg
      :viewBox="`${-size.width * 0.01} ${-size.height * 0.01} ${size.width * 1.02} ${size.height * 1.02}`"
      role="img"
      :aria-label="`Tile ${tile.tile}: ${words}`"
    >
      <path :d="pathOf([tile.outline])" class="whole" />
      <path v-for="(part, k) in left" :key="k" :d="pathOf(part.outline)" class="left" />
      <g v-for="piece in pieces" :key="`${piece.surfaceId} ${piece.label}`">
        <path :d="piece.d" class="piece" :class="{ other: !piece.own, on: piece.own && piece.label === board.chosenLabel }" />
        <text :x="piece.x" :y="piece.y" :font-size="letters" :transform="piece.upright ? `rotate(-90 ${piece.x} ${piece.y})` : undefined">
          {{ piece.label }}
        </text>
      </g>
    </svg>
    <p class="small">
      <b>Tile {{ tile.tile }}</b> <span class="soft">{{ note }}</span>
    </p>
    <div class="labels">
      <button
        v-for="piece in pieces.filter(({ own }) => own)"
        :key="piece.label"
        class="plain"
        type="button"
        :aria-pressed="piece.label === board.chosenLabel"
        :aria-label="`Show ${piece.label} on the drawing`"
        @click="choose(piece.label)"
      >
        {{ piece.label }}
      </button>
    </div>
    <p v-for="line in others" :key="line" class="small soft">{{ line }}</p>
  </li>
</template>

<style scoped>
svg {
  width: 100%;
  max-height: 150px;
}
.whole {
  fill: var(--paper);
  stroke: var(--line-strong);
  stroke-width: 1.5;
  vector-effect: non-scaling-stroke;
}
.left {
  fill: none;
  stroke: var(--line-strong);
  stroke-width: 1.5;
  stroke-dasharray: 4 3;
  vector-effect: non-scaling-stroke;
}
.piece {
  fill: var(--cobalt-soft);
  stroke: var(--ink);
  stroke-width: 1.8;
  stroke-linejoin: round;
  vector-effect: non-scaling-stroke;
}
.piece.other {
  fill: var(--line);
}
.piece.on {
  fill: var(--cobalt);
}
.piece.on + text {
  fill: var(--panel);
}
text {
  font-family: 'Barlow Condensed', sans-serif;
  font-weight: 600;
  text-anchor: middle;
  dominant-baseline: central;
  fill: var(--ink);
  pointer-events: none;
}
p {
  margin: 0.15rem 0 0;
}
.labels {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem;
  margin-top: 0.25rem;
}
.labels button {
  font: 600 0.95rem var(--figure);
  padding: 0.15rem 0.45rem;
  border-radius: 3px;
  color: var(--ink);
  box-shadow: inset 0 0 0 1px var(--line-strong);
}
.labels button[aria-pressed='true'] {
  background: var(--cobalt);
  color: var(--panel);
}
@media (pointer: coarse) {
  .labels button {
    min-width: 44px;
    min-height: 44px;
  }
}
</style>
