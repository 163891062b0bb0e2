<script setup lang="ts">
import { computed, onBeforeUnmount } from 'vue';
import type { Job, Surface } from '@azulejo/core/job/job';
import { PATTERN_SUITS } from '@azulejo/core/messages/en/patterns';
import type { Laying } from '@azulejo/core/pattern/laying';
import type { Pattern } from '@azulejo/core/pattern/registry';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { useBoardStore } from '../../../stores/boardStore.ts';
import { useAttempt } from '../../useAttempt.ts';
import PatternChoice from './PatternChoice.vue';
import PatternFields from './PatternFields.vue';
import TurnFields from './TurnFields.vue';
import type { EditedLaying } from '../useLaying.ts';
import { useTape } from '../../../fields/useTape.ts';
import TroubleNote from '../../../fields/TroubleNote.vue';

const props = defineProps<{ job: Job; surface: Surface; laying: Laying; plan: SurfacePlan | null; edited: EditedLaying }>();
const tape = useTape();
const board = useBoardStore();
const { trouble, attempt } = useAttempt(() => tape.value);
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
  attempt(props.edited.put('pattern', { productId, parts, jointMm, colours, partColours, pattern: laying.pattern }));
}
const put = (next: Pattern) => props.edited.put('pattern', { pattern: next });
/** Lays a pattern on what is edited now, however much later it is ready. */
const putHere = () => {
  const here = props.edited.putHere();
  return (next: Pattern) => here('pattern', { pattern: next });
};
</script>

<template>
  <section class="stack" data-field="pattern">
    <PatternChoice
      :laying="laying"
      :products="job.products"
      :kerf-mm="job.consumption.kerfMm"
      :joint-colour="surface.jointColour"
      @choose="choose"
      @rest="rest"
      @leave="leave"
    />
    <TroubleNote :why="trouble" />
    <PatternFields
      :pattern="pattern"
      :laying="laying"
      :products="job.products"
      :kerf-mm="job.consumption.kerfMm"
      :tiles="plan?.totals.opened ?? null"
      :put="put"
      :put-here="putHere"
    />
    <p class="soft small">{{ PATTERN_SUITS[pattern.kind] }}</p>
    <TurnFields :laying="laying" :edited="edited" />
  </section>
</template>
