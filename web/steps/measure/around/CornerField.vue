<script setup lang="ts">
import Button from 'primevue/button';
import { computed } from 'vue';
import { PhArrowCounterClockwise } from '@phosphor-icons/vue';
import { cornerSection, coveringFace } from '@azulejo/core/job/cornerSection';
import type { Job } from '@azulejo/core/job/job';
import { setCornerRun } from '@azulejo/core/job/setCornerRun';
import { cornerChoices, describeCorner } from '@azulejo/core/messages/en/corners';
import type { Link } from '@azulejo/core/surface/link';
import LengthField from '../../../fields/LengthField.vue';
import TroubleNote from '../../../fields/TroubleNote.vue';
import { useTape } from '../../../fields/useTape.ts';
import { useJobStore } from '../../../stores/jobStore.ts';
import { useAttempt } from '../../useAttempt.ts';
import CornerDrawing from './CornerDrawing.vue';

/** How two faces meet at a corner, seen in section: which runs through, and what that takes off the other. */
const props = defineProps<{ job: Job; link: Link }>();
const tape = useTape();
const jobs = useJobStore();
const { trouble, attempt } = useAttempt(() => tape.value);

const section = computed(() => cornerSection(props.job, props.link));
const words = computed(() => (section.value ? describeCorner(section.value, tape.value) : ''));
/** What is taken off one face, or lapped over: the tile and bed of the other. */
const covering = computed(() => section.value && coveringFace(section.value));

const choose = (run: Parameters<typeof setCornerRun>[2]): void => {
  attempt(
    jobs.change('cornerRun', (draft) => {
      setCornerRun(draft, props.link.id, run);
    }),
  );
};
const setFinish = (mm: number | null) =>
  jobs.change('cornerFinish', (draft) => {
    const link = draft.links.find(({ id }) => id === props.link.id);
    if (!link) return;
    if (mm === null) delete link.finishMm;
    else link.finishMm = mm;
  });
</script>

<template>
  <div v-if="section" class="corner">
    <CornerDrawing :section="section" :label="words" />
    <div class="stack">
      <div class="runs" role="group" aria-label="Which face runs through">
        <button
          v-for="{ value, label } in cornerChoices(section)"
          :key="value"
          type="button"
          class="plain"
          :aria-pressed="value === (section.run ?? 'neither')"
          @click="choose(value)"
        >
          {{ label }}
        </button>
      </div>
      <TroubleNote :why="trouble" />
      <p class="small">{{ words }}</p>
      <div v-if="covering" class="finish">
        <LengthField :label="`Tile and bed of ${covering.surface.name}`" :mm="covering.tileMm + covering.bedMm" :commit="setFinish" />
        <Button v-if="section.isTold" text severity="secondary" aria-label="As tile and notch tell" @click="setFinish(null)"
          ><PhArrowCounterClockwise :size="18"
        /></Button>
      </div>
    </div>
  </div>
</template>

<style scoped>
.corner {
  display: grid;
  grid-template-columns: 10rem minmax(0, 1fr);
  gap: 0.8rem;
  align-items: start;
}
.runs {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem;
}
.runs button {
  border: 1px solid var(--line-strong);
  border-radius: 0.3rem;
  padding: 0.35rem 0.7rem;
  font-weight: 600;
  font-size: 0.92rem;
  color: var(--ink-soft);
}
.runs button[aria-pressed='true'] {
  background: var(--cobalt-soft);
  border-color: var(--cobalt);
  color: var(--ink);
}
@media (pointer: coarse) {
  .runs button {
    min-height: 44px;
  }
}
.finish {
  display: grid;
  grid-template-columns: minmax(0, 14rem) 2.6rem;
  gap: 0.5rem;
  align-items: end;
}
@media (max-width: 40rem) {
  .corner {
    grid-template-columns: 1fr;
  }
}
</style>
