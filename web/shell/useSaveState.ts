import { computed } from 'vue';
import { isAway } from '../api/reach.ts';
import { useJobStore, type SaveState } from '../stores/jobStore.ts';
import { useLogStore } from '../stores/logStore.ts';
import { useTickStore } from '../stores/tickStore.ts';

const many = (count: number, one: string): string => (count === 1 ? `1 ${one}` : `${count} ${one}s`);

/** Whether what is on screen is on the server's disk: changes, ticks and the log alike. */
export function useSaveState() {
  const [jobs, ticks, log] = [useJobStore(), useTickStore(), useLogStore()];
  const records = [ticks, log] as const;
  /** Ticks and entries that wait. */
  const waiting = computed(() => ticks.waiting.length + log.waiting.length);
  /** What was refused, and lies aside. */
  const refused = computed(() => jobs.parked.length + ticks.aside.length + log.aside.length);
  /** What can't go out of jobs that are not open. */
  const left = computed(() => [...jobs.left, ...ticks.others, ...log.others]);

  const state = computed<SaveState>(() => {
    if (jobs.saveState === 'gone' || records.some(({ isGone }) => isGone)) return 'gone';
    if (jobs.saveState === 'conflict' || jobs.saveState === 'unsaved') return jobs.saveState;
    if (waiting.value > 0 && records.some(({ trouble }) => trouble !== null)) return 'unsaved';
    if (jobs.saveState === 'saving' || waiting.value > 0) return 'saving';
    return refused.value > 0 ? 'parked' : 'saved';
  });
  const words = computed(
    () =>
      ({
        saved: isAway.value ? 'No server' : 'Saved',
        saving: 'Saving',
        unsaved: waiting.value === 0 ? 'Not saved' : `${isAway.value ? 'No server, ' : ''}${waiting.value} not sent`,
        parked: `${many(refused.value, refused.value === jobs.parked.length ? 'change' : 'thing')} not saved`,
        conflict: 'Changed elsewhere',
        gone: 'Deleted elsewhere',
      })[state.value],
  );
  return { state, words, waiting, refused, left };
}
