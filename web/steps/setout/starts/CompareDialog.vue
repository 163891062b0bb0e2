<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { computed } from 'vue';
import type { Surface } from '@azulejo/core/job/job';
import type { Faces } from '../../../board/faces.ts';
import SetoutPicture from '../../../board/SetoutPicture.vue';
import { useTape } from '../../../fields/useTape.ts';
import type { ShownSetout } from '../../../workers/planWorker.ts';
import { startFigures } from './startWords.ts';

/** Two or three starts at the same scale, with the same figures in the same order; those that differ are marked. */
const props = defineProps<{
  surface: Surface;
  faces: Faces;
  starts: readonly { readonly rank: number; readonly title: string; readonly start: ShownSetout }[];
}>();
const emit = defineEmits<{ choose: [rank: number]; close: [] }>();
const tape = useTape();
const columns = computed(() =>
  props.starts.map(({ rank, title, start }) => ({ rank, title, start, told: startFigures(start, props.surface, tape.value) })),
);
const differs = (row: number): boolean => new Set(columns.value.map(({ told }) => told.rows[row].figure)).size > 1;
const labels = computed(() => columns.value[0]?.told.rows.map(({ label }) => label) ?? []);
</script>

<template>
  <Dialog visible modal header="Side by side" class="compare" @update:visible="emit('close')">
    <div class="columns" :style="{ '--columns': columns.length }">
      <section v-for="{ rank, title, start, told } in columns" :key="rank" class="column">
        <div class="drawing"><SetoutPicture :plan="start.plan" :faces="faces" :label="`Start ${rank}, drawn to scale`" /></div>
        <h3>{{ rank }}. {{ title }}</h3>
        <p v-if="told.changes" class="small">{{ told.changes }}</p>
        <p>{{ told.gain }}</p>
        <p class="small soft">{{ told.cost }}</p>
        <dl>
          <div v-for="(row, k) in told.rows" :key="row.label" :class="{ other: differs(k) }">
            <dt>{{ labels[k] }}</dt>
            <dd class="figure">{{ row.figure }}</dd>
          </div>
        </dl>
        <Button :label="`Lay start ${rank}`" size="small" @click="(emit('choose', rank), emit('close'))" />
      </section>
    </div>
  </Dialog>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: repeat(var(--columns), minmax(0, 1fr));
  gap: 1.2rem;
  width: min(1120px, 88vw);
}
.column {
  display: grid;
  gap: 0.5rem;
  align-content: start;
}
.drawing {
  height: min(240px, 30vh);
  background: var(--paper);
  border-radius: 4px;
  overflow: hidden;
}
dl {
  margin: 0;
}
dl div {
  display: flex;
  justify-content: space-between;
  padding: 0.25rem 0.4rem;
  border-top: 1px solid var(--line);
}
dl div.other {
  background: var(--warn-soft);
}
dl div.other dt::after {
  content: ' (differs)';
  color: var(--warn);
  font-size: 0.8rem;
}
dt {
  color: var(--ink-soft);
}
dd {
  margin: 0;
  font-size: 1.15rem;
}
@media (max-width: 700px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
