<script setup lang="ts">
import { computed } from 'vue';
import { roleName } from '@azulejo/core/messages/en/names';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { formatLength, formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import { edgeTitle } from '../edgeTitle.ts';
import { WALKED_SIDES } from './edgeDirections.ts';
import { useTape } from '../../fields/useTape.ts';

const props = defineProps<{ plan: SurfacePlan; chosen: string }>();
const tape = useTape();
const emit = defineEmits<{ choose: [id: string] }>();

const sides = computed(() =>
  WALKED_SIDES.flatMap((side) => {
    const id = props.plan.traced.sides[side];
    const edge = props.plan.edges.find((other) => other.id === id);
    if (id === null || !edge) return [];
    const name = edgeTitle(props.plan, id);
    const { smallestCutMm: small, largestCutMm: large } = edge;
    if (small === null || large === null) return [{ id, side, name, figure: 'full', role: roleName(edge.role), narrow: false }];
    const figures = [...new Set([formatLength(large, tape.value), formatLength(small, tape.value)])];
    return [
      {
        id,
        side,
        name,
        figure: figures.length === 1 ? formatLengthWithUnit(small, tape.value) : figures.join(' / '),
        role: roleName(edge.role),
        narrow: figures.join().length > 9,
      },
    ];
  }),
);
</script>

<template>
  <div class="compass" role="group" aria-label="End cuts by edge; choose an edge">
    <button
      v-for="side in sides"
      :key="side.id"
      class="plain"
      type="button"
      :class="[side.side, { on: side.id === chosen }]"
      :aria-pressed="side.id === chosen"
      :aria-label="`${side.name} edge, ${side.role}: ${side.figure}`"
      @click="emit('choose', side.id)"
    >
      <span class="figure" :class="{ narrow: side.narrow }" :data-testid="`end-${side.side}`">{{ side.figure }}</span>
      <span class="role">{{ side.name }}, {{ side.role }}</span>
    </button>
    <span class="tile" aria-hidden="true" />
  </div>
</template>

<style scoped>
.compass {
  display: grid;
  grid-template: 'a top b' auto 'left tile right' auto 'c bottom d' auto / 1fr 3.2rem 1fr;
  gap: 0.3rem;
  align-items: center;
}
button {
  display: grid;
  justify-items: center;
  padding: 0.25rem 0.4rem;
  border-radius: 4px;
  text-align: center;
}
button.on {
  background: var(--cobalt-soft);
  box-shadow: inset 0 0 0 2px var(--cobalt);
}
button:focus-visible {
  outline: 3px solid var(--cobalt);
  outline-offset: 1px;
}
.figure {
  font-size: 1.9rem;
  line-height: 1.05;
  white-space: nowrap;
}
.figure.narrow {
  font-size: 1.3rem;
  line-height: 1.3;
}
.role {
  font-size: 0.8rem;
  color: var(--ink-soft);
}
.top {
  grid-area: top;
  grid-column: 1 / -1;
  justify-self: center;
}
.bottom {
  grid-area: bottom;
  grid-column: 1 / -1;
  justify-self: center;
}
.left {
  grid-area: left;
}
.right {
  grid-area: right;
}
.tile {
  grid-area: tile;
  height: 2.2rem;
  background:
    linear-gradient(var(--line-strong), var(--line-strong)) 50% 0 / 2px 100% no-repeat,
    linear-gradient(var(--line-strong), var(--line-strong)) 0 50% / 100% 2px no-repeat,
    var(--paper);
  border: 2px solid var(--line-strong);
}
</style>
