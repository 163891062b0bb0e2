import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { applyChange, editJob, type Change } from '@azulejo/core/job/edit';
import { readJob } from '@azulejo/core/formats/jobFile';
import type { Job } from '@azulejo/core/job/job';
import type { Issue } from '@azulejo/core/result';
import { api, ServerError, type JobStanding, type StoredJob } from '../api/client.ts';
import { enqueue } from './saveQueue.ts';

/** Whether what is on screen is on disk. */
export type SaveState = 'saved' | 'saving' | 'unsaved' | 'conflict';

/** Another window changed the job while changes made here were not saved. */
export interface Conflict {
  readonly theirs: StoredJob;
  readonly mine: readonly Change[];
}

const RETRY_MS = 2000;
const windows = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('azulejo-jobs');

/** The open job: changed by commands, saved as it is made, one write after the other. */
export const useJobStore = defineStore('job', () => {
  const job = shallowRef<Job | null>(null);
  const version = ref(0);
  const undoLabel = ref<string | null>(null);
  const redoLabel = ref<string | null>(null);
  const waiting = shallowRef<readonly Change[]>([]);
  const sending = ref(false);
  const trouble = ref<string | null>(null);
  const conflict = shallowRef<Conflict | null>(null);
  const news = ref<string | null>(null);

  const saveState = computed<SaveState>(() => {
    if (conflict.value) return 'conflict';
    if (trouble.value !== null) return 'unsaved';
    return sending.value || waiting.value.length > 0 ? 'saving' : 'saved';
  });

  /** Writes and looks go one after the other, in the order they were asked for. */
  let lastInTurn: Promise<unknown> = Promise.resolve();
  function inTurn(work: () => Promise<void>): Promise<void> {
    const done = lastInTurn.then(work, work);
    lastInTurn = done.catch(() => undefined);
    return done;
  }

  function adopt(stored: StoredJob): void {
    job.value = stored.job;
    adoptVersion(stored);
  }

  function adoptVersion(stored: JobStanding): void {
    version.value = stored.version;
    undoLabel.value = stored.undoLabel;
    redoLabel.value = stored.redoLabel;
  }

  /** Opens a job, or looks again at the open one; throws ServerError when there is none. */
  async function open(id: string): Promise<void> {
    if (job.value?.id === id) return inTurn(() => lookAgain(id));
    [job.value, waiting.value, trouble.value, conflict.value] = [null, [], null, null];
    adopt(await api.findJob(id));
  }

  /** Takes the job as it is stored now: it may have been changed, deleted or read back from a file meanwhile. */
  async function lookAgain(id: string): Promise<void> {
    if (waiting.value.length > 0 || conflict.value) return;
    try {
      const stored = await api.findJob(id);
      if (job.value?.id === id && waiting.value.length === 0 && stored.version !== version.value) adopt(stored);
    } catch (error) {
      if (error instanceof ServerError && error.code === 'job/not-found') job.value = null;
      throw error;
    }
  }

  /** Makes a change; returns why not when it can't be, and then changes nothing. */
  function change(label: string, recipe: (draft: Job) => void): readonly Issue[] {
    if (!job.value) return [];
    const edited = editJob(job.value, label, recipe);
    if (edited.change.forward.length === 0) return [];
    const read = readJob(edited.job);
    if (!read.ok) return read.issues;
    job.value = edited.job;
    waiting.value = enqueue(waiting.value, edited.change, sending.value ? 1 : 0);
    void flush();
    return [];
  }

  const flush = (): Promise<void> => inTurn(sendWaiting);

  async function sendWaiting(): Promise<void> {
    sending.value = true;
    try {
      while (waiting.value.length > 0 && job.value && !conflict.value) await sendFirst(job.value.id);
    } finally {
      sending.value = false;
    }
  }

  async function sendFirst(id: string): Promise<void> {
    try {
      const stored = await api.makeChange(id, version.value, waiting.value[0]);
      waiting.value = waiting.value.slice(1);
      trouble.value = null;
      adoptVersion(stored);
      windows?.postMessage({ id, version: stored.version });
    } catch (error) {
      await handleTrouble(id, error);
    }
  }

  async function handleTrouble(id: string, error: unknown): Promise<void> {
    const failure = error instanceof ServerError ? error : new ServerError('server/failed', 'The change could not be saved.');
    if (failure.code === 'job/changed-elsewhere') {
      const theirs = await api.findJob(id).catch(() => null);
      if (theirs) {
        conflict.value = { theirs, mine: waiting.value };
        return;
      }
    }
    trouble.value = failure.words;
    await new Promise((resolve) => {
      setTimeout(resolve, RETRY_MS);
    });
  }

  const step = (move: 'undo' | 'redo'): Promise<void> =>
    inTurn(async () => {
      await sendWaiting();
      if (job.value && saveState.value === 'saved') await moveInHistory(job.value.id, move);
    });

  async function moveInHistory(id: string, move: 'undo' | 'redo'): Promise<void> {
    sending.value = true;
    try {
      const stored = await api[move](id, version.value);
      adopt(stored);
      windows?.postMessage({ id, version: stored.version });
    } catch (error) {
      if (error instanceof ServerError && error.code === 'job/changed-elsewhere') await follow(id);
      else if (error instanceof ServerError && !error.code.startsWith('job/nothing')) news.value = error.words;
    } finally {
      sending.value = false;
    }
  }

  /** Takes over what another window saved, when nothing here waits to be saved. */
  async function follow(id: string): Promise<void> {
    const stored = await api.findJob(id);
    if (job.value?.id !== id || waiting.value.length > 0 || stored.version <= version.value) return;
    adopt(stored);
    news.value = 'The job was changed in another window; this is how it stands now.';
  }

  /** Settles a conflict: theirs as it stands, or mine put on top of it. Returns why mine can't be. */
  function settle(choice: 'theirs' | 'mine'): readonly Issue[] {
    if (!conflict.value) return [];
    const { theirs, mine } = conflict.value;
    const settled = choice === 'theirs' ? theirs.job : onTop(theirs.job, mine);
    if (settled === null) return [{ code: 'job/no-longer-fits', path: [], figures: {} }];
    const read = readJob(settled);
    if (!read.ok) return read.issues;
    adopt({ ...theirs, job: settled });
    waiting.value = choice === 'theirs' ? [] : mine;
    conflict.value = null;
    void flush();
    return [];
  }

  windows?.addEventListener('message', ({ data }: MessageEvent<{ id: string; version: number }>) => {
    if (job.value?.id === data.id && data.version > version.value && waiting.value.length === 0 && !sending.value) void follow(data.id);
  });

  return {
    job,
    version,
    undoLabel,
    redoLabel,
    waiting,
    saveState,
    trouble,
    conflict,
    news,
    open,
    change,
    settle,
    follow,
    undo: () => step('undo'),
    redo: () => step('redo'),
    flush,
  };
});

function onTop(base: Job, changes: readonly Change[]): Job | null {
  try {
    return changes.reduce((job, { forward }) => applyChange(job, forward), base);
  } catch {
    return null;
  }
}
