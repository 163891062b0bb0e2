<script setup lang="ts">
import { computed } from 'vue';
import { describeLines } from '@azulejo/core/messages/en/lines';
import { thingNamesOf } from '@azulejo/core/messages/thingNames';
import type { SurfacePlan } from '@azulejo/core/planning/planned';
import { useTape } from '../../fields/useTape.ts';

/** The lines to strike, each as its tape measures. */
const props = defineProps<{ plan: SurfacePlan }>();
const tape = useTape();
const lines = computed(() => describeLines(props.plan.struck, thingNamesOf(props.plan.traced), tape.value));
</script>

<template>
  <section class="stack">
    <h2>Lines to strike</h2>
    <ul class="lines">
      <li v-for="line in lines" :key="line">{{ line }}</li>
    </ul>
  </section>
</template>

<style scoped>
.lines {
  margin: 0;
  padding: 0;
  list-style: none;
  display: grid;
  gap: 0.45rem;
}
.lines li {
  padding-left: 1.6rem;
  position: relative;
}
.lines li::before {
  content: '';
  position: absolute;
  left: 0;
  top: 0.7em;
  width: 1.1rem;
  border-top: 2.5px dashed var(--chalk);
}
</style>
