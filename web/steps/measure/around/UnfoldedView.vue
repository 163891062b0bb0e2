<script setup lang="ts">
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import type { Job, Surface } from '@azulejo/core/job/job';
import { labelPoint } from '@azulejo/core/geometry/labelPoint';
import { boxOf } from '@azulejo/core/geometry/ring';
import type { Point } from '@azulejo/core/geometry/point';
import { nameInSet } from '@azulejo/core/messages/en/sets';
import { unfold } from '@azulejo/core/surface/unfold';

/** The surfaces that meet, laid flat edge on edge; each opens when it is pressed. */
const props = defineProps<{ job: Job; surface: Surface }>();
const router = useRouter();

const drawn = computed(() => {
  const faces = unfold(props.surface.id, props.job.surfaces, props.job.links);
  const box = boxOf(faces.flatMap(({ ring }) => ring));
  const width = Math.max(1, box.maxX - box.minX);
  const height = Math.max(1, box.maxY - box.minY);
  const unit = Math.max(width, height) / 100;
  const at = ([x, y]: Point): string => `${x - box.minX} ${box.maxY - y}`;
  return {
    viewBox: `${-3 * unit} ${-3 * unit} ${width + 6 * unit} ${height + 6 * unit}`,
    unit,
    faces: faces.map(({ surfaceId, ring, over }) => {
      const [x, y] = labelPoint([ring]);
      const name = props.job.surfaces.find(({ id }) => id === surfaceId)?.name ?? surfaceId;
      const inside = boxOf(ring);
      const [wide, high] = [inside.maxX - inside.minX, inside.maxY - inside.minY];
      const room = Math.min(wide, 1.4 * high) / unit;
      const short = nameInSet(name);
      return {
        id: surfaceId,
        name,
        short,
        shown: room > 7,
        upright: high > 1.3 * wide && short.length * 2.1 * unit > wide,
        d: `M${ring.map(at).join('L')}Z`,
        x: x - box.minX,
        y: box.maxY - y,
        fold: over ? { d: `M${at(over.from)}L${at(over.to)}`, meets: over.link.meets } : null,
        here: surfaceId === props.surface.id,
      };
    }),
  };
});
function open(surfaceId: string): void {
  void router.push({ name: 'surface', params: { jobId: props.job.id, surfaceId, step: 'measure' } });
}
</script>

<template>
  <figure>
    <svg :viewBox="drawn.viewBox" role="group" aria-label="Surfaces that meet, unfolded">
      <g
        v-for="face in drawn.faces"
        :key="face.id"
        class="face"
        :class="{ here: face.here }"
        role="link"
        tabindex="0"
        :aria-label="`Open ${face.name}`"
        @click="open(face.id)"
        @keydown.enter="open(face.id)"
      >
        <path :d="face.d" :stroke-width="drawn.unit * 0.7" />
        <text
          v-if="face.shown"
          :x="face.x"
          :y="face.y"
          :font-size="drawn.unit * 4.6"
          text-anchor="middle"
          dominant-baseline="middle"
          :transform="face.upright ? `rotate(-90 ${face.x} ${face.y})` : undefined"
        >
          {{ face.short }}
        </text>
      </g>
      <template v-for="face in drawn.faces" :key="`fold ${face.id}`">
        <path
          v-if="face.fold"
          class="fold"
          :class="face.fold.meets"
          :d="face.fold.d"
          :stroke-width="drawn.unit * 1.4"
          :stroke-dasharray="face.fold.meets === 'outside' ? drawn.unit * 3 : undefined"
        />
      </template>
    </svg>
    <figcaption class="soft small">Solid: inside corner. Dashed: outside corner. Dotted thin: one plane.</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
svg {
  width: 100%;
  max-height: 17rem;
  background: var(--paper);
  border-radius: 4px;
}
.face {
  cursor: pointer;
}
.face path {
  fill: var(--panel);
  stroke: var(--line-strong);
}
.face.here path {
  fill: var(--cobalt-soft);
}
.face:hover path,
.face:focus-visible path {
  stroke: var(--cobalt);
}
.face:focus-visible {
  outline: none;
}
text {
  fill: var(--ink);
  font-family: 'Barlow Condensed', sans-serif;
  font-weight: 600;
}
.fold {
  stroke: var(--chalk);
  fill: none;
}
.fold.flat {
  stroke-width: 8;
  stroke-dasharray: 8 12;
}
</style>
