<script setup lang="ts">
import { describeChange } from '@azulejo/core/messages/en/changes';
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { computed } from 'vue';
import { goneFrom } from '@azulejo/core/job/edit/bringBack';
import { partOf } from '@azulejo/core/job/edit/edit';
import { tapeOf } from '@azulejo/core/job/job';
import { describeEdit } from '@azulejo/core/messages/en/edits';
import { useJobStore } from '../stores/jobStore.ts';

const jobs = useJobStore();

/** What both changed, as it stands on each side. */
const rows = computed(() => {
  const { conflict, job } = jobs;
  if (!conflict || !job) return [];
  const theirs = conflict.theirs.job;
  const edits = conflict.mine.flatMap((change) => change.edits).filter((edit) => conflict.parts.includes(partOf(edit)));
  return edits.map((edit) => {
    const [, item] = edit.path;
    const surface = typeof item === 'object' ? theirs.surfaces.find(({ id }) => id === item.id) : undefined;
    return describeEdit(edit, job, theirs, surface ? tapeOf(theirs, surface) : theirs.tape);
  });
});
/** What they deleted while it was changed here. */
const gone = computed(() => {
  const { conflict, job } = jobs;
  return conflict && job ? goneFrom(conflict.theirs.job, job, conflict.parts).map(({ name }) => name) : [];
});
const others = computed(() => {
  const { conflict } = jobs;
  return [
    ...new Set(
      conflict?.mine
        .filter(({ edits }) => !edits.some((edit) => conflict.parts.includes(partOf(edit))))
        .map((c) => describeChange(c.label)),
    ),
  ];
});
</script>

<template>
  <Dialog :visible="jobs.conflict !== null" modal :closable="false" header="Changed in another window" class="conflict">
    <div class="stack">
      <p>
        While you worked here, {{ jobs.conflict?.theirs.last?.person || 'somebody' }} saved the same part of this job elsewhere<template
          v-if="jobs.conflict?.theirs.last"
        >
          (last: {{ describeChange(jobs.conflict.theirs.last.label) }})</template
        >. Nothing was overwritten.
      </p>
      <p v-if="gone.length > 0">{{ gone.join(', ') }} {{ gone.length === 1 ? 'was' : 'were' }} deleted there.</p>
      <table v-else>
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col">Mine</th>
            <th scope="col">Theirs</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, k) in rows" :key="k">
            <td>{{ row.what }}</td>
            <td class="figure">{{ row.mine }}</td>
            <td class="figure">{{ row.theirs }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="others.length > 0">Saved either way: {{ others.join(', ') }}.</p>
    </div>
    <template #footer>
      <Button
        :label="gone.length > 0 ? 'Leave it deleted' : 'Take theirs, drop mine'"
        severity="secondary"
        @click="jobs.settle('theirs')"
      />
      <Button :label="gone.length > 0 ? 'Bring it back with mine' : 'Put mine on top of theirs'" @click="jobs.settle('mine')" />
    </template>
  </Dialog>
</template>

<style scoped>
p {
  max-width: 34rem;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  text-align: left;
  font-weight: 600;
  color: var(--ink-soft);
  font-size: 0.875rem;
}
th,
td {
  padding: 0.4rem 1.2rem 0.4rem 0;
  vertical-align: baseline;
}
tbody tr {
  border-top: 1px solid var(--line);
}
.figure {
  font-size: 1.15rem;
}
</style>
