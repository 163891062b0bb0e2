<script setup lang="ts">
import type { ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import type { Issue } from '@azulejo/core/result';
import { judgeReadings } from '@azulejo/core/surface/reconcile/judgeReadings';
import { openByMm } from '@azulejo/core/surface/reconcile/observations';
import { reconcileWalls } from '@azulejo/core/surface/reconcile/reconcileWalls';
import { addCorner, removeCorner } from '@azulejo/core/surface/shapes/asWalls';
import type { WallsShape } from '@azulejo/core/surface/shapes/walls';
import { formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import SwitchField from '../../../fields/SwitchField.vue';
import { nextId } from '../../newId.ts';
import { useAttempt } from '../../useAttempt.ts';
import CheckList from './CheckList.vue';
import CornerTable from './CornerTable.vue';
import JudgementNote from './JudgementNote.vue';
import SquareHelper from './SquareHelper.vue';
import WallRow from './WallRow.vue';
import { useTape } from '../../../fields/useTape.ts';
import TroubleNote from '../../../fields/TroubleNote.vue';

const props = defineProps<{ shape: WallsShape; commit: (shape: WallsShape, label: ChangeLabel) => readonly Issue[] }>();
const tape = useTape();
const open = ref<string | null>(null);
const { trouble, attempt: told } = useAttempt(() => tape.value);
/** A change that would leave the walls open, kept until the person says what to do with the opening. */
const offered = ref<{ shape: WallsShape; label: ChangeLabel; openMm: number } | null>(null);

const readings = computed(() => new Map(reconcileWalls(props.shape).readings.map((reading) => [reading.id, reading])));
const checked = computed(() => props.shape.checks.length > 0 || props.shape.spread);
const suspects = computed<ReadonlySet<string>>(() => new Set(judgeReadings(props.shape).suspects.map(({ id }) => id)));
const openMm = computed(() => openByMm(props.shape));

function attempt(shape: WallsShape, label: ChangeLabel): readonly Issue[] {
  const issues = props.commit(shape, label);
  offered.value = issues[0]?.code === 'shape/open' ? { shape, label, openMm: openByMm(shape) } : null;
  return issues;
}
function spread(): void {
  if (!offered.value) return;
  told(attempt({ ...offered.value.shape, spread: true }, offered.value.label));
}
const split = (k: number): void => told(attempt(addCorner(props.shape, k, nextId('wall', props.shape.walls)), 'addCorner'));
const join = (k: number): void => told(attempt(removeCorner(props.shape, k), 'removeCorner'));
</script>

<template>
  <JudgementNote :shape="shape" />
  <section>
    <p v-if="checked" class="soft small off">off by</p>
    <WallRow
      v-for="(wall, k) in shape.walls"
      :key="wall.id"
      :shape="shape"
      :index="k"
      :open="open === wall.id"
      :reading="checked ? (readings.get(wall.id) ?? null) : null"
      :suspect="suspects.has(wall.id)"
      :commit="attempt"
      @toggle="open = open === wall.id ? null : wall.id"
      @split="split(k)"
      @join="join(k)"
    />
  </section>
  <TroubleNote :why="trouble" />
  <div v-if="offered" class="offer" role="status">
    <p>
      With that length the walls stay <b class="figure">{{ formatLengthWithUnit(offered.openMm, tape) }}</b> open.
    </p>
    <Button label="Spread it over the corners" size="small" @click="spread" />
  </div>
  <SwitchField
    v-if="shape.checks.length === 0"
    label="What the walls fail to close by"
    :value="shape.spread ? 'spread' : 'refuse'"
    :options="[
      { value: 'refuse', label: 'Refuse' },
      { value: 'spread', label: 'Spread over the corners' },
    ]"
    @choose="told(attempt({ ...shape, spread: $event === 'spread' }, 'spread'))"
  />
  <p v-if="shape.spread && shape.checks.length === 0" class="soft small">
    {{ formatLengthWithUnit(openMm, tape) }} are spread; angles give way, lengths stay.
  </p>
  <CheckList :shape="shape" :suspects="suspects" :commit="attempt" />
  <CornerTable :shape="shape" />
  <SquareHelper :first-mm="shape.walls[0].lengthMm" :second-mm="shape.walls[1].lengthMm" />
</template>

<style scoped>
.off {
  text-align: right;
}
.offer {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0.8rem;
  align-items: center;
  background: var(--warn-soft);
  padding: 0.6rem 0.75rem;
  border-radius: 4px;
}
</style>
