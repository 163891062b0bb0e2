<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { PATTERN_NAMES } from '@azulejo/core/messages/en/patterns';
import { makeSheet, MOUNTED, type MountedId } from '@azulejo/core/pattern/makeSheet';
import { PATTERNS, type Pattern } from '@azulejo/core/pattern/registry';
import type { Module } from '@azulejo/core/pattern/repeat';
import type { ChipType, Sheet } from '@azulejo/core/tile/sheet/sheet';
import { sheetSize } from '@azulejo/core/tile/sheet/sheetChips';
import type { Size } from '@azulejo/core/tile/product';
import { formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import ChoiceField from '../../../../fields/ChoiceField.vue';
import FieldGrid from '../../../../fields/FieldGrid.vue';
import LengthField from '../../../../fields/LengthField.vue';
import SwitchField from '../../../../fields/SwitchField.vue';
import { useTape } from '../../../../fields/useTape.ts';
import TroubleNote from '../../../../fields/TroubleNote.vue';

/** Mounts chips in a pattern on a fresh sheet. */
const props = defineProps<{ sheet: Sheet }>();
const tape = useTape();
const emit = defineEmits<{ made: [sheet: Sheet] }>();
const trouble = ref<string | null>(null);
const outcome = ref<string | null>(null);

const kind = ref<MountedId>('stack');
const chip = ref({ widthMm: props.sheet.types[0].widthMm, heightMm: props.sheet.types[0].heightMm });
const jointMm = ref(props.sheet.jointMm);
const turned = ref<'square' | 'across'>('square');
const size = ref({ ...sheetSize(props.sheet) } as { widthMm: number; heightMm: number });
const patterns = MOUNTED.map((value) => ({ value, label: PATTERN_NAMES[value] }));
const shape = computed<ChipType['shape']>(() => shapeFor(kind.value, chip.value.widthMm));
/** Regular hexagons, squares, rounds and the like have one size. */
const oneSize = computed(() => ['hexagon', 'octagonDot', 'pennyRound', 'pinwheel'].includes(kind.value));

function shapeFor(id: MountedId, widthMm: number): ChipType['shape'] {
  const [outline] = PATTERNS[id].takes;
  switch (outline) {
    case 'hexagon':
      return { kind: 'hexagon', tipMm: null };
    case 'octagon':
      return { kind: 'octagon', cornerMm: Math.round(widthMm * 2.9) / 10 };
    case 'lantern':
      return { kind: 'lantern', swell: 0.8 };
    default:
      return { kind: outline };
  }
}

function mount(): void {
  const { widthMm } = chip.value;
  const heights: Readonly<Record<string, number>> = { hexagon: (2 * widthMm) / Math.sqrt(3) };
  const heightMm = oneSize.value ? (heights[kind.value] ?? widthMm) : chip.value.heightMm;
  const module: Module = { widthMm, heightMm, jointMm: jointMm.value, shape: shape.value };
  const made = makeSheet(
    PATTERNS[kind.value].defaults as Pattern,
    module,
    size.value,
    props.sheet.palette,
    turned.value === 'across' ? 45 : 0,
  );
  trouble.value = made
    ? null
    : turned.value === 'across'
      ? 'At 45° these chips do not come again square to the sheet, or make a sheet of more than 1200. Lay them square, or take another size.'
      : 'These chips do not make that pattern, or make a sheet of more than 1200. Expected another size of chip or a smaller sheet.';
  outcome.value = made && describeSheet(sheetSize(made));
  if (made) emit('made', { ...made, mount: props.sheet.mount });
}
/** A sheet holds whole repeats, so it seldom comes out at the size that was asked for. */
function describeSheet({ widthMm, heightMm }: Size): string | null {
  const asked = size.value;
  if (Math.max(Math.abs(widthMm - asked.widthMm), Math.abs(heightMm - asked.heightMm)) < TOLD_MM) return null;
  const [wide, high] = [widthMm, heightMm].map((mm) => formatLengthWithUnit(mm, tape.value));
  return `With whole repeats of these chips the nearest sheet measures ${wide} x ${high}.`;
}
const TOLD_MM = 0.5;
const LIE = [
  { value: 'square', label: 'Square to the sheet' },
  { value: 'across', label: 'At 45°' },
] as const;
const into = (write: (mm: number) => void) => (mm: number) => (write(mm), []);
</script>

<template>
  <section class="stack">
    <ChoiceField label="Pattern of the chips" :value="kind" :options="patterns" @choose="kind = $event" />
    <SwitchField label="They lie" :value="turned" :options="LIE" @choose="turned = $event" />
    <FieldGrid>
      <LengthField label="Chip, width" :mm="chip.widthMm" :commit="into((mm) => (chip.widthMm = mm))" positive />
      <LengthField v-if="!oneSize" label="Chip, height" :mm="chip.heightMm" :commit="into((mm) => (chip.heightMm = mm))" positive />
      <LengthField label="Joint between chips" :mm="jointMm" :commit="into((mm) => (jointMm = mm))" />
      <LengthField label="Sheet about, width" :mm="size.widthMm" :commit="into((mm) => (size.widthMm = mm))" positive />
      <LengthField label="and height" :mm="size.heightMm" :commit="into((mm) => (size.heightMm = mm))" positive />
    </FieldGrid>
    <TroubleNote v-if="trouble" :why="trouble" />
    <p v-else-if="outcome" class="small soft" role="status">{{ outcome }}</p>
    <Button severity="secondary" outlined @click="mount">Mount these chips</Button>
  </section>
</template>
