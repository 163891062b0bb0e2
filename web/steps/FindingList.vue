<script setup lang="ts">
import { computed } from 'vue';
import { PhWarning } from '@phosphor-icons/vue';
import { adviseSurface } from '@azulejo/core/advice/registry';
import { productOf, tapeOf, type Job, type Surface } from '@azulejo/core/job/job';
import { describeFinding } from '@azulejo/core/messages/en/advice';
import type { SurfacePlan } from '@azulejo/core/planning/planned';
import { stepOfFinding } from './stepOfFinding.ts';

const props = defineProps<{ job: Job; surface: Surface; plan: SurfacePlan | null }>();
const findings = computed(() => {
  if (!props.plan || props.plan.surfaceId !== props.surface.id) return [];
  const surfaceIndex = props.job.surfaces.findIndex(({ id }) => id === props.surface.id);
  return adviseSurface({
    job: props.job,
    surface: props.surface,
    surfaceIndex,
    product: productOf(props.job, props.surface),
    plan: props.plan,
  }).map((finding) => ({ finding, words: describeFinding(finding, tapeOf(props.job, props.surface)), step: stepOfFinding(finding) }));
});
</script>

<template>
  <section v-if="findings.length > 0" class="stack">
    <h2>Look at</h2>
    <ul>
      <li v-for="{ finding, words, step } in findings" :key="finding.code + finding.path.join()">
        <PhWarning :size="20" weight="bold" />
        <p>
          {{ words }}
          <RouterLink :to="{ name: 'surface', params: { jobId: job.id, surfaceId: surface.id, step: step.name } }">{{
            step.label
          }}</RouterLink>
        </p>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  margin: 0;
  padding: 0;
  list-style: none;
  display: grid;
  gap: 0.5rem;
}
li {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 0.6rem;
  background: var(--warn-soft);
  padding: 0.6rem 0.75rem;
  border-radius: 4px;
  font-size: 0.93rem;
}
svg {
  color: var(--warn);
  margin-top: 1px;
}
</style>
