<script setup lang="ts">
import { computed, ref } from 'vue';
import { productName, type Job, type Surface } from '@azulejo/core/job/job';
import { leftOver, type LeftOver } from '@azulejo/core/cuts/offCuts/leftOver';
import type { OffCutPlan, OpenedTile } from '@azulejo/core/cuts/offCuts/planOffCuts';
import { describeLeft, describeOpened } from '@azulejo/core/messages/en/offCuts';
import { useTape } from '../../fields/useTape.ts';
import { useLogStore } from '../../stores/logStore.ts';
import BlankList from './BlankList.vue';
import LookLonger from './LookLonger.vue';
import OpenedTileCard from './OpenedTileCard.vue';

/** Every tile that is opened for cuts, with what is cut from it and what is left. */
const props = defineProps<{ job: Job; surface: Surface; offCuts: OffCutPlan }>();
const tape = useTape();

const kinds = computed(() => {
  const { kerfMm } = props.job.consumption;
  const byKind = new Map<string, { name: string; tiles: { tile: OffCutPlan['tiles'][number]; left: ReturnType<typeof leftOver> }[] }>();
  for (const tile of props.offCuts.tiles) {
    const key = `${tile.hand ?? ''}/${tile.productId}`;
    const own = byKind.get(key) ?? { name: productName(props.job, tile.productId), tiles: [] };
    own.tiles.push({ tile, left: leftOver(tile, kerfMm) });
    byKind.set(key, own);
  }
  return [...byKind.values()];
});
/** What of this surface lies on the shelf for other jobs, by the number of its tile. */
const log = useLogStore();
const keptTiles = ref<ReadonlySet<number>>(new Set());
function keep({ tile, productId }: OpenedTile, left: readonly LeftOver[]): void {
  if (keptTiles.value.has(tile)) return;
  keptTiles.value = new Set([...keptTiles.value, tile]);
  const name = productName(props.job, productId);
  for (const { boxMm } of left)
    void log.write(
      { kind: 'leftOver', productId, name, widthMm: Math.floor(boxMm.widthMm), heightMm: Math.floor(boxMm.heightMm), pieces: 1 },
      { surfaceId: props.surface.id },
    );
}
const sheets = computed(() => props.offCuts.byTile.length > 0 && props.offCuts.tiles.length === 0);
</script>

<template>
  <BlankList v-if="!sheets" :job="job" :surface="surface" />
  <p v-if="sheets" class="soft">Parts of sheets are listed with the pieces to cut: each says which rest it is taken from.</p>
  <p v-else-if="offCuts.tiles.length === 0">Every piece is whole. No tile is opened for cuts.</p>
  <template v-else>
    <p>{{ describeOpened(offCuts, surface.id) }}</p>
    <LookLonger :job="job" :open="job.consumption.offCutsKept && offCuts.openedForCuts > offCuts.lowerBound" />
    <p class="small soft">
      Tiles are numbered in the order in which surfaces are laid. The saw's kerf is taken off between pieces, and nothing is turned over.
    </p>
    <section v-for="kind in kinds" :key="kind.name" class="stack">
      <h3 v-if="kinds.length > 1">{{ kind.name }}</h3>
      <ul>
        <OpenedTileCard
          v-for="{ tile, left } in kind.tiles"
          :key="tile.tile"
          :tile="tile"
          :left="left"
          :job="job"
          :surface-id="surface.id"
          :note="describeLeft(left, tape)"
          :is-last="tile.uses.at(-1)?.surfaceId === surface.id"
          :kept="keptTiles.has(tile.tile)"
          @keep="keep(tile, left)"
        />
      </ul>
    </section>
  </template>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 1rem 0.9rem;
}
h3 {
  margin: 0.4rem 0 0;
}
</style>
