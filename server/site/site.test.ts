import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { FastifyInstance, InjectOptions } from 'fastify';
import { NEW_PLACES, type TestPlace } from '../../testing/databases.ts';
import { writeJobFile } from '@azulejo/core/formats/jobFile';
import { jobOfOne } from '@azulejo/core/samples/testJob';
import { buildApp } from '../app.ts';
import type { Database } from '../db/database.ts';
import { migrate } from '../db/migrate.ts';
import { JobRepository } from '../jobs/jobRepository.ts';
import { SiteRepository } from './siteRepository.ts';

describe.each(NEW_PLACES)('what is kept beside jobs in %s', (_database, newPlace) => {
  let place: TestPlace;
  let database: Database;
  let app: FastifyInstance;

  beforeAll(async () => {
    place = await newPlace();
    database = await place.open();
    await migrate(database);
    app = await buildApp({
      database,
      writeExport: () => Promise.reject(new Error('nothing is exported here')),
      takeGlance: () => Promise.reject(new Error('nobody glances here')),
      copies: null,
      webFolder: null,
      requestsPerMinute: null,
      welcome: { hostNames: new Set(['localhost']), publicOrigins: [] },
    });
  }, 60_000);
  afterAll(async () => {
    await app.close();
    await database.close();
    await place.remove();
  });

  const ask = async (method: 'GET' | 'POST' | 'DELETE', url: string, payload?: object) => {
    const options: InjectOptions = { method, url: `/api${url}`, headers: { host: 'localhost' } };
    const answer = await app.inject(payload === undefined ? options : { ...options, payload });
    return { status: answer.statusCode, body: answer.headers['content-type']?.toString().includes('json') ? answer.json() : answer.body };
  };

  test('the log is kept beside the job: sent twice without harm, what is left over is seen by other jobs until it is taken', async () => {
    const { id } = (await ask('POST', '/jobs', { name: 'Logged', system: 'metric' })).body;
    const entry = (k: number, data: object, more: object = {}) => ({
      id: `00000000-0000-4000-8000-0000000001${String(k).padStart(2, '0')}`,
      at: '2026-11-28T08:00:00.000Z',
      by: 'Wren',
      surfaceId: null,
      replaces: null,
      data,
      ...more,
    });
    const write = async (...entries: object[]) => (await ask('POST', `/jobs/${id}/entries`, { entries })).body;
    const hours = entry(1, { kind: 'hours', task: 'lay', hours: 6.5 });
    expect(await write(hours)).toEqual({ added: 1, entries: [hours] });
    expect(await write(hours)).toEqual({ added: 1, entries: [hours] });
    const far = entry(7, { kind: 'note', text: 'far east', pin: null }, { at: '2026-11-28T23:59:00+23:59' });
    expect((await write(far)).entries[0].at).toBe('2026-11-28T00:00:00.000Z');
    await write(entry(8, { kind: 'withdrawn' }, { replaces: far.id }));
    expect((await ask('GET', `/jobs/${id}/entries`)).body).toContainEqual(hours);
    expect((await write(entry(2, { kind: 'hours', task: 'lay', hours: 25 }))).code).toBe('request/invalid');
    const left = entry(3, { kind: 'leftOver', productId: 't', name: 'Quay', widthMm: 300, heightMm: 140, pieces: 3 });
    await write(left);
    const shelf = async () => (await ask('GET', '/shelf')).body.map((item: { name: string; pieces: number }) => [item.name, item.pieces]);
    expect(await shelf()).toEqual([['Quay', 3]]);
    await write(entry(4, { kind: 'taken', entryId: left.id, pieces: 2 }));
    expect(await shelf()).toEqual([['Quay', 1]]);
    await write(entry(5, { kind: 'withdrawn' }, { replaces: left.id }));
    expect(await shelf()).toEqual([]);
    expect((await ask('POST', '/jobs/no-such/entries', { entries: [entry(6, { kind: 'withdrawn' })] })).body.code).toBe('job/not-found');
  });

  test('a photo has an address of its own: kept once, named in the log, whole again in the job file, gone with the job', async () => {
    const { id } = (await ask('POST', '/jobs', { name: 'Pictured', system: 'metric' })).body;
    const bytes = Buffer.from('a picture of a wall '.repeat(2000));
    const image = `data:image/jpeg;base64,${bytes.toString('base64')}`;
    const photo = (k: number) => ({
      id: `00000000-0000-4000-8000-0000000002${String(k).padStart(2, '0')}`,
      at: '2026-11-28T08:00:00.000Z',
      by: '',
      surfaceId: null,
      replaces: null,
      data: { kind: 'photo', image, text: `${k}`, pin: null },
    });
    const { entries } = (await ask('POST', `/jobs/${id}/entries`, { entries: [photo(1), photo(2)] })).body;
    const [name, same] = entries.map(({ data }: { data: { image: string } }) => data.image);
    expect([name, same]).toEqual([expect.stringMatching(/^photo:[0-9a-f]{64}$/), name]);
    const [{ photos }] = await database.query<{ photos: number }>('SELECT count(*)::integer AS photos FROM photo WHERE job_id = $1::text', [
      id,
    ]);
    expect(photos).toBe(1);
    const shown = await app.inject({ url: `/api/jobs/${id}/photos/${name.slice(6)}`, headers: { host: 'localhost' } });
    expect([shown.rawPayload.equals(bytes), shown.headers['content-type']]).toEqual([true, 'image/jpeg']);
    expect((await ask('GET', `/jobs/${id}/photos/${'0'.repeat(64)}`)).body.code).toBe('photo/not-found');
    // Who looks since a count is told what came after it, and nothing twice.
    const first = (await ask('GET', `/jobs/${id}/entries?since=0`)).body;
    expect(first.records).toHaveLength(2);
    expect((await ask('GET', `/jobs/${id}/entries?since=${first.came}`)).body).toEqual({ records: [], came: first.came });
    await ask('POST', `/jobs/${id}/entries`, { entries: [photo(3)] });
    const next = (await ask('GET', `/jobs/${id}/entries?since=${first.came}`)).body;
    expect(next.records.map((entry: { id: string }) => entry.id)).toEqual([photo(3).id]);
    // The file of the job holds all of it, and reads back to it.
    const site = new SiteRepository(database, new JobRepository(database));
    const file = writeJobFile((await new JobRepository(database).find(id)).job, await site.findWhole(id));
    await ask('DELETE', `/jobs/${id}?baseVersion=1`);
    expect((await ask('GET', `/jobs/${id}/photos/${name.slice(6)}`)).status).toBe(404);
    const again = await app.inject({
      method: 'POST',
      url: '/api/jobs/import',
      headers: { host: 'localhost', 'content-type': 'application/octet-stream' },
      payload: file,
    });
    expect(again.json()).toEqual({ id });
    expect((await site.findWhole(id)).entries).toEqual([photo(1), photo(2), photo(3)]);
  });

  test('a first tick and how its pieces were counted arrive together or not at all', async () => {
    const jobs = new JobRepository(database);
    const site = new SiteRepository(database, jobs);
    const job = { ...jobOfOne({ size: [2314, 1000], tile: [297.5, 297.5], jointMm: 3 }), id: 'counted' };
    await jobs.insert(job);
    const [surface] = job.surfaces;
    const counted = [{ pattern: 'stack', origin: [0, 0] as [number, number], turnDeg: 0, firstCourse: 0, firsts: [] }];
    const setout = { x: { rule: 'free' as const, offsetMm: 100 }, y: { rule: 'fullFromStart' as const } };
    const first = {
      id: '00000000-0000-4000-8000-000000000301',
      surfaceId: surface.id,
      label: 'A1',
      state: 'cut' as const,
      turn: 1,
      kept: { counted, setout },
    };
    await expect(site.addTicks('counted', [{ ...first, id: 'none' }])).rejects.toThrow();
    expect((await jobs.find('counted')).job.surfaces[0].counted).toBeUndefined();
    for (let k = 0; k < 2; k++) await site.addTicks('counted', [first]);
    expect((await jobs.find('counted')).job.surfaces[0]).toMatchObject({ counted, setout });
    expect(await jobs.find('counted')).toMatchObject({ version: 2, undoLabel: 'labelsKept' });
    expect(await site.listTicks('counted')).toHaveLength(1);
    // Another phone's first tick changes nothing of it; of a surface that is gone, the tick alone is kept.
    const other = {
      ...first,
      id: '00000000-0000-4000-8000-000000000302',
      kept: { counted: [], setout: { ...setout, y: { rule: 'best' as const } } },
    };
    await site.addTicks('counted', [other, { ...other, id: '00000000-0000-4000-8000-000000000303', surfaceId: 'gone' }]);
    expect((await jobs.find('counted')).job.surfaces[0]).toMatchObject({ counted, setout });
    await expect(site.addTicks('no-such', [first])).rejects.toMatchObject({ code: 'job/not-found' });
  });

  test('ticks are kept beside the job: in any order, twice without harm, gone with it', async () => {
    const { id } = (await ask('POST', '/jobs', { name: 'Ticked', system: 'metric' })).body;
    const tick = (k: number, state: string, turn: number) => ({
      id: `00000000-0000-4000-8000-00000000000${k}`,
      surfaceId: 'wall',
      label: 'C7',
      state,
      turn,
    });
    const send = async (...ticks: object[]) => (await ask('POST', `/jobs/${id}/ticks`, { ticks })).body;
    expect(await send(tick(2, 'laid', 2))).toEqual([tick(2, 'laid', 2)]);
    expect(await send(tick(1, 'cut', 1), tick(2, 'laid', 2))).toEqual([tick(2, 'laid', 2)]);
    expect(await send(tick(3, 'open', 2))).toEqual([tick(2, 'laid', 2)]);
    expect((await send(tick(4, 'sawn', 3))).code).toBe('request/invalid');
    expect((await ask('POST', '/jobs/no-such/ticks', { ticks: [tick(5, 'cut', 1)] })).body.code).toBe('job/not-found');
    expect((await ask('GET', `/jobs/${id}`)).body.version).toBe(1);
    await ask('DELETE', `/jobs/${id}?baseVersion=1`);
    expect((await ask('GET', `/jobs/${id}/ticks`)).body).toEqual([]);
  });
});
