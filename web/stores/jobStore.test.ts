import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { applyChange, type Change } from '@azulejo/core/job/edit';
import type { Job } from '@azulejo/core/job/job';
import { jobOfOne } from '@azulejo/core/trials/testJob';
import { enqueue } from './saveQueue.ts';

// A channel to other windows would keep the test alive.
Reflect.deleteProperty(globalThis, 'BroadcastChannel');
const { useJobStore } = await import('./jobStore.ts');

/** A server of one job, as the real one answers. */
class FakeServer {
  job: Job = jobOfOne({ size: [2314, 1000], tile: [297.5, 297.5], jointMm: 3 });
  version = 1;
  saves = 0;
  down = false;
  gone = false;

  undone = 0;
  private last: Change | null = null;

  answer = (url: string, body: { baseVersion: number; change: Change } | null): [number, object] => {
    if (this.gone) return [404, { code: 'job/not-found', message: 'gone', issues: [] }];
    if (body === null) return [200, this.stored()];
    if (body.baseVersion !== this.version) return [409, { code: 'job/changed-elsewhere', message: 'changed', issues: [] }];
    if (url.endsWith('/undo') && this.last) {
      this.undone++;
      this.job = applyChange(this.job, this.last.inverse);
      this.version++;
      return [200, this.stored()];
    }
    this.last = body.change;
    this.saves++;
    this.job = applyChange(this.job, body.change.forward);
    this.version++;
    return [200, this.stored()];
  };

  stored = () => ({ job: this.job, version: this.version, undoLabel: 'last', redoLabel: null });

  fetch = (async (url: string, init?: { body?: string }) => {
    await Promise.resolve();
    if (this.down) throw new TypeError('no network');
    const [status, content] = this.answer(url, init?.body ? JSON.parse(init.body) : null);
    return { status, ok: status < 400, json: () => Promise.resolve(structuredClone(content)) };
  }) as unknown as typeof fetch;
}

let server: FakeServer;
const settled = async (): Promise<void> => {
  for (let k = 0; k < 40; k++) await Promise.resolve();
};
const setJoint =
  (mm: number) =>
  (draft: Job): void => {
    draft.surfaces[0].jointMm = mm;
  };

beforeEach(() => {
  setActivePinia(createPinia());
  server = new FakeServer();
  globalThis.fetch = server.fetch;
  jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'nextTick'] });
});

describe('the open job', () => {
  test('a change shows at once and is saved after', async () => {
    const jobs = useJobStore();
    await jobs.open('job');
    expect(jobs.change('Joint', setJoint(4))).toEqual([]);
    expect([jobs.job?.surfaces[0].jointMm, jobs.saveState]).toEqual([4, 'saving']);
    await settled();
    expect([server.job.surfaces[0].jointMm, jobs.saveState, jobs.undoLabel]).toEqual([4, 'saved', 'last']);
  });

  test('what can not be true is refused and changes nothing', async () => {
    const jobs = useJobStore();
    await jobs.open('job');
    expect(jobs.change('Joint', setJoint(300))[0]).toMatchObject({ code: 'joint/wider-than-tile', path: ['surfaces', 0, 'jointMm'] });
    expect([jobs.job?.surfaces[0].jointMm, server.saves]).toEqual([3, 0]);
  });

  test('without a server the change stays, is told, and is sent when there is one', async () => {
    const jobs = useJobStore();
    await jobs.open('job');
    server.down = true;
    jobs.change('Joint', setJoint(5));
    await settled();
    expect([jobs.saveState, jobs.job?.surfaces[0].jointMm]).toEqual(['unsaved', 5]);
    server.down = false;
    await jest.advanceTimersByTimeAsync(2500);
    await settled();
    expect([jobs.saveState, server.job.surfaces[0].jointMm]).toEqual(['saved', 5]);
  });

  test.each([
    ['mine', 5, 'Theirs'],
    ['theirs', 3, 'Theirs'],
  ] as const)('changed elsewhere: nothing is lost until the person takes %s', async (choice, joint, name) => {
    const jobs = useJobStore();
    await jobs.open('job');
    server.job = { ...server.job, name: 'Theirs' };
    server.version = 7;
    jobs.change('Joint', setJoint(5));
    await settled();
    expect([jobs.saveState, server.job.surfaces[0].jointMm, jobs.conflict?.mine.length]).toEqual(['conflict', 3, 1]);
    expect(jobs.settle(choice)).toEqual([]);
    await settled();
    expect([jobs.job?.surfaces[0].jointMm, jobs.job?.name, server.job.surfaces[0].jointMm, jobs.saveState]).toEqual([
      joint,
      name,
      joint,
      'saved',
    ]);
  });
});

test('undo waits for what is being saved, and an answer that was overtaken is not taken for news', async () => {
  const jobs = useJobStore();
  await jobs.open('job');
  const before = server.stored();
  jobs.change('Joint', setJoint(6));
  void jobs.undo();
  await settled();
  expect([server.undone, jobs.job?.surfaces[0].jointMm, jobs.saveState]).toEqual([1, 3, 'saved']);
  const { stored } = server;
  server.stored = () => before;
  await jobs.follow('job');
  server.stored = stored;
  expect(jobs.version).toBe(3);
});

test('opening the open job again takes it as it is stored: read back from a file, or gone', async () => {
  const jobs = useJobStore();
  await jobs.open('job');
  jobs.change('Joint', setJoint(6));
  await settled();
  server.job = { ...server.job, name: 'Read back' };
  server.version = 1;
  await jobs.open('job');
  expect([jobs.job?.name, jobs.version, jobs.saveState]).toEqual(['Read back', 1, 'saved']);
  server.gone = true;
  await expect(jobs.open('job')).rejects.toMatchObject({ code: 'job/not-found' });
  expect(jobs.job).toBeNull();
});

test('changes of a key held down become one, except the one on its way', () => {
  const nudge = (value: number): Change => ({
    label: 'Nudge',
    forward: [{ op: 'replace', path: ['a'], value }],
    inverse: [{ op: 'replace', path: ['a'], value: value - 1 }],
  });
  const merged = [1, 2, 3].map(nudge).reduce<Change[]>((queue, change) => enqueue(queue, change, 1), []);
  expect(merged).toHaveLength(2);
  expect(merged[1].forward.map(({ value }) => value)).toEqual([2, 3]);
  expect(merged[1].inverse.map(({ value }) => value)).toEqual([2, 1]);
  expect(enqueue(merged, { ...nudge(9), label: 'Other' }, 0)).toHaveLength(3);
});
