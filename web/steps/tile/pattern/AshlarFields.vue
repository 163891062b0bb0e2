<script setup lang="ts">
import Button from 'primevue/button';
import { computed, toRaw } from 'vue';
import { PhArrowsLeftRight, PhArrowsMerge, PhArrowsSplit, PhDiceFive, PhLock, PhLockOpen, PhShuffle } from '@phosphor-icons/vue';
import { rollPatch } from '@azulejo/core/pattern/ashlar/drawAshlar';
import { mergeStones, splitStone, swapStones } from '@azulejo/core/pattern/ashlar/editStones';
import { faultsOf, type Stone } from '@azulejo/core/pattern/ashlar/stones';
import { ashlarRules, cuttableSizes, stonesOf, type Ashlar } from '@azulejo/core/pattern/kinds/ashlar';
import { moduleOf, type Laying } from '@azulejo/core/pattern/laying';
import type { Issue } from '@azulejo/core/result';
import type { Product } from '@azulejo/core/tile/product';
import { formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import FieldGrid from '../../../fields/FieldGrid.vue';
import LengthField from '../../../fields/LengthField.vue';
import NumberField from '../../../fields/NumberField.vue';
import { useBoardStore } from '../../../stores/boardStore.ts';
import { planner } from '../../../workers/planner.ts';
import { useAttempt } from '../../useAttempt.ts';
import { useTape } from '../../../fields/useTape.ts';
import TroubleNote from '../../../fields/TroubleNote.vue';

const props = defineProps<{
  pattern: Ashlar;
  laying: Laying;
  products: readonly Product[];
  /** Kerf of the job's saw: what is drawn or set from now on is cut with it, mm. */
  kerfMm: number;
  tiles: number | null;
  put: (next: Ashlar) => readonly Issue[];
  /** For what takes its time: lays on what is edited now, wherever the person goes meanwhile. */
  putHere: () => (next: Ashlar) => readonly Issue[];
}>();
const tape = useTape();
const board = useBoardStore();
const { trouble, attempt } = useAttempt(() => tape.value);
const module = computed(() => moduleOf(props.laying, props.products));
const stones = computed<readonly Stone[]>(() => props.pattern.stones ?? stonesOf(props.pattern, module.value));
const chosen = computed(() => board.chosenStones.filter((k) => k < stones.value.length));
const faults = computed(() => faultsOf(stones.value, props.pattern, props.pattern.longestJoint).total);
const isLocked = computed(() => chosen.value.length > 0 && chosen.value.every((k) => locked.value.has(String(stones.value[k]))));
const locked = computed(() => new Set(props.pattern.locked.map(String)));

const asList = (list: readonly Stone[]): Ashlar['stones'] => list.map(([x, y, w, h]) => [x, y, w, h]);

/** Stones that can't be cut from the tile are refused with what could be. */
function keep(next: readonly Stone[] | null, otherwise: string): void {
  if (!next) {
    trouble.value = otherwise;
    return;
  }
  const sizes = new Set(cuttableSizes({ ...props.pattern, largest: 8, kerfMm: props.kerfMm }, module.value).map(String));
  const before = new Set(stones.value.map(([, , w, h]) => `${w},${h}`));
  if (next.some(([, , w, h]) => !sizes.has(`${w},${h}`) && !before.has(`${w},${h}`))) {
    trouble.value = 'A stone of that size can not be cut from the tile with the saw.';
    return;
  }
  attempt(props.put({ ...props.pattern, stones: asList(next) }));
  board.chosenStones = [];
}
const split = (): void => keep(splitStone(stones.value, chosen.value[0]), 'A single module can not be split.');
const merge = (): void =>
  keep(mergeStones(stones.value, chosen.value[0], chosen.value[1], props.pattern), 'Expected two stones that share a whole side.');
const swap = (): void =>
  keep(swapStones(stones.value, chosen.value[0], chosen.value[1], props.pattern), 'Expected two stones that share a whole side.');
function roll(): void {
  const rules = ashlarRules({ ...props.pattern, kerfMm: props.kerfMm }, module.value);
  keep(rollPatch(stones.value, chosen.value[0], props.pattern.locked, rules, Math.floor(Math.random() * 10_000)), '');
}
function lock(): void {
  const picked = chosen.value.map((k) => stones.value[k]);
  const others = props.pattern.locked.filter((stone) => !picked.some((one) => String(one) === String(stone)));
  attempt(
    props.put({ ...props.pattern, stones: asList(stones.value), locked: isLocked.value ? others : [...others, ...(asList(picked) ?? [])] }),
  );
}
/** A new cell is drawn away from the page, as it can take seconds. */
async function draw(next: Partial<Ashlar>): Promise<void> {
  const pattern = { ...toRaw(props.pattern), ...next, kerfMm: props.kerfMm, stones: null, locked: [] };
  const put = props.putHere();
  board.chosenStones = [];
  const drawn = await planner.drawStones(
    JSON.parse(JSON.stringify(pattern)) as Ashlar,
    JSON.parse(JSON.stringify(module.value)) as typeof module.value,
  );
  attempt(put({ ...pattern, stones: asList(drawn) }));
}
const redraw = (next: Partial<Ashlar>) => (void draw(next), []);
</script>

<template>
  <p class="small soft">
    {{ stones.length }} stones in a cell of {{ pattern.columns }} by {{ pattern.rows }} modules<template v-if="tiles !== null"
      >; this surface takes <b class="figure">{{ tiles }}</b> tiles</template
    >.
    {{ faults === 0 ? 'Every rule is kept.' : faults === 1 ? 'One rule is broken.' : `${faults} rules are broken.` }}
  </p>
  <FieldGrid>
    <LengthField
      label="Module, joint included"
      data-field="pattern.moduleMm"
      :mm="pattern.moduleMm"
      :commit="(moduleMm) => put({ ...pattern, moduleMm, stones: pattern.stones })"
      positive
    />
    <NumberField
      label="Longest side, modules"
      :value="pattern.largest"
      :commit="(largest) => redraw({ largest: Math.min(8, Math.max(1, Math.round(largest))) })"
    />
    <NumberField
      label="Comes again after, across"
      :value="pattern.columns"
      :commit="(n) => redraw({ columns: Math.min(60, Math.max(4, Math.round(n))) })"
    />
    <NumberField label="and up" :value="pattern.rows" :commit="(n) => redraw({ rows: Math.min(60, Math.max(4, Math.round(n))) })" />
    <NumberField
      label="Straight joint, modules at most"
      :value="pattern.longestJoint"
      :commit="(n) => redraw({ longestJoint: Math.min(40, Math.max(2, Math.round(n))) })"
    />
    <Button severity="secondary" outlined class="again" @click="draw({ seed: (pattern.seed + 1) % 10000 })"
      ><PhShuffle :size="18" />Draw another</Button
    >
  </FieldGrid>
  <p class="small soft">
    {{
      chosen.length === 0
        ? 'Tap a stone on the drawing to change it; tap a second one beside it to merge or swap them.'
        : chosen.length === 1
          ? `One stone chosen: ${stones[chosen[0]][2]} by ${stones[chosen[0]][3]} modules, ${formatLengthWithUnit(stones[chosen[0]][2] * pattern.moduleMm - laying.jointMm, tape)} wide.`
          : 'Two stones chosen.'
    }}
  </p>
  <div v-if="chosen.length > 0" class="row edit">
    <Button v-if="chosen.length === 1" severity="secondary" outlined @click="split"><PhArrowsSplit :size="18" />Split</Button>
    <template v-else>
      <Button severity="secondary" outlined @click="merge"><PhArrowsMerge :size="18" />Merge</Button>
      <Button severity="secondary" outlined @click="swap"><PhArrowsLeftRight :size="18" />Swap</Button>
    </template>
    <Button v-if="chosen.length === 1" severity="secondary" outlined @click="roll"><PhDiceFive :size="18" />Draw round it</Button>
    <Button severity="secondary" outlined @click="lock"
      ><PhLockOpen v-if="isLocked" :size="18" /><PhLock v-else :size="18" />{{ isLocked ? 'Unlock' : 'Lock' }}</Button
    >
  </div>
  <TroubleNote :why="trouble" />
</template>

<style scoped>
.again {
  align-self: end;
}
.edit {
  flex-wrap: wrap;
}
</style>
