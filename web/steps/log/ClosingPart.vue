<script setup lang="ts">
import { useTimestamp } from '@vueuse/core';
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { PhPrinter } from '@phosphor-icons/vue';
import { writeJobFile } from '@azulejo/core/formats/jobFile';
import type { Job } from '@azulejo/core/job/job';
import { repeatJob } from '@azulejo/core/job/repeatJob';
import type { Plan } from '@azulejo/core/plan';
import { entriesOf } from '@azulejo/core/site/entry';
import { closedBy } from '@azulejo/core/site/stillOpen';
import { api, exportUrl, pictureUrl, ServerError } from '../../api/client.ts';
import TextField from '../../fields/TextField.vue';
import TroubleNote from '../../fields/TroubleNote.vue';
import { newUuid } from '../../saving/newUuid.ts';
import { useLogStore } from '../../stores/logStore.ts';
import { useTickStore } from '../../stores/tickStore.ts';
import { dayOf } from '../dayOf.ts';
import { useLaid } from '../useLaid.ts';
import { openOf, spareTiles } from './closingModel.ts';
import { placeName } from './model.ts';

/** The end of a job: what is still to be done, the note for the client, what is left over, the same again elsewhere. */
const props = defineProps<{ job: Job; plan: Plan }>();
const sayLaid = useLaid();
const ticks = useTickStore();
const log = useLogStore();
const router = useRouter();
const trouble = ref<string | null>(null);
const name = ref('');
const snags = computed(() => entriesOf(log.entries, 'snag'));
const open = computed(() => snags.value.filter(({ data }) => !data.done));
const place = (id: string | null): string => placeName(props.job, id);
const settle = (snag: (typeof snags.value)[number]) =>
  log.write({ ...snag.data, done: true }, { surfaceId: snag.surfaceId, replaces: snag.id });

const spare = computed(() => spareTiles(props.job, props.plan, log.entries));
const closed = computed(() => closedBy(log.entries));
/** Waits run on meanwhile: looked at as often as a minute passes. */
const { timestamp } = useTimestamp({ controls: true, interval: 60_000 });
const stillOpen = computed(() => openOf(props.job, props.plan, log.entries, ticks.stateOf, timestamp.value));
/** What the order leaves goes to the shelf, and the job is done with. */
async function close(): Promise<void> {
  for (const { leftOver } of spare.value) await log.write(leftOver);
  await log.write({ kind: 'closed', open: stillOpen.value.length });
}

async function again(): Promise<void> {
  if (name.value === '') {
    trouble.value = 'Expected what the other job is called.';
    return;
  }
  try {
    const { id } = await api.importJob(writeJobFile(repeatJob(props.job, newUuid(), name.value)));
    await router.push({ name: 'job', params: { jobId: id } });
  } catch (error) {
    trouble.value = error instanceof ServerError ? error.words : 'The job could not be repeated.';
  }
}
const setName = (text: string): null => {
  [name.value, trouble.value] = [text, null];
  return null;
};
</script>

<template>
  <section class="closing stack">
    <h2 id="closing">Closing</h2>
    <template v-if="closed">
      <p>
        Closed on {{ dayOf(closed.at) }}<template v-if="closed.data.open > 0">, with {{ closed.data.open }} still open</template>.
      </p>
      <Button class="own no-print" severity="secondary" outlined label="Open it again" @click="log.withdraw(closed)" />
    </template>
    <template v-else>
      <p v-if="stillOpen.length === 0">Nothing is open: every surface lies, no wait runs, all hours of what was ticked are written down.</p>
      <template v-else>
        <h3>Still open</h3>
        <ul class="snags">
          <li v-for="one in stillOpen" :key="one.words">
            <span class="grow">{{ one.words }}</span>
            <Button
              v-if="one.lies"
              class="no-print"
              severity="secondary"
              outlined
              label="It is laid"
              :aria-label="`It is laid: ${place(one.lies)}`"
              @click="sayLaid(one.lies, true)"
            />
          </li>
        </ul>
      </template>
      <Button
        class="own no-print"
        :severity="stillOpen.length === 0 ? undefined : 'secondary'"
        :outlined="stillOpen.length > 0"
        :label="stillOpen.length === 0 ? 'Close the job' : 'Close it all the same'"
        @click="close"
      />
      <p v-if="spare.length > 0" class="small soft no-print">
        What is left over goes to the shelf with it, less the spares for the client.
      </p>
    </template>
    <h3>Snags</h3>
    <p v-if="snags.length === 0" class="soft">Nothing is written down as still to be done.</p>
    <ul v-else class="snags">
      <li v-for="snag in open" :key="snag.id">
        <img v-if="snag.data.image" :src="snag.data.small ?? pictureUrl(job.id, snag.data.image)" loading="lazy" :alt="snag.data.text" />
        <span class="grow"
          >{{ snag.data.text }}<span v-if="place(snag.surfaceId)" class="small soft">, {{ place(snag.surfaceId) }}</span></span
        >
        <Button class="no-print" severity="secondary" outlined label="Done" :aria-label="`Done: ${snag.data.text}`" @click="settle(snag)" />
      </li>
    </ul>
    <p v-if="snags.length > 0" class="small soft">{{ snags.length - open.length }} of {{ snags.length }} done.</p>
    <div class="row no-print">
      <Button as="a" :href="exportUrl(job.id, 'handover')" severity="secondary" outlined><PhPrinter :size="19" />Handover note</Button>
      <Button as="a" :href="exportUrl(job.id, 'snags')" severity="secondary" outlined><PhPrinter :size="19" />Snag list</Button>
    </div>
    <template v-if="spare.length > 0">
      <h3>Left over, by the order</h3>
      <ul class="snags">
        <li v-for="one in spare" :key="one.productId">
          <span class="grow">{{ one.words }}</span>
          <Button
            class="no-print"
            severity="secondary"
            outlined
            label="To the shelf"
            :aria-label="`To the shelf: ${one.words}`"
            @click="log.write(one.leftOver)"
          />
        </li>
      </ul>
    </template>
    <form class="again no-print" @submit.prevent="again">
      <TextField label="The same again elsewhere, called" :value="name" :longest="80" :commit="setName" />
      <Button type="submit" severity="secondary" outlined label="Begin it" />
    </form>
    <p class="small soft no-print">Tiles, patterns and prices go along; every length is to be measured again.</p>
    <TroubleNote :why="trouble" />
  </section>
</template>

<style scoped>
.closing {
  background: var(--panel);
  border-radius: 4px;
  padding: 1rem 1.2rem;
}
.snags {
  list-style: none;
  margin: 0;
  padding: 0;
}
.snags li {
  display: flex;
  gap: 0.8rem;
  align-items: center;
  border-top: 1px solid var(--line);
  padding: 0.4rem 0;
}
.snags img {
  height: 4rem;
  border-radius: 3px;
}
.own {
  justify-self: start;
  align-self: start;
}
.again {
  display: flex;
  gap: 0.8rem;
  align-items: end;
  flex-wrap: wrap;
}
</style>
