import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import type { FastifyInstance, InjectOptions } from 'fastify';
import { editJob } from '@azulejo/core/job/edit/editJob';
import type { Glance } from '@azulejo/core/formats/glance';
import { writeJobFile } from '@azulejo/core/formats/jobFile';
import { JOB_VERSION, type Job } from '@azulejo/core/job/job';
import { plan } from '@azulejo/core/plan';
import { jobOfOne } from '@azulejo/core/samples/testJob';
import { buildApp, type AppOptions } from './app.ts';
import type { Database } from './db/database.ts';
import { migrate, migrationNames } from './db/migrate.ts';
import { bringJobsForward } from './jobs/bringJobsForward.ts';
import { newPglite, type TestPlace } from '../testing/databases.ts';
import { JobRepository } from './jobs/jobRepository.ts';
import { takeGlance } from './work/takeGlance.ts';
import { writeExport } from './work/writeExport.ts';
import { ApiError } from './errors/apiError.ts';
import { ERRORS } from './errors/catalogue.ts';

let place: TestPlace;
let database: Database;
let app: FastifyInstance;
/** How often a job was planned for its glance. */
let glances = 0;
const options = (on: Database): AppOptions => ({
  database: on,
  writeExport,
  takeGlance: (task) => {
    glances++;
    return takeGlance(task);
  },
  copies: null,
  webFolder: null,
  requestsPerMinute: null,
  welcome: { hostNames: new Set(['localhost']), publicOrigins: ['https://setout.example'] },
});
const job: Job = { ...jobOfOne({ size: [2314, 1000], tile: [297.5, 297.5], jointMm: 3 }), id: 'wall' };

beforeAll(async () => {
  place = await newPglite();
  database = await place.open();
  await migrate(database);
  app = await buildApp(options(database));
}, 60_000);
afterAll(async () => {
  await app.close();
  await database.close();
  await place.remove();
});

const ask = async (method: 'GET' | 'POST' | 'DELETE', url: string, payload?: object | string, headers: Record<string, string> = {}) => {
  const type = typeof payload === 'string' ? { 'content-type': 'application/octet-stream' } : {};
  const options: InjectOptions = { method, url: `/api${url}`, headers: { host: 'localhost', ...type, ...headers } };
  const answer = await app.inject(payload === undefined ? options : { ...options, payload });
  return {
    status: answer.statusCode,
    body: answer.headers['content-type']?.toString().includes('json') ? answer.json() : answer.body,
    raw: answer.rawPayload,
    headers: answer.headers,
  };
};
let sent = 0;
const changeOf = (from: Job, label: string, recipe: (draft: Job) => void) => ({
  id: `change-${++sent}`,
  ...editJob(from, 'joint', recipe).change,
  label,
});
const rename = (from: Job, name: string) =>
  changeOf(from, `Name ${name}`, (draft) => {
    draft.name = name;
  });

test('a job stored by an older version is brought forward, without the history it can no longer follow', async () => {
  const old = {
    ...job,
    id: 'old',
    version: 1,
    surfaces: [
      {
        ...job.surfaces[0],
        measured: {
          ...job.surfaces[0].measured,
          fixtures: [
            { id: 'p', name: 'Pipe', outline: { kind: 'round', diameterMm: 60 }, fromX: 'right', xMm: 400, fromY: 'top', yMm: 300 },
          ],
        },
      },
    ],
  };
  const jobs = new JobRepository(database);
  await jobs.insert(old as unknown as Job);
  expect(await bringJobsForward(database, jobs)).toBe(1);
  expect(await bringJobsForward(database, jobs)).toBe(0);
  const { body } = await ask('GET', '/jobs/old');
  expect(body).toMatchObject({ version: 2, undoLabel: null, job: { version: JOB_VERSION } });
  expect(body.job.surfaces[0].measured.fixtures[0].from).toEqual([
    { edge: 'right', mm: 400 },
    { edge: 'top', mm: 300 },
  ]);
  await ask('DELETE', '/jobs/old?baseVersion=2');
});

