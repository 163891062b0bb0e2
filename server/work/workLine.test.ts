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
      if (job.name === 'diesLater') {
        parentPort.postMessage({ done: { name: job.name, content: '' } });
        throw new Error('expected in this test');
      }
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
  const line = startWorkLine('export', { thread: THREAD, limitMs: 4000 });
  const names = ['works', 'hangs', 'works', 'refuses', 'throws', 'works', 'dies', 'works'];
  const codes = await Promise.all(names.map((name) => codeOf(line.work(task(name)))));
  await line.close();
  expect(codes).toEqual(['done', 'work/too-long', 'done', 'export/not-found', 'work/failed', 'done', 'work/failed', 'done']);
});

test('no more than sixteen wait; those that wait are done', async () => {
  const line = startWorkLine('export', { thread: THREAD });
  const codes = await Promise.all(Array.from({ length: 20 }, () => codeOf(line.work(task('works')))));
  await line.close();
  expect(codes.filter((code) => code === 'done')).toHaveLength(16);
  expect(codes.filter((code) => code === 'server/busy')).toHaveLength(4);
});

/** A thread that asks for a layout and keeps another before it answers with what it was told. */
const ASKS = new URL(
  `data:text/javascript,${encodeURIComponent(`
    import { parentPort, workerData } from 'node:worker_threads';
    parentPort.on('message', (message) => {
      if ('known' in message) {
        parentPort.postMessage({ keep: [{ key: 'new', content: 'n' }] });
        parentPort.postMessage({ done: { name: workerData.release, content: JSON.stringify(message.known) } });
      } else parentPort.postMessage({ find: ['old'] });
    });
  `)}`,
);

test.each([
  ['there', [{ key: 'old', content: 'o' }]],
  ['away', []],
] as const)('a thread is told what is kept, and what it adds is; the store may be %s', async (state, told) => {
  const kept: unknown[] = [];
  const reached = <T>(value: T): Promise<T> =>
    state === 'there' ? Promise.resolve(value) : Promise.reject(new Error('expected in this test'));
  const store = {
    find: (keys: readonly string[]) => reached(keys.map((key) => ({ key, content: 'o' }))),
    keep: (layouts: readonly unknown[]) => {
      kept.push(...layouts);
      return reached(undefined);
    },
  };
  const line = startWorkLine('export', { thread: ASKS, layouts: { store, release: 'r' } });
  const done = await line.work(task('works'));
  await line.close();
  expect([done, kept]).toEqual([{ name: 'r', content: JSON.stringify(told) }, [{ key: 'new', content: 'n' }]]);
});

test('a thread that ends after its task, while it tells what is to be kept, takes nothing with it: the next task has another', async () => {
  const line = startWorkLine('export', { thread: THREAD, limitMs: 4000 });
  expect(await codeOf(line.work(task('diesLater')))).toBe('done');
  await new Promise((resolve) => setTimeout(resolve, 300));
  expect(await codeOf(line.work(task('works')))).toBe('done');
  await line.close();
});
