<script setup lang="ts">
import { computed } from 'vue';
import { PhCheckCircle, PhInfo, PhWarning } from '@phosphor-icons/vue';
import { describeJudgement } from '@azulejo/core/messages/en/judgement';
import { judgeReadings } from '@azulejo/core/surface/reconcile/judgeReadings';
import type { WallsShape } from '@azulejo/core/surface/shapes/walls';
import { useTape } from '../../../fields/useTape.ts';

const props = defineProps<{ shape: WallsShape }>();
const tape = useTape();
const judgement = computed(() => judgeReadings(props.shape));
</script>

<template>
  <p class="note" :class="judgement.verdict" data-testid="judgement">
    <PhCheckCircle v-if="judgement.verdict === 'agree'" :size="20" weight="bold" />
    <PhInfo v-else-if="judgement.verdict === 'unchecked'" :size="20" weight="bold" />
    <PhWarning v-else :size="20" weight="bold" />
    <span>{{ describeJudgement(judgement, shape, tape) }}</span>
  </p>
</template>

<style scoped>
.note {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 0.6rem;
  padding: 0.6rem 0.75rem;
  border-radius: 4px;
  background: var(--cobalt-soft);
  font-size: 0.95rem;
}
.one-off,
.unclear {
  background: var(--warn-soft);
}
.one-off svg,
.unclear svg {
  color: var(--warn);
}
</style>
