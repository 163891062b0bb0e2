<script setup lang="ts">
import type { ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import Button from 'primevue/button';
import { computed } from 'vue';
import { PhPrinter } from '@phosphor-icons/vue';
import type { Job } from '@azulejo/core/job/job';
import { describeShare, describeStirred, explainMix, mixName } from '@azulejo/core/messages/en/mixes';
import { SAFETY } from '@azulejo/core/messages/en/safety';
import type { Plan } from '@azulejo/core/plan';
import type { Mixing } from '@azulejo/core/takeoff/mixes/planMixes';
import { zoneMixes } from '@azulejo/core/takeoff/mixes/zoneMixes';
import { exportUrl } from '../../../api/client.ts';
import FieldGrid from '../../../fields/FieldGrid.vue';
import NumberField from '../../../fields/NumberField.vue';
import { useJobStore } from '../../../stores/jobStore.ts';

/** How each powder is mixed: how much at a time, how often. */
const props = defineProps<{ job: Job; plan: Plan }>();
const jobs = useJobStore();
const mixes = computed(() => props.plan.mixes.map((mix) => ({ mix, stirred: zoneMixes(mix, props.plan.surfaces) })));
const nameOf = (surfaceId: string): string => props.job.surfaces.find(({ id }) => id === surfaceId)?.name ?? surfaceId;
const set = (label: ChangeLabel, part: Mixing) =>
  jobs.change(label, (draft) => {
    draft.mixing = { ...draft.mixing, ...part };
  });
</script>

<template>
  <FieldGrid three class="site">
    <NumberField
      label="It is"
      unit="°C"
      :value="job.mixing?.temperatureC ?? 20"
      :commit="(temperatureC) => set('temperature', { temperatureC })"
    />
    <NumberField
      label="The bucket holds"
      unit="L"
      :value="job.mixing?.bucketLitres ?? 20"
      :commit="(bucketLitres) => set('bucket', { bucketLitres })"
    />
    <NumberField
      label="Empty it weighs"
      unit="kg"
      :value="job.mixing?.tareKg ?? 1"
      :commit="(tareKg) => set('weightOfTheBucket', { tareKg })"
    />
  </FieldGrid>
  <p v-if="plan.mixes.length === 0" class="soft">Nothing here is mixed from powder.</p>
  <div class="mixes">
    <article v-for="{ mix, stirred } in mixes" :key="`${mix.item} ${mix.variant}`" class="stack">
      <h2>{{ mixName(mix) }}</h2>
      <p class="figure big">{{ describeStirred(mix, stirred, job.tape) }}</p>
      <p v-for="line in explainMix(mix, stirred, job.tape)" :key="line">{{ line }}</p>
      <details v-if="stirred.length > 0">
        <summary>Zone by zone</summary>
        <dl class="zones">
          <template v-for="{ surfaceId, zones } in stirred" :key="surfaceId">
            <dt>{{ nameOf(surfaceId) }}</dt>
            <dd v-for="zone in zones" :key="zone.zoneId">
              <span>Zone {{ zone.number }}</span
              ><span class="figure">{{ describeShare(zone, job.tape) }}</span>
            </dd>
          </template>
        </dl>
      </details>
    </article>
  </div>
  <div class="row">
    <Button v-if="plan.mixes.length > 0" as="a" :href="exportUrl(job.id, 'mixes')" severity="secondary" outlined
      ><PhPrinter :size="19" />Card for the mixer</Button
    >
    <span class="small soft">Heat shortens the time in the bucket, cold lengthens it: a hint, the bag decides.</span>
  </div>
  <p class="caution">{{ SAFETY.mixing }}</p>
</template>

<style scoped>
.site {
  max-width: 34rem;
}
.mixes {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 22rem), 1fr));
  gap: 1rem;
}
article {
  background: var(--panel);
  border-radius: 4px;
  padding: 1rem 1.2rem;
  gap: 0.3rem;
}
.zones {
  margin: 0.4rem 0 0;
}
.zones dt {
  font-weight: 600;
  margin-top: 0.4rem;
}
.zones dd {
  display: flex;
  justify-content: space-between;
  margin: 0;
  border-top: 1px solid var(--line);
  padding: 0.15rem 0;
}
.big {
  font-size: 1.7rem;
  line-height: 1.2;
}
</style>
