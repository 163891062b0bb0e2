import { afterAll, afterEach, beforeAll, expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, openSync, readdirSync, rmSync, statSync, writeFileSync, writeSync, closeSync } from 'node:fs';
import { get } from 'node:https';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { writeJobFile } from '@azulejo/core/formats/jobFile';
import { jobOfOne } from '@azulejo/core/samples/testJob';
import { emptyDatabase } from '../testing/databases.ts';
import { migrate } from './db/migrate.ts';
import { openPglite } from './db/openPglite.ts';
import { JobRepository } from './jobs/jobRepository.ts';
import { RunningServer } from './running.ts';

const ROOT = fileURLToPath(new URL('..', import.meta.url));
const job = jobOfOne({ size: [2314, 1000], tile: [297.5, 297.5], jointMm: 3 });
const open: RunningServer[] = [];
const prepared = new RunningServer();
const serverOn = (folder?: string): RunningServer => {
  const server = new RunningServer(folder);
  open.push(server);
  return server;
};

beforeAll(async () => {
  // The whole run of tests has built it already.
  if (!process.env.AZULEJO_BUILT) {
    const { status } = spawnSync(process.execPath, ['scripts/build.mjs', 'server', 'web'], { cwd: ROOT, stdio: 'inherit' });
    if (status !== 0) throw new Error('the server could not be built');
  }
  await emptyDatabase(join(prepared.folder, 'db'));
  await prepared.start();
  await prepared.end('SIGTERM');
}, 300_000);
afterAll(() => prepared.remove());
afterEach(async () => {
  const servers = open.splice(0);
  // Two may have had one folder.
  await Promise.all(servers.map((server) => server.end()));
  for (const server of servers) await server.remove();
});

const post = (server: RunningServer, url: string, body: object | string) =>
  fetch(`${server.address}/api${url}`, {
    method: 'POST',
    headers: { 'content-type': typeof body === 'string' ? 'application/octet-stream' : 'application/json' },
    body: typeof body === 'string' ? body : JSON.stringify(body),
  });
const rename = (server: RunningServer, version: number, name: string) =>
  post(server, '/jobs/job/changes', {
    baseVersion: version,
    change: { id: `to-${name}`, label: 'Name', edits: [{ op: 'set', path: ['name'], value: name }] },
  });
const nameNow = async (server: RunningServer): Promise<string> =>
  ((await (await fetch(`${server.address}/api/jobs/job`)).json()) as { job: { name: string } }).job.name;

/** A running server with one job. */
async function serving(...flags: string[]): Promise<RunningServer> {
  const server = serverOn().copyFrom(prepared.folder);
  await server.start(...flags);
  expect((await post(server, '/jobs/import', writeJobFile(job))).status).toBe(201);
  return server;
}

test('a second server can not take the folder: while the first runs, while it is stopped, on another port', async () => {
  const first = await serving();
  await expect(serverOn(first.folder).start()).rejects.toThrow(/in use by another Azulejo/);
  first.signal('SIGSTOP');
  await expect(serverOn(first.folder).start()).rejects.toThrow(/in use by another Azulejo/);
  first.signal('SIGCONT');
  expect((await rename(first, 1, 'Kept')).status).toBe(200);
  expect(await nameNow(first)).toBe('Kept');
}, 60_000);

test('after a kill the next start has all that was answered, at once', async () => {
  const first = await serving();
  expect((await rename(first, 1, 'Answered')).status).toBe(200);
  await first.end('SIGKILL');
  const second = serverOn(first.folder);
  await second.start();
  expect(await nameNow(second)).toBe('Answered');
}, 60_000);

test('a server whose lock was taken away writes nothing more', async () => {
  const first = await serving();
  rmSync(join(first.folder, 'lock'));
  expect((await rename(first, 1, 'Lost')).status).toBe(500);
  const second = serverOn(first.folder);
  await first.end('SIGKILL');
  await second.start();
  expect(await nameNow(second)).toBe('Trial');
}, 60_000);

test('the port is taken before the data is touched', async () => {
  const first = await serving();
  const other = serverOn();
  const { port } = new URL(first.address);
  await expect(other.start('--port', port)).rejects.toThrow(/the port is taken/);
  expect(readdirSync(other.folder)).toEqual([]);
}, 60_000);

test('phones that ask all the time while the server starts are told to wait, and answered once it is there', async () => {
  const server = serverOn().copyFrom(prepared.folder);
  await server.start();
  const { port } = new URL(server.address);
  await server.end('SIGTERM');
  const seen = new Set<number>();
  let asking = true;
  const ask = async (): Promise<void> => {
    while (asking) {
      const answer = await fetch(`http://127.0.0.1:${port}/api/jobs`).catch(() => null);
      if (answer) seen.add(answer.status);
      await answer?.text().catch(() => '');
      await new Promise((resolve) => setTimeout(resolve));
    }
  };
  const phones = Array.from({ length: 8 }, ask);
  try {
    await server.start('--port', port);
    for (let k = 0; k < 400 && !seen.has(200); k++) await new Promise((resolve) => setTimeout(resolve, 5));
  } finally {
    asking = false;
    await Promise.all(phones);
  }
  expect([...seen].sort()).toEqual([200, 503]);
}, 60_000);

