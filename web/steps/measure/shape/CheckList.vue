<script setup lang="ts">
import type { ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { PhPlus, PhTrash } from '@phosphor-icons/vue';
import type { Issue } from '@azulejo/core/result';
import { nextDiagonal } from '@azulejo/core/surface/reconcile/nextDiagonal';
import { reconcileWalls } from '@azulejo/core/surface/reconcile/reconcileWalls';
import { checkTitle, cornerLetter } from '@azulejo/core/surface/reconcile/wallTitle';
import type { Check, WallsShape } from '@azulejo/core/surface/shapes/walls';
import { formatLength } from '@azulejo/core/units/formatLength';
import ChoiceField from '../../../fields/ChoiceField.vue';
import LengthField from '../../../fields/LengthField.vue';
import SwitchField from '../../../fields/SwitchField.vue';
import { nextId } from '../../newId.ts';
import { useTape } from '../../../fields/useTape.ts';

const props = defineProps<{
  shape: WallsShape;
  suspects: ReadonlySet<string>;
  commit: (shape: WallsShape, label: ChangeLabel) => readonly Issue[];
}>();
const tape = useTape();

const corners = computed(() => props.shape.walls.map(({ id }, k) => ({ value: id, label: cornerLetter(k) })));
const [first, second] = nextDiagonal(props.shape);
const from = ref(first);
const to = ref(second);
const readings = computed(() => new Map(reconcileWalls(props.shape).readings.map((reading) => [reading.id, reading])));
const idAt = (k: number): string => props.shape.walls[k % props.shape.walls.length].id;
const cornerAt = (id: string): number => props.shape.walls.findIndex((wall) => wall.id === id);

function residualOf(id: string): string {
  const mm = readings.value.get(id)?.residualMm ?? 0;
  return Math.abs(mm) < 0.25 ? '' : `${mm > 0 ? '+' : '−'}${formatLength(Math.abs(mm), tape.value)}`;
}
const change = (k: number, over: Partial<Check>) =>
  props.commit({ ...props.shape, checks: props.shape.checks.map((check, m) => (m === k ? { ...check, ...over } : check)) }, 'diagonal');
function remove(k: number): void {
  props.commit({ ...props.shape, checks: props.shape.checks.filter((_, m) => m !== k) }, 'removeDiagonal');
}
function add(mm: number): readonly Issue[] {
  const check: Check = { id: nextId('check', props.shape.checks), from: idAt(from.value), to: idAt(to.value), mm, twice: false };
  const shape = { ...props.shape, checks: [...props.shape.checks, check] };
  const issues = props.commit(shape, 'addDiagonal');
  if (issues.length === 0) [from.value, to.value] = nextDiagonal(shape);
  return issues;
}
</script>

<template>
  <section class="stack">
    <h3>Diagonals and other checks</h3>
    <div v-for="(check, k) in shape.checks" :key="check.id" class="check" :class="{ suspect: suspects.has(check.id) }">
      <LengthField
        :label="checkTitle(shape, check.from, check.to)"
        :mm="check.mm"
        :commit="(mm) => change(k, { mm })"
        :measures="`shape.checks.${k}.mm`"
        positive
      />
      <SwitchField
        label="Read"
        :value="check.twice ? 'twice' : 'once'"
        :options="[
          { value: 'once', label: 'Once' },
          { value: 'twice', label: 'Twice' },
        ]"
        @choose="change(k, { twice: $event === 'twice' })"
      />
      <p class="residual figure">{{ residualOf(check.id) }}</p>
      <Button text severity="secondary" :aria-label="`Remove check ${checkTitle(shape, check.from, check.to)}`" @click="remove(k)"
        ><PhTrash :size="18"
      /></Button>
    </div>
    <div class="new">
      <ChoiceField label="From corner" :value="idAt(from)" :options="corners" @choose="from = cornerAt($event)" />
      <ChoiceField label="to corner" :value="idAt(to)" :options="corners" @choose="to = cornerAt($event)" />
      <LengthField :key="shape.checks.length" label="New diagonal" :mm="null" :commit="add" :measures="`between.${from}.${to}`" positive />
      <PhPlus :size="18" class="plus" aria-hidden="true" />
    </div>
  </section>
</template>

<style scoped>
.check {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 8.5rem 2.6rem auto;
  gap: 0.5rem;
  align-items: end;
  padding: 0.2rem 0.3rem;
}
.residual {
  text-align: right;
  color: var(--ink-soft);
  padding-bottom: 0.7rem;
}
.suspect {
  background: var(--warn-soft);
  box-shadow: inset 4px 0 0 var(--warn);
}
.suspect .residual {
  color: var(--warn);
}
.new {
  display: grid;
  grid-template-columns: 5rem 5rem minmax(0, 1fr) auto;
  gap: 0.5rem;
  align-items: start;
}
.plus {
  margin-top: 2.3rem;
  color: var(--ink-soft);
}
</style>
