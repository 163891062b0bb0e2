import { afterAll, afterEach, beforeAll, expect, test } from '@jest/globals';
import { get } from 'node:https';
import { connect } from 'node:net';
import { startedServers } from '../testing/startedServers.ts';

const { prepare, forget, endAll, prepared, serverOn, serving } = startedServers();
beforeAll(prepare);
afterAll(forget);
afterEach(endAll);

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
