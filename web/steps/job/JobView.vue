<script setup lang="ts">
import { changeLabel } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import { computed, ref, toRef } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import { PhCopy, PhDownloadSimple, PhPlus, PhShoppingCartSimple, PhSlidersHorizontal, PhStack } from '@phosphor-icons/vue';
import { removeSurface } from '@azulejo/core/job/removeSurface';
import { repeatRoom, repeatSurface } from '@azulejo/core/job/repeatSurface';
import { describeFinding } from '@azulejo/core/messages/en/advice';
import { closedBy } from '@azulejo/core/site/stillOpen';
import { exportUrl } from '../../api/client.ts';
import { clipText } from '@azulejo/core/units/clipText';
import { formatMoney } from '@azulejo/core/units/currency';
import { useLogStore } from '../../stores/logStore.ts';
import { dayOf } from '../dayOf.ts';
import { useJobPlan } from '../../workers/useJobPlan.ts';
import JobDetailsDialog from './JobDetailsDialog.vue';
import { foundOnJob, groupByRoom, surfaceWithTile } from './model.ts';
import LoadingState from '../LoadingState.vue';
import { newId } from '../newId.ts';
import { useOpenJob } from '../useOpenJob.ts';
import RoomLayingDialog from './RoomLayingDialog.vue';
import SurfaceCard from './SurfaceCard.vue';
import { useLaid } from '../useLaid.ts';

const props = defineProps<{ jobId: string }>();
const { jobs, trouble } = useOpenJob(toRef(props, 'jobId'));
const router = useRouter();
const toNew = computed(() => ({ name: 'new-surface', params: { jobId: props.jobId } }));
const showingDetails = ref(false);
const laying = ref<string | null>(null);
const roomToLay = computed(() => jobs.job?.rooms.find(({ id }) => id === laying.value) ?? null);
const { plan, surfaces: planned } = useJobPlan();
const planOf = (id: string) => planned.value.get(id) ?? null;
const found = computed(() => (jobs.job ? foundOnJob(jobs.job, plan.value?.findings ?? []) : null));
/** A tile is changed on the first surface that has it. */
const toTile = (at: number) => {
  const surfaceId = (jobs.job && surfaceWithTile(jobs.job, at)?.id) ?? '';
  return { name: 'surface', params: { jobId: props.jobId, surfaceId, step: 'tile' }, query: { at: 'productId' } };
};
const log = useLogStore();
const closed = computed(() => closedBy(log.entries));
const laidCount = computed(() => jobs.job?.surfaces.filter(({ laid }) => laid).length ?? 0);
const total = computed(() => plan.value && formatMoney(plan.value.money.total, plan.value.money.currency));

const groups = computed(() => (jobs.job ? groupByRoom(jobs.job) : []));

const remove = (id: string) => jobs.change('deleteSurface', (draft) => removeSurface(draft, id));
const setLaid = useLaid();
function repeat(id: string): void {
  const surface = jobs.job?.surfaces.find((one) => one.id === id);
  if (!surface || !jobs.job) return;
  const copy = repeatSurface(surface, newId('surface'), clipText(`${surface.name}, again`, 80));
  jobs.change(changeLabel('repeatSurface', surface.name), (draft) => {
    draft.surfaces.push(copy);
  });
  void router.push({ name: 'surface', params: { jobId: props.jobId, surfaceId: copy.id, step: 'measure' } });
}
function repeatAll(roomId: string): void {
  if (!jobs.job) return;
  const old = jobs.job.rooms.find(({ id }) => id === roomId);
  const copy = repeatRoom(jobs.job, roomId, newId('room'), clipText(`${old?.name ?? 'Room'} again`, 60));
  jobs.change(changeLabel('repeatRoom', old?.name), (draft) => {
    draft.rooms.push(copy.room);
    draft.surfaces.push(...copy.surfaces);
    draft.links.push(...copy.links);
  });
}
</script>

