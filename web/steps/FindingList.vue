<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref, watch } from 'vue';
import { PhCheck, PhInfo, PhWarning, PhWrench } from '@phosphor-icons/vue';
import type { Finding } from '@azulejo/core/advice/finding';
import { mendedJob } from '@azulejo/core/advice/mendHolds';
import { findingsOn } from '@azulejo/core/advice/findingsOn';
import { tapeOf, type Job, type Surface } from '@azulejo/core/job/job';
import { describeMend } from '@azulejo/core/messages/en/advice';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import TextField from '../fields/TextField.vue';
import TroubleNote from '../fields/TroubleNote.vue';
import { useJobStore } from '../stores/jobStore.ts';
import { findingsShown } from './findingsShown.ts';
import { fieldSought } from './stepOfFinding.ts';
import type { SurfaceStep } from './surfaceSteps.ts';
import { useProvenMends } from '../workers/useProvenMends.ts';
import { useAttempt } from './useAttempt.ts';
import { useEditSurface } from './useEditSurface.ts';

/** What may go wrong on a surface: where it is mended, a press that mends it where that is safe, and what one knows of already. */
const props = defineProps<{ job: Job; surface: Surface; plan: SurfacePlan | null; step: SurfaceStep }>();
const jobs = useJobStore();
const edit = useEditSurface(() => props.surface.id);
const { trouble, attempt } = useAttempt(() => tapeOf(props.job, props.surface));
/** So many are told at once; the rest are a press away. */
const AT_ONCE = 3;
/** The finding that a note is being written to. */
const noting = ref<string | null>(null);
/** The finding whose reason is told. */
const explained = ref<string | null>(null);

const found = computed(() => findingsOn(props.job, props.surface, props.plan?.surfaceId === props.surface.id ? props.plan : null));
/** What is found in the plan as it is now, for its mends to be tried; nothing while it is still being worked out. */
const settled = computed(() =>
  props.plan?.surfaceId === props.surface.id ? { job: props.job, surfaceId: props.surface.id, findings: found.value } : null,
);
const proven = useProvenMends(settled);
const mendOf = (finding: Finding): string | null =>
  proven.value?.findings === found.value && proven.value.holding.has(finding)
    ? describeMend(finding, tapeOf(props.job, props.surface))
    : null;
const all = computed(() =>
  findingsShown(found.value, props.step, tapeOf(props.job, props.surface)).map((one) => ({ ...one, mend: mendOf(one.finding) })),
);
const open = computed(() => all.value.filter(({ finding }) => (finding.known ?? null) === null));
const shown = computed(() => (showsAll.value ? open.value : open.value.slice(0, AT_ONCE)));
const showsAll = ref(false);
watch(
  () => props.surface.id,
  () => (showsAll.value = false),
);
const known = computed(() => all.value.filter(({ finding }) => (finding.known ?? null) !== null));

function mendIt(finding: Finding): void {
  const mended = mendedJob(props.job, finding);
  if (!mended) return;
  attempt(jobs.change(`putRight|${finding.code}`, (draft) => void Object.assign(draft, mended)));
}
function noteIt(code: string, note: string): null {
  edit('iKnow', (surface) => {
    surface.known = { ...surface.known, [code]: note };
  });
  noting.value = null;
  return null;
}
const forget = (code: string) =>
  edit('toldAgain', (surface) => {
    if (surface.known) Reflect.deleteProperty(surface.known, code);
  });
</script>

<template>
  <section v-if="all.length > 0" class="findings" aria-label="Look at">
    <ul v-if="open.length > 0">
      <li v-for="{ finding, key, words, why, mend, mending } in shown" :key="key" :class="{ note: finding.severity === 'note' }">
        <component :is="finding.severity === 'note' ? PhInfo : PhWarning" :size="20" weight="bold" />
        <div class="said">
          <p>{{ words }}</p>
          <p v-if="why && explained === key" class="why">{{ why }}</p>
          <div class="acts">
            <button v-if="mend" type="button" class="plain mend" @click="mendIt(finding)"><PhWrench :size="16" />{{ mend }}</button>
            <RouterLink
              :to="{
                name: 'surface',
                params: { jobId: job.id, surfaceId: surface.id, step: mending.name },
                query: { at: fieldSought(finding) },
              }"
              >{{ mending.label }}</RouterLink
            >
            <button
              v-if="why"
              type="button"
              class="plain"
              :aria-expanded="explained === key"
              @click="explained = explained === key ? null : key"
            >
              Why
            </button>
            <button type="button" class="plain" @click="noting = noting === key ? null : key">I know</button>
          </div>
          <TextField
            v-if="noting === key"
            label="A note to it, if you like; Enter keeps it"
            value=""
            :longest="200"
            autofocus
            :commit="(text) => noteIt(finding.code, text)"
          />
          <Button v-if="noting === key" text size="small" class="press" label="Without a note" @click="noteIt(finding.code, '')" />
        </div>
      </li>
    </ul>
    <button v-if="open.length > AT_ONCE" type="button" class="plain more" :aria-expanded="showsAll" @click="showsAll = !showsAll">
      {{ showsAll ? 'Only the worst' : `${open.length - AT_ONCE} more to look at` }}
    </button>
    <TroubleNote :why="trouble" />
    <details v-if="known.length > 0">
      <summary>{{ known.length }} known</summary>
      <ul>
        <li v-for="{ finding, key, words } in known" :key="key" class="quiet">
          <PhCheck :size="18" />
          <div class="said">
            <p>{{ words }}</p>
            <p v-if="finding.known" class="soft">{{ finding.known }}</p>
            <Button text size="small" severity="secondary" class="press" label="Tell me again" @click="forget(finding.code)" />
          </div>
        </li>
      </ul>
    </details>
  </section>
</template>

<style scoped>
.findings {
  display: grid;
  gap: 0.4rem;
}
.why {
  color: var(--ink-soft);
  font-size: 0.88rem;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 0 1rem;
  align-items: center;
  font-size: 0.88rem;
}
.acts > * {
  padding: 0.2rem 0;
  min-height: 1.9rem;
  display: inline-flex;
  align-items: center;
  gap: 0.3rem;
  cursor: pointer;
}
.acts button {
  color: var(--ink-soft);
}
.acts .mend {
  color: var(--cobalt);
  font-weight: 600;
}
@media (pointer: coarse) {
  .acts > * {
    min-height: 44px;
  }
}
.more {
  justify-self: start;
  padding: 0.2rem 0;
  color: var(--cobalt);
  cursor: pointer;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
  display: grid;
  gap: 0.5rem;
}
li {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 0.6rem;
  background: var(--warn-soft);
  padding: 0.5rem 0.75rem 0.25rem;
  border-radius: 4px;
  font-size: 0.93rem;
}
li.note {
  background: var(--cobalt-soft);
}
li.note svg {
  color: var(--cobalt);
}
li.quiet {
  background: var(--paper);
}
.said {
  display: grid;
  gap: 0.1rem;
}
.press {
  padding: 0.15rem 0.4rem;
}
svg {
  color: var(--warn);
  margin-top: 1px;
}
.press svg,
.mend svg {
  color: inherit;
}
summary {
  cursor: pointer;
  color: var(--ink-soft);
  padding: 0.3rem 0;
}
details ul {
  margin-top: 0.4rem;
}
</style>
