import { defineStore } from 'pinia';
import { computed, ref, shallowRef, triggerRef } from 'vue';
import type { Job } from '@azulejo/core/job/job';
import type { Issue } from '@azulejo/core/result';
import { ServerError } from '../api/client.ts';
import { JobSaver } from './saving/jobSaver.ts';
import { browserQueues, nameWindow, passingQueues, type KeptQueues } from './saving/keptQueues.ts';

/** Whether what is on screen is on disk. */
export type SaveState = 'saved' | 'saving' | 'unsaved' | 'parked' | 'conflict' | 'gone';

const windows = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('azulejo-jobs');

/** The open job: changed by commands, saved as it is made. Jobs left with unsaved changes go on being saved. */
export const useJobStore = defineStore('job', () => {
  const inBrowser = typeof indexedDB !== 'undefined' && typeof navigator.locks !== 'undefined';
  const windowId = inBrowser ? nameWindow() : 'window';
  const kept: KeptQueues = inBrowser ? browserQueues(windowId) : passingQueues();
  const savers = new Map<string, JobSaver>();
  const saver = shallowRef<JobSaver | null>(null);
  const news = ref<string | null>(null);
  /** The job asked for last; one that is answered later is not shown. */
  let wanted: string | null = null;

  const state = computed(() => saver.value?.state ?? null);
  const job = computed<Job | null>(() => state.value?.job ?? null);
  const saveState = computed<SaveState>(() => {
    const { value } = saver;
    if (!value) return 'saved';
    if (value.isGone) return 'gone';
    if (value.state.conflict) return 'conflict';
    if (value.trouble !== null) return 'unsaved';
    if (value.isSending || value.state.waiting.length > 0) return 'saving';
    return value.state.parked.length > 0 ? 'parked' : 'saved';
  });

  /** Opens a job, or looks again at one that is open; throws ServerError when there is none. */
  async function open(id: string): Promise<void> {
    wanted = id;
    const known = savers.get(id);
    saver.value = known ?? null;
    if (known) return lookAgain(id, known);
    let opened: JobSaver | null = null;
    opened = await JobSaver.open(id, kept, windowId, {
      changed: () => {
        if (saver.value === opened) triggerRef(saver);
        else if (opened && !isBusy(opened)) savers.delete(id);
      },
      saved: (version) => windows?.postMessage({ id, version }),
    });
    savers.set(id, opened);
    if (wanted === id) saver.value = opened;
  }

  /** Without a server, what is known of a job is shown; a job that is gone is not. */
  async function lookAgain(id: string, known: JobSaver): Promise<void> {
    try {
      await known.look();
    } catch (error) {
      if (error instanceof ServerError && error.code === 'network/unreachable') return;
      if (isBusy(known)) return;
      savers.delete(id);
      saver.value = null;
      throw error;
    }
  }

  /** Makes a change; returns why not when it can't be, and then changes nothing. */
  const change = (label: string, recipe: (draft: Job) => void): readonly Issue[] => saver.value?.change(label, recipe) ?? [];

  /** Takes over what another window saved. */
  async function follow(id: string): Promise<void> {
    const { value } = saver;
    if (value?.state.base.job.id !== id) return;
    const before = value.state.base.version;
    await value.look();
    if (value.state.base.version > before) news.value = 'The job was changed in another window; this is how it stands now.';
  }

  const inHistory = (move: 'undo' | 'redo') => async (): Promise<void> => {
    try {
      await saver.value?.[move]();
    } catch (error) {
      news.value = error instanceof ServerError ? error.words : 'That could not be undone.';
    }
  };

  /** Lets go of a job that is no longer there, and of what was not saved of it. */
  async function letGo(): Promise<void> {
    const { value } = saver;
    if (!value) return;
    savers.delete(value.state.base.job.id);
    saver.value = null;
    await value.letGo();
  }

  windows?.addEventListener('message', ({ data }: MessageEvent<{ id: string; version: number }>) => {
    const { value } = saver;
    if (value?.state.base.job.id === data.id && data.version > value.state.base.version && !value.isSending)
      void follow(data.id).catch(() => undefined);
  });

  return {
    job,
    version: computed(() => state.value?.base.version ?? 0),
    undoLabel: computed(() => (state.value ? (saver.value?.undoLabel ?? null) : null)),
    redoLabel: computed(() => (state.value ? (saver.value?.redoLabel ?? null) : null)),
    waiting: computed(() => state.value?.waiting ?? []),
    parked: computed(() => state.value?.parked ?? []),
    conflict: computed(() => state.value?.conflict ?? null),
    trouble: computed(() => (state.value ? (saver.value?.trouble ?? null) : null)),
    saveState,
    news,
    open,
    change,
    follow,
    letGo,
    settle: (choice: 'theirs' | 'mine') => saver.value?.settle(choice),
    tryParked: (changeId: string) => saver.value?.tryParked(changeId),
    /** Tells other windows that a job was deleted. */
    announceDeleted: (id: string) => windows?.postMessage({ id, version: Number.MAX_SAFE_INTEGER }),
    dropParked: (changeId: string) => saver.value?.dropParked(changeId),
    undo: inHistory('undo'),
    redo: inHistory('redo'),
    /** Jobs with changes that are not saved yet, open or left. */
    unsavedJobs: () => [...savers.values()].filter(isBusy).map(({ state: left }) => left.job.name),
  };
});

const isBusy = ({ state, isSending }: JobSaver): boolean => isSending || state.waiting.length + state.parked.length > 0;
