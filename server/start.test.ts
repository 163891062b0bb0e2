import { afterAll, afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { mkdtempSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { get } from 'node:https';
import { connect } from 'node:net';
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
});

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
});

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
});

test('a server whose words nobody hears any more goes on', async () => {
  const server = await serving();
  server.goDeaf();
  // Twice: the first word finds the pipe closed, the second would find it broken.
  for (let k = 0; k < 3; k++) rmSync(join(server.folder, 'lock'), { force: true });
  for (let k = 0; k < 3; k++) expect((await rename(server, `Lost ${k}`, 1)).status).toBe(500);
  expect((await fetch(`${server.address}/api/docs`)).status).toBe(200);
});

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
});
