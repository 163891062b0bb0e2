import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { createHash } from 'node:crypto';
import { Memory } from '@azulejo/core/memory';
import { plan } from '@azulejo/core/plan';
import { briefOf } from '@azulejo/core/plan/layout/briefOf';
import { knownLayout } from '@azulejo/core/plan/layout/knownLayouts';
import { demoJob } from '../../testing/demoJob.ts';
import { NEW_PLACES, type TestPlace } from '../../testing/databases.ts';
import { buildApp } from '../app.ts';
import type { Database } from '../db/database.ts';
import { migrate } from '../db/migrate.ts';
import { JobRepository } from '../jobs/jobRepository.ts';
import { LayoutRepository } from './layoutRepository.ts';
import { pack, unpack } from './pack.ts';
import { layoutKey, recall } from './recall.ts';

const job = demoJob('ferry-kiosk');
const briefs = job.surfaces.map((surface) => briefOf(job, surface));
const keyOf = (text: string): string => createHash('sha256').update(text).digest('hex');

test('what is packed is the same again; what is not is refused', () => {
  const text = 'Fuge 3 mm – 🧱 '.repeat(5000);
  expect(unpack(pack(text))).toBe(text);
  expect(pack(text).length).toBeLessThan(text.length / 10);
  expect(() => unpack('AAAA')).toThrow();
});

describe.each(NEW_PLACES)('layouts kept in %s', (_name, newPlace) => {
  let place: TestPlace;
  let database: Database;
  beforeAll(async () => {
    place = await newPlace();
    database = await place.open();
    await migrate(database);
  }, 60_000);
  afterAll(async () => {
    await database.close();
    await place.remove();
  });

  test('are found by their keys and kept once; beyond a size those that were used longest ago go', async () => {
    const store = new LayoutRepository(database, 3000);
    const [a, b, c] = ['a', 'b', 'c'].map((name) => ({ key: keyOf(name), content: Buffer.alloc(1200, name).toString('base64') }));
    await store.keep([a]);
    await store.keep([b, a]);
    expect([...(await store.find([a.key, b.key, c.key]))].sort((x, y) => x.key.localeCompare(y.key))).toEqual(
      [a, b].sort((x, y) => x.key.localeCompare(y.key)),
    );
    expect(await store.find([])).toEqual([]);
    // The other one was not asked for since.
    await database.query("UPDATE layout SET used_at = now() - interval '3 days'");
    await store.find([b.key]);
    await store.keep([c]);
    expect((await store.find([a.key, b.key, c.key])).map(({ key }) => key).sort()).toEqual([b.key, c.key].sort());
    await database.query('DELETE FROM layout');
  });

  test('a job that was planned is known to the next process; a wall that moved, or another release, is not', async () => {
    const store = new LayoutRepository(database);
    const first = new Memory();
    const keepRest = await recall(job, 'r1', first, store);
    const planned = JSON.stringify(plan(job, first));
    await keepRest();

    const second = new Memory();
    const nothing = await recall(job, 'r1', second, {
      find: (keys) => store.find(keys),
      keep: () => Promise.reject(new Error('nothing is new')),
    });
    for (const brief of briefs) expect(knownLayout(brief, second)).toBeDefined();
    expect(JSON.stringify(plan(job, second))).toBe(planned);
    await nothing();

    const moved = { ...job, surfaces: job.surfaces.map((one, k) => (k === 0 ? { ...one, jointMm: one.jointMm + 1 } : one)) };
    const third = new Memory();
    await recall(moved, 'r1', third, store);
    expect(knownLayout(briefOf(moved, moved.surfaces[0]), third)).toBeUndefined();

    const other = new Memory();
    await recall(job, 'r2', other, store);
    for (const brief of briefs) expect(knownLayout(brief, other)).toBeUndefined();
  });

  test('one that can not be read is worked out anew', async () => {
    const store = new LayoutRepository(database);
    const key = layoutKey('torn', briefs[0]);
    await store.keep([{ key, content: Buffer.from('torn').toString('base64') }]);
    const memory = new Memory();
    await recall(job, 'torn', memory, store);
    expect(knownLayout(briefs[0], memory)).toBeUndefined();
  });

  test('where they can not be read none is found, and keeping begins anew', async () => {
    const whole = new LayoutRepository(database);
    const one = { key: keyOf('one'), content: Buffer.from('one').toString('base64') };
    await whole.keep([one]);
    const query: Database['query'] = (sql, parameters) =>
      sql.includes('encode(content') ? Promise.reject(new Error('expected in this test')) : database.query(sql, parameters);
    expect(await new LayoutRepository({ ...database, query }).find([one.key])).toEqual([]);
    expect(await whole.find([one.key])).toEqual([]);
    await whole.keep([one]);
    expect(await whole.find([one.key])).toEqual([one]);
  });

  test('a browser of the same core is given them, one of another none', async () => {
    const store = new LayoutRepository(database);
    const jobs = new JobRepository(database);
    await jobs.insert(job);
    // As a thread is handed it: as it is stored.
    const { job: stored } = await jobs.findStamped(job.id);
    const memory = new Memory();
    const keepRest = await recall(stored, 'r1', memory, store);
    plan(stored, memory);
    await keepRest();
    const refuse = (): never => {
      throw new Error('not asked for in this test');
    };
    const app = await buildApp({
      database,
      writeExport: refuse,
      takeGlance: refuse,
      layouts: { store, release: 'r1' },
      copies: null,
      webFolder: null,
      requestsPerMinute: null,
      welcome: { hostNames: new Set(['localhost']), publicOrigins: [] },
    });
    const ask = async (release: string): Promise<{ layouts: string[] }> =>
      (await app.inject(`/api/jobs/${job.id}/layouts?release=${release}`)).json();
    expect((await ask('r2')).layouts).toEqual([]);
    const { layouts } = await ask('r1');
    expect(layouts).toHaveLength(job.surfaces.length);
    for (const content of layouts) expect(unpack(content)).toContain('from');
    expect((await app.inject('/api/jobs/none/layouts?release=r1')).statusCode).toBe(404);
    expect((await app.inject(`/api/jobs/${job.id}/layouts`)).statusCode).toBe(400);
    await app.close();
  });
});
