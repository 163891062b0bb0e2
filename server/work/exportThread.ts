import { parentPort } from 'node:worker_threads';
import { ApiError } from '../errors/apiError.ts';
import type { Answer } from './exportThreads.ts';
import type { ExportTask } from './task.ts';
import { writeExport } from './writeExport.ts';

// Runs in a thread of its own: one export after the other, as they are sent.
parentPort?.on('message', (task: ExportTask) => {
  writeExport(task).then(
    (written) => answer({ written }),
    (error: unknown) => {
      if (!(error instanceof ApiError))
        process.stderr.write(`${error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`);
      answer({ code: error instanceof ApiError ? error.code : 'export/failed' });
    },
  );
});

const answer = (message: Answer): void => parentPort?.postMessage(message);
