import { getHeapStatistics } from 'node:v8';
import { parentPort, workerData } from 'node:worker_threads';
import type { Job } from '@azulejo/core/job/job';
import { Memory } from '@azulejo/core/memory';
import { ApiError } from '../errors/apiError.ts';
import type { KeptLayout, LayoutStore } from '../layouts/layoutStore.ts';
import { recall } from '../layouts/recall.ts';
import { WORK } from './registry.ts';
import type { FromThread, Known, ThreadData } from './workLine.ts';

// Runs in a thread of its own, which does one kind of work: one task after the other, as they are sent.
const { kind, release } = workerData as ThreadData;
const work = WORK[kind] as (task: unknown, memory: Memory) => Promise<unknown>;
let memory = new Memory();

/** What was worked out before is forgotten where it takes more than this: the largest plan has to fit beside it, bytes. */
const ENOUGH = 600e6;

const tell = (message: FromThread<unknown>): void => parentPort?.postMessage(message);

/** Who waits for what is kept; one task at a time asks. */
let waiting: ((layouts: readonly KeptLayout[]) => void) | null = null;

/** The database is another thread's: it is asked, and told what to keep. */
const store: LayoutStore = {
  find: (keys) =>
    new Promise((resolve) => {
      waiting = resolve;
      tell({ find: keys });
    }),
  keep: (layouts) => Promise.resolve(tell({ keep: layouts })),
};

const NOTHING = (): Promise<void> => Promise.resolve();
const explain = (error: unknown): string => (error instanceof Error ? (error.stack ?? error.message) : String(error));

async function run(task: { readonly job: Job }): Promise<void> {
  if (getHeapStatistics().used_heap_size > ENOUGH) memory = new Memory();
  const keepRest = await answered(task);
  // The task has its answer: what goes wrong from here on is no other's.
  await keepRest().catch((error: unknown) => void process.stderr.write(`${explain(error)}\n`));
}

/** Does one task and answers it; gives what keeps what was laid out for it. */
async function answered(task: { readonly job: Job }): Promise<() => Promise<void>> {
  try {
    const keepRest = release === null ? NOTHING : await recall(task.job, release, memory, store);
    tell({ done: await work(task, memory) });
    return keepRest;
  } catch (error) {
    if (!(error instanceof ApiError)) process.stderr.write(`${explain(error)}\n`);
    tell({ code: error instanceof ApiError ? error.code : 'work/failed' });
    return NOTHING;
  }
}

parentPort?.on('message', (message: Known | { readonly job: Job }) => {
  if ('known' in message) waiting?.(message.known);
  else void run(message);
});
