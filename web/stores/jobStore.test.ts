import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import type { Edit } from '@azulejo/core/job/edit/edit';
import type { Job } from '@azulejo/core/job/job';
import { startSurface } from '@azulejo/core/job/startJob';
import { jobOfOne } from '@azulejo/core/samples/testJob';
import { FakeServer, refusal } from './fakeServer.ts';

// A channel to other windows would keep the test alive.
Reflect.deleteProperty(globalThis, 'BroadcastChannel');
const { useJobStore } = await import('./jobStore.ts');

let server: FakeServer;
const settled = async (): Promise<void> => {
  for (let k = 0; k < 80; k++) await Promise.resolve();
};
const later = async (ms = 2500): Promise<void> => {
  await jest.advanceTimersByTimeAsync(ms);
  await settled();
};
const setJoint =
  (mm: number, surface = 's') =>
  (draft: Job): void => {
    const found = draft.surfaces.find(({ id }) => id === surface);
    if (found) found.jointMm = mm;
  };
const joint = (job: Job | null, surface = 's') => job?.surfaces.find(({ id }) => id === surface)?.jointMm;
const theirJoint = (value: number, surface = 's'): Edit[] => [{ op: 'set', path: ['surfaces', { id: surface }, 'jointMm'], value }];

beforeEach(async () => {
  setActivePinia(createPinia());
  server = new FakeServer();
  const one = jobOfOne({ size: [2314, 1000], tile: [297.5, 297.5], jointMm: 3 });
  server.add({ ...one, surfaces: [...one.surfaces, { ...startSurface(one, 'two', 'Two', 'wall', 2000, 1000), productId: 't' }] });
  server.add({ ...one, id: 'other', name: 'Other' });
  globalThis.fetch = server.fetch;
  jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'nextTick'] });
});
afterEach(() => {
  jest.useRealTimers();
});

async function opened() {
  const jobs = useJobStore();
  await jobs.open('job');
  return jobs;
}

describe('the open job', () => {
  test('two phones that make the same change without a server do not disagree', async () => {
    const jobs = await opened();
    server.down = true;
    jobs.change('joint', setJoint(4));
    jobs.change('jobName', (draft) => {
      draft.name = 'Quay';
    });
    await settled();
    server.change('job', 'joint', theirJoint(4));
    server.down = false;
    await later(6000);
    expect([jobs.saveState, jobs.conflict, server.of().job.name, joint(server.of().job)]).toEqual(['saved', null, 'Quay', 4]);
    // The same part set to something else is for the person to settle.
    server.down = true;
    jobs.change('joint', setJoint(5));
    await settled();
    server.change('job', 'joint', theirJoint(6));
    server.down = false;
    await later(6000);
    expect(jobs.saveState).toBe('conflict');
  });

  test('a change shows at once and is saved after', async () => {
    const jobs = await opened();
    expect(jobs.change('joint', setJoint(4))).toEqual([]);
    expect([joint(jobs.job), jobs.saveState]).toEqual([4, 'saving']);
    await settled();
    expect([joint(server.of().job), jobs.saveState, jobs.undoLabel]).toEqual([4, 'saved', 'joint']);
  });

  test('what can not be true is refused and changes nothing', async () => {
    const jobs = await opened();
    expect(jobs.change('joint', setJoint(300))[0]).toMatchObject({ code: 'joint/wider-than-tile', path: ['surfaces', 0, 'jointMm'] });
    expect([joint(jobs.job), server.saves]).toEqual([3, []]);
  });

  test('without a server the change stays, is told, and is sent when there is one', async () => {
    const jobs = await opened();
    server.down = true;
    jobs.change('joint', setJoint(5));
    await settled();
    expect([jobs.saveState, joint(jobs.job)]).toEqual(['unsaved', 5]);
    server.down = false;
    await later();
    expect([jobs.saveState, joint(server.of().job)]).toEqual(['saved', 5]);
  });

  test('more key presses than a change may hold become one edit', async () => {
    const jobs = await opened();
    server.down = true;
    for (let k = 1; k <= 1200; k++) jobs.change('nudgeSetout', setJoint(3 + (k % 40) / 10, 'two'));
    await settled();
    server.down = false;
    await later();
    expect([jobs.saveState, server.saves.length <= 2, joint(server.of().job, 'two')]).toEqual(['saved', true, joint(jobs.job, 'two')]);
  });

  test('a change whose answer was lost is made once, and is not taken for somebody else’s', async () => {
    const jobs = await opened();
    server.lost = 1;
    jobs.change('joint', setJoint(5));
    await later();
    expect([jobs.saveState, jobs.conflict, server.of().version]).toEqual(['saved', null, 2]);
  });
});

