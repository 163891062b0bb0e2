import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { FastifyInstance, InjectOptions } from 'fastify';
import { buildApp } from '../app.ts';
import type { Database } from '../db/database.ts';
import { migrate } from '../db/migrate.ts';
import { openPglite } from '../db/openPglite.ts';

let database: Database;
let app: FastifyInstance;

beforeAll(async () => {
  database = await openPglite(null);
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
  expect(await write(hours)).toEqual({ added: 1 });
  expect(await write(hours)).toEqual({ added: 1 });
  expect((await ask('GET', `/jobs/${id}/entries`)).body).toEqual([hours]);
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
