<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref, watch } from 'vue';
import { PhPencilSimple } from '@phosphor-icons/vue';
import { SHAPE_NAMES } from '@azulejo/core/messages/en/patterns';
import { makeSheet } from '@azulejo/core/pattern/makeSheet';
import type { Product } from '@azulejo/core/tile/product';
import { PIECE_SHAPES, type TileShape } from '@azulejo/core/tile/shape';
import type { Sheet } from '@azulejo/core/tile/sheet/sheet';
import { sheetSize } from '@azulejo/core/tile/sheet/sheetChips';
import { formatLength, formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import ChoiceField from '../../../fields/ChoiceField.vue';
import LengthField from '../../../fields/LengthField.vue';
import NumberField from '../../../fields/NumberField.vue';
import SwitchField from '../../../fields/SwitchField.vue';
import SheetBoard from './sheet/SheetBoard.vue';
import SheetDialog from './sheet/SheetDialog.vue';
import { sizeLabels } from './sizeLabels.ts';
import { useTape } from '../../../fields/useTape.ts';

/** What outline a tile has, or what sheet it is, and its size on the box. */
const props = defineProps<{
  draft: Product;
  jointColour: string;
  /** Makes a field write to the draft. */
  into: (write: (value: number) => void) => (value: number) => [];
}>();
const tape = useTape();
/** Tells when the sheet is open above the form. */
const emit = defineEmits<{ mounting: [now: boolean] }>();
const draft = props.draft;
const labels = computed(() => sizeLabels(draft));

/** The size of a sheet is that of its chips. */
function setSheet(sheet: Sheet): void {
  const { widthMm, heightMm } = sheetSize(sheet);
  draft.shape = sheet;
  draft.nominal = { widthMm: Math.round(widthMm * 100) / 100, heightMm: Math.round(heightMm * 100) / 100 };
  [draft.measured, draft.sample] = [null, []];
  draft.colour = sheet.palette[0];
}
const mounting = ref(false);
watch(mounting, (now) => emit('mounting', now));

const shapes = [...PIECE_SHAPES, 'sheet' as const].map((value) => ({
  value,
  label: SHAPE_NAMES[value],
}));
/** Another outline starts with figures that suit the size. */
function setShape(kind: TileShape['kind']): void {
  if (kind === 'sheet') {
    const chips = { widthMm: 23, heightMm: 23, jointMm: 2 };
    const sheet = makeSheet({ kind: 'stack', lay: 'lying' }, chips, { widthMm: 300, heightMm: 300 }, [draft.colour]);
    if (sheet) setSheet(sheet);
    return;
  }
  const { widthMm, heightMm } = draft.nominal;
  const smaller = Math.min(widthMm, heightMm);
  const starts: Readonly<Partial<Record<TileShape['kind'], TileShape>>> = {
    hexagon: { kind: 'hexagon', tipMm: null },
    octagon: { kind: 'octagon', cornerMm: Math.round(smaller * 0.29) },
    lantern: { kind: 'lantern', swell: 0.8 },
    chevron: { kind: 'chevron', cutDeg: 45 },
  };
  draft.shape = starts[kind] ?? ({ kind } as TileShape);
  if (kind === 'hexagon') draft.nominal.heightMm = Math.round((2 * widthMm * 100) / Math.sqrt(3)) / 100;
  if (kind === 'round') draft.nominal.heightMm = widthMm;
  if (kind === 'hexagon' || kind === 'round') [draft.measured, draft.sample] = [null, []];
}

/** A regular hexagon and a round have one size only. */
function setNominal(side: 'widthMm' | 'heightMm', mm: number): void {
  draft.nominal[side] = mm;
  if (draft.shape.kind === 'round') draft.nominal = { widthMm: mm, heightMm: mm };
  if (draft.shape.kind === 'hexagon' && draft.shape.tipMm === null && side === 'widthMm')
    draft.nominal.heightMm = Math.round((2 * mm * 100) / Math.sqrt(3)) / 100;
}
</script>

<template>
  <ChoiceField label="Outline" :value="draft.shape.kind" :options="shapes" @choose="setShape" />
  <div v-if="draft.shape.kind === 'sheet'" class="wide sheet">
    <SheetBoard :sheet="draft.shape" :joint-colour="jointColour" :chosen="null" :faulty="[]" label="The sheet" />
    <p class="small soft">
      {{ draft.shape.chips.length }} chips, {{ formatLength(draft.nominal.widthMm, tape) }} x
      {{ formatLengthWithUnit(draft.nominal.heightMm, tape) }}, joint {{ formatLengthWithUnit(draft.shape.jointMm, tape) }}.
    </p>
    <Button severity="secondary" outlined @click="mounting = true"><PhPencilSimple :size="18" />Change chips and repeat</Button>
  </div>
  <LengthField
    v-if="draft.shape.kind !== 'sheet'"
    :label="`${labels[0]} on the box`"
    :mm="draft.nominal.widthMm"
    :commit="into((mm) => setNominal('widthMm', mm))"
    positive
  />
  <LengthField
    v-if="draft.shape.kind !== 'round' && draft.shape.kind !== 'sheet'"
    :label="`${labels[1]} on the box`"
    :mm="draft.nominal.heightMm"
    :commit="into((mm) => setNominal('heightMm', mm))"
    positive
  />
  <LengthField
    v-if="draft.shape.kind === 'octagon'"
    label="Cut off each side at a corner"
    :mm="draft.shape.cornerMm"
    :commit="into((mm) => draft.shape.kind === 'octagon' && (draft.shape.cornerMm = mm))"
    positive
  />
  <template v-if="draft.shape.kind === 'hexagon'">
    <SwitchField
      label="Hexagon"
      :value="draft.shape.tipMm === null ? 'regular' : 'long'"
      :options="[
        { value: 'regular', label: 'Regular' },
        { value: 'long', label: 'Long' },
      ]"
      @choose="
        (form) =>
          draft.shape.kind === 'hexagon' &&
          (draft.shape.tipMm = form === 'regular' ? null : Math.round((draft.nominal.widthMm / 2 / Math.sqrt(3)) * 10) / 10)
      "
    />
    <LengthField
      v-if="draft.shape.tipMm !== null"
      label="Height of a point"
      :mm="draft.shape.tipMm"
      :commit="into((mm) => draft.shape.kind === 'hexagon' && (draft.shape.tipMm = mm))"
      positive
    />
  </template>
  <NumberField
    v-if="draft.shape.kind === 'chevron'"
    label="Ends cut at"
    unit="°"
    :value="draft.shape.cutDeg"
    :commit="into((deg) => draft.shape.kind === 'chevron' && (draft.shape.cutDeg = Math.min(75, Math.max(25, deg))))"
  />
  <NumberField
    v-if="draft.shape.kind === 'lantern'"
    label="Swell of the sides"
    unit="%"
    :value="Math.round(draft.shape.swell * 100)"
    :commit="into((percent) => draft.shape.kind === 'lantern' && (draft.shape.swell = Math.min(1, Math.max(0.1, percent / 100))))"
  />
  <SheetDialog
    v-if="mounting && draft.shape.kind === 'sheet'"
    :sheet="draft.shape"
    :joint-colour="jointColour"
    @close="mounting = false"
    @keep="(sheet) => (setSheet(sheet), (mounting = false))"
  />
</template>

<style scoped>
.wide {
  grid-column: 1 / -1;
}
.sheet {
  display: grid;
  grid-template-columns: 9rem 1fr;
  gap: 0.4rem 1rem;
  align-items: center;
}
.sheet > :first-child {
  grid-row: span 2;
  pointer-events: none;
}
.sheet button {
  justify-self: start;
}
</style>
