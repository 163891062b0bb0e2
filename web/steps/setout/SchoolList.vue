<script setup lang="ts">
import { computed } from 'vue';
import type { Surface } from '@azulejo/core/job/job';
import { schoolName } from '@azulejo/core/messages/en/reasons';
import { SCHOOLS } from '@azulejo/core/setout/choice/school';
import type { SetoutMoves } from './useSetoutMoves.ts';

/** The schools of setting out: each holds the search to what it asks for. */
const props = defineProps<{ surface: Surface; moves: SetoutMoves }>();
const rows = computed(() =>
  SCHOOLS.map((school, k) => ({ school, key: k + 1, name: schoolName(school), on: props.surface.setout.school === school })),
);
</script>

<template>
  <section class="stack">
    <h2>By a school</h2>
    <div class="schools" role="group" aria-label="Schools of setting out">
      <button v-for="row in rows" :key="row.school" type="button" class="plain" :aria-pressed="row.on" @click="moves.school(row.school)">
        <kbd>{{ row.key }}</kbd>{{ row.name }}
      </button>
    </div>
  </section>
</template>

<style scoped>
.schools {
  display: grid;
  gap: 2px;
}
button {
  display: flex;
  gap: 0.7rem;
  align-items: center;
  padding: 0.4rem 0.5rem;
  border-radius: 4px;
  text-align: left;
  font-weight: 600;
}
button:hover {
  background: var(--paper);
}
button[aria-pressed='true'] {
  background: var(--cobalt-soft);
}
kbd {
  font: 600 0.95rem var(--figure);
  border: 1px solid var(--line-strong);
  border-radius: 3px;
  padding: 0 0.4rem;
  color: var(--ink-soft);
}
@media (pointer: coarse) {
  button {
    min-height: 44px;
  }
}
</style>
