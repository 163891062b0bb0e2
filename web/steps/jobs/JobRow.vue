<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { PhArrowRight, PhCheckCircle, PhRuler, PhTrash, PhWarning } from '@phosphor-icons/vue';
import { describeFinding } from '@azulejo/core/messages/en/advice';
import type { JobEntry } from '@azulejo/core/formats/apiTypes';
import { fieldSought, stepOfFinding } from '../stepOfFinding.ts';
import { jobRow } from './model.ts';
import SurfaceThumb from './SurfaceThumb.vue';
import { useGlance } from './useGlance.ts';

const props = defineProps<{ job: JobEntry }>();
const emit = defineEmits<{ remove: [] }>();
const row = ref<HTMLElement | null>(null);
const glance = useGlance(row, () => props.job);

const toJob = computed(() => ({ name: 'job', params: { jobId: props.job.id } }));
const toSurface = (surfaceId: string, step: string, at?: string) => ({
  name: 'surface',
  params: { jobId: props.job.id, surfaceId, step },
  query: at === undefined ? {} : { at },
});
const model = computed(() => jobRow(props.job, glance.value));
const sketchOf = (id: string) => glance.value?.sketches.find(({ surfaceId }) => surfaceId === id) ?? null;
const changed = computed(() => new Date(props.job.updatedAt).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' }));
</script>

<template>
  <li ref="row" class="job">
    <div class="who">
      <RouterLink :to="toJob" class="name">{{ job.name }}</RouterLink>
      <span v-if="job.client" class="soft">{{ job.client }}</span>
      <span class="progress small" :class="{ done: model.isDone }"
        ><PhCheckCircle v-if="model.isDone" :size="17" weight="fill" />{{ model.progress
        }}<i v-if="model.laidPercent !== null" aria-hidden="true"><b :style="{ width: `${model.laidPercent}%` }" /></i
      ></span>
      <span class="soft small">Changed {{ changed }}</span>
    </div>
    <div class="thumbs">
      <SurfaceThumb v-for="surface in job.latest" :key="surface.id" :job-id="job.id" :surface="surface" :sketch="sketchOf(surface.id)" />
    </div>
    <div class="next">
      <p v-if="job.toMeasureAgain > 0" class="say">
        <PhRuler :size="18" weight="bold" /><span
          >{{ job.toMeasureAgain }} {{ job.toMeasureAgain === 1 ? 'length' : 'lengths' }} to measure again</span
        >
      </p>
      <p v-if="model.worst" class="say">
        <PhWarning :size="18" weight="bold" /><span
          ><RouterLink :to="toSurface(model.worst.surfaceId, stepOfFinding(model.worst.first).name, fieldSought(model.worst.first))">{{
            model.worst.name
          }}</RouterLink
          >: {{ describeFinding(model.worst.first, model.worst.tape)
          }}<template v-if="model.others !== ''"
            >{{ ' ' }}<RouterLink :to="toJob">{{ model.others }}</RouterLink></template
          ></span
        >
      </p>
      <Button v-if="model.next" as="router-link" :to="toSurface(model.next.id, 'setout')" text class="go"
        >Go on with {{ model.next.name }}<PhArrowRight :size="18" weight="bold"
      /></Button>
      <Button v-else-if="job.surfaceCount === 0" as="router-link" :to="{ name: 'new-surface', params: { jobId: job.id } }" text class="go"
        >Measure the first surface<PhArrowRight :size="18" weight="bold"
      /></Button>
    </div>
    <Button text severity="secondary" class="bin" :aria-label="`Delete ${job.name}`" @click="emit('remove')"><PhTrash :size="18" /></Button>
  </li>
</template>

<style scoped>
.job {
  display: grid;
  grid-template-columns: minmax(10rem, 13rem) minmax(0, 1fr) minmax(14rem, 19rem) auto;
  gap: 0.6rem 1.6rem;
  padding: 1.1rem 0.6rem 1.1rem 1.2rem;
  background: var(--panel);
  border-radius: 4px;
  align-items: start;
}
.who {
  display: grid;
  gap: 0.2rem;
  min-width: 0;
}
.name {
  font: 600 1.25rem/1.25 'Barlow';
  color: var(--ink);
  text-decoration: none;
  overflow-wrap: anywhere;
}
.name:hover {
  text-decoration: underline;
}
.progress {
  display: flex;
  flex-wrap: wrap;
  gap: 0.35rem;
  align-items: center;
  margin-top: 0.3rem;
}
.progress i {
  flex-basis: 100%;
  height: 5px;
  border-radius: 3px;
  background: var(--line);
  overflow: hidden;
}
.progress b {
  display: block;
  height: 100%;
  background: var(--cobalt);
}
.done {
  color: var(--cobalt);
  font-weight: 600;
}
.thumbs {
  display: grid;
  grid-template-columns: repeat(5, minmax(4rem, 7.5rem));
  gap: 0.9rem;
}
.next {
  display: grid;
  grid-template-columns: minmax(0, auto);
  gap: 0.5rem;
  justify-items: start;
}
.go {
  overflow-wrap: anywhere;
  text-align: left;
}
.say {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 0.5rem;
  font-size: 0.9rem;
  line-height: 1.35;
}
.say svg {
  color: var(--warn);
  margin-top: 0.05rem;
}
.go {
  margin-left: -0.75rem;
  text-align: left;
}
@media (max-width: 1080px) {
  .job {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1.2fr) auto;
  }
  .thumbs {
    grid-column: 1 / -1;
    grid-row: 2;
  }
  .bin {
    grid-column: 3;
    grid-row: 1;
  }
}
@media (max-width: 640px) {
  .job {
    grid-template-columns: minmax(0, 1fr) auto;
    padding: 0.9rem 0.3rem 0.7rem 1rem;
  }
  .thumbs {
    grid-template-columns: repeat(5, minmax(0, 1fr));
    gap: 0.5rem;
    padding-right: 0.7rem;
  }
  .next {
    grid-column: 1 / -1;
  }
  .bin {
    grid-column: 2;
  }
}
</style>
