import { Worker } from 'node:worker_threads';
import { ApiError } from '../errors/apiError.ts';
import type { ErrorCode } from '../errors/catalogue.ts';
import type { ExportTask, ExportWriter, Written } from './task.ts';

/** An export that takes longer is given up, ms. */
const LIMIT_MS = 60_000;

/** Exports that may wait for the one that is being written. */
const MOST_WAITING = 16;

/** What one thread may keep in memory, MB; a plan of a million pieces stays below. */
const MEMORY_MB = 1500;

/** What a thread answers. */
export type Answer = { readonly written: Written } | { readonly code: ErrorCode };

/** Writes exports in a thread of its own, one after the other. */
export interface ExportThreads {
  readonly write: ExportWriter;
  close(): Promise<void>;
}

/** Starts the thread when it is first needed; one that is given up is replaced by the next. */
export function startExportThreads(thread = new URL('./exportThread.js', import.meta.url), limitMs = LIMIT_MS): ExportThreads {
  let worker: Worker | null = null;
  let waiting = 0;
  let last: Promise<unknown> = Promise.resolve();

  const runOne = (task: ExportTask): Promise<Written> =>
    new Promise((resolve, reject) => {
      const running = (worker ??= new Worker(thread, { resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB } }));
      const settle = (): void => {
        clearTimeout(timer);
        running.off('message', take);
        running.off('error', fail);
      };
      const take = (answer: Answer): void => {
        settle();
        if ('written' in answer) resolve(answer.written);
        else reject(new ApiError(answer.code));
      };
      const fail = (): void => giveUp('export/failed');
      const giveUp = (code: ErrorCode): void => {
        settle();
        worker = null;
        running.on('error', () => undefined);
        void running.terminate();
        reject(new ApiError(code));
      };
      const timer = setTimeout(() => giveUp('export/too-long'), limitMs);
      running.once('message', take);
      running.once('error', fail);
      running.postMessage(task);
    });

  return {
    write: (task) => {
      if (waiting >= MOST_WAITING) return Promise.reject(new ApiError('server/busy'));
      waiting++;
      const written = last.then(() => runOne(task));
      last = written.then(
        () => waiting--,
        () => waiting--,
      );
      return written;
    },
    close: async () => {
      await worker?.terminate();
    },
  };
}