describe('another job', () => {
  test('opened while changes wait: they are saved to their own job, and nothing mixes', async () => {
    const jobs = await opened();
    server.down = true;
    jobs.change('joint', setJoint(5));
    jobs.change('jobName', (draft) => void (draft.name = 'Mine'));
    await settled();
    server.down = false;
    await jobs.open('other');
    jobs.change('jobClient', (draft) => void (draft.client = 'Theirs'));
    await later();
    expect(server.saves.sort()).toEqual(['job: jobName', 'job: joint', 'other: jobClient']);
    expect([server.of('job').job.name, server.of('other').job.name, server.of('other').job.client]).toEqual(['Mine', 'Other', 'Theirs']);
    expect(jobs.job?.name).toBe('Other');
  });

  test('a first change made within a slow save of the job before reaches its own job', async () => {
    const jobs = await opened();
    let release = (): void => undefined;
    server.hold = new Promise((resolve) => {
      release = resolve;
    });
    jobs.change('joint', setJoint(5));
    await settled();
    await jobs.open('other');
    jobs.change('jobClient', (draft) => void (draft.client = 'Theirs'));
    release();
    await later();
    expect([joint(server.of('job').job), server.of('other').job.client, jobs.saveState]).toEqual([5, 'Theirs', 'saved']);
  });

  test('the one asked for last is shown, whichever answers first', async () => {
    const jobs = useJobStore();
    await Promise.all([jobs.open('job'), jobs.open('other')]);
    expect(jobs.job?.name).toBe('Other');
  });

  test('what was not saved outlives the page', async () => {
    const jobs = await opened();
    server.refusals = [refusal(422, 'job/refused')];
    jobs.change('joint', setJoint(5));
    await settled();
    await jobs.open('other');
    await jobs.open('job');
    expect(jobs.parked).toHaveLength(1);
  });
});

describe('refused for good', () => {
  test.each([
    [400, 'request/invalid'],
    [413, 'request/too-large'],
    [422, 'job/refused'],
  ])('%i: put aside with the reason, the rest goes on, and it can be tried again', async (status, code) => {
    const jobs = await opened();
    server.refusals = [refusal(status, code)];
    jobs.change('joint', setJoint(5));
    jobs.change('jobName', (draft) => void (draft.name = 'Mine'));
    await later();
    expect([jobs.saveState, joint(jobs.job), server.saves]).toEqual(['parked', 3, ['job: jobName']]);
    expect(jobs.parked[0]).toMatchObject({ change: { label: 'joint' }, why: code });
    jobs.tryParked(jobs.parked[0].change.id);
    await settled();
    expect([jobs.saveState, joint(server.of().job), jobs.parked]).toEqual(['saved', 5, []]);
  });

  test('a failure that nobody can explain is tried some times, then put aside', async () => {
    const jobs = await opened();
    server.refusals = Array.from({ length: 4 }, () => refusal(500, 'server/failed'));
    jobs.change('joint', setJoint(5));
    jobs.change('jobName', (draft) => void (draft.name = 'Mine'));
    await later(9000);
    expect([jobs.saveState, server.saves]).toEqual(['parked', ['job: jobName']]);
  });

  test('a job that was deleted says so, and what is shown can be kept', async () => {
    const jobs = await opened();
    server.jobs.delete('job');
    jobs.change('joint', setJoint(5));
    await settled();
    expect([jobs.saveState, joint(jobs.job)]).toEqual(['gone', 5]);
    await jobs.letGo();
    expect(jobs.job).toBeNull();
  });
});

