<script setup lang="ts">
import Button from 'primevue/button';
import { computed } from 'vue';
import { PhPlus, PhTrash } from '@phosphor-icons/vue';
import type { Issue } from '@azulejo/core/result';
import { otherFigure, type Curve } from '@azulejo/core/surface/curve';
import { fitOffsets } from '@azulejo/core/surface/fitOffsets';
import type { Wall } from '@azulejo/core/surface/shapes/walls';
import { useAttempt } from '../../useAttempt.ts';
import { formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import ChoiceField from '../../../fields/ChoiceField.vue';
import FieldGrid from '../../../fields/FieldGrid.vue';
import LengthField from '../../../fields/LengthField.vue';
import SwitchField from '../../../fields/SwitchField.vue';
import { useTape } from '../../../fields/useTape.ts';
import TroubleNote from '../../../fields/TroubleNote.vue';

const props = defineProps<{ wall: Wall; commit: (curve: Curve | null) => readonly Issue[] }>();
const tape = useTape();
const { trouble, attempt } = useAttempt(() => tape.value);
const KINDS = [
  { value: 'straight', label: 'Straight' },
  { value: 'radius', label: 'Arc, by its radius' },
  { value: 'rise', label: 'Arc, by its rise' },
  { value: 'offsets', label: 'Curve, by offsets' },
] as const;
const kind = computed(() => props.wall.curve?.by ?? 'straight');
const fitted = computed(() => (props.wall.curve?.by === 'offsets' ? fitOffsets(props.wall.curve.offsets, props.wall.lengthMm) : null));

function choose(by: (typeof KINDS)[number]['value']): void {
  const chord = props.wall.lengthMm;
  const made: Record<typeof by, Curve | null> = {
    straight: null,
    radius: { by: 'radius', radiusMm: Math.round(chord), bulges: 'out' },
    rise: { by: 'rise', riseMm: Math.round(chord / 6), bulges: 'out' },
    offsets: {
      by: 'offsets',
      offsets: [1, 2, 3].map((k) => ({ alongMm: Math.round((chord * k) / 4), outMm: Math.round(((chord / 6) * k * (4 - k)) / 4) })),
    },
  };
  attempt(props.commit(made[by]));
}
const setOffset = (k: number, key: 'alongMm' | 'outMm') => (mm: number) => {
  const { curve } = props.wall;
  return curve?.by === 'offsets'
    ? props.commit({ ...curve, offsets: curve.offsets.map((o, m) => (m === k ? { ...o, [key]: mm } : o)) })
    : [];
};
function addOffset(): void {
  const { curve, lengthMm } = props.wall;
  if (curve?.by !== 'offsets') return;
  const last = curve.offsets.at(-1) ?? { alongMm: 0, outMm: 0 };
  attempt(props.commit({ ...curve, offsets: [...curve.offsets, { alongMm: (last.alongMm + lengthMm) / 2, outMm: last.outMm / 2 }] }));
}
function dropOffset(k: number): void {
  const { curve } = props.wall;
  if (curve?.by === 'offsets' && curve.offsets.length > 1)
    attempt(props.commit({ ...curve, offsets: curve.offsets.filter((_, m) => m !== k) }));
}
</script>

<template>
  <ChoiceField label="Runs" :value="kind" :options="KINDS" @choose="choose" />
  <TroubleNote :why="trouble" />
  <template v-if="wall.curve && wall.curve.by !== 'offsets'">
    <FieldGrid>
      <LengthField
        v-if="wall.curve.by === 'radius'"
        label="Radius"
        :mm="wall.curve.radiusMm"
        :commit="(radiusMm) => (wall.curve?.by === 'radius' ? commit({ ...wall.curve, radiusMm }) : [])"
        positive
      />
      <LengthField
        v-else
        label="Rise off the straight line"
        :mm="wall.curve.riseMm"
        :commit="(riseMm) => (wall.curve?.by === 'rise' ? commit({ ...wall.curve, riseMm }) : [])"
        positive
      />
      <SwitchField
        label="Bulges"
        :value="wall.curve.bulges"
        :options="[
          { value: 'out', label: 'Out' },
          { value: 'in', label: 'In' },
        ]"
        @choose="(bulges) => wall.curve && wall.curve.by !== 'offsets' && attempt(commit({ ...wall.curve, bulges }))"
      />
    </FieldGrid>
    <p class="soft small">
      That is a {{ wall.curve.by === 'radius' ? 'rise' : 'radius' }} of
      <span class="figure">{{ formatLengthWithUnit(otherFigure(wall.curve, wall.lengthMm), tape) }}</span>.
    </p>
  </template>
  <template v-if="wall.curve?.by === 'offsets' && fitted">
    <div v-for="(offset, k) in wall.curve.offsets" :key="k" class="offset">
      <LengthField :label="`Along, ${k + 1}`" :mm="offset.alongMm" :commit="setOffset(k, 'alongMm')" positive />
      <LengthField :label="`Out, ${k + 1}`" :mm="offset.outMm" :commit="setOffset(k, 'outMm')" signed />
      <Button text severity="secondary" :aria-label="`Remove offset ${k + 1}`" @click="dropOffset(k)"><PhTrash :size="18" /></Button>
    </div>
    <p class="soft small">
      The smooth curve passes the readings by at most
      <span class="figure">{{ formatLengthWithUnit(fitted.largestErrorMm, tape) }}</span>.
    </p>
    <div>
      <Button severity="secondary" outlined size="small" @click="addOffset"><PhPlus :size="16" />Offset</Button>
    </div>
  </template>
</template>

<style scoped>
.offset {
  display: grid;
  grid-template-columns: 1fr 1fr auto;
  gap: 0.5rem;
  align-items: end;
}
</style>
