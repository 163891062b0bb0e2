import { ref, watch, type Ref } from 'vue';
import { ServerError } from '../api/client.ts';
import { thingsChanged } from '../fields/tryAgain.ts';
import { useJobStore } from '../stores/jobStore.ts';
import { useLogStore } from '../stores/logStore.ts';
import { useTickStore } from '../stores/tickStore.ts';

/** Opens the job of a view; tells in words why it can't be opened. */
export function useOpenJob(jobId: Ref<string>) {
  const jobs = useJobStore();
  const ticks = useTickStore();
  const log = useLogStore();
  const trouble = ref<string | null>(null);
  watch(
    jobId,
    (id) => {
      trouble.value = null;
      // What was ticked or written down without a server goes out from whatever page is open.
      void ticks.look(id);
      void log.look(id);
      jobs.open(id).catch((error: unknown) => {
        trouble.value = error instanceof ServerError ? error.words : 'The job could not be opened.';
      });
    },
    { immediate: true },
  );
  watch(() => jobs.job, thingsChanged);
  return { jobs, trouble };
}
