<script setup lang="ts">
import type { ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import { computed } from 'vue';
import type { CutOrder, Cutting } from '@azulejo/core/cuts/cutOrder';
import type { Job } from '@azulejo/core/job/job';
import NumberField from '../../fields/NumberField.vue';
import SwitchField from '../../fields/SwitchField.vue';
import type { PlainCode } from '@azulejo/core/messages/say';
import { useJobStore } from '../../stores/jobStore.ts';
import { words } from '../../words/useWords.ts';

/** What is cut first, and how much is carried to the saw at a time. */
const props = defineProps<{ job: Job; order: CutOrder }>();
const jobs = useJobStore();
const perTrip = computed(() => props.job.cutting?.perTrip ?? null);

/** Two to choose from, in the language that is spoken. */
const eitherOf = <A extends string, B extends string>(...both: readonly [[A, PlainCode], [B, PlainCode]]) =>
  computed(() => both.map(([value, says]) => ({ value, label: words.value.say(says) })));
const orders = eitherOf(['hardestLast', 'cuts/last'], ['hardestFirst', 'cuts/first']);
const saws = eitherOf(['near', 'cuts/atHand'], ['far', 'cuts/farAway']);
const parts = eitherOf(['all', 'cuts/allAtOnce'], ['zones', 'cuts/zoneByZone']);
/** What one carries at a time, unless told otherwise. */
const USUAL_LOAD = 10;

const set = (label: ChangeLabel, part: Partial<Cutting>) =>
  jobs.change(label, (draft) => {
    draft.cutting = { order: null, perTrip: null, ...draft.cutting, ...part };
  });
</script>

<template>
  <div class="form">
    <SwitchField :label="words.say('cuts/hardCome')" :value="order" :options="orders" @choose="set('orderOfCuts', { order: $event })" />
    <SwitchField
      :label="words.say('cuts/sawIs')"
      :value="perTrip === null ? 'near' : 'far'"
      :options="saws"
      @choose="set('whereTheSawStands', { perTrip: $event === 'far' ? USUAL_LOAD : null })"
    />
    <SwitchField
      :label="words.say('cuts/cutWhen')"
      :value="job.cutting?.byZone ? 'zones' : 'all'"
      :options="parts"
      @choose="set('cutsByZone', { byZone: $event === 'zones' })"
    />
    <NumberField
      v-if="perTrip !== null"
      :label="words.say('cuts/perTrip')"
      :value="perTrip"
      :commit="(count) => set('piecesATrip', { perTrip: count })"
    />
  </div>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.8rem;
}
</style>
