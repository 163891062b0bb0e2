import { beforeEach, expect, jest, test } from '@jest/globals';
import type { Remote } from 'comlink';
import { demoJob, demoPlan } from '../../testing/demoJob.ts';
import type { Planner } from './planWorker.ts';

const seen = new Map<string, unknown>();
jest.unstable_mockModule('../saving/lastSeen.ts', () => ({
  lastSeen: {
    keep: (key: string, value: unknown) => Promise.resolve(void seen.set(key, structuredClone(value))),
    find: (key: string) => Promise.resolve(seen.get(key) ?? null),
  },
}));
const released = globalThis as { __BUILD__?: string };
released.__BUILD__ = 'now';
const { handKept, keepPlan, keptPlan } = await import('./keptPlan.ts');

const job = demoJob('ferry-kiosk');
const plan = demoPlan('ferry-kiosk');
const ids = plan.surfaces.map(({ surfaceId }) => surfaceId);

/** A worker that notes what it is handed; it may be one that takes nothing. */
function newWorker(refuses = false) {
  const handed: string[][] = [];
  const remember = (_: unknown, surfaces: readonly { surfaceId: string }[]): Promise<void> => {
    handed.push(surfaces.map(({ surfaceId }) => surfaceId));
    return refuses ? Promise.reject(new Error('expected in this test')) : Promise.resolve();
  };
  return { handed, worker: { remember } as unknown as Remote<Planner> };
}

beforeEach(() => {
  seen.clear();
  released.__BUILD__ = 'now';
});

test('the plan of the very job is given again; of one that changed, and by another release, it is not', async () => {
  expect(await keptPlan(job)).toBeNull();
  await keepPlan(job, plan);
  expect(await keptPlan(job)).toEqual(plan);
  expect(await keptPlan({ ...job, client: 'Somebody else' })).toBeNull();
  released.__BUILD__ = 'later';
  expect(await keptPlan(job)).toBeNull();
});

test('a worker is handed what was kept once a page, of a job that changed too, and each worker by itself', async () => {
  await keepPlan(job, plan);
  const [one, other] = [newWorker(), newWorker()];
  await Promise.all([handKept(one.worker, job.id), handKept(one.worker, job.id)]);
  await handKept(other.worker, job.id);
  expect([one.handed, other.handed]).toEqual([[ids], [ids]]);
});

test('what another release planned is handed to nobody; a worker that takes nothing holds nothing up', async () => {
  await keepPlan(job, plan);
  const broken = newWorker(true);
  await expect(handKept(broken.worker, job.id)).resolves.toBeUndefined();
  expect(broken.handed).toEqual([ids]);
  released.__BUILD__ = 'later';
  const { handed, worker } = newWorker();
  await handKept(worker, job.id);
  expect(handed).toEqual([]);
});
