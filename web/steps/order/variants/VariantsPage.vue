<script setup lang="ts">
import Button from 'primevue/button';
import { computed } from 'vue';
import { PhCheckCircle, PhTrash } from '@phosphor-icons/vue';
import { productName, type Job } from '@azulejo/core/job/job';
import { chooseVariant } from '@azulejo/core/job/variants/variants';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import { hoursWords } from '@azulejo/core/messages/en/money';
import type { ComparedVariant } from '@azulejo/core/compare/compareVariants';
import { facesOf } from '../../../board/faces.ts';
import SetoutPicture from '../../../board/SetoutPicture.vue';
import { provideTape } from '../../../fields/useTape.ts';
import TroubleNote from '../../../fields/TroubleNote.vue';
import { useJobStore } from '../../../stores/jobStore.ts';
import { searcher } from '../../../workers/planner.ts';
import { useLatest } from '../../../workers/useLatest.ts';
import type { VariantsCompared } from '../../../workers/planWorker.ts';
import { withoutPictures } from '@azulejo/core/plan/layout/briefOf';
import { formatCoins, formatMoney } from '@azulejo/core/units/currency';
import { useAttempt } from '../../useAttempt.ts';
import NewVariant from './NewVariant.vue';

/** The ways to do it side by side; what differs is marked, one of them stands. */
const props = defineProps<{ job: Job }>();
provideTape(() => props.job.tape);
const jobs = useJobStore();
const { trouble, attempt } = useAttempt(() => props.job.tape);
const { value: result } = useLatest<Job, VariantsCompared>(
  () => (props.job.variants?.length ? props.job : null),
  (job) => searcher.compareVariants(withoutPictures(job)),
  () => void searcher.giveUp(),
);
const columns = computed(() => result.value?.compared ?? []);
const broken = computed(() => result.value?.broken ?? []);

interface Row {
  readonly label: string;
  readonly show: (one: ComparedVariant) => string;
}
const ROWS = computed((): readonly Row[] => [
  { label: 'Tiles', show: ({ products }) => products.map((id) => productName(props.job, id)).join(', ') },
  { label: 'Pieces', show: ({ pieces }) => String(pieces) },
  { label: 'Of them cut', show: ({ cuts }) => String(cuts) },
  { label: 'Opened', show: ({ opened }) => String(opened) },
  { label: 'Work of the job', show: ({ hours, days }) => `${hoursWords(hours)}, ${days} ${days === 1 ? 'day' : 'days'}` },
  { label: `Materials, ${props.job.currency}`, show: ({ materials }) => formatMoney(materials, props.job.currency) },
  { label: `To pay, ${props.job.currency}`, show: ({ totalCents }) => formatCoins(totalCents, props.job.currency) },
]);
const differs = ({ show }: Row): boolean => new Set(columns.value.map(show)).size > 1;
const facesFor = (surfaceId: string) => {
  const surface = props.job.surfaces.find(({ id }) => id === surfaceId);
  return facesOf(props.job, surface ?? { jointColour: '#8f969b' });
};
function choose(id: string): void {
  const chosen = chooseVariant(props.job, id);
  if (!chosen.ok) return attempt(chosen.issues);
  attempt(
    jobs.change('chooseAVariant', (draft) => {
      // What the other way has not goes too.
      for (const key of Object.keys(draft)) if (!(key in chosen.value)) Reflect.deleteProperty(draft, key);
      Object.assign(draft, chosen.value);
    }),
  );
}
const remove = (id: string) =>
  jobs.change('aVariantLess', (draft) => {
    draft.variants = (draft.variants ?? []).filter((variant) => variant.id !== id);
    if (draft.variants.length === 0) delete draft.variants;
  });
</script>

<template>
  <p v-if="!job.variants?.length" class="soft">
    Nothing stands beside what is planned yet. Keep another way here, and both are shown with what they cost.
  </p>
  <p v-else-if="columns.length === 0" class="soft" role="status">Working out every way</p>
  <div v-else class="columns">
    <article v-for="column in columns" :key="column.id ?? 'standing'" class="column" :class="{ stands: column.id === null }">
      <h2>{{ column.name }}</h2>
      <p v-if="column.id === null" class="standing"><PhCheckCircle :size="18" weight="fill" />This one stands</p>
      <div v-else class="row choice">
        <Button size="small" label="Choose this" @click="choose(column.id)" />
        <Button size="small" text severity="secondary" :aria-label="`Take ${column.name} out`" @click="remove(column.id)"
          ><PhTrash :size="17"
        /></Button>
      </div>
      <div class="pictures">
        <div v-for="plan in column.surfaces.slice(0, 4)" :key="plan.surfaceId" class="drawing">
          <SetoutPicture :plan="plan" :faces="facesFor(plan.surfaceId)" :label="`${column.name}, drawn to scale`" />
        </div>
      </div>
      <dl>
        <div v-for="row in ROWS" :key="row.label" :class="{ other: differs(row) }">
          <dt>{{ row.label }}</dt>
          <dd class="figure">{{ row.show(column) }}</dd>
        </div>
      </dl>
    </article>
  </div>
  <div v-for="one in broken" :key="one.id" class="row">
    <p class="why grow">{{ one.name }}: {{ one.issues[0] ? describeIssue(one.issues[0], job.tape) : '' }}</p>
    <Button size="small" text severity="secondary" label="Take it out" @click="remove(one.id)" />
  </div>
  <TroubleNote :why="trouble" />
  <NewVariant :job="job" />
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 17rem), 1fr));
  gap: 1rem;
  align-items: start;
}
.column {
  background: var(--panel);
  border-radius: 4px;
  padding: 1rem;
  display: grid;
  gap: 0.6rem;
}
.column.stands {
  box-shadow: inset 0 4px 0 var(--cobalt);
}
.standing {
  display: flex;
  gap: 0.4rem;
  align-items: center;
  color: var(--done);
  min-height: 2.65rem;
}
.choice {
  min-height: 2.65rem;
}
.pictures {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(7rem, 1fr));
  gap: 0.5rem;
}
.drawing {
  height: 10rem;
}
dl {
  margin: 0;
  display: grid;
}
dl > div {
  display: flex;
  justify-content: space-between;
  gap: 1rem;
  padding: 0.25rem 0.4rem;
  border-top: 1px solid var(--line);
}
dl > div.other {
  background: var(--cobalt-soft);
}
dt {
  color: var(--ink-soft);
}
dd {
  margin: 0;
  text-align: right;
}
</style>
