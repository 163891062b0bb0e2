import { expect, test } from '@jest/globals';
import type { Job } from '@azulejo/core/job/job';
import { jobOfOne } from '@azulejo/core/samples/testJob';
import { startWorkLine } from './workLine.ts';

/** A thread that does what the name of the job says. */
const THREAD = new URL(
  `data:text/javascript,${encodeURIComponent(`
    import { parentPort } from 'node:worker_threads';
    parentPort.on('message', ({ job }) => {
      if (job.name === 'dies') process.exit(1);
      if (job.name === 'throws') throw new Error('expected in this test');
      if (job.name === 'refuses') parentPort.postMessage({ code: 'export/not-found' });
      if (job.name === 'works') parentPort.postMessage({ done: { name: job.name, content: '' } });
    });
  `)}`,
);

const task = (name: string) => ({
  exportId: 'job',
  surfaceId: null,
  job: { ...jobOfOne({ size: [1, 1], tile: [1, 1], jointMm: 0 }), name } as Job,
});
const codeOf = (done: Promise<unknown>): Promise<unknown> =>
  done.then(
    () => 'done',
    ({ code }: { code: string }) => code,
  );

test('work that hangs, dies or is refused says so, and what comes after it is done', async () => {
  const line = startWorkLine('export', THREAD, 4000);
  const names = ['works', 'hangs', 'works', 'refuses', 'throws', 'works', 'dies', 'works'];
  const codes = await Promise.all(names.map((name) => codeOf(line.work(task(name)))));
  await line.close();
  expect(codes).toEqual(['done', 'work/too-long', 'done', 'export/not-found', 'work/failed', 'done', 'work/failed', 'done']);
});

test('no more than sixteen wait; those that wait are done', async () => {
  const line = startWorkLine('export', THREAD);
  const codes = await Promise.all(Array.from({ length: 20 }, () => codeOf(line.work(task('works')))));
  await line.close();
  expect(codes.filter((code) => code === 'done')).toHaveLength(16);
  expect(codes.filter((code) => code === 'server/busy')).toHaveLength(4);
});