test('a body that is sent by half does not keep the server from ending within its time', async () => {
  const server = await serving();
  const { port } = new URL(server.address);
  const half = connect(Number(port), '127.0.0.1');
  half.on('error', () => undefined);
  half.write('POST /api/jobs HTTP/1.1\r\nhost: localhost\r\ncontent-type: application/json\r\ncontent-length: 100\r\n\r\n{');
  await new Promise((resolve) => {
    setTimeout(resolve, 300);
  });
  const gone = server.end('SIGTERM').then(() => 'ended');
  const late = new Promise((resolve) => {
    setTimeout(() => resolve('late'), 10_000).unref();
  });
  expect(await Promise.race([gone, late])).toBe('ended');
}, 60_000);

test('exports come one after the other from a thread of their own, and saves go on meanwhile', async () => {
  const server = await serving();
  const kinds = ['job', 'order', 'cuts?surface=s', 'plan', 'paper?surface=s'];
  const exports = Promise.all(kinds.map(async (kind) => (await fetch(`${server.address}/api/jobs/job/exports/${kind}`)).status));
  expect((await rename(server, 1, 'Saved meanwhile')).status).toBe(200);
  expect(await exports).toEqual(kinds.map(() => 200));
}, 60_000);

test('the folder is its owner’s alone, and what can not be one is said in words', async () => {
  const server = await serving();
  const files = ['', ...readdirSync(server.folder, { recursive: true, encoding: 'utf8' })];
  expect(files.filter((name) => statSync(join(server.folder, name)).mode & 0o077)).toEqual([]);
  const file = join(mkdtempSync(join(tmpdir(), 'azulejo-')), 'file');
  writeFileSync(file, '');
  await expect(serverOn(file).start()).rejects.toThrow(/expected a folder/);
}, 60_000);

test('over TLS with a certificate that it makes, kept from start to start, for every name it is asked by', async () => {
  const server = serverOn().copyFrom(prepared.folder);
  const ask = (path: string, ca?: string): Promise<{ status: number; body: string }> =>
    new Promise((resolve, reject) => {
      const { hostname, port } = new URL(server.address);
      get({ hostname, port, path, ...(ca ? { ca } : { rejectUnauthorized: false }) }, (answer) => {
        let body = '';
        answer.on('data', (chunk: Buffer) => (body += chunk.toString()));
        answer.on('end', () => resolve({ status: answer.statusCode ?? 0, body }));
      }).on('error', reject);
    });
  await server.start('--tls');
  expect(server.address).toMatch(/^https:/);
  const { body: certificate } = await ask('/api/certificate');
  expect((await ask('/api/jobs', certificate)).status).toBe(200);
  await server.end('SIGTERM');
  await server.start('--tls', '--host', '127.0.0.1');
  expect((await ask('/api/certificate', certificate)).body).toBe(certificate);
  await expect(serverOn().start('--tls-cert', '/nowhere')).rejects.toThrow(/both files of a certificate/);
  await expect(serverOn().start('--tls-cert', '/nowhere', '--tls-key', '/nowhere')).rejects.toThrow(/expected a certificate or key in PEM/);
}, 60_000);

test('a server whose words nobody hears any more goes on', async () => {
  const server = await serving();
  server.goDeaf();
  // Twice: the first word finds the pipe closed, the second would find it broken.
  for (let k = 0; k < 3; k++) rmSync(join(server.folder, 'lock'), { force: true });
  for (let k = 0; k < 3; k++) expect((await rename(server, 1, `Lost ${k}`)).status).toBe(500);
  expect((await fetch(`${server.address}/api/docs`)).status).toBe(200);
}, 60_000);

test('listening beyond this machine is warned of, names from outside are not answered', async () => {
  const server = await serving('--host', '0.0.0.0');
  expect(server.said).toMatch(/WARNING: whoever reaches this address/);
  const { port } = new URL(server.address);
  const status = (host: string): Promise<string> =>
    new Promise((resolve) => {
      const socket = connect(Number(port), '127.0.0.1', () =>
        socket.write(`GET /api/jobs HTTP/1.1\r\nhost: ${host}\r\nconnection: close\r\n\r\n`),
      );
      socket.once('data', (data) => resolve(data.toString().slice(9, 12)));
    });
  expect([await status('rebound.example'), await status('127.0.0.1')]).toEqual(['403', '200']);
}, 60_000);

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
}, 90_000);

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
}, 90_000);
