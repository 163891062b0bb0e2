<script setup lang="ts">
import { computed, onBeforeUnmount } from 'vue';
import type { Job, Surface } from '@azulejo/core/job/job';
import { MISFIT_WORDS, PATTERN_NAMES, PATTERN_SUITS } from '@azulejo/core/messages/en/patterns';
import type { Laying } from '@azulejo/core/pattern/laying';
import { PATTERNS, type Pattern, type PatternId } from '@azulejo/core/pattern/registry';
import { layingOfKind } from '@azulejo/core/pattern/suitLaying';
import type { SurfacePlan } from '@azulejo/core/planning/planned';
import type { Tape } from '@azulejo/core/units/tape';
import { useBoardStore } from '../../../stores/boardStore.ts';
import { useAttempt } from '../../useAttempt.ts';
import PatternFields from './PatternFields.vue';
import PatternPreview from './PatternPreview.vue';
import TurnFields from './TurnFields.vue';
import type { EditedLaying } from '../useLaying.ts';

const props = defineProps<{ job: Job; surface: Surface; tape: Tape; laying: Laying; plan: SurfacePlan | null; edited: EditedLaying }>();
const board = useBoardStore();
const { trouble, attempt } = useAttempt(() => props.tape);
const pattern = computed(() => props.laying.pattern);

/** Every kind in the chosen tile, or in the first of the list that can be laid so; null where none can. */
const candidates = computed(() =>
  (Object.keys(PATTERNS) as PatternId[]).map((id) => {
    const laying = layingOfKind(id, props.laying, props.job.products, props.job.consumption.kerfMm);
    const other = laying && laying.productId !== props.laying.productId ? laying.productId : null;
    return { id, name: PATTERN_NAMES[id], laying: laying && { ...laying, turnDeg: 0, mirrored: false }, with: other && tileName(other) };
  }),
);
const tileName = (id: string): string => props.job.products.find((product) => product.id === id)?.name ?? id;

/** A hand that rests on a picture for this long sees it on the drawing, ms. */
const REST_MS = 220;
let resting: ReturnType<typeof setTimeout> | undefined;
function rest(laying: Laying | null, event: PointerEvent): void {
  if (!laying || event.pointerType !== 'mouse' || laying.pattern.kind === pattern.value.kind) return;
  clearTimeout(resting);
  const { turnDeg, mirrored } = props.laying;
  resting = setTimeout(() => {
    board.layingPreview = { areaId: board.chosenArea, laying: { ...laying, turnDeg, mirrored } };
  }, REST_MS);
}
function leave(): void {
  clearTimeout(resting);
  board.layingPreview = null;
}
onBeforeUnmount(leave);

function choose(laying: Laying | null): void {
  leave();
  if (!laying || laying.pattern.kind === pattern.value.kind) return;
  const { productId, parts, jointMm, colours, partColours } = laying;
  attempt(props.edited.put('Pattern', { productId, parts, jointMm, colours, partColours, pattern: laying.pattern }));
}
const put = (next: Pattern) => props.edited.put('Pattern', { pattern: next });
/** Lays a pattern on what is edited now, however much later it is ready. */
const putHere = () => {
  const here = props.edited.putHere();
  return (next: Pattern) => here('Pattern', { pattern: next });
};
</script>

<template>
  <section class="stack">
    <div class="kinds" role="radiogroup" aria-label="Pattern">
      <button
        v-for="candidate in candidates"
        :key="candidate.id"
        type="button"
        role="radio"
        :aria-checked="candidate.id === pattern.kind"
        :class="{ on: candidate.id === pattern.kind }"
        :disabled="candidate.laying === null"
        @click="choose(candidate.laying)"
        @pointerenter="rest(candidate.laying, $event)"
        @pointerleave="leave"
      >
        <PatternPreview v-if="candidate.laying" :laying="candidate.laying" :products="job.products" :joint-colour="surface.jointColour" />
        <span v-else class="none soft small">{{ MISFIT_WORDS.otherOutline }}</span>
        <span
          >{{ candidate.name }}<small v-if="candidate.with" class="soft">in {{ candidate.with }}</small></span
        >
      </button>
    </div>
    <p v-if="trouble" class="why" role="alert">{{ trouble }}</p>
    <PatternFields
      :pattern="pattern"
      :laying="laying"
      :products="job.products"
      :kerf-mm="job.consumption.kerfMm"
      :tape="tape"
      :tiles="plan?.totals.opened ?? null"
      :put="put"
      :put-here="putHere"
    />
    <p class="soft small">{{ PATTERN_SUITS[pattern.kind] }}</p>
    <TurnFields :laying="laying" :edited="edited" :tape="tape" />
  </section>
</template>

<style scoped>
.kinds {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 0.15rem;
}
.kinds button {
  all: unset;
  box-sizing: border-box;
  cursor: pointer;
  display: grid;
  gap: 0.35rem;
  align-content: start;
  font-weight: 600;
  font-size: 0.84rem;
  line-height: 1.15;
  padding: 0.3rem;
  border-radius: 4px;
}
.kinds button:disabled {
  cursor: default;
  font-weight: 400;
  color: var(--ink-soft);
}
.kinds button:hover:not(:disabled) {
  background: var(--paper);
}
.kinds button.on {
  box-shadow: inset 0 0 0 3px var(--cobalt);
  background: var(--cobalt-soft);
}
.kinds button:focus-visible {
  outline: 3px solid var(--cobalt);
  outline-offset: 2px;
}
.kinds small {
  display: block;
  font-weight: 400;
  font-size: 0.76rem;
}
.none {
  display: grid;
  place-content: center;
  text-align: center;
  background: var(--paper);
  aspect-ratio: 3 / 2;
  padding: 0.3rem;
  font-weight: 400;
}
</style>
