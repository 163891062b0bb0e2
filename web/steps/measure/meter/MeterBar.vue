<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import Button from 'primevue/button';
import { onBeforeUnmount, ref, shallowRef } from 'vue';
import { PhRuler } from '@phosphor-icons/vue';
import type { Surface } from '@azulejo/core/job/job';
import { formatLength } from '@azulejo/core/units/formatLength';
import { makeSimulatedMeter, type SimulatedMeter } from '../../../instruments/simulatedMeter.ts';
import { trueLength } from '../../../instruments/simulatedSite.ts';
import { isTyping } from '../../../shell/isTyping.ts';
import { useTape } from '../../../fields/useTape.ts';

/** A distance meter writes into the field that has the focus, and the next field takes it. */
const props = defineProps<{ surface: Surface }>();
const tape = useTape();
const meter = shallowRef<SimulatedMeter | null>(null);
const target = shallowRef<HTMLInputElement | null>(null);
const lastMm = ref<number | null>(null);
const fields = (): HTMLInputElement[] => [...document.querySelectorAll<HTMLInputElement>('input[data-measures]')];

useEventListener('focusin', ({ target: focused }: FocusEvent) => {
  if (focused instanceof HTMLInputElement && focused.dataset['measures']) target.value = focused;
});

/** Types a reading as a hand would, so that the field checks it as it checks a hand. */
function take(mm: number): void {
  lastMm.value = mm;
  const field = target.value?.isConnected ? target.value : fields()[0];
  if (!field) return;
  const at = fields().indexOf(field);
  field.value = formatLength(mm, tape.value);
  field.dispatchEvent(new Event('input', { bubbles: true }));
  field.dispatchEvent(new Event('change', { bubbles: true }));
  requestAnimationFrame(() => {
    const all = fields();
    const next = all[(field.isConnected ? all.indexOf(field) : at - 1) + 1] ?? all[0];
    next?.focus();
    next?.select();
  });
}

async function connect(): Promise<void> {
  const made = makeSimulatedMeter();
  await made.connect();
  made.onReading(take);
  meter.value = made;
  (target.value ?? fields()[0])?.focus();
}
function measure(): void {
  const field = target.value?.isConnected ? target.value : fields()[0];
  const mm = field ? trueLength(props.surface, field.dataset['measures'] ?? '') : null;
  if (mm !== null) meter.value?.measure(mm);
}
function disconnect(): void {
  meter.value?.disconnect();
  [meter.value, lastMm.value] = [null, null];
}
useEventListener('keydown', (event: KeyboardEvent) => {
  const inField = event.target instanceof HTMLInputElement && event.target.dataset['measures'] !== undefined;
  if (!meter.value || event.key !== 'F2' || (isTyping(event) && !inField)) return;
  event.preventDefault();
  measure();
});
onBeforeUnmount(disconnect);
</script>

<template>
  <div class="meter" :class="{ on: meter }">
    <template v-if="meter">
      <Button class="press" @click="measure"><PhRuler :size="20" />Read<span class="key">&nbsp;(F2)</span></Button>
      <p class="grow small">
        {{ meter.name
        }}<template v-if="lastMm !== null"
          >: <b class="figure">{{ formatLength(lastMm, tape) }}</b></template
        >
      </p>
      <Button severity="secondary" text size="small" @click="disconnect">Put it away</Button>
    </template>
    <Button v-else severity="secondary" text size="small" @click="connect"><PhRuler :size="18" />Use a distance meter (simulated)</Button>
  </div>
</template>

<style scoped>
@media (pointer: coarse) {
  .key {
    display: none;
  }
}
.meter {
  display: flex;
  gap: 0.6rem;
  align-items: center;
  margin: -0.6rem 0;
}
.meter.on {
  position: sticky;
  top: 0;
  z-index: 2;
  background: var(--tape);
  color: var(--tape-ink);
  border-radius: 4px;
  padding: 0.4rem 0.6rem;
  margin: 0;
}
.meter.on :deep(.p-button-text) {
  color: var(--tape-ink);
}
</style>
