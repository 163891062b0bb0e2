<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { computed, ref, shallowRef, triggerRef } from 'vue';
import { PhArrowUp, PhPrinter } from '@phosphor-icons/vue';
import type { CutPiece } from '@azulejo/core/cuts/cutPiece';
import { kindName } from '@azulejo/core/messages/en/names';
import { formatLength, formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import type { PieceLabel } from '../../instruments/labelPrinter.ts';
import { makeSimulatedPrinter } from '../../instruments/simulatedPrinter.ts';
import { useTape } from '../../fields/useTape.ts';

/** Labels of the pieces, printed in the order in which they are cut. */
const props = defineProps<{ pieces: readonly CutPiece[]; chosen: readonly CutPiece[]; surfaceName: string }>();
const visible = defineModel<boolean>('visible', { required: true });
const tape = useTape();
const printer = shallowRef(makeSimulatedPrinter());
const busy = ref(false);
const trouble = ref<string | null>(null);
/** What is still to come out. */
const waiting = shallowRef<readonly PieceLabel[]>([]);
const strip = computed(() => printer.value.strip);

const labelOf = ({ label, kind, sizeMm: { widthMm, heightMm }, hasWayUp }: CutPiece): PieceLabel => ({
  label,
  lines: [
    `${formatLength(widthMm, tape.value)} x ${formatLengthWithUnit(heightMm, tape.value)}`,
    `${kindName(kind)}, ${props.surfaceName}`,
  ],
  hasWayUp,
});

async function print(labels: readonly PieceLabel[]): Promise<void> {
  [busy.value, trouble.value, waiting.value] = [true, null, labels];
  try {
    await printer.value.print(labels, (count) => {
      waiting.value = labels.slice(count);
      triggerRef(printer);
    });
  } catch (error) {
    trouble.value = error instanceof Error ? error.message : 'The printer does not answer.';
  }
  busy.value = false;
}
function reload(): void {
  printer.value.reload();
  triggerRef(printer);
  if (waiting.value.length > 0) void print(waiting.value);
}
function tear(): void {
  printer.value.tear();
  triggerRef(printer);
}
</script>

<template>
  <Dialog v-model:visible="visible" modal :header="printer.name" :style="{ width: '34rem', maxWidth: '94vw' }">
    <p class="soft">
      It stands in for a printer beside the saw: what comes out is shown here. {{ printer.left }} labels are left on the roll.
    </p>
    <div class="row">
      <Button :disabled="busy || pieces.length === 0" @click="print(pieces.map(labelOf))"
        ><PhPrinter :size="18" />{{ pieces.length === 1 ? 'Print one label' : `Print ${pieces.length} labels` }}</Button
      >
      <Button v-if="chosen.length > 0" :disabled="busy" severity="secondary" outlined @click="print(chosen.map(labelOf))">{{
        chosen.length === 1 ? `Only ${chosen[0].label}` : `Only the ${chosen.length} chosen`
      }}</Button>
      <Button v-if="printer.left === 0" severity="secondary" outlined @click="reload">Put a new roll in</Button>
      <Button v-if="strip.length > 0 && !busy" severity="secondary" text @click="tear">Tear off</Button>
    </div>
    <p v-if="trouble" class="caution" role="alert">{{ trouble }}</p>
    <p class="heard" aria-live="polite">{{ busy ? `${waiting.length} to come` : '' }}</p>
    <ol v-if="strip.length > 0" class="strip" aria-label="Printed labels">
      <li v-for="(one, k) in strip" :key="k">
        <b class="figure">{{ one.label }}<PhArrowUp v-if="one.hasWayUp" :size="20" aria-label="arrow to the top" /></b>
        <span v-for="line in one.lines" :key="line">{{ line }}</span>
      </li>
    </ol>
  </Dialog>
</template>

<style scoped>
.strip {
  list-style: none;
  margin: 1rem 0 0;
  padding: 0.6rem;
  background: #c9a878;
  border-radius: 4px;
  max-height: 46vh;
  overflow-y: auto;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(130px, 1fr));
  gap: 3px;
}
.strip li {
  background: #fff;
  color: #14202b;
  border-radius: 3px;
  padding: 0.35rem 0.55rem 0.45rem;
  display: grid;
  font-size: 0.8rem;
  line-height: 1.25;
}
.strip b {
  font-size: 1.9rem;
  line-height: 1.1;
  display: flex;
  justify-content: space-between;
  align-items: center;
}
.heard {
  min-height: 1.2em;
  font-size: 0.875rem;
  color: var(--ink-soft);
}
</style>
