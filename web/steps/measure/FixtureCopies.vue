<script setup lang="ts">
import { changeLabel } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { PhCopy } from '@phosphor-icons/vue';
import type { Surface } from '@azulejo/core/job/job';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { issue, type Issue } from '@azulejo/core/result';
import { fixtureSize, type Fixture } from '@azulejo/core/surface/fixture';
import { MM_PER_INCH } from '@azulejo/core/units/tape';
import ChoiceField from '../../fields/ChoiceField.vue';
import FieldGrid from '../../fields/FieldGrid.vue';
import { useFieldTroubles } from '../../fields/fieldTroubles.ts';
import LengthField from '../../fields/LengthField.vue';
import NumberField from '../../fields/NumberField.vue';
import { edgeTitle } from '../edgeTitle.ts';
import { useAttempt } from '../useAttempt.ts';
import { useEditSurface } from '../useEditSurface.ts';
import { copyFixture } from './copyFixture.ts';
import { useTape } from '../../fields/useTape.ts';
import TroubleNote from '../../fields/TroubleNote.vue';

/** More of a fixture in a row with it: five sockets over a worktop, hooks along a wall. */
const props = defineProps<{ fixture: Fixture; surface: Surface; plan: SurfacePlan | null }>();
const tape = useTape();
const edit = useEditSurface(() => props.surface.id);
const { trouble, attempt } = useAttempt(() => tape.value);
const hasTroubles = useFieldTroubles();
const open = ref(false);
const count = ref(1);
const furtherFrom = ref<0 | 1>(0);
const everyMm = ref(startEvery());
/** Twice its size, in round figures of the tape, mm: none lies on the next and a hand fits between. */
function startEvery(): number {
  const { widthMm, heightMm } = fixtureSize(props.fixture.outline);
  const step = tape.value.system === 'metric' ? 10 : MM_PER_INCH;
  return Math.ceil((2 * Math.max(widthMm, heightMm)) / step) * step;
}
const ways = computed(() =>
  ([0, 1] as const).map((value) => {
    const { edge } = props.fixture.from[value];
    return { value, label: props.plan ? edgeTitle(props.plan, edge) : edge };
  }),
);
/** Copies that one press makes. */
const MOST = 50;
function setCount(value: number): readonly Issue[] {
  const isFine = Number.isInteger(value) && value >= 1 && value <= MOST;
  if (!isFine) return [issue('field/type', [], { expected: `a whole number from 1 to ${MOST}` })];
  count.value = value;
  return [];
}
function setEvery(mm: number): readonly Issue[] {
  if (mm === 0) return [issue('length/too-small')];
  everyMm.value = mm;
  return [];
}
function copy(): void {
  if (hasTroubles.value) return;
  const row = { count: count.value, everyMm: everyMm.value, furtherFrom: furtherFrom.value };
  const copies = copyFixture(props.fixture, props.surface.measured.fixtures, row);
  const issues = edit(changeLabel('copyFixture', props.fixture.name), ({ measured }) => {
    measured.fixtures.push(...copies);
  });
  attempt(issues);
  if (issues.length === 0) open.value = false;
}
</script>

<template>
  <Button v-if="!open" severity="secondary" text class="start" @click="open = true"><PhCopy :size="18" />Copies in a row</Button>
  <div v-else class="copies stack">
    <FieldGrid three>
      <NumberField label="Copies" :value="count" :commit="setCount" />
      <LengthField label="Spacing" :mm="everyMm" :commit="setEvery" signed />
      <ChoiceField label="Further from" :value="furtherFrom" :options="ways" @choose="furtherFrom = $event" />
    </FieldGrid>
    <TroubleNote :why="trouble" />
    <div class="row">
      <Button severity="secondary" outlined @click="copy">{{ count === 1 ? 'Make one copy' : `Make ${count} copies` }}</Button>
      <Button severity="secondary" text label="Not now" @click="open = false" />
    </div>
  </div>
</template>

<style scoped>
.start {
  justify-self: start;
}
.copies {
  border-left: 3px solid var(--line);
  padding-left: 0.8rem;
}
</style>
