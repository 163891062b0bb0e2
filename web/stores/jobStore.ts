import { describeChange } from '@azulejo/core/messages/en/changes';
import type { ChangeLabel } from '@azulejo/core/job/edit/changeLabel';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, triggerRef, watch } from 'vue';
import type { Job } from '@azulejo/core/job/job';
import type { Issue } from '@azulejo/core/result';
import { api, ServerError } from '../api/client.ts';
import { differences } from '@azulejo/core/job/edit/differences';
import { partOf } from '@azulejo/core/job/edit/edit';
import { editJob } from '@azulejo/core/job/edit/editJob';
import { keepCount } from '@azulejo/core/site/tick';
import { useTickStore } from './tickStore.ts';
import { hasDatabase } from '../saving/browserDatabase.ts';
import { JobSaver } from '../saving/jobSaver.ts';
import { browserQueues, nameWindow, passingQueues, type KeptQueue, type KeptQueues } from '../saving/keptQueues.ts';
import type { LeftOf } from '../saving/outbox.ts';

/** Whether what is on screen is on disk. */
export type SaveState = 'saved' | 'saving' | 'unsaved' | 'parked' | 'conflict' | 'gone';

const windows = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('azulejo-jobs');

/** The open job: changed by commands, saved as it is made. Jobs left with unsaved changes go on being saved. */
export const useJobStore = defineStore('job', () => {
  const inBrowser = hasDatabase && typeof sessionStorage !== 'undefined';
  const windowId = inBrowser ? nameWindow() : 'window';
  const kept: KeptQueues = inBrowser ? browserQueues(windowId) : passingQueues();
  const ticks = useTickStore();
  const savers = new Map<string, JobSaver>();
  /** Savers on their way: of one job there is never a second. */
  const opening = new Map<string, Promise<JobSaver>>();
  /** What was left of jobs that are not open, and can't go out. */
  const left = shallowRef<readonly LeftOf[]>([]);
  const saver = shallowRef<JobSaver | null>(null);
  const news = ref<string | null>(null);
  /** The job asked for last; one that is answered later is not shown. */
  let wanted: string | null = null;

  const state = computed(() => saver.value?.state ?? null);
  /** With how pieces were counted that were ticked here, also before the server has the ticks. */
  const job = computed<Job | null>(() => {
    const shown = state.value?.job ?? null;
    const uncounted = shown?.surfaces.filter(({ id, counted }) => !counted && ticks.countOf(id)) ?? [];
    if (shown === null || uncounted.length === 0) return shown;
    return editJob(shown, 'labelsKept', (draft) => {
      for (const { id } of uncounted) keepCount(draft, id, ticks.countOf(id));
    }).job;
  });
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
    const opened = await openSaver(id);
    if (wanted === id) saver.value = opened;
  }

  function openSaver(id: string): Promise<JobSaver> {
    let opened: JobSaver | null = null;
    const under = opening.get(id);
    if (under) return under;
    const coming = JobSaver.open(id, kept, windowId, {
      changed: () => {
        if (saver.value === opened) triggerRef(saver);
        else if (opened && !isBusy(opened)) savers.delete(id);
      },
      saved: (version) => windows?.postMessage({ id, version }),
      isOwn,
    })
      .then((made) => {
        savers.set(id, (opened = made));
        return made;
      })
      .finally(() => opening.delete(id));
    opening.set(id, coming);
    return coming;
  }

  /** Whether a part changed by no more than what ticks made here kept of it. */
  function isOwn(part: string, before: Job, now: Job): boolean {
    const id = part.replace('surfaces/', '');
    const count = ticks.countOf(id);
    if (!count) return false;
    const counted = editJob(before, 'labelsKept', (draft) => keepCount(draft, id, count)).job;
    return !differences(counted, now).some((edit) => partOf(edit) === part);
  }
  // Once the ticks are there, the job has what they kept.
  watch(
    () => ticks.waiting.some(({ kept: count }) => count !== undefined),
    (isWaiting, was) => {
      if (was && !isWaiting) void saver.value?.look().catch(() => undefined);
    },
  );

  /** Sends what closed windows left, of every job; says what can't go. */
  async function sendLeft(): Promise<void> {
    const stuck: LeftOf[] = [];
    for (const id of await kept.jobIds().catch((): readonly string[] => [])) {
      if (savers.has(id)) continue;
      const queues = await kept.take(id).catch((): readonly KeptQueue[] => []);
      const count = queues.reduce((sum, { waiting, parked }) => sum + waiting.length + parked.length, 0);
      if (count === 0) continue;
      try {
        const made = await openSaver(id);
        await made.send();
        const { conflict, parked, waiting } = made.state;
        const why = conflict ? 'The same was changed elsewhere: open it to decide.' : (parked[0]?.why ?? made.trouble);
        if (why !== null && why !== undefined) stuck.push({ jobId: id, count: waiting.length + parked.length, why, isGone: made.isGone });
        else if (saver.value !== made && !isBusy(made)) savers.delete(id);
      } catch (error) {
        const failure = error instanceof ServerError ? error : null;
        stuck.push({ jobId: id, count, why: failure?.words ?? 'They could not be sent.', isGone: failure?.code === 'job/not-found' });
      }
    }
    left.value = stuck;
  }

  /** Lets go of what was left of a job that is not open. */
  async function letGoLeft(id: string): Promise<void> {
    for (const queue of await kept.take(id)) await kept.forget(queue);
    savers.delete(id);
    left.value = left.value.filter(({ jobId }) => jobId !== id);
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
  const change = (label: ChangeLabel, recipe: (draft: Job) => void): readonly Issue[] => saver.value?.change(label, recipe) ?? [];

  /** Takes over what others saved, and says what it was. */
  async function follow(id: string): Promise<void> {
    const { value } = saver;
    if (value?.state.base.job.id !== id) return;
    const before = value.state.base.version;
    await value.look();
    const { version, last } = value.state.base;
    // That labels stay with the first tick is no news: nobody sees them otherwise.
    if (version > before && !last?.own && last?.label !== 'labelsKept')
      news.value = last
        ? `${last.person || 'Somebody'}: ${describeChange(last.label)}`
        : 'The job was changed elsewhere; this is how it stands now.';
  }

  /** Looks whether others saved anything, without asking for the job. */
  async function watchOthers(): Promise<void> {
    const { value } = saver;
    if (!value || isBusy(value) || value.state.conflict) return;
    const { job: open, version } = value.state.base;
    const standing = await api.findStanding(open.id).catch((error: unknown) => (error instanceof ServerError ? error : null));
    if (standing instanceof ServerError ? standing.code === 'job/not-found' : standing !== null && standing.version !== version)
      await follow(open.id).catch(() => undefined);
  }

  /** Undo and redo always say what they did, and what they could not. */
  const inHistory = (move: 'undo' | 'redo') => async (): Promise<void> => {
    const { value } = saver;
    if (!value) return;
    const label = move === 'undo' ? value.undoLabel : value.redoLabel;
    try {
      await value[move]();
      if (label !== null) news.value = move === 'undo' ? `Taken back: ${describeChange(label)}` : `Made again: ${describeChange(label)}`;
    } catch (error) {
      news.value = error instanceof ServerError ? whyNot(error, label, move) : 'That could not be taken back.';
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
    left,
    sendLeft,
    letGoLeft,
    open,
    change,
    follow,
    watchOthers,
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

/** Why a step along one's own history was not taken. */
function whyNot({ code, words, details }: ServerError, label: string | null, move: 'undo' | 'redo'): string {
  if (code === 'job/nothing-to-undo') return 'Nothing of yours is left to take back.';
  if (code === 'job/nothing-to-redo') return 'Nothing of yours is left to make again.';
  const not = `Not ${move === 'undo' ? 'taken back' : 'made again'}: ${label === null ? 'the last change' : describeChange(label)}.`;
  if (code !== 'job/built-upon') return `${not} ${words}`;
  const { person, theirs } = details as { person?: string; theirs?: string };
  return theirs
    ? `${not} ${person || 'Somebody'} changed the same after it (${describeChange(theirs)}).`
    : `${not} What it changed is no longer there.`;
}
