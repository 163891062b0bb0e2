<script setup lang="ts">
import { describeChange } from '@azulejo/core/messages/en/changes';
import Button from 'primevue/button';
import { PhArrowUUpLeft, PhArrowUUpRight, PhGearSix, PhKeyboard, PhMoon, PhSun } from '@phosphor-icons/vue';
import { useJobStore } from '../stores/jobStore.ts';
import { useTheme } from '../theme/useTheme.ts';
import SaveMark from './SaveMark.vue';

defineProps<{ jobId?: string }>();
const emit = defineEmits<{ help: []; settings: [] }>();
const jobs = useJobStore();
const { isDark, toggle } = useTheme();
</script>

<template>
  <header class="bar no-print">
    <RouterLink to="/" class="mark" aria-label="Azulejo, all jobs">
      <img src="/mark.svg" width="28" height="28" alt="" /><span>Azulejo</span>
    </RouterLink>
    <RouterLink v-if="jobs.job && jobId" :to="{ name: 'job', params: { jobId } }" class="job">{{ jobs.job.name }}</RouterLink>
    <span class="grow" />
    <SaveMark :of-job="Boolean(jobs.job && jobId)" />
    <template v-if="jobs.job && jobId">
      <Button
        :title="jobs.undoLabel ? `Undo: ${describeChange(jobs.undoLabel)} (Ctrl Z)` : 'Nothing of yours to undo'"
        text
        severity="secondary"
        :disabled="!jobs.undoLabel"
        aria-label="Undo"
        @click="jobs.undo"
        ><PhArrowUUpLeft :size="21"
      /></Button>
      <Button
        :title="jobs.redoLabel ? `Redo: ${describeChange(jobs.redoLabel)} (Ctrl Shift Z)` : 'Nothing of yours to redo'"
        text
        severity="secondary"
        :disabled="!jobs.redoLabel"
        aria-label="Redo"
        @click="jobs.redo"
        ><PhArrowUUpRight :size="21"
      /></Button>
    </template>
    <Button title="Keys (?)" text severity="secondary" aria-label="Keys" class="keys" @click="emit('help')"
      ><PhKeyboard :size="21"
    /></Button>
    <Button title="Settings" text severity="secondary" aria-label="Settings" @click="emit('settings')"><PhGearSix :size="21" /></Button>
    <Button :title="isDark ? 'Light' : 'Dark'" text severity="secondary" :aria-label="isDark ? 'Light' : 'Dark'" @click="toggle()"
      ><PhSun v-if="isDark" :size="21" /><PhMoon v-else :size="21"
    /></Button>
  </header>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: 0.35rem;
  padding: 0 0.75rem;
  height: 52px;
  background: var(--panel);
  min-width: 0;
}
.mark {
  display: flex;
  align-items: center;
  gap: 0.55rem;
  font: 600 1.15rem 'Barlow';
  color: var(--ink);
  text-decoration: none;
  letter-spacing: 0.01em;
}
.job {
  margin-left: 0.9rem;
  padding-left: 1rem;
  border-left: 1px solid var(--line);
  color: var(--ink);
  text-decoration: none;
  font-weight: 600;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  line-height: 2;
}
.job:hover {
  text-decoration: underline;
}
.bar :deep(.p-button) {
  padding: 0.45rem;
  color: var(--ink);
  flex: none;
}
@media (max-width: 640px) {
  .mark span,
  .keys {
    display: none;
  }
  .job {
    margin-left: 0.2rem;
    padding-left: 0.7rem;
    flex: 0 1 auto;
    min-width: 0;
  }
  .bar {
    gap: 0;
    padding: 0 0.5rem;
  }
}
</style>
