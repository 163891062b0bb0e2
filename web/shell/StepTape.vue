<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { SURFACE_STEPS } from '../steps/surfaceSteps.ts';

const props = defineProps<{ jobId: string; surfaceId: string; current: string }>();

/** On a phone the tape is longer than the screen: where one is comes into sight. */
const tape = ref<HTMLElement | null>(null);
onMounted(() => {
  const here = tape.value?.querySelector<HTMLElement>('[aria-current]');
  if (tape.value && here) tape.value.scrollLeft = here.offsetLeft - (tape.value.clientWidth - here.clientWidth) / 2;
});

/** The way of the work, laid along a tape. */
const stops = computed(() => [
  { name: 'job', label: 'Job', to: { name: 'job', params: { jobId: props.jobId } } },
  ...SURFACE_STEPS.map(({ name, label }) => ({
    name,
    label,
    to: { name: 'surface', params: { jobId: props.jobId, surfaceId: props.surfaceId, step: name } },
  })),
  { name: 'order', label: 'Order', to: { name: 'order', params: { jobId: props.jobId } } },
  { name: 'programme', label: 'Days', to: { name: 'programme', params: { jobId: props.jobId } } },
  { name: 'site', label: 'Site', to: { name: 'site', params: { jobId: props.jobId } } },
  { name: 'log', label: 'Log', to: { name: 'log', params: { jobId: props.jobId } } },
]);
</script>

<template>
  <nav ref="tape" class="tape no-print" aria-label="Steps">
    <RouterLink
      v-for="stop in stops"
      :key="stop.name"
      :to="stop.to"
      class="stop"
      :class="{ here: stop.name === current }"
      :aria-current="stop.name === current ? 'step' : undefined"
    >
      {{ stop.label }}
    </RouterLink>
  </nav>
</template>

<style scoped>
.tape {
  position: relative;
  display: flex;
  height: 42px;
  background-color: var(--tape);
  color: var(--tape-ink);
  overflow-x: auto;
  flex: none;
  background-image:
    repeating-linear-gradient(90deg, #1b160899 0 1px, transparent 1px 10px),
    repeating-linear-gradient(90deg, #1b1608 0 1.5px, transparent 1.5px 50px);
  background-size:
    100% 5px,
    100% 10px;
  background-position:
    0 100%,
    0 100%;
  background-repeat: no-repeat;
}
.stop {
  display: grid;
  place-content: center;
  padding: 0 1.15rem 6px;
  color: inherit;
  text-decoration: none;
  font: 600 1rem 'Barlow';
  white-space: nowrap;
}
.stop:hover {
  background: #1b160818;
}
.stop.here {
  background: var(--tape-ink);
  color: var(--tape);
}
.stop:focus-visible {
  outline: 3px solid #1c4f9c;
  outline-offset: -4px;
}
@media (max-width: 640px) {
  .tape {
    height: 48px;
  }
  .stop {
    padding: 0 0.85rem 6px;
    flex: 1 0 auto;
  }
}
</style>
