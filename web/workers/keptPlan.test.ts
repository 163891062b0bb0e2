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
/** What the server keeps, by job; null where it does not answer. */
const server = new Map<string, readonly string[] | null>();
const askedFor: string[] = [];
jest.unstable_mockModule('../api/client.ts', () => ({
  api: {
    listLayouts: (id: string, release: string) => {
      askedFor.push(`${id} ${release}`);
      const layouts = server.get(id);
      return layouts ? Promise.resolve({ layouts }) : Promise.reject(new Error('expected in this test'));
    },
  },
}));
const released = globalThis as { __BUILD__?: string; __CORE__?: string };
released.__BUILD__ = 'now';
released.__CORE__ = 'core';
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
  const packed: (readonly string[])[] = [];
  const rememberPacked = (layouts: readonly string[]): Promise<void> => Promise.resolve(void packed.push(layouts));
  return { handed, packed, worker: { remember, rememberPacked } as unknown as Remote<Planner> };
}

beforeEach(() => {
  seen.clear();
  server.clear();
  askedFor.length = 0;
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

test('what this browser knows nothing of is taken from the server, asked once for all workers; from one that does not answer nothing', async () => {
  server.set('another', ['a', 'b']);
  const [one, other] = [newWorker(), newWorker()];
  await Promise.all([handKept(one.worker, 'another'), handKept(other.worker, 'another')]);
  expect([one.packed, other.packed, one.handed]).toEqual([[['a', 'b']], [['a', 'b']], []]);
  await handKept(one.worker, 'away');
  expect([one.packed, askedFor]).toEqual([
    [['a', 'b'], []],
    ['another core', 'away core'],
  ]);
});

test('what this browser has kept is not asked for; a page whose core has no name asks for nothing', async () => {
  await keepPlan(job, plan);
  const { worker, packed } = newWorker();
  await handKept(worker, job.id);
  released.__CORE__ = '';
  await handKept(worker, 'nameless');
  released.__CORE__ = 'core';
  expect([packed, askedFor]).toEqual([[[]], []]);
});
