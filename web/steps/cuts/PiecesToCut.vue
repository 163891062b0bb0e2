<script setup lang="ts">
import { computed, nextTick, ref, toRef, watch } from 'vue';
import type { OffCutPlan } from '@azulejo/core/cuts/offCuts/planOffCuts';
import type { Job, Surface } from '@azulejo/core/job/job';
import { sharedHoles } from '@azulejo/core/cuts/sharedHoles';
import { polygonsArea } from '@azulejo/core/geometry/ring';
import { nearCuts } from '@azulejo/core/cuts/nearCuts';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import SwitchField from '../../fields/SwitchField.vue';
import { useBoardStore } from '../../stores/boardStore.ts';
import { useTickStore } from '../../stores/tickStore.ts';
import CutGroupCard from './CutGroupCard.vue';
import CutOrderForm from './CutOrderForm.vue';
import FindPiece from './FindPiece.vue';
import SheetParts from './SheetParts.vue';
import { cutList, type Listed } from './model.ts';
import { useCutList } from './useCutList.ts';
import { useTicking } from './useTicking.ts';
import { seenSides, useSeenSide } from './useSeenSide.ts';
import { useReadTape, words } from '../../words/useWords.ts';

/** Every cut in the order in which it is made, ticked off as it goes. */
const props = defineProps<{ job: Job; surface: Surface; plan: SurfacePlan; offCuts: OffCutPlan | null }>();
const tape = useReadTape();
const board = useBoardStore();
const ticks = useTickStore();
const { side } = useSeenSide();
const { order, trips, settingWith } = useCutList(toRef(props, 'job'), toRef(props, 'surface'), toRef(props, 'plan'));

const lists = computed(() => [
  { value: 'all' as const, label: words.value.say('cuts/all') },
  { value: 'open' as const, label: words.value.say('cuts/stillToCut') },
]);
const listed = ref<Listed>('all');
const { stateOf, tick, keep, countAnew } = useTicking(toRef(props, 'surface'), toRef(props, 'plan'));
/** What no tick changes. */
const holes = computed(() => sharedHoles(props.plan.traced, props.plan.toCut));
const droppedMm2 = computed(() => polygonsArea(props.plan.fields.flatMap(({ layout }) => layout.dropped)));
const model = computed(() =>
  cutList(
    props.surface,
    props.plan,
    trips.value,
    { inForce: ticks.inForce.values(), waiting: ticks.waiting.length },
    listed.value,
    words.value,
  ),
);

function choose(id: string): void {
  const again = board.chosenGroup === id && board.chosenLabel === null;
  board.chosenGroup = again ? null : id;
  board.chosenLabel = null;
}
function choosePiece(id: string, label: string): void {
  board.chosenGroup = id;
  board.chosenLabel = board.chosenLabel === label ? null : label;
}
function find(label: string): void {
  listed.value = 'all';
  board.chosenLabel = label;
  board.chosenGroup = settingWith(label)?.id ?? null;
}
watch(
  () => board.chosenGroup,
  async (id) => {
    await nextTick();
    if (id) document.getElementById(id)?.scrollIntoView({ block: 'nearest' });
  },
);
</script>

<template>
  <SheetParts v-for="sheets in plan.sheets" :key="sheets.productId" :plan="sheets" :job="job" />
  <p v-if="plan.groups.length === 0 && plan.sheets.length === 0">{{ words.say('cuts/allWhole') }}</p>
  <template v-else-if="plan.groups.length > 0">
    <p class="caution">{{ words.SAFETY.cutting }}</p>
    <p class="soft">{{ model.order }}</p>
    <div class="switches">
      <SwitchField :label="words.say('cuts/tilesAreMarked')" :value="side" :options="seenSides" @choose="side = $event" />
      <SwitchField :label="words.say('cuts/list')" :value="listed" :options="lists" @choose="listed = $event" />
    </div>
    <p v-if="side === 'back'" class="small soft">
      {{ words.say('cuts/backNote') }}
    </p>
    <CutOrderForm :job="job" :order="order" />
    <FindPiece :labels="model.labels" @found="find" />
    <p class="told" role="status">
      <b>{{ model.told }}</b>
      <span v-if="ticks.trouble && ticks.waiting.length > 0" class="small soft">
        {{ ticks.trouble }} {{ words.say('cuts/waitingKept') }}</span
      >
    </p>
    <p v-if="model.strays.length > 0" class="caution">
      {{ words.say('cuts/strays', { labels: model.strays.slice(0, 12).join(', '), more: model.strays.length > 12 }) }}
    </p>
    <p class="small soft kept no-print">
      {{ words.say(surface.counted ? 'cuts/labelsStay' : 'cuts/labelsCounted') }}
      <button v-if="!surface.counted" class="plain link" type="button" @click="keep">{{ words.say('cuts/keepLabels') }}</button>
      <button v-else-if="!model.isTicked" class="plain link" type="button" @click="countAnew">{{ words.say('cuts/countAnew') }}</button>
    </p>
    <section v-for="trip in model.trips" :key="trip.number">
      <h3 v-if="model.trips.length > 1">
        {{ trip.name }}<span class="small soft">{{ words.say('cuts/pieces', { count: trip.count }) }}</span>
      </h3>
      <p v-if="trip.settings.length === 0" class="small soft">{{ words.say('site/allCut') }}</p>
      <template v-for="run in nearCuts(trip.settings)" :key="run.settings[0].id">
        <h4 v-if="run.rangeMm" class="small near">{{ words.describeNear(run, tape) }}</h4>
        <ol class="groups" :class="{ run: run.rangeMm }">
          <CutGroupCard
            v-for="setting in run.settings"
            :id="setting.id"
            :key="setting.id"
            :setting="setting"
            :off-cuts="offCuts"
            :holes="holes"
            :edge-names="plan.traced.names"
            :job="job"
            :surface-id="surface.id"
            :chosen="board.chosenGroup === setting.id"
            :chosen-label="board.chosenLabel"
            :state-of="stateOf"
            @tick="tick"
            @choose="choose(setting.id)"
            @choose-piece="choosePiece(setting.id, $event)"
          />
        </ol>
      </template>
    </section>
  </template>
  <p v-if="droppedMm2 > 1" class="small soft">{{ words.say('cuts/dropped') }}</p>
</template>

<style scoped>
.near {
  margin: 0.7rem 0 0.2rem;
  font-weight: 600;
}
.run {
  border-left: 3px solid var(--cobalt);
  padding-left: 0.5rem;
}
.groups {
  margin: 0;
  padding: 0;
  list-style: none;
}
.switches {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.8rem;
}
h3 {
  display: flex;
  gap: 0.6rem;
  align-items: baseline;
  margin: 0.4rem 0;
}
.link {
  color: var(--cobalt);
  text-decoration: underline;
}
.told {
  display: grid;
  gap: 0.15rem;
}
</style>
