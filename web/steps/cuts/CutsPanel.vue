<script setup lang="ts">
import { polygonsArea } from '@azulejo/core/geometry/ring';
import Button from 'primevue/button';
import { computed, nextTick, watch } from 'vue';
import { PhFileCsv, PhFilePdf } from '@phosphor-icons/vue';
import type { Job, Surface } from '@azulejo/core/job/job';
import { SAFETY } from '@azulejo/core/messages/en/safety';
import type { SurfacePlan } from '@azulejo/core/planning/planned';
import { exportUrl } from '../../api/client.ts';
import { CUT_PARTS, useBoardStore } from '../../stores/boardStore.ts';
import PartTabs from '../../fields/PartTabs.vue';
import { useJobPlan } from '../../workers/useJobPlan.ts';
import CutGroupCard from './CutGroupCard.vue';
import OpenedTiles from './OpenedTiles.vue';
import SheetParts from './SheetParts.vue';
import SwitchField from '../../fields/SwitchField.vue';
import { SEEN_SIDES, useSeenSide } from './useSeenSide.ts';

const props = defineProps<{ job: Job; surface: Surface; plan: SurfacePlan | null }>();
const board = useBoardStore();
const { side } = useSeenSide();
/** Surfaces that share a tile take from what another left: where pieces come from is planned for all together. */
const { plan: shared } = useJobPlan({ besideSurface: true });
const offCuts = computed(() => shared.value?.surfaces.find(({ surfaceId }) => surfaceId === props.surface.id)?.offCuts ?? null);
const dropped = computed(() => polygonsArea(props.plan?.fields.flatMap(({ layout }) => layout.dropped) ?? []));
const minutes = computed(() => props.plan?.cuts.reduce((sum, cut) => sum + cut.minutes, 0) ?? 0);

function chooseGroup(id: string): void {
  const again = board.chosenGroup === id && board.chosenLabel === null;
  board.chosenGroup = again ? null : id;
  board.chosenLabel = null;
}
function choosePiece(group: string, label: string): void {
  board.chosenGroup = group;
  board.chosenLabel = board.chosenLabel === label ? null : label;
}
watch(
  () => board.chosenGroup,
  async (id) => {
    await nextTick();
    if (id) document.getElementById(id)?.scrollIntoView({ block: 'nearest' });
  },
);
</script>

<template>
  <template v-if="plan">
    <div class="row no-print">
      <Button as="a" :href="exportUrl(job.id, 'paper', surface.id)" severity="secondary" outlined
        ><PhFilePdf :size="19" />Setout and cuts on paper</Button
      >
      <Button as="a" :href="exportUrl(job.id, 'cuts', surface.id)" severity="secondary" outlined><PhFileCsv :size="19" />Cut list</Button>
    </div>
    <PartTabs v-model="board.cutPart" :parts="CUT_PARTS" label="Parts of cutting" />
    <template v-if="board.cutPart === 'tiles'">
      <OpenedTiles v-if="offCuts" :job="job" :surface="surface" :off-cuts="offCuts" />
      <p v-else class="soft" role="status">Sharing out off-cuts over all surfaces</p>
    </template>
    <template v-else>
      <SheetParts v-for="sheets in plan.sheets" :key="sheets.productId" :plan="sheets" :job="job" />
      <p v-if="plan.groups.length === 0 && plan.sheets.length === 0">Every piece is whole. Nothing to cut.</p>
      <template v-else-if="plan.groups.length > 0">
        <p class="caution">{{ SAFETY.cutting }}</p>
        <p class="soft">
          {{ plan.groups.length === 1 ? 'One setting' : `${plan.groups.length} settings` }} for
          {{ plan.cuts.length === 1 ? 'one piece' : `${plan.cuts.length} pieces` }}, about {{ minutes }} min of cutting. Figures are from
          factory edges with joint and gap taken off; set the fence to them.
        </p>
        <SwitchField label="Tiles are marked" :value="side" :options="SEEN_SIDES" @choose="side = $event" />
        <p v-if="side === 'back'" class="small soft">
          Drawn as they lie face down, the top still away from you: left is right of the face. An arrow shows which way the top of the face
          is.
        </p>
        <ol class="groups">
          <CutGroupCard
            v-for="group in plan.groups"
            :id="group.id"
            :key="group.id"
            :group="group"
            :off-cuts="offCuts"
            :job="job"
            :surface-id="surface.id"
            :chosen="board.chosenGroup === group.id"
            :chosen-label="board.chosenLabel"
            @choose="chooseGroup(group.id)"
            @choose-piece="choosePiece(group.id, $event)"
          />
        </ol>
      </template>
    </template>
    <p v-if="dropped > 1 && board.cutPart === 'pieces'" class="small soft">
      Strips too narrow for any saw, under a millimetre and a half, are left to the joint.
    </p>
  </template>
  <p v-else class="soft" role="status">Working out the cuts</p>
</template>

<style scoped>
.groups {
  margin: 0;
  padding: 0;
  list-style: none;
}
</style>
