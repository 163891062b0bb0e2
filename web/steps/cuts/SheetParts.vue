<script setup lang="ts">
import type { Job } from '@azulejo/core/job/job';
import { productName } from '@azulejo/core/job/job';
import type { SheetPlan } from '@azulejo/core/cuts/sheets/planSheets';
import { useBoardStore } from '../../stores/boardStore.ts';
import { useReadTape, words } from '../../words/useWords.ts';

/** The sheets of one mosaic: which are cut, and what each part is taken from. */
const board = useBoardStore();
const tape = useReadTape();
defineProps<{ plan: SheetPlan; job: Job }>();
</script>

<template>
  <section class="stack sheets">
    <h2>{{ productName(job, plan.productId) }}</h2>
    <p>{{ words.describeSheets(plan) }}</p>
    <p v-if="plan.parts.length > 0" class="small soft">
      {{ words.say('cuts/betweenChips') }}
    </p>
    <details v-if="plan.parts.length > 0">
      <summary>{{ words.say('cuts/sheetParts', { count: plan.parts.length }) }}</summary>
      <ol>
        <li v-for="part in plan.parts" :key="part.label">
          <button
            class="plain"
            type="button"
            :aria-pressed="board.chosenLabel === part.label"
            @click="board.chosenLabel = board.chosenLabel === part.label ? null : part.label"
          >
            <b class="figure">{{ part.label }}</b> <span>{{ words.describeSheetPart(part, tape) }}</span>
          </button>
        </li>
      </ol>
    </details>
  </section>
</template>

<style scoped>
h2 {
  font-size: 1.05rem;
  margin: 0;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
summary {
  min-height: 44px;
  align-content: center;
  cursor: pointer;
  color: var(--cobalt);
}
button {
  width: 100%;
  min-height: 44px;
  align-items: center;
  display: grid;
  grid-template-columns: 3rem 1fr;
  padding: 0.35rem 0;
  border-top: 1px solid var(--line);
}
button[aria-pressed='true'] {
  background: var(--cobalt-soft);
}
</style>
