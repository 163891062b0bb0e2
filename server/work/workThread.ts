import { getHeapStatistics } from 'node:v8';
import { parentPort, workerData } from 'node:worker_threads';
import { Memory } from '@azulejo/core/memory';
import { ApiError } from '../errors/apiError.ts';
import { WORK, type WorkKind } from './registry.ts';
import type { Answer } from './workLine.ts';

const answer = (message: Answer<unknown>): void => parentPort?.postMessage(message);

// Runs in a thread of its own, which does one kind of work: one task after the other, as they are sent.
const work = WORK[workerData as WorkKind] as (task: unknown, memory: Memory) => Promise<unknown>;
let memory = new Memory();

/** What was worked out before is forgotten where it takes more than this: the largest plan has to fit beside it, bytes. */
const ENOUGH = 600e6;

parentPort?.on('message', (task: unknown) => {
  if (getHeapStatistics().used_heap_size > ENOUGH) memory = new Memory();
  Promise.resolve()
    .then(() => work(task, memory))
    .then(
      (done) => answer({ done }),
      (error: unknown) => {
        if (!(error instanceof ApiError))
          process.stderr.write(`${error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`);
        answer({ code: error instanceof ApiError ? error.code : 'work/failed' });
      },
    );
});
