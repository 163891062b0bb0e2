<script setup lang="ts">
import { changeLabel, type ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import { computed } from 'vue';
import { PhCaretDown, PhCaretRight } from '@phosphor-icons/vue';
import type { Issue } from '@azulejo/core/result';
import type { ReconciledReading } from '@azulejo/core/surface/reconcile/reconcileWalls';
import { wallTitle } from '@azulejo/core/surface/reconcile/wallTitle';
import type { Wall, WallsShape } from '@azulejo/core/surface/shapes/walls';
import { formatLength } from '@azulejo/core/units/formatLength';
import AngleField from '../../../fields/AngleField.vue';
import FieldGrid from '../../../fields/FieldGrid.vue';
import LengthField from '../../../fields/LengthField.vue';
import SwitchField from '../../../fields/SwitchField.vue';
import TextField from '../../../fields/TextField.vue';
import CurveFields from './CurveFields.vue';
import { useTape } from '../../../fields/useTape.ts';

const props = defineProps<{
  shape: WallsShape;
  index: number;
  open: boolean;
  reading: ReconciledReading | null;
  suspect: boolean;
  commit: (shape: WallsShape, label: ChangeLabel) => readonly Issue[];
}>();
const tape = useTape();
const emit = defineEmits<{ toggle: []; split: []; join: [] }>();
const wall = computed(() => props.shape.walls[props.index]);
const title = computed(() => wallTitle(props.shape, wall.value.id));
const residual = computed(() => {
  if (!props.reading || Math.abs(props.reading.residualMm) < 0.25) return null;
  const mm = props.reading.residualMm;
  return `${mm > 0 ? '+' : '−'}${formatLength(Math.abs(mm), tape.value)}`;
});

const change = (label: ChangeLabel, over: Partial<Wall>): readonly Issue[] =>
  props.commit({ ...props.shape, walls: props.shape.walls.map((other, k) => (k === props.index ? { ...other, ...over } : other)) }, label);
const setLength = (lengthMm: number) => change(changeLabel('wallLength', title.value), { lengthMm });
const setTurn = (turnDeg: number) => change(changeLabel('turnAfterWall', title.value), { turnDeg });
function rename(name: string): string | null {
  change('wallName', { name });
  return null;
}
</script>

<template>
  <div class="wall" :class="{ suspect }">
    <div class="main">
      <Button text severity="secondary" :aria-label="`More about wall ${title}`" :aria-expanded="open" class="more" @click="emit('toggle')">
        <PhCaretDown v-if="open" :size="16" /><PhCaretRight v-else :size="16" />
      </Button>
      <LengthField
        :label="title"
        :mm="wall.lengthMm"
        :commit="setLength"
        :measures="`shape.walls.${index}.lengthMm`"
        positive
        class="length"
      />
      <AngleField label="then turn" :value="wall.turnDeg" :commit="setTurn" class="turn" />
      <p class="residual figure" :title="residual ? 'Read less reconciled' : undefined">{{ residual ?? '' }}</p>
    </div>
    <div v-if="open" class="stack inside">
      <TextField label="Called on site" :value="wall.name" :longest="40" placeholder="window wall" :commit="rename" />
      <FieldGrid>
        <SwitchField
          label="Length read"
          :value="wall.twice ? 'twice' : 'once'"
          :options="[
            { value: 'once', label: 'Once' },
            { value: 'twice', label: 'Twice' },
          ]"
          @choose="change('readTwice', { twice: $event === 'twice' })"
        />
        <SwitchField
          label="Turn"
          :value="wall.turnMeasured ? 'measured' : 'sketched'"
          :options="[
            { value: 'sketched', label: 'Sketched' },
            { value: 'measured', label: 'Measured' },
          ]"
          @choose="change('turnMeasured', { turnMeasured: $event === 'measured' })"
        />
      </FieldGrid>
      <CurveFields :wall="wall" :commit="(curve) => change(changeLabel('curveOfWall', title), { curve })" />
      <div class="row">
        <Button severity="secondary" outlined size="small" @click="emit('split')">Corner in the middle</Button>
        <Button v-if="shape.walls.length > 3" severity="danger" text size="small" @click="emit('join')">Remove its first corner</Button>
      </div>
    </div>
  </div>
</template>

<style scoped>
.wall {
  border-top: 1px solid var(--line);
  padding: 0.35rem 0;
}
.main {
  display: grid;
  grid-template-columns: 2rem minmax(0, 1fr) 6.2rem 3.2rem;
  gap: 0.5rem;
  align-items: start;
}
.more {
  margin-top: 1.35rem;
  padding: 0.4rem;
}
.residual {
  margin-top: 1.9rem;
  text-align: right;
  color: var(--ink-soft);
}
.suspect {
  background: var(--warn-soft);
  box-shadow: inset 4px 0 0 var(--warn);
}
.suspect .residual {
  color: var(--warn);
}
.inside {
  padding: 0.6rem 0 0.8rem 2.5rem;
}
</style>
