<script setup lang="ts">
import { proxy } from 'comlink';
import { onScopeDispose, ref, shallowRef, watch } from 'vue';
import Button from 'primevue/button';
import type { Job } from '@azulejo/core/job/job';
import type { LookedLonger } from '@azulejo/core/cuts/offCuts/lookLonger';
import { withoutPictures } from '@azulejo/core/plan/layout/briefOf';
import { describeLooked, describeLooking } from '@azulejo/core/messages/en/offCuts';
import { useJobStore } from '../../stores/jobStore.ts';
import { plain } from '../../saving/plain.ts';
import { drawer } from '../../workers/planner.ts';

/** Looks a few seconds longer for a plan that opens fewer tiles; what it finds becomes the plan of the job. */
const props = defineProps<{
  job: Job;
  /** Whether there may be a plan with fewer. */
  open: boolean;
}>();
const jobs = useJobStore();
const soFar = shallowRef<LookedLonger | null>(null);
const running = ref(false);
const said = ref('');
let round = 0;

async function look(): Promise<void> {
  const own = ++round;
  const job = plain(withoutPictures(props.job));
  [running.value, soFar.value, said.value] = [true, null, ''];
  const told = proxy((now: LookedLonger) => {
    if (own === round) soFar.value = now;
  });
  try {
    const looked = await drawer.lookLonger(job, told);
    if (own !== round || looked === null) return;
    said.value = describeLooked(looked);
    if (looked.opened < looked.openedAtFirst)
      jobs.change('offCutsLookedAtLonger', (draft) => {
        draft.consumption.offCutRounds = looked.foundAfter;
      });
  } catch {
    if (own === round) said.value = 'It could not be looked at longer. The plan stays as it is.';
  } finally {
    if (own === round) [running.value, soFar.value] = [false, null];
  }
}
const stop = (): void => void drawer.giveUp();
// What was said holds for the cuts that were looked at.
watch(
  () => props.job.surfaces,
  () => (said.value = ''),
);
onScopeDispose(() => {
  round++;
  if (running.value) stop();
});
</script>

<template>
  <div v-if="open || running || said" class="look" role="status">
    <template v-if="running">
      <p class="grow">{{ soFar ? describeLooking(soFar) : 'Laying out every surface first.' }}</p>
      <Button size="small" severity="secondary" outlined @click="stop">Stop</Button>
    </template>
    <template v-else>
      <Button v-if="open" size="small" severity="secondary" outlined @click="look">Look longer for fewer</Button>
      <p v-if="said" class="small soft grow">{{ said }}</p>
    </template>
  </div>
</template>

<style scoped>
.look :deep(.p-button) {
  white-space: nowrap;
}
.look {
  display: flex;
  align-items: center;
  gap: 0.5rem 0.8rem;
}
p {
  margin: 0;
}
</style>
