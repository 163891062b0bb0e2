import { afterAll, afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { mkdtempSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { writeJobFile } from '@azulejo/core/formats/jobFile';
import { RunningServer } from './running.ts';
import { job, post, startedServers } from '../testing/startedServers.ts';

const { prepare, forget, endAll, prepared, serverOn, serving } = startedServers();
beforeAll(prepare);
afterAll(forget);
afterEach(endAll);

interface Latest {
  readonly job: { readonly name: string };
  readonly version: number;
}
const latest = async (server: RunningServer): Promise<Latest> => (await (await fetch(`${server.address}/api/jobs/job`)).json()) as Latest;
const nameNow = async (server: RunningServer): Promise<string> => (await latest(server)).job.name;
const rename = async (server: RunningServer, name: string, version?: number) =>
  post(server, '/jobs/job/changes', {
    baseVersion: version ?? (await latest(server)).version,
    change: { id: `to-${name}`, label: 'Name', edits: [{ op: 'set', path: ['name'], value: name }] },
  });

describe('one that runs', () => {
  const first = new RunningServer();
  beforeAll(async () => {
    await first.copyFrom(prepared.folder).start();
    await post(first, '/jobs/import', writeJobFile(job));
  });
  afterAll(() => first.remove());

  test('a second server can not take the folder: while the first runs, while it is stopped, on another port', async () => {
    await expect(new RunningServer(first.folder).start()).rejects.toThrow(/in use by another Azulejo/);
    first.signal('SIGSTOP');
    await expect(new RunningServer(first.folder).start()).rejects.toThrow(/in use by another Azulejo/);
    first.signal('SIGCONT');
    expect((await rename(first, 'Kept')).status).toBe(200);
    expect(await nameNow(first)).toBe('Kept');
  });

  test('the port is taken before the data is touched', async () => {
    const other = serverOn();
    const { port } = new URL(first.address);
    await expect(other.start('--port', port)).rejects.toThrow(/the port is taken/);
    expect(readdirSync(other.folder)).toEqual([]);
  });

  test('exports come one after the other from a thread of their own, and saves go on meanwhile', async () => {
    const kinds = ['job', 'order', 'cuts?surface=s', 'plan', 'paper?surface=s'];
    const exports = Promise.all(kinds.map(async (kind) => (await fetch(`${first.address}/api/jobs/job/exports/${kind}`)).status));
    expect((await rename(first, 'Saved meanwhile')).status).toBe(200);
    expect(await exports).toEqual(kinds.map(() => 200));
  });

  test('the folder is its owner’s alone, and what can not be one is said in words', async () => {
    const files = ['', ...readdirSync(first.folder, { recursive: true, encoding: 'utf8' })];
    expect(files.filter((name) => statSync(join(first.folder, name)).mode & 0o077)).toEqual([]);
    const file = join(mkdtempSync(join(tmpdir(), 'azulejo-')), 'file');
    writeFileSync(file, '');
    await expect(serverOn(file).start()).rejects.toThrow(/expected a folder/);
  });

  test('after a kill the next start has all that was answered, at once', async () => {
    expect((await rename(first, 'Answered')).status).toBe(200);
    await first.end('SIGKILL');
    const second = new RunningServer(first.folder);
    await second.start();
    expect(await nameNow(second)).toBe('Answered');
    await second.end();
  });
});

test('a server whose lock was taken away writes nothing more', async () => {
  const first = await serving();
  rmSync(join(first.folder, 'lock'));
  expect((await rename(first, 'Lost', 1)).status).toBe(500);
  const second = serverOn(first.folder);
  await first.end('SIGKILL');
  await second.start();
  expect(await nameNow(second)).toBe('Trial');
});

test('a server whose words nobody hears any more goes on', async () => {
  const server = await serving();
  server.goDeaf();
  // Twice: the first word finds the pipe closed, the second would find it broken.
  for (let k = 0; k < 3; k++) rmSync(join(server.folder, 'lock'), { force: true });
  for (let k = 0; k < 3; k++) expect((await rename(server, `Lost ${k}`, 1)).status).toBe(500);
  expect((await fetch(`${server.address}/api/docs`)).status).toBe(200);
});
