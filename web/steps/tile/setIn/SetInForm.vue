<script setup lang="ts">
import Button from 'primevue/button';
import { PhPlus } from '@phosphor-icons/vue';
import type { Job, Surface } from '@azulejo/core/job/job';
import type { Border } from '@azulejo/core/pattern/edging';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { useBoardStore } from '../../../stores/boardStore.ts';
import { useAttempt } from '../../useAttempt.ts';
import { useEditSurface } from '../../useEditSurface.ts';
import { startArea, startBand } from '../model.ts';
import InsetEditor from './InsetEditor.vue';
import BandRow from './BandRow.vue';
import BorderFields from './BorderFields.vue';
import { useTape } from '../../../fields/useTape.ts';
import TroubleNote from '../../../fields/TroubleNote.vue';

const props = defineProps<{ job: Job; surface: Surface; plan: SurfacePlan | null }>();
const tape = useTape();
const board = useBoardStore();
const edit = useEditSurface(() => props.surface.id);
const { trouble, attempt } = useAttempt(() => tape.value);

const setBorder = (border: Border | null) =>
  edit('border', (surface) => {
    surface.border = border;
  });

function addBand(): void {
  const band = startBand(props.job, props.surface, props.plan);
  if (band) attempt(edit('addABand', ({ bands }) => void bands.push(band)));
  else trouble.value = 'Expected another rectangular tile in the list, 40 mm wide or more; add it under "Tile" first.';
}
function addArea(): void {
  const { plan, surface } = props;
  if (plan) attempt(edit('addAnInset', ({ insets }) => void insets.push(startArea(surface, plan))));
}

function layInset(id: string): void {
  board.chosenInset = id;
  board.tilePart = 'tile';
}
function removeInset(id: string): void {
  board.chosenInset = null;
  edit('removeAnInset', (surface) => {
    surface.insets = surface.insets.filter((inset) => inset.id !== id);
  });
}
</script>

<template>
  <section class="stack">
    <BorderFields :job="job" :border="surface.border" :commit="setBorder" />
  </section>
  <section class="stack">
    <h3>Bands</h3>
    <p v-if="surface.bands.length === 0" class="soft small">
      A row of other tiles between two courses. It goes into the nearest joint, so no course is cut for it.
    </p>
    <BandRow
      v-for="(band, k) in surface.bands"
      :key="band.id"
      :job="job"
      :band="band"
      :commit="(next) => edit('band', ({ bands }) => void (bands[k] = next))"
      @remove="edit('removeABand', (target) => void target.bands.splice(k, 1))"
    />
    <div>
      <Button severity="secondary" outlined @click="addBand"><PhPlus :size="18" />Add a band</Button>
    </div>
  </section>
  <section class="stack">
    <h3>Insets</h3>
    <p v-if="surface.insets.length > 0" class="soft small">Drag an inset on the drawing, or type where it lies.</p>
    <p v-if="surface.insets.length === 0" class="soft small">
      A rug, a panel, or another floor within this one, with its own tile, pattern and border.
    </p>
    <InsetEditor
      v-for="inset in surface.insets"
      :key="inset.id"
      :job="job"
      :surface="surface"
      :inset="inset"
      :plan="plan"
      @lay="layInset(inset.id)"
      @remove="removeInset(inset.id)"
    />
    <div>
      <Button severity="secondary" outlined @click="addArea"><PhPlus :size="18" />Add an inset</Button>
    </div>
    <TroubleNote :why="trouble" />
  </section>
</template>
