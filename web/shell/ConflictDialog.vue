<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { computed, ref } from 'vue';
import { describeIssue } from '@azulejo/core/messages/en/issues';
import { useJobStore } from '../stores/jobStore.ts';

const jobs = useJobStore();
const trouble = ref<string | null>(null);
const mine = computed(() => [...new Set(jobs.conflict?.mine.map(({ label }) => label))]);

function settle(choice: 'theirs' | 'mine'): void {
  const [first] = jobs.settle(choice);
  trouble.value = first ? `This can't be put on top: ${describeIssue(first)}` : null;
}
</script>

<template>
  <Dialog :visible="jobs.conflict !== null" modal :closable="false" header="Changed in another window" class="conflict">
    <div class="stack">
      <p>
        While you worked here, somebody saved this job elsewhere<template v-if="jobs.conflict?.theirs.undoLabel">
          (last: {{ jobs.conflict.theirs.undoLabel }})</template
        >. Nothing was overwritten.
      </p>
      <p>Not saved yet from this window:</p>
      <ul>
        <li v-for="label in mine" :key="label">{{ label }}</li>
      </ul>
      <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    </div>
    <template #footer>
      <Button label="Take theirs, drop mine" severity="secondary" @click="settle('theirs')" />
      <Button label="Put mine on top of theirs" @click="settle('mine')" />
    </template>
  </Dialog>
</template>

<style scoped>
p {
  max-width: 30rem;
}
ul {
  margin: 0;
  padding-left: 1.2rem;
}
.trouble {
  color: var(--bad);
}
</style>
