import type { SentChange } from '@azulejo/core/formats/apiTypes';
import { browserDatabase } from './browserDatabase.ts';
import { newUuid } from './newUuid.ts';
import type { ParkedChange } from './queueState.ts';

/** What a window left unsaved of a job. */
export interface KeptQueue {
  readonly jobId: string;
  /** The window that keeps it. */
  readonly windowId: string;
  /** The version it builds on. */
  readonly version: number;
  readonly waiting: readonly SentChange[];
  readonly parked: readonly ParkedChange[];
}

/** Where unsaved changes outlive a reload. */
export interface KeptQueues {
  /** Keeps a queue in place of the one before; an empty one is forgotten. */
  keep(queue: KeptQueue): Promise<void>;
  /** What was left of a job by this window, or by one that is closed. */
  take(jobId: string): Promise<readonly KeptQueue[]>;
  /** Jobs that something was left of. */
  jobIds(): Promise<readonly string[]>;
  forget(queue: Pick<KeptQueue, 'jobId' | 'windowId'>): Promise<void>;
}

/** A window's name, the same after a reload; its lock tells other windows that it is open. */
export function nameWindow(): string {
  const known = sessionStorage.getItem('azulejo-window');
  const name = known ?? newUuid();
  sessionStorage.setItem('azulejo-window', name);
  if (hasLocks()) void navigator.locks.request(lockOf(name), () => new Promise(() => undefined));
  else beat(name);
  return name;
}

/** Over plain http a browser has no locks. */
const hasLocks = (): boolean => typeof navigator.locks !== 'undefined';

const lockOf = (windowId: string): string => `azulejo-window-${windowId}`;

/** How often a window without locks says that it is open, and after how long it is taken for closed, ms. */
const BEAT_MS = 2000;
const CLOSED_MS = 10_000;

function beat(name: string): void {
  const say = (): void => localStorage.setItem(lockOf(name), String(Date.now()));
  say();
  setInterval(say, BEAT_MS);
  window.addEventListener('pagehide', () => localStorage.removeItem(lockOf(name)));
}

async function openWindows(): Promise<ReadonlySet<string>> {
  if (hasLocks()) {
    const { held = [] } = await navigator.locks.query();
    return new Set(held.flatMap(({ name }) => name ?? []));
  }
  const names = Object.keys(localStorage).filter((key) => key.startsWith(lockOf('')));
  return new Set(names.filter((key) => Date.now() - Number(localStorage.getItem(key)) < CLOSED_MS));
}

/** Queues in the browser's own database. */
export function browserQueues(windowId: string): KeptQueues {
  return {
    keep: async (queue) => {
      const db = await browserDatabase();
      if (queue.waiting.length + queue.parked.length > 0) await db.put('queues', queue);
      else await db.delete('queues', [queue.jobId, queue.windowId]);
    },
    take: async (jobId) => {
      const all = await (await browserDatabase()).getAll('queues', IDBKeyRange.bound([jobId], [jobId, []]));
      const open = await openWindows();
      return all.filter((queue) => queue.windowId === windowId || !open.has(lockOf(queue.windowId)));
    },
    jobIds: async () => [...new Set((await (await browserDatabase()).getAllKeys('queues')).map(([jobId]) => jobId))],
    forget: async (queue) => (await browserDatabase()).delete('queues', [queue.jobId, queue.windowId]),
  };
}

/** Queues that last as long as the page: where the browser keeps nothing, and in tests. */
export function passingQueues(): KeptQueues {
  const queues = new Map<string, KeptQueue>();
  return {
    keep: (queue) => {
      if (queue.waiting.length + queue.parked.length > 0) queues.set(queue.jobId, queue);
      else queues.delete(queue.jobId);
      return Promise.resolve();
    },
    take: (jobId) => Promise.resolve([...queues.values()].filter((queue) => queue.jobId === jobId)),
    jobIds: () => Promise.resolve([...queues.keys()]),
    forget: ({ jobId }) => {
      queues.delete(jobId);
      return Promise.resolve();
    },
  };
}
