<script setup lang="ts">
import { settingsOf } from '@azulejo/core/cuts/cutOrder';
import Button from 'primevue/button';
import { computed, ref, toRef } from 'vue';
import { PhFileCsv, PhFilePdf, PhPrinter } from '@phosphor-icons/vue';
import type { Job, Surface } from '@azulejo/core/job/job';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { exportUrl } from '../../api/client.ts';
import { useBoardStore } from '../../stores/boardStore.ts';
import LabelPrinterDialog from './LabelPrinterDialog.vue';
import { useCutList } from './useCutList.ts';

/** What goes to the saw on paper. */
const props = defineProps<{ job: Job; surface: Surface; plan: SurfacePlan }>();
const board = useBoardStore();
const { trips, settingOf } = useCutList(toRef(props, 'job'), toRef(props, 'surface'), toRef(props, 'plan'));
const printing = ref(false);

const PAPERS = [
  { id: 'paper', label: 'Setout and cuts' },
  { id: 'back', label: 'Cuts, face down' },
  { id: 'templates', label: 'Templates' },
  { id: 'stickers', label: 'Stickers' },
] as const;
const ordered = computed(() => settingsOf(trips.value).flatMap(({ pieces }) => pieces));
const chosen = computed(() => {
  const pieces = settingOf(board.chosenGroup)?.pieces ?? [];
  return board.chosenLabel === null ? pieces : pieces.filter(({ label }) => label === board.chosenLabel);
});
</script>

<template>
  <div class="papers no-print">
    <Button
      v-for="{ id, label } in PAPERS"
      :key="id"
      as="a"
      size="small"
      :href="exportUrl(job.id, id, surface.id)"
      severity="secondary"
      outlined
      ><PhFilePdf :size="18" />{{ label }}</Button
    >
    <Button as="a" size="small" :href="exportUrl(job.id, 'cuts', surface.id)" severity="secondary" outlined
      ><PhFileCsv :size="18" />Cut list</Button
    >
    <Button v-if="ordered.length > 0" size="small" severity="secondary" outlined @click="printing = true"
      ><PhPrinter :size="18" />Print labels</Button
    >
    <LabelPrinterDialog v-model:visible="printing" :pieces="ordered" :chosen="chosen" :surface-name="surface.name" />
  </div>
</template>

<style scoped>
.papers {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(160px, 1fr));
  gap: 0.5rem;
}
.papers :deep(.p-button) {
  justify-content: flex-start;
}
</style>
