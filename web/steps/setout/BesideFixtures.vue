<script setup lang="ts">
import Button from 'primevue/button';
import { computed } from 'vue';
import type { Surface } from '@azulejo/core/job/job';
import { describePieces } from '@azulejo/core/messages/en/reasons';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { besideFixtures, type BesideFixture } from '@azulejo/core/setout/edges/besideFixtures';
import type { SetoutMoves } from './useSetoutMoves.ts';
import { useTape } from '../../fields/useTape.ts';

/** The pieces along each side of a tray, a cabinet, a window; and a full piece off any of them. */
const props = defineProps<{ surface: Surface; plan: SurfacePlan; moves: SetoutMoves }>();
const tape = useTape();

const fixtures = computed(() => {
  const groups = new Map<string, { name: string; sides: BesideFixture[] }>();
  for (const side of besideFixtures(props.plan)) {
    const group = groups.get(side.fixtureId) ?? { name: side.name, sides: [] };
    group.sides.push(side);
    groups.set(side.fixtureId, group);
  }
  return [...groups.values()];
});
const isFrom = ({ fullPiece: { axis, offsetMm } }: BesideFixture): boolean => {
  const chosen = props.surface.setout[axis];
  return chosen.rule === 'free' && Math.abs(chosen.offsetMm - offsetMm) < 0.05;
};
const setFrom = ({ fullPiece: { axis, offsetMm } }: BesideFixture): void =>
  props.moves.setRule(axis, { rule: 'free', offsetMm: Math.round(offsetMm * 1e4) / 1e4 });
</script>

<template>
  <section v-if="fixtures.length > 0" class="stack">
    <h2>Along what stands in it</h2>
    <div v-for="({ name, sides }, k) in fixtures" :key="k" class="fixture">
      <h3>{{ name }}</h3>
      <div v-for="side in sides" :key="side.side" class="side">
        <span class="where">{{ side.side }}</span>
        <span class="figure">{{ describePieces({ cutsMm: side.cutsMm, full: false }, tape) }}</span>
        <span v-if="isFrom(side)" class="soft small">set out from here</span>
        <Button
          v-else
          text
          size="small"
          label="Full piece off it"
          :aria-label="`Full piece off the ${side.side} of ${name}`"
          @click="setFrom(side)"
        />
      </div>
    </div>
  </section>
</template>

<style scoped>
.fixture {
  display: grid;
  gap: 0.1rem;
}
h3 {
  font: 600 0.95rem 'Barlow';
  margin: 0;
}
.side {
  display: grid;
  grid-template-columns: 4rem minmax(0, 1fr) auto;
  gap: 0.5rem;
  align-items: center;
  min-height: 44px;
  border-top: 1px solid var(--line);
}
.where {
  color: var(--ink-soft);
  font-size: 0.9rem;
}
.side .small {
  padding: 0 0.6rem;
}
</style>
