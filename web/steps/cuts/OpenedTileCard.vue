<script setup lang="ts">
import { computed } from 'vue';
import type { Job } from '@azulejo/core/job/job';
import type { LeftOver } from '@azulejo/core/cuts/offCuts/leftOver';
import type { OpenedTile } from '@azulejo/core/cuts/offCuts/planOffCuts';
import { labelPoint } from '@azulejo/core/geometry/labelPoint';
import { unit } from '@azulejo/core/geometry/point';
import { boxOf, type Polygon } from '@azulejo/core/geometry/ring';
import { passesOf } from '@azulejo/core/cuts/offCuts/passesOf';
import { describePasses } from '@azulejo/core/messages/en/offCuts';
import { useTape } from '../../fields/useTape.ts';
import { useBoardStore } from '../../stores/boardStore.ts';

/** One tile that is opened for cuts: the pieces where they are cut, and what is left. */
const props = defineProps<{
  tile: OpenedTile;
  left: readonly LeftOver[];
  job: Job;
  surfaceId: string;
  note: string;
  /** Whether nothing else is cut from it on a surface laid later: what is left of it is left for good. */
  isLast: boolean;
  kept: boolean;
}>();
const emit = defineEmits<{ keep: [] }>();
const keptWords = computed(() => (props.kept ? 'On the shelf' : 'Keep what is left for another job'));
const board = useBoardStore();
const tape = useTape();

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
const passes = computed(() => {
  const { outline, uses } = props.tile;
  return (
    passesOf(
      outline,
      uses.map((use) => use.outline),
      props.job.consumption.kerfMm,
    ) ?? []
  );
});
/** Each pass as drawn, its number at the end where the blade goes in. */
const drawn = computed(() =>
  passes.value.map(({ from, to }) => {
    const [x1, y1, x2, y2] = [from[0], around.value.maxY - from[1], to[0], around.value.maxY - to[1]];
    const [dx, dy] = unit([x2 - x1, y2 - y1]);
    return { x1, y1, x2, y2, at: [x1 + dx * letters.value * 0.6, y1 + dy * letters.value * 0.6] as const };
  }),
);
const passWords = computed(() =>
  describePasses(
    passes.value,
    props.tile.uses.map(({ label }) => label),
    tape.value,
  ),
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
      :aria-label="`${tile.blank ? 'A piece that is there' : `Tile ${tile.tile}`}: ${words}`"
    >
      <path :d="pathOf([tile.outline])" class="whole" />
      <path v-for="(part, k) in left" :key="k" :d="pathOf(part.outline)" class="left" />
      <g v-for="piece in pieces" :key="`${piece.surfaceId} ${piece.label}`">
        <path :d="piece.d" class="piece" :class="{ other: !piece.own, on: piece.own && piece.label === board.chosenLabel }" />
        <text :x="piece.x" :y="piece.y" :font-size="letters" :transform="piece.upright ? `rotate(-90 ${piece.x} ${piece.y})` : undefined">
          {{ piece.label }}
        </text>
      </g>
      <g v-for="({ at, ...line }, k) in drawn" :key="`pass ${k}`" class="pass">
        <line v-bind="line" />
        <circle :cx="at[0]" :cy="at[1]" :r="letters * 0.42" />
        <text :x="at[0]" :y="at[1]" :font-size="letters * 0.66">{{ k + 1 }}</text>
      </g>
    </svg>
    <p class="small">
      <b>{{ tile.blank ? 'A piece that is there' : `Tile ${tile.tile}` }}</b> <span class="soft">{{ note }}</span>
    </p>
    <p v-if="passes.length > 0" class="small">{{ passWords }}</p>
    <p v-else-if="tile.uses.length > 1" class="small soft">By hand along each outline: no straight pass takes these apart.</p>
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
    <p v-if="tile.blank" class="small soft">There already{{ tile.blank.from === '' ? '' : `: ${tile.blank.from}` }}.</p>
    <button v-if="isLast && left.length > 0" type="button" class="plain keep small" @click="emit('keep')">{{ keptWords }}</button>
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
.pass line {
  stroke: var(--chalk);
  stroke-width: 1.4;
  stroke-dasharray: 5 3;
  vector-effect: non-scaling-stroke;
}
.pass circle {
  fill: var(--panel);
  stroke: var(--chalk);
  stroke-width: 1;
  vector-effect: non-scaling-stroke;
}
.pass text {
  fill: var(--chalk);
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
.keep {
  color: var(--cobalt);
  text-decoration: underline;
  padding: 0.2rem 0;
}
</style>
