import { Worker } from 'node:worker_threads';
import { ApiError } from '../errors/apiError.ts';
import type { ErrorCode } from '../errors/catalogue.ts';
import type { KeptLayout, LayoutStore } from '../layouts/layoutStore.ts';
import type { Done, Task, DoWork, WorkKind } from './registry.ts';

/** Work that takes longer is given up, ms: a job of many surfaces on a small machine that has other things to do takes most of a minute. */
const LIMIT_MS = 120_000;

/** Tasks that may wait for the one that is being done. */
const MOST_WAITING = 16;

/** What one thread may keep in memory, MB; a plan of a million pieces stays below. */
const MEMORY_MB = 1500;

/** What a thread is started with: the kind of its work, and the release under which layouts are kept; null where none are. */
export interface ThreadData {
  readonly kind: WorkKind;
  readonly release: string | null;
}

/** What a thread answers. */
export type Answer<T> = { readonly done: T } | { readonly code: ErrorCode };

/** What a thread says: an answer, or what it asks of the kept layouts and adds to them. */
export type FromThread<T> = Answer<T> | { readonly find: readonly string[] } | { readonly keep: readonly KeptLayout[] };

/** What a thread is told of the layouts that it asked for. */
export interface Known {
  readonly known: readonly KeptLayout[];
}

/** How a line of work is set up; each has its usual. */
export interface LineOptions {
  readonly thread?: URL;
  readonly limitMs?: number;
  /** Where layouts are kept, and by which release of the core. */
  readonly layouts?: { readonly store: LayoutStore; readonly release: string } | null;
}

/** Does work of one kind in a thread of its own, one task after the other. */
export interface WorkLine<K extends WorkKind> {
  readonly work: DoWork<K>;
  close(): Promise<void>;
}

/** Starts the thread when it is first needed; one that is given up is replaced by the next. */
export function startWorkLine<K extends WorkKind>(
  kind: K,
  { thread = new URL('./workThread.js', import.meta.url), limitMs = LIMIT_MS, layouts = null }: LineOptions = {},
): WorkLine<K> {
  let worker: Worker | null = null;
  let waiting = 0;
  let last: Promise<unknown> = Promise.resolve();

  function startThread(): Worker {
    const workerData: ThreadData = { kind, release: layouts?.release ?? null };
    const started = new Worker(thread, { workerData, resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB } });
    started.on('message', (message: FromThread<unknown>) => {
      // Where nothing can be read or kept, the thread works it out: that fails nothing.
      if ('find' in message)
        layouts?.store.find(message.find).then(
          (known) => started.postMessage({ known } satisfies Known),
          () => started.postMessage({ known: [] } satisfies Known),
        );
      if ('keep' in message) layouts?.store.keep(message.keep).catch(() => undefined);
    });
    // It may end between two tasks too, while it tells what is to be kept: the next task has another.
    started.on('error', () => undefined);
    started.once('exit', () => {
      if (worker === started) worker = null;
    });
    return started;
  }

  const runOne = (task: Task<K>): Promise<Done<K>> =>
    new Promise((resolve, reject) => {
      const running = (worker ??= startThread());
      const settle = (): void => {
        clearTimeout(timer);
        running.off('message', take);
        running.off('error', fail);
        running.off('exit', fail);
      };
      const take = (message: FromThread<Done<K>>): void => {
        if ('find' in message || 'keep' in message) return;
        settle();
        if ('done' in message) resolve(message.done);
        else reject(new ApiError(message.code));
      };
      const fail = (): void => giveUp('work/failed');
      const giveUp = (code: ErrorCode): void => {
        settle();
        worker = null;
        void running.terminate();
        reject(new ApiError(code));
      };
      const timer = setTimeout(() => giveUp('work/too-long'), limitMs);
      running.on('message', take);
      running.once('error', fail);
      running.once('exit', fail);
      running.postMessage(task);
    });

  return {
    work: (task) => {
      if (waiting >= MOST_WAITING) return Promise.reject(new ApiError('server/busy'));
      waiting++;
      const done = last.then(() => runOne(task));
      last = done.then(
        () => waiting--,
        () => waiting--,
      );
      return done;
    },
    close: async () => {
      await worker?.terminate();
    },
  };
}