<template>
  <LoadingState v-if="!jobs.job" :trouble="trouble" />
  <main v-else class="job">
    <header class="head">
      <div class="grow">
        <h1>{{ jobs.job.name }}</h1>
        <p v-if="jobs.job.client" class="soft">{{ jobs.job.client }}</p>
        <p v-if="laidCount > 0 || closed" class="soft small">
          {{ laidCount }} of {{ jobs.job.surfaces.length }} laid<template v-if="closed">, closed on {{ dayOf(closed.at) }}</template>
        </p>
      </div>
      <Button severity="secondary" outlined @click="showingDetails = true"><PhSlidersHorizontal :size="19" />Details</Button>
      <Button as="a" :href="exportUrl(jobId, 'job')" severity="secondary" outlined><PhDownloadSimple :size="19" />Job file</Button>
      <Button v-if="jobs.job.surfaces.length > 0" as="router-link" :to="{ name: 'order', params: { jobId } }" severity="secondary" outlined
        ><PhShoppingCartSimple :size="19" />Order<span v-if="total" class="figure">{{ total }} {{ jobs.job.currency }}</span></Button
      >
      <Button as="router-link" :to="toNew"><PhPlus :size="19" weight="bold" />Surface</Button>
    </header>
    <p v-for="finding in found?.ofJob ?? []" :key="describeFinding(finding, jobs.job.tape)" class="caution late">
      {{ describeFinding(finding, jobs.job.tape) }}
      <RouterLink v-if="finding.path[0] === 'programme'" :to="{ name: 'programme', params: { jobId } }">See the days</RouterLink>
      <RouterLink v-else :to="toTile(Number(finding.path[1]))">See its lots</RouterLink>
    </p>
    <section v-if="jobs.job.surfaces.length === 0" class="empty">
      <h2>No surface yet</h2>
      <p>Two lengths off the tape are enough for a first setout.</p>
      <Button as="router-link" :to="toNew" label="Measure the first surface" />
    </section>
    <section v-for="group in groups" :key="group.id ?? ''" class="group">
      <header v-if="group.id !== null" class="room">
        <h2 class="grow">{{ group.name }}</h2>
        <Button severity="secondary" text size="small" @click="laying = group.id"><PhStack :size="18" />Lay the whole room</Button>
        <Button severity="secondary" text size="small" @click="repeatAll(group.id)"><PhCopy :size="18" />Repeat the whole room</Button>
      </header>
      <ul class="cards" :class="{ small: group.surfaces.length > 4 }">
        <SurfaceCard
          v-for="surface in group.surfaces"
          :key="surface.id"
          :job="jobs.job"
          :surface="surface"
          :plan="planOf(surface.id)"
          :findings="found?.ofSurface(surface.id) ?? []"
          :small="group.surfaces.length > 4"
          @remove="remove(surface.id)"
          @repeat="repeat(surface.id)"
          @laid="setLaid(surface.id, $event)"
        />
      </ul>
    </section>
    <RoomLayingDialog v-if="roomToLay" :job="jobs.job" :room="roomToLay" @close="laying = null" />
    <JobDetailsDialog v-if="showingDetails" :job="jobs.job" @close="showingDetails = false" />
  </main>
</template>

<style scoped>
.job {
  overflow-y: auto;
  padding: 1.6rem clamp(1rem, 4vw, 3rem) 3rem;
}
.late {
  margin: 0 0 1.2rem;
}
.head {
  display: flex;
  gap: 0.7rem;
  align-items: center;
  flex-wrap: wrap;
  margin-bottom: 1.5rem;
}
.group {
  margin-bottom: 1.8rem;
}
.room {
  display: flex;
  gap: 0.7rem;
  align-items: center;
  margin-bottom: 0.6rem;
  border-bottom: 2px solid var(--line);
}
.cards {
  margin: 0;
  padding: 0;
  list-style: none;
  display: grid;
  gap: 1.25rem;
  grid-template-columns: repeat(auto-fill, minmax(min(20rem, 100%), 1fr));
}
.cards.small {
  gap: 0.9rem;
  grid-template-columns: repeat(auto-fill, minmax(min(14rem, 100%), 1fr));
}
.empty {
  display: grid;
  justify-items: center;
  gap: 0.9rem;
  padding: 5rem 1rem;
  text-align: center;
}
</style>
