import { Worker } from 'node:worker_threads';
import { ApiError } from '../errors/apiError.ts';
import type { ErrorCode } from '../errors/catalogue.ts';
import type { Done, Task, DoWork, WorkKind } from './registry.ts';

/** Work that takes longer is given up, ms: a job of many surfaces on a small machine that has other things to do takes most of a minute. */
const LIMIT_MS = 120_000;

/** Tasks that may wait for the one that is being done. */
const MOST_WAITING = 16;

/** What one thread may keep in memory, MB; a plan of a million pieces stays below. */
const MEMORY_MB = 1500;

/** What a thread answers. */
export type Answer<T> = { readonly done: T } | { readonly code: ErrorCode };

/** Does work of one kind in a thread of its own, one task after the other. */
export interface WorkLine<K extends WorkKind> {
  readonly work: DoWork<K>;
  close(): Promise<void>;
}

/** Starts the thread when it is first needed; one that is given up is replaced by the next. */
export function startWorkLine<K extends WorkKind>(
  kind: K,
  thread = new URL('./workThread.js', import.meta.url),
  limitMs = LIMIT_MS,
): WorkLine<K> {
  let worker: Worker | null = null;
  let waiting = 0;
  let last: Promise<unknown> = Promise.resolve();

  const runOne = (task: Task<K>): Promise<Done<K>> =>
    new Promise((resolve, reject) => {
      const running = (worker ??= new Worker(thread, { workerData: kind, resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB } }));
      const settle = (): void => {
        clearTimeout(timer);
        running.off('message', take);
        running.off('error', fail);
        running.off('exit', fail);
      };
      const take = (answer: Answer<Done<K>>): void => {
        settle();
        if ('done' in answer) resolve(answer.done);
        else reject(new ApiError(answer.code));
      };
      const fail = (): void => giveUp('work/failed');
      const giveUp = (code: ErrorCode): void => {
        settle();
        worker = null;
        running.on('error', () => undefined);
        void running.terminate();
        reject(new ApiError(code));
      };
      const timer = setTimeout(() => giveUp('work/too-long'), limitMs);
      running.once('message', take);
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