describe('a job is kept with its history', () => {
  test('imported, read back, changed, undone and redone', async () => {
    expect(await ask('POST', '/jobs/import', writeJobFile(job))).toMatchObject({ status: 201, body: { id: 'wall' } });
    const first = (await ask('GET', '/jobs/wall')).body;
    expect(first).toEqual({ job, version: 1, undoLabel: null, redoLabel: null, last: null, changed: [], made: false });
    const changed = await ask('POST', '/jobs/wall/changes', { baseVersion: 1, change: rename(job, 'North') });
    expect(changed.body).toMatchObject({ version: 2, undoLabel: 'Name North', redoLabel: null });
    expect((await ask('POST', '/jobs/wall/undo', { baseVersion: 2 })).body).toMatchObject({
      version: 3,
      undoLabel: null,
      redoLabel: 'Name North',
      job: { name: 'Trial' },
    });
    expect((await ask('POST', '/jobs/wall/redo', { baseVersion: 3 })).body).toMatchObject({ version: 4, job: { name: 'North' } });
    expect((await ask('POST', '/jobs/wall/redo', { baseVersion: 4 })).body.code).toBe('job/nothing-to-redo');
  });

  test('a change built on an old version is refused and overwrites nothing', async () => {
    expect(await ask('POST', '/jobs/wall/changes', { baseVersion: 1, change: rename(job, 'Lost') })).toMatchObject({
      status: 409,
      body: { code: 'job/changed-elsewhere', version: 4 },
    });
    expect((await ask('GET', '/jobs/wall')).body.job.name).toBe('North');
  });

  test('two writers at once: one wins, the other is told', async () => {
    const answers = await Promise.all(
      ['A', 'B'].map((name) => ask('POST', '/jobs/wall/changes', { baseVersion: 4, change: rename(job, name) })),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
  });

  test('a change that makes the job untrue is refused at its field', async () => {
    const change = changeOf(job, 'Joint', (draft) => {
      draft.surfaces[0].jointMm = 400;
    });
    const { status, body } = await ask('POST', '/jobs/wall/changes', { baseVersion: 5, change });
    expect(status).toBe(422);
    expect(body.issues).toEqual([
      { path: ['surfaces', 0, 'jointMm'], code: 'joint/wider-than-tile', message: expect.stringContaining('297.5 mm') },
    ]);
    expect((await ask('GET', '/jobs/wall')).body).toMatchObject({ version: 5, redoLabel: null });
  });

  test('the same file again becomes another job', async () => {
    const { body } = await ask('POST', '/jobs/import', writeJobFile(job));
    expect(body.id).not.toBe('wall');
    expect((await ask('GET', '/jobs')).body).toHaveLength(2);
    expect((await ask('DELETE', `/jobs/${body.id}?baseVersion=1`)).status).toBe(204);
    expect((await ask('GET', '/jobs')).body).toHaveLength(1);
  });
});

test.each([
  ['{"format":', 'file/cut-short'],
  ['{"format":"azulejo-job","version":9}', 'file/newer-version'],
  ['[1]', 'file/not-a-job'],
])('a file that is no job is refused by its content: %s', async (text, code) => {
  const { status, body } = await ask('POST', '/jobs/import', text);
  expect([status, body.issues[0].code]).toEqual([422, code]);
});

test('exports agree with the plan', async () => {
  const current: Job = (await ask('GET', '/jobs/wall')).body.job;
  const {
    surfaces: [surface],
    materials,
  } = plan(current);
  const cuts = String((await ask('GET', '/jobs/wall/exports/cuts?surface=s')).body)
    .trim()
    .split('\n');
  expect(cuts).toHaveLength(surface.totals.cut + 1);
  const order = String((await ask('GET', '/jobs/wall/exports/order')).body);
  expect(order).toContain(`,${materials[0].quantity},pieces,${materials[0].packs[0].count},`);
  const file = await ask('GET', '/jobs/wall/exports/job');
  expect(file.body).toEqual(current);
  const paper = await ask('GET', '/jobs/wall/exports/paper?surface=s');
  expect(paper.raw.subarray(0, 5).toString()).toBe('%PDF-');
  expect(paper.headers['content-disposition']).toContain('.pdf');
  expect((await ask('GET', '/jobs/wall/exports/paper?surface=no')).body.code).toBe('surface/not-found');
  expect((await ask('GET', '/jobs/wall/exports/__proto__')).body.code).toBe('export/not-found');
});

test('a glance is taken once for each state of a job, and again after a change or when another job has its place', async () => {
  const thin = {
    ...job,
    id: 'glance',
    surfaces: [{ ...job.surfaces[0], setout: { x: { rule: 'free', offsetMm: 20 }, y: { rule: 'best' } } }],
  } as Job;
  const read = async () => (await ask('GET', '/jobs/glance/glance?sketch=s')).body as Glance;
  await ask('POST', '/jobs/import', writeJobFile(thin));
  const taken = glances;
  expect([await read(), await read()].map(({ attention }) => attention.map(({ surfaceId }) => surfaceId))).toEqual([['s'], ['s']]);
  expect(glances - taken).toBe(1);
  const laid = changeOf(thin, 'Laid', (draft) => {
    draft.surfaces[0].laid = true;
  });
  await ask('POST', '/jobs/glance/changes', { baseVersion: 1, change: laid });
  expect((await read()).attention).toEqual([]);
  expect((await ask('GET', '/jobs')).body).toContainEqual(expect.objectContaining({ id: 'glance', surfaceCount: 1, laidCount: 1 }));
  await ask('DELETE', '/jobs/glance?baseVersion=2');
  expect((await ask('GET', '/jobs/glance/glance')).status).toBe(404);
  await ask('POST', '/jobs/import', writeJobFile(thin));
  expect((await read()).attention).toHaveLength(1);
});

test('a glance that can not be taken is not tried again before the job changes; one that had no turn is', async () => {
  const failing = async (code: 'work/too-long' | 'server/busy'): Promise<number> => {
    let tries = 0;
    const own = await buildApp({
      ...options(database),
      takeGlance: () => {
        tries++;
        return Promise.reject(new ApiError(code));
      },
    });
    const read = () => own.inject({ method: 'GET', url: '/api/jobs/wall/glance', headers: { host: 'localhost' } });
    expect([(await read()).statusCode, (await read()).statusCode]).toEqual([503, 503]);
    await own.close();
    return tries;
  };
  expect([await failing('work/too-long'), await failing('server/busy')]).toEqual([1, 2]);
});

describe('who may ask', () => {
  test.each([
    ['a page of another site', { origin: 'http://elsewhere.example' }],
    ['a foreign name for this machine', { host: 'elsewhere.example' }],
    ['what another site has the browser fetch', { 'sec-fetch-site': 'cross-site' }],
  ])('%s is refused', async (_, headers) => {
    expect((await ask('POST', '/jobs', { name: 'X', system: 'metric' }, headers)).body.code).toBe('request/foreign-origin');
  });
  test('a proxy in front sends its own origin', async () => {
    const { status } = await ask('POST', '/jobs/none/undo', { baseVersion: 1 }, { origin: 'https://setout.example' });
    expect(status).toBe(404);
  });
  test('scripts only from here, styles with a nonce', async () => {
    const policy = String((await ask('GET', '/jobs')).headers['content-security-policy']);
    expect(policy).toContain("default-src 'none'");
    expect(policy).not.toMatch(/unsafe/);
  });
  test('a body over the limit', async () => {
    expect((await ask('POST', '/jobs', { name: 'X'.repeat(9_000_000), system: 'metric' })).body.code).toBe('request/too-large');
  });
});

test('a full disk is told as such and nothing is half saved', async () => {
  const full: Database = {
    ...database,
    query: () => Promise.reject(Object.assign(new Error('could not extend file'), { code: '53100' })),
  };
  const broken = await buildApp(options(full));
  const answer = await broken.inject({
    method: 'POST',
    url: '/api/jobs/wall/undo',
    headers: { host: 'localhost' },
    payload: { baseVersion: 5 },
  });
  expect([answer.statusCode, answer.json().code]).toEqual([507, 'storage/full']);
  expect((await ask('GET', '/jobs/wall')).body.version).toBe(5);
});

test('migrations run once, in order, and a newer folder is refused', async () => {
  expect(await migrate(database)).toEqual([]);
  const ran = await database.query<{ name: string }>('SELECT name FROM migration ORDER BY name');
  expect(ran.map(({ name }) => name)).toEqual(migrationNames());
  await database.query("INSERT INTO migration (name) VALUES ('999_later.sql')");
  await expect(migrate(database)).rejects.toThrow(/newer Azulejo.*999_later/);
  await database.query("DELETE FROM migration WHERE name = '999_later.sql'");
});

test('the catalogue of errors is the one in the documentation, and the API describes itself', async () => {
  const text = readFileSync(new URL('../docs/server.md', import.meta.url), 'utf8');
  const documented = [...text.matchAll(/^\| `([a-z-]+\/[a-z-]+)` \| (\d+) \|/gm)].map(([, code, status]) => [code, Number(status)]);
  expect(documented).toEqual(Object.entries(ERRORS).map(([code, { status }]) => [code, status]));
  expect(Object.keys((await ask('GET', '/docs')).body.paths)).toContain('/api/jobs/{id}/changes');
});