describe('somebody else on the same job', () => {
  test('on another surface: both stay, nobody is asked', async () => {
    const jobs = await opened();
    server.change('job', 'Theirs', theirJoint(8, 'two'));
    jobs.change('joint', setJoint(5));
    await settled();
    expect([joint(jobs.job), joint(jobs.job, 'two'), jobs.saveState, jobs.conflict]).toEqual([5, 8, 'saved', null]);
  });

  test.each([
    ['mine', 5],
    ['theirs', 8],
  ] as const)('on the same surface: nothing is lost until the person takes %s', async (choice, mm) => {
    const jobs = await opened();
    server.change('job', 'Theirs', theirJoint(8));
    jobs.change('joint', setJoint(5));
    jobs.change('jobName', (draft) => void (draft.name = 'Mine'));
    await settled();
    expect([jobs.saveState, joint(server.of().job), jobs.conflict?.parts]).toEqual(['conflict', 8, ['surfaces/s']]);
    jobs.settle(choice);
    await settled();
    expect([joint(jobs.job), joint(server.of().job), server.of().job.name, jobs.saveState]).toEqual([mm, mm, 'Mine', 'saved']);
  });

  test('a surface they deleted comes back with mine, in its place; or stays deleted, and what was changed there goes; undone, theirs is back', async () => {
    const jobs = await opened();
    server.change('job', 'Delete', [{ op: 'drop', path: ['surfaces', { id: 's' }] }]);
    jobs.change('joint', setJoint(5));
    await settled();
    expect(jobs.saveState).toBe('conflict');
    jobs.settle('mine');
    await settled();
    expect([jobs.saveState, joint(server.of().job), server.of().job.surfaces.map(({ id }) => id)]).toEqual(['saved', 5, ['s', 'two']]);

    server.change('job', 'Delete', [{ op: 'drop', path: ['surfaces', { id: 's' }] }]);
    jobs.change('joint', setJoint(6));
    await settled();
    jobs.settle('theirs');
    await settled();
    expect([jobs.saveState, jobs.parked, server.of().job.surfaces.map(({ id }) => id)]).toEqual(['saved', [], ['two']]);

    server.change('job', 'Theirs', theirJoint(8, 'two'));
    jobs.change('joint', setJoint(6, 'two'));
    await settled();
    jobs.settle('mine');
    await settled();
    await jobs.undo();
    expect(joint(server.of().job, 'two')).toBe(8);
  });

  test('while nothing waits, what they saved is followed; an answer that was overtaken is not', async () => {
    const jobs = await opened();
    server.change('job', 'Theirs', theirJoint(8));
    await jobs.follow('job');
    expect([joint(jobs.job), jobs.version, jobs.news]).toEqual([8, 2, expect.stringContaining('changed elsewhere')]);
  });
});

describe('undo', () => {
  test('waits for what is being saved, and takes back that', async () => {
    const jobs = await opened();
    jobs.change('joint', setJoint(6));
    await settled();
    jobs.change('jobName', (draft) => void (draft.name = 'Mine'));
    const undone = jobs.undo();
    await settled();
    await undone;
    expect([jobs.job?.name, joint(jobs.job), server.of().job.name, jobs.saveState]).toEqual(['Trial', 6, 'Trial', 'saved']);
  });

  test('without a server takes back the last change made here, and makes it again', async () => {
    const jobs = await opened();
    jobs.change('jobClient', (draft) => void (draft.client = 'Kept'));
    await settled();
    server.down = true;
    jobs.change('joint', setJoint(6));
    jobs.change('jobName', (draft) => void (draft.name = 'Mine'));
    await settled();
    await jobs.undo();
    expect([jobs.job?.name, joint(jobs.job), jobs.redoLabel]).toEqual(['Trial', 6, 'jobName']);
    await jobs.undo();
    expect([joint(jobs.job), jobs.job?.client]).toEqual([3, 'Kept']);
    await jobs.redo();
    expect(joint(jobs.job)).toBe(6);
    server.down = false;
    await later();
    await later();
    expect([jobs.saveState, joint(server.of().job), server.of().job.client]).toEqual(['saved', 6, 'Kept']);
  });
});

test('opening the open job again takes it as it is stored: read back from a file, or gone', async () => {
  const jobs = await opened();
  jobs.change('joint', setJoint(6));
  await settled();
  server.add({ ...server.of().job, name: 'Read back' });
  await jobs.open('job');
  expect([jobs.job?.name, jobs.version, jobs.saveState]).toEqual(['Read back', 1, 'saved']);
  server.jobs.delete('job');
  await expect(jobs.open('job')).rejects.toMatchObject({ code: 'job/not-found' });
  expect(jobs.job).toBeNull();
});
