<script setup lang="ts">
import Button from 'primevue/button';
import { computed, onUnmounted, ref, toRef, watch } from 'vue';
import { PhArrowLeft, PhArrowRight, PhCheck } from '@phosphor-icons/vue';
import { dryLayOf, MOST_DRY, swapOf } from '@azulejo/core/cuts/dryLay';
import { productName, type Job, type Surface } from '@azulejo/core/job/job';
import { describeSwap } from '@azulejo/core/messages/en/practice';
import { kindName } from '@azulejo/core/messages/en/names';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { formatLength, formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import TextField from '../../fields/TextField.vue';
import { useTape } from '../../fields/useTape.ts';
import { useBoardStore } from '../../stores/boardStore.ts';
import PieceOutline from './PieceOutline.vue';
import { useTicking } from './useTicking.ts';

/** Every piece in the order of the surface, one after the other; and whether two that changed places do any harm. */
const props = defineProps<{ job: Job; surface: Surface; plan: SurfacePlan }>();
const tape = useTape();
const board = useBoardStore();
const { stateOf, tick } = useTicking(toRef(props, 'surface'), toRef(props, 'plan'));

const order = computed(() => (props.plan.totals.pieces > MOST_DRY ? [] : dryLayOf(props.plan.fields, props.plan.labels, props.plan.toCut)));
const piece = computed(() => order.value.at(Math.min(board.dryAt, order.value.length - 1)) ?? null);
const laid = computed(() => order.value.filter(({ label }) => stateOf(label) === 'laid').length);
watch(order, ({ length }) => (board.dryCount = length), { immediate: true });
watch(piece, (now) => (board.dryPiece = now), { immediate: true });
watch(
  () => board.chosenLabel,
  (label) => {
    const at = order.value.findIndex((one) => one.label === label);
    if (at >= 0) board.dryAt = at;
  },
);
onUnmounted(() => (board.dryPiece = null));

function lay(): void {
  if (!piece.value) return;
  tick([piece.value.label], 'laid');
  board.stepDry(1);
}

const swapped = ref<readonly [string, string]>(['', '']);
const found = (label: string) => order.value.find((one) => one.label.toUpperCase() === label.toUpperCase());
const setSwapped =
  (which: 0 | 1) =>
  (text: string): string | null => {
    if (text !== '' && !found(text)) return `No piece here is called ${text}.`;
    const label = found(text)?.label ?? '';
    swapped.value = which === 0 ? [label, swapped.value[1]] : [swapped.value[0], label];
    return null;
  };
const swap = computed(() => {
  const [a, b] = swapped.value.map(found);
  if (!a || !b) return null;
  if (a === b) return { words: 'That is one and the same piece.', fine: true };
  const result = swapOf(a, b, props.job.products);
  return { words: describeSwap(result, a.label, b.label, tape.value), fine: result.kind === 'harmless' };
});
</script>

<template>
  <p v-if="order.length === 0" class="soft">
    {{
      plan.totals.pieces > MOST_DRY
        ? `A dry lay goes up to ${MOST_DRY} pieces; this surface has ${plan.totals.pieces}.`
        : 'There is nothing to lay.'
    }}
  </p>
  <template v-else-if="piece">
    <p class="soft">Lay the pieces dry in this order, course by course from the bottom left; arrow keys go on and back.</p>
    <article class="card" aria-live="polite">
      <PieceOutline v-if="piece.cut" :piece="piece.cut" class="outline" />
      <div v-else class="outline whole" aria-hidden="true"></div>
      <div class="words">
        <span class="small soft">{{ board.dryAt + 1 }} of {{ order.length }}, {{ laid }} laid</span>
        <b class="figure">{{ piece.label }}</b>
        <span>{{ productName(job, piece.productId) }}</span>
        <span v-if="piece.cut" class="small soft"
          >{{ kindName(piece.cut.kind) }}, {{ formatLength(piece.cut.sizeMm.widthMm, tape) }} x
          {{ formatLengthWithUnit(piece.cut.sizeMm.heightMm, tape) }}</span
        >
        <span v-else class="small soft">Whole</span>
      </div>
    </article>
    <div class="row no-print">
      <Button severity="secondary" outlined :disabled="board.dryAt === 0" aria-label="The piece before" @click="board.stepDry(-1)"
        ><PhArrowLeft :size="18"
      /></Button>
      <Button v-if="stateOf(piece.label) === 'laid'" severity="secondary" outlined @click="board.stepDry(1)"
        ><PhCheck :size="18" />Laid</Button
      >
      <Button v-else @click="lay"><PhCheck :size="18" />It lies here</Button>
      <Button
        severity="secondary"
        outlined
        :disabled="board.dryAt >= order.length - 1"
        aria-label="The next piece"
        @click="board.stepDry(1)"
        ><PhArrowRight :size="18"
      /></Button>
    </div>
    <section class="stack">
      <h3>Two pieces changed places?</h3>
      <div class="pair">
        <TextField label="One" :value="swapped[0]" :longest="24" :placeholder="order[0].label" :commit="setSwapped(0)" />
        <TextField
          label="The other"
          :value="swapped[1]"
          :longest="24"
          :placeholder="order[order.length - 1].label"
          :commit="setSwapped(1)"
        />
      </div>
      <p v-if="swap" :class="swap.fine ? 'fine' : 'caution'" role="status">{{ swap.words }}</p>
    </section>
  </template>
</template>

<style scoped>
.card {
  display: grid;
  grid-template-columns: 110px 1fr;
  gap: 1.1rem;
  align-items: center;
  padding: 0.9rem;
  background: var(--cobalt-soft);
  border-radius: 4px;
}
.outline {
  width: 110px;
  height: 110px;
}
.whole {
  border: 2px solid var(--ink);
  background: var(--panel);
  border-radius: 2px;
  transform: scale(0.82);
}
.words {
  display: grid;
  gap: 0.1rem;
}
.words b {
  font-size: 3rem;
  line-height: 1;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.8rem;
}
.fine {
  color: var(--done);
  font-weight: 600;
}
</style>
