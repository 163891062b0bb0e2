<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { ref } from 'vue';
import type { Job } from '@azulejo/core/job/job';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import type { Issue } from '@azulejo/core/result';
import { formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import type { Tape } from '@azulejo/core/units/tape';
import TextField from '../../fields/TextField.vue';
import SwitchField from '../../fields/SwitchField.vue';
import TapeField from '../../fields/TapeField.vue';
import { useJobStore } from '../../stores/jobStore.ts';
import TroubleNote from '../../fields/TroubleNote.vue';
import { leaveField } from '../leaveField.ts';

defineProps<{ job: Job }>();
const emit = defineEmits<{ close: [] }>();
const jobs = useJobStore();
const trouble = ref<string | null>(null);

/** A wall to show how the tape reads, mm. */
const SAMPLE_MM = 2314.3;

function tell(issues: readonly Issue[]): void {
  trouble.value = issues[0] ? describeIssue(issues[0]) : null;
}
const setTape = (change: Partial<Tape>): void => {
  tell(
    jobs.change('tape', (draft) => {
      draft.tape = { ...draft.tape, ...change };
    }),
  );
};

const setPractice = (practice: Job['practice']): void => {
  tell(
    jobs.change('practice', (draft) => {
      draft.practice = practice;
    }),
  );
};

/** What a change of each is called. */
const CHANGED = { name: 'jobName', client: 'jobClient', currency: 'jobCurrency' } as const;

const setText =
  (key: 'name' | 'client' | 'currency', expected: string) =>
  (text: string): string | null => {
    const [first] = jobs.change(CHANGED[key], (draft) => {
      draft[key] = key === 'currency' ? text.toUpperCase() : text;
    });
    return first ? expected : null;
  };
</script>

<template>
  <Dialog visible modal header="Job details" @update:visible="(leaveField(), emit('close'))">
    <div class="form">
      <TextField label="Name" :value="job.name" :longest="80" autofocus :commit="setText('name', 'Expected a name for the job.')" />
      <div class="two">
        <TextField label="Client" :value="job.client" :longest="120" :commit="setText('client', 'Expected at most 120 letters.')" />
        <TextField label="Currency" :value="job.currency" :longest="3" :commit="setText('currency', 'Three letters, such as EUR.')" />
      </div>
      <TapeField :value="job.tape.system" @choose="setTape({ system: $event })" />
      <SwitchField
        v-if="job.tape.system === 'metric'"
        label="Shown to"
        :value="job.tape.metricStepMm"
        :options="[
          { value: 1, label: '1 mm' },
          { value: 0.5, label: '0.5 mm' },
          { value: 0.1, label: '0.1 mm' },
        ]"
        @choose="setTape({ metricStepMm: $event })"
      />
      <template v-else>
        <SwitchField
          label="Shown to"
          :value="job.tape.fraction"
          :options="[
            { value: 8, label: '1/8 in' },
            { value: 16, label: '1/16 in' },
            { value: 32, label: '1/32 in' },
          ]"
          @choose="setTape({ fraction: $event })"
        />
        <SwitchField
          label="Between two marks"
          :value="job.tape.lightHeavy ? 'named' : 'rounded'"
          :options="[
            { value: 'rounded', label: 'Nearest mark' },
            { value: 'named', label: 'Light or heavy' },
          ]"
          @choose="setTape({ lightHeavy: $event === 'named' })"
        />
      </template>
      <p class="soft">
        A wall of 2314.3 mm then reads <b class="figure sample">{{ formatLengthWithUnit(SAMPLE_MM, job.tape) }}</b>
      </p>
      <SwitchField
        label="Findings are held against"
        :value="job.practice"
        :options="[
          { value: 'european', label: 'European practice' },
          { value: 'northAmerican', label: 'North American' },
        ]"
        @choose="setPractice"
      />
      <p class="soft small">Typical limits; the standard in force where the job is decides.</p>
      <TroubleNote :why="trouble" />
    </div>
    <template #footer><Button label="Done" @click="emit('close')" /></template>
  </Dialog>
</template>

<style scoped>
.form {
  display: grid;
  gap: 1rem;
  width: min(28rem, 82vw);
}
.two {
  display: grid;
  grid-template-columns: 1fr 6rem;
  gap: 0.8rem;
}
.sample {
  font-size: 1.3rem;
  color: var(--ink);
  margin-left: 0.3rem;
}
</style>
