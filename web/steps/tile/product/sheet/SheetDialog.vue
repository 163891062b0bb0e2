<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { computed, ref, shallowRef } from 'vue';
import { PhArrowClockwise, PhPlus, PhTrash } from '@phosphor-icons/vue';
import type { Point } from '@azulejo/core/geometry/point';
import { boxOf } from '@azulejo/core/geometry/ring';
import { describeSheetFault } from '@azulejo/core/messages/en/sheets';
import { scatterColours } from '@azulejo/core/tile/sheet/colourSheet';
import { rounded, snappedPlace, squaredUp, withChip, withChipChanged, withoutChip, withType } from '@azulejo/core/tile/sheet/editSheet';
import { sheetSchema, type Sheet } from '@azulejo/core/tile/sheet/sheet';
import { chipRing, interlocks, sheetSize } from '@azulejo/core/tile/sheet/sheetChips';
import { sheetFaults } from '@azulejo/core/tile/sheet/sheetFaults';
import { formatLength, formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import ColourField from '../../../../fields/ColourField.vue';
import FieldGrid from '../../../../fields/FieldGrid.vue';
import LengthField from '../../../../fields/LengthField.vue';
import NumberField from '../../../../fields/NumberField.vue';
import PartTabs from '../../../../fields/PartTabs.vue';
import SwitchField from '../../../../fields/SwitchField.vue';
import { useDraft } from '../../../useDraft.ts';
import MountForm from './MountForm.vue';
import SheetBoard from './SheetBoard.vue';
import { useTape } from '../../../../fields/useTape.ts';
import TroubleNote from '../../../../fields/TroubleNote.vue';

const props = defineProps<{ sheet: Sheet; jointColour: string }>();
const tape = useTape();
const emit = defineEmits<{ close: []; keep: [sheet: Sheet] }>();

const sheet = shallowRef<Sheet>(sheetSchema.parse(JSON.parse(JSON.stringify(props.sheet))));
const part = ref<Part>('colours');
const colour = ref(0);
const chosen = ref<number | null>(null);
const seed = ref(1);
const trouble = ref<string | null>(null);
const { leave, warning } = useDraft(
  () => JSON.stringify(sheet.value),
  () => emit('close'),
);

type Part = 'mount' | 'colours' | 'chips' | 'repeat';
const PARTS: readonly { readonly name: Part; readonly label: string }[] = [
  { name: 'mount', label: 'Mount' },
  { name: 'colours', label: 'Colours' },
  { name: 'chips', label: 'Chips' },
  { name: 'repeat', label: 'Repeat' },
];
const HINTS: Readonly<Record<Part, string>> = {
  mount: 'Choose how chips are mounted; the sheet is made anew.',
  colours: 'Tap or draw over chips to give them the chosen colour.',
  chips: 'Tap a chip to change it; tap the joint or beside the sheet to place another.',
  repeat: 'How far it is to the next sheet. The rim shows the sheets beside it.',
};

const size = computed(() => sheetSize(sheet.value));
const faults = computed(() => sheetFaults(sheet.value));
const faulty = computed(() => faults.value.flatMap((fault) => (fault.kind === 'overlap' ? fault.chips : [])));
const picked = computed(() => (chosen.value === null ? null : (sheet.value.chips[chosen.value] ?? null)));
const pickedType = computed(() => sheet.value.types[picked.value?.type ?? 0]);

function tapChip(k: number, dragging: boolean): void {
  if (part.value === 'colours') {
    if (sheet.value.chips[k].colour !== colour.value) change(withChipChanged(sheet.value, k, { colour: colour.value }));
  } else if (part.value === 'chips' && !dragging) chosen.value = chosen.value === k ? null : k;
}
function tapGround(at: Point): void {
  if (part.value !== 'chips') return;
  const type = picked.value?.type ?? 0;
  const [xMm, yMm] = snappedPlace(sheet.value, at, type);
  const next = withChip(sheet.value, {
    type,
    xMm: rounded(xMm),
    yMm: rounded(yMm),
    turnDeg: picked.value?.turnDeg ?? 0,
    colour: colour.value,
  });
  if (!next) {
    trouble.value = 'The sheet holds as many chips as one can. Expected fewer.';
    return;
  }
  change(next);
  chosen.value = next.chips.length - 1;
}
function change(next: Sheet): void {
  sheet.value = next;
  trouble.value = null;
}
const changePicked = (by: Parameters<typeof withChipChanged>[2]): [] => {
  if (chosen.value !== null) change(withChipChanged(sheet.value, chosen.value, by));
  return [];
};
function removePicked(): void {
  if (chosen.value !== null) change(withoutChip(sheet.value, chosen.value));
  chosen.value = null;
}
/** Another size for the chosen chip; others keep theirs. */
function resizePicked(side: 'widthMm' | 'heightMm', mm: number): [] {
  if (chosen.value === null) return [];
  const { sheet: next, at } = withType(sheet.value, { ...pickedType.value, [side]: mm });
  if (next.types.length > 12) trouble.value = 'A sheet has up to 12 sizes of chips. Expected one of those it has.';
  else change(withChipChanged(next, chosen.value, { type: at }));
  return [];
}
const setColour = (k: number, value: string): void =>
  change({ ...sheet.value, palette: sheet.value.palette.map((own, n) => (n === k ? value : own)) });
function addColour(): void {
  change({ ...sheet.value, palette: [...sheet.value.palette, '#8a8f94'] });
  colour.value = sheet.value.palette.length - 1;
}
function scatter(): void {
  seed.value += 1;
  change(
    scatterColours(
      sheet.value,
      sheet.value.palette.map(() => 1),
      seed.value,
    ),
  );
}
const setVector = (name: 'across' | 'up', axis: 0 | 1, mm: number): [] => {
  const vector: [number, number] = [...sheet.value[name]];
  vector[axis] = mm;
  change({ ...sheet.value, [name]: vector });
  return [];
};

function keep(): void {
  const { minX, minY } = boxOf(sheet.value.chips.flatMap((chip) => chipRing(sheet.value, chip)));
  const used = new Set(sheet.value.chips.map(({ type }) => type));
  const order = sheet.value.types.map((_, k) => k).filter((k) => used.has(k));
  const squared = squaredUp(sheet.value, [minX, minY]);
  const read = sheetSchema.safeParse({
    ...squared,
    types: order.map((k) => squared.types[k]),
    chips: squared.chips.map((chip) => ({ ...chip, type: order.indexOf(chip.type) })),
  });
  if (read.success) emit('keep', read.data);
  else trouble.value = read.error.issues[0].message;
}
</script>

<template>
  <Dialog visible modal header="The sheet" class="sheet-dialog" @update:visible="leave">
    <div class="editor">
      <div class="stack">
        <SheetBoard
          autofocus
          :sheet="sheet"
          :joint-colour="jointColour"
          :chosen="part === 'chips' ? chosen : null"
          :faulty="faulty"
          label="The sheet with its neighbours"
          @chip="tapChip"
          @ground="tapGround"
        />
        <p class="small soft">
          {{ sheet.chips.length }} chips, {{ formatLength(size.widthMm, tape) }} x {{ formatLengthWithUnit(size.heightMm, tape) }},
          {{ interlocks(sheet) ? 'edges reach into each other' : 'straight edges' }}. {{ HINTS[part] }}
        </p>
        <p v-for="fault in faults" :key="fault.kind" class="why" role="alert">{{ describeSheetFault(fault, tape) }}</p>
      </div>
      <div class="stack">
        <PartTabs v-model="part" :parts="PARTS" label="Parts of the sheet" />
        <MountForm v-if="part === 'mount'" :sheet="sheet" @made="(made) => ((chosen = null), change(made))" />
        <template v-else-if="part === 'colours'">
          <div class="palette" role="radiogroup" aria-label="Colour to give">
            <button
              v-for="(own, k) in sheet.palette"
              :key="k"
              class="plain"
              type="button"
              role="radio"
              :aria-checked="k === colour"
              :aria-label="`Colour ${k + 1}`"
              :style="{ background: own }"
              @click="colour = k"
            />
            <Button v-if="sheet.palette.length < 24" text severity="secondary" aria-label="Another colour" @click="addColour"
              ><PhPlus :size="18"
            /></Button>
          </div>
          <ColourField :label="`Colour ${colour + 1}`" :value="sheet.palette[colour]" @choose="setColour(colour, $event)" />
          <div class="row">
            <Button severity="secondary" outlined @click="change({ ...sheet, chips: sheet.chips.map((chip) => ({ ...chip, colour })) })"
              >All chips in it</Button
            >
            <Button v-if="sheet.palette.length > 1" severity="secondary" outlined @click="scatter">Mix all by chance</Button>
          </div>
          <SwitchField
            label="The sheet shows"
            :value="sheet.figured ? 'motif' : 'plain'"
            :options="[
              { value: 'plain', label: 'Chips, no motif' },
              { value: 'motif', label: 'A motif' },
            ]"
            @choose="change({ ...sheet, figured: $event === 'motif' })"
          />
          <p class="small soft">Chips of a motif keep their place: a rest of one sheet only mends the same place of another.</p>
        </template>
        <template v-else-if="part === 'chips'">
          <template v-if="picked">
            <FieldGrid>
              <LengthField label="Middle, from the left" :mm="picked.xMm" signed :commit="(xMm) => changePicked({ xMm })" />
              <LengthField label="from the bottom" :mm="picked.yMm" signed :commit="(yMm) => changePicked({ yMm })" />
              <LengthField label="Width" :mm="pickedType.widthMm" :commit="(mm) => resizePicked('widthMm', mm)" positive />
              <LengthField label="Height" :mm="pickedType.heightMm" :commit="(mm) => resizePicked('heightMm', mm)" positive />
              <NumberField
                label="Turned"
                unit="°"
                :value="picked.turnDeg"
                :commit="(turnDeg) => changePicked({ turnDeg: ((turnDeg % 360) + 360) % 360 })"
              />
            </FieldGrid>
            <div class="row">
              <Button severity="secondary" outlined @click="changePicked({ turnDeg: (picked.turnDeg + 45) % 360 })"
                ><PhArrowClockwise :size="18" />Turn by 45°</Button
              >
              <Button severity="secondary" outlined @click="removePicked"><PhTrash :size="18" />Take it off</Button>
            </div>
          </template>
          <p v-else class="soft">No chip chosen.</p>
        </template>
        <template v-else>
          <FieldGrid>
            <LengthField label="To the next on the right" :mm="sheet.across[0]" positive :commit="(mm) => setVector('across', 0, mm)" />
            <LengthField label="and up" :mm="sheet.across[1]" signed :commit="(mm) => setVector('across', 1, mm)" />
            <LengthField label="To the next above" :mm="sheet.up[1]" positive :commit="(mm) => setVector('up', 1, mm)" />
            <LengthField label="and to the right" :mm="sheet.up[0]" signed :commit="(mm) => setVector('up', 0, mm)" />
            <LengthField label="Joint between chips" :mm="sheet.jointMm" :commit="(jointMm) => (change({ ...sheet, jointMm }), [])" />
          </FieldGrid>
          <SwitchField
            label="Held by"
            :value="sheet.mount"
            :options="[
              { value: 'mesh', label: 'Mesh behind' },
              { value: 'face', label: 'Paper in front' },
            ]"
            @choose="(mount) => change({ ...sheet, mount })"
          />
        </template>
        <TroubleNote :why="trouble ?? warning" />
      </div>
    </div>
    <template #footer>
      <Button label="Leave as it was" severity="secondary" text @click="emit('close')" />
      <Button label="Keep the sheet" :disabled="faults.length > 0" @click="keep" />
    </template>
  </Dialog>
</template>

<style scoped>
.editor {
  width: min(58rem, 88vw);
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(17rem, 1fr);
  gap: 1.4rem;
  align-items: start;
}
.palette {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  align-items: center;
}
.palette button[role='radio'] {
  width: 2.75rem;
  height: 2.75rem;
  border-radius: 4px;
  box-shadow: inset 0 0 0 1px #0004;
}
.palette button[aria-checked='true'] {
  box-shadow:
    inset 0 0 0 3px var(--panel),
    0 0 0 3px var(--cobalt);
}
.palette button:focus-visible {
  outline: 3px solid var(--cobalt);
  outline-offset: 3px;
}
@media (width < 700px) {
  .editor {
    grid-template-columns: 1fr;
  }
}
</style>
