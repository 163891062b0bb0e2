<script setup lang="ts">
import { computed, onBeforeUnmount } from 'vue';
import type { Job, Surface } from '@azulejo/core/job/job';
import { PATTERN_SUITS } from '@azulejo/core/messages/en/patterns';
import type { Laying } from '@azulejo/core/pattern/laying';
import type { Pattern } from '@azulejo/core/pattern/registry';
import type { SurfacePlan } from '@azulejo/core/planning/planned';
import type { Tape } from '@azulejo/core/units/tape';
import { useBoardStore } from '../../../stores/boardStore.ts';
import { useAttempt } from '../../useAttempt.ts';
import PatternChoice from './PatternChoice.vue';
import PatternFields from './PatternFields.vue';
import TurnFields from './TurnFields.vue';
import type { EditedLaying } from '../useLaying.ts';

const props = defineProps<{ job: Job; surface: Surface; tape: Tape; laying: Laying; plan: SurfacePlan | null; edited: EditedLaying }>();
const board = useBoardStore();
const { trouble, attempt } = useAttempt(() => props.tape);
const pattern = computed(() => props.laying.pattern);

/** A hand that rests on a picture for this long sees it on the drawing, ms. */
const REST_MS = 220;
let resting: ReturnType<typeof setTimeout> | undefined;
function rest(laying: Laying, event: PointerEvent): void {
  if (event.pointerType !== 'mouse' || laying.pattern.kind === pattern.value.kind) return;
  clearTimeout(resting);
  const { turnDeg, mirrored } = props.laying;
  resting = setTimeout(() => {
    board.layingPreview = { insetId: board.chosenInset, laying: { ...laying, turnDeg, mirrored } };
  }, REST_MS);
}
function leave(): void {
  clearTimeout(resting);
  board.layingPreview = null;
}
onBeforeUnmount(leave);

function choose(laying: Laying): void {
  leave();
  if (laying.pattern.kind === pattern.value.kind) return;
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
    <PatternChoice
      :laying="laying"
      :products="job.products"
      :kerf-mm="job.consumption.kerfMm"
      :joint-colour="surface.jointColour"
      @choose="choose"
      @rest="rest"
      @leave="leave"
    />
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
