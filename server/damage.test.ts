import { afterAll, afterEach, beforeAll, expect, test } from '@jest/globals';
import { cpSync, mkdirSync, mkdtempSync, openSync, readdirSync, rmSync, statSync, writeSync, closeSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { writeJobFile } from '@azulejo/core/formats/jobFile';
import { emptyDatabase } from '../testing/databases.ts';
import { migrate } from './db/migrate.ts';
import { openPglite } from './db/openPglite.ts';
import { JobRepository } from './jobs/jobRepository.ts';
import { job, post, startedServers } from '../testing/startedServers.ts';

const { prepare, forget, endAll, serverOn, serving } = startedServers();
beforeAll(prepare);
afterAll(forget);
afterEach(endAll);

test('damaged pages: what can be read is rescued, the rest comes from the copies, nothing is thrown away', async () => {
  const first = await serving();
  const other = { ...job, id: 'other', name: 'Other' };
  await post(first, '/jobs/import', writeJobFile(other));
  const tick = { id: '00000000-0000-4000-8000-000000000001', surfaceId: 's', label: 'A1', state: 'cut', turn: 1 };
  expect((await post(first, '/jobs/other/ticks', { ticks: [tick] })).status).toBe(200);
  await first.end('SIGTERM');
  const copied = serverOn(first.folder);
  await copied.start();
  for (let tries = 0; tries < 100 && readdirSync(first.folder).every((name) => name !== 'copies'); tries++)
    await new Promise((resolve) => {
      setTimeout(resolve, 50);
    });
  await new Promise((resolve) => {
    setTimeout(resolve, 300);
  });
  await copied.end('SIGTERM');
  for (const path of tableFiles(join(first.folder, 'db/base'))) spoil(path);
  const after = serverOn(first.folder);
  await after.start();
  const list = (await (await fetch(`${after.address}/api/jobs`)).json()) as { name: string }[];
  expect(list.map(({ name }) => name).sort()).toEqual(['Other', 'Trial']);
  const note = (await (await fetch(`${after.address}/api/copies/rescue`)).json()) as { setAside: string };
  expect(statSync(note.setAside).isDirectory()).toBe(true);
  const copies = (await (await fetch(`${after.address}/api/copies`)).json()) as { day: string }[];
  const ticksOf = async (id: string): Promise<unknown> => (await fetch(`${after.address}/api/jobs/${id}/ticks`)).json();
  expect(await ticksOf('other')).toEqual([tick]);
  const again = await post(after, `/copies/${copies[0].day}/jobs/other`, {});
  expect(again.status).toBe(201);
  expect(await ticksOf(((await again.json()) as { id: string }).id)).toEqual([tick]);
});

/** Files of our own tables: those PostgreSQL numbers from 16384 on. */
function tableFiles(base: string): string[] {
  return readdirSync(base).flatMap((database) =>
    readdirSync(join(base, database))
      .filter((name) => /^\d+$/.test(name) && Number(name) >= 16384 && statSync(join(base, database, name)).size > 0)
      .map((name) => join(base, database, name)),
  );
}

function spoil(path: string): void {
  const file = openSync(path, 'r+');
  writeSync(file, Buffer.alloc(600, 0x5a), 0, 600, 3000);
  closeSync(file);
}

test('a power cut loses nothing that was answered', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'azulejo-power-'));
  const [data, disk] = [join(folder, 'data'), join(folder, 'disk')];
  // What reached the disk: each file as it was when it was last synced; all else is lost with the power.
  const onSynced = (path: string): void => {
    if (!statSync(path).isFile()) return;
    const target = path.replace(data, disk);
    mkdirSync(dirname(target), { recursive: true });
    cpSync(path, target);
  };
  await emptyDatabase(data);
  const made = await openPglite(data);
  await migrate(made);
  await made.close();
  cpSync(data, disk, { recursive: true });
  const database = await openPglite(data, { onSynced });
  const jobs = new JobRepository(database);
  await jobs.insert(job);
  for (let version = 1; version <= 40; version++) {
    const edits = [{ op: 'set' as const, path: ['name'], value: `Saved ${version}` }];
    await jobs.makeChange('job', version, { id: `c${version}`, label: 'Name', edits });
    if (version === 20) await database.run('CHECKPOINT');
  }
  const together = Array.from({ length: 8 }, (_, k) => jobs.insert({ ...job, id: `job-${k}` }));
  await Promise.all(together);
  // No close: the power goes here.
  const after = await openPglite(disk);
  const { job: found } = await new JobRepository(after).find('job');
  expect([found.name, (await new JobRepository(after).list()).length]).toEqual(['Saved 40', 9]);
  await Promise.all([after.close(), database.close()]);
  rmSync(folder, { recursive: true, force: true });
});
