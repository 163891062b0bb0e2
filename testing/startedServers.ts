import { expect } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { writeJobFile } from '@azulejo/core/formats/jobFile';
import { jobOfOne } from '@azulejo/core/samples/testJob';
import { emptyDatabase } from './databases.ts';
import { RunningServer } from '../server/running.ts';

const ROOT = fileURLToPath(new URL('..', import.meta.url));

/** The job that servers in tests keep. */
export const job = jobOfOne({ size: [2314, 1000], tile: [297.5, 297.5], jointMm: 3 });

/** Sends a job, or the text of its file, to a server. */
export const post = (server: RunningServer, url: string, body: object | string) =>
  fetch(`${server.address}/api${url}`, {
    method: 'POST',
    headers: { 'content-type': typeof body === 'string' ? 'application/octet-stream' : 'application/json' },
    body: typeof body === 'string' ? body : JSON.stringify(body),
  });

/** Servers of one file of tests: each starts on a copy of a folder that was started before, and is gone after its test. */
export function startedServers() {
  const open: RunningServer[] = [];
  const prepared = new RunningServer();
  const serverOn = (folder?: string): RunningServer => {
    const server = new RunningServer(folder);
    open.push(server);
    return server;
  };
  return {
    prepared,
    serverOn,
    async prepare(): Promise<void> {
      // The whole run of tests has built it already.
      if (!process.env.AZULEJO_BUILT) {
        const { status } = spawnSync(process.execPath, ['scripts/build.mjs', 'server', 'web'], { cwd: ROOT, stdio: 'inherit' });
        if (status !== 0) throw new Error('the server could not be built');
      }
      await emptyDatabase(join(prepared.folder, 'db'));
      await prepared.start();
      await prepared.end('SIGTERM');
    },
    forget: (): Promise<void> => prepared.remove(),
    async endAll(): Promise<void> {
      const servers = open.splice(0);
      // Two may have had one folder.
      await Promise.all(servers.map((server) => server.end()));
      for (const server of servers) await server.remove();
    },
    /** A running server with one job. */
    async serving(...flags: string[]): Promise<RunningServer> {
      const server = serverOn().copyFrom(prepared.folder);
      await server.start(...flags);
      expect((await post(server, '/jobs/import', writeJobFile(job))).status).toBe(201);
      return server;
    },
  };
}
