import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { closeSync, cpSync, existsSync, mkdtempSync, openSync, rmSync, writeSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { jobOfOne } from '@azulejo/core/samples/testJob';
import { emptyDatabase } from '../../testing/databases.ts';
import { trials } from '../../testing/trials.ts';
import { migrate } from '../db/migrate.ts';
import { openPglite } from '../db/openPglite.ts';
import { JobRepository } from '../jobs/jobRepository.ts';
import { SiteRepository } from '../site/siteRepository.ts';
import { CopyFolder } from './copyFolder.ts';
import { openOrRescue } from './rescue.ts';

const job = jobOfOne({ size: [2314, 1000], tile: [297.5, 297.5], jointMm: 3 });
const tick = { id: '00000000-0000-4000-8000-000000000001', surfaceId: 's', label: 'A1', state: 'cut', turn: 1 } as const;
const image = `data:image/png;base64,${Buffer.from('a picture').toString('base64')}`;
const photo = { kind: 'photo', image, text: '', pin: null } as const;
const site = {
  ticks: [tick],
  entries: [{ id: tick.id, at: '2026-11-28T08:00:00.000Z', by: '', surfaceId: null, replaces: null, data: photo }],
};
const LATER = 30;
const folder = mkdtempSync(join(tmpdir(), 'azulejo-damage-'));
/** An empty database: a copy of it stands sooner than a new one. */
const empty = join(folder, 'empty');
const paths = new Map<string, string>();
const TABLES = ['job', 'surface', 'product', 'job_change', 'tick', 'entry', 'photo', 'site_count'];

beforeAll(async () => {
  await emptyDatabase(empty);
  const first = await openPglite(empty);
  await migrate(first);
  await first.close();
  cpSync(empty, join(folder, 'db'), { recursive: true });
  const made = await openPglite(join(folder, 'db'));
  const jobs = new JobRepository(made);
  const beside = new SiteRepository(made, jobs);
  await jobs.insert({ ...job, id: 'copied', name: 'Copied' });
  await beside.bringBack('copied', site);
  await new CopyFolder(folder).copyAll(jobs, beside, '2026-11-28');
  // Made after the copy, and enough that they fill several pages: the last one lies on the last of them.
  for (let k = 1; k <= LATER; k++) {
    await jobs.insert({ ...job, id: `later-${k}`, name: `Later ${k}` });
    await jobs.makeChange(`later-${k}`, 1, { id: 'c', label: 'Client', edits: [{ op: 'set', path: ['client'], value: 'Somebody' }] });
  }
  await beside.bringBack(`later-${LATER}`, site);
  for (const table of TABLES)
    paths.set(table, (await made.query<{ path: string }>('SELECT pg_relation_filepath($1::text) AS path', [table]))[0].path);
  await made.close();
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** Where every run looks; the others are looked at when all cases are tried. */
const EVERY_RUN = ['surface', 'entry'];

test.each(trials(3) < 3 ? EVERY_RUN : TABLES)('a damaged page of %s costs nothing that can be read, nor what a copy has', async (table) => {
  const data = mkdtempSync(join(tmpdir(), 'azulejo-damaged-'));
  cpSync(folder, data, { recursive: true });
  const file = openSync(join(data, 'db', paths.get(table) ?? ''), 'r+');
  writeSync(file, Buffer.alloc(600, 0x5a), 0, 600, 3000);
  closeSync(file);
  const open = (path: string) => {
    if (!existsSync(path)) cpSync(empty, path, { recursive: true });
    return openPglite(path);
  };
  const { database, rescued } = await openOrRescue(join(data, 'db'), open, new CopyFolder(data));
  const jobs = new JobRepository(database);
  const beside = new SiteRepository(database, jobs);
  expect(rescued).not.toBeNull();
  expect((await jobs.find('copied')).job).toEqual({ ...job, id: 'copied', name: 'Copied' });
  expect(await beside.findWhole('copied')).toEqual(site);
  const last = await jobs.find(`later-${LATER}`);
  // Of this job there is no copy: it stands because what can be read of it is read, whatever its neighbours are.
  if (!['tick', 'entry', 'photo'].includes(table)) expect(await beside.findWhole(`later-${LATER}`)).toEqual(site);
  expect({ ...last.job, products: [], surfaces: [] }).toEqual({
    ...job,
    id: `later-${LATER}`,
    name: `Later ${LATER}`,
    client: 'Somebody',
    products: [],
    surfaces: [],
  });
  if (table !== 'product' && table !== 'surface') expect(last.job).toMatchObject({ products: job.products, surfaces: job.surfaces });
  // What lay on the damaged page and in no copy is told by name; nothing else is lost.
  const whole = (await Promise.all((await jobs.list()).map(async ({ id }) => (await jobs.find(id)).job))).filter(
    ({ surfaces, products }) => surfaces.length + products.length === 2,
  );
  expect((await jobs.list()).length).toBe(LATER + 1);
  expect(whole.length + (rescued?.lost.length ?? 0)).toBe(LATER + 1);
  await database.close();
  rmSync(data, { recursive: true, force: true });
});
