import autocannon from 'autocannon';
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { editJob } from '@azulejo/core/job/edit';
import { writeJobFile } from '@azulejo/core/formats/jobFile';
import type { Job } from '@azulejo/core/job/job';
import { jobOfOne } from '@azulejo/core/trials/testJob';

const WRITERS = 8;
const SECONDS = 4;

/** What the server did, each writer on a job of its own. */
export interface ServerRow {
  readonly savesPerSecond: number;
  readonly loadsPerSecond: number;
  /** Saves answered and not found again; must be none. */
  readonly lost: number;
}

/** Times saving and loading through the real server on a folder of its own. */
export async function benchServer(): Promise<ServerRow> {
  const folder = mkdtempSync(join(tmpdir(), 'azulejo-bench-'));
  const { address, stop } = await startServer(folder);
  const base = jobOfOne({ size: [2314, 1000], tile: [297.5, 297.5], jointMm: 3 });
  const jobs = Array.from({ length: WRITERS }, (_, k): Job => ({ ...base, id: `job-${k}` }));
  const post = (url: string, body: string, type: string) =>
    fetch(`${address}/api${url}`, { method: 'POST', headers: { 'content-type': type }, body });
  for (const job of jobs) await post('/jobs/import', writeJobFile(job), 'application/octet-stream');

  const end = performance.now() + SECONDS * 1000;
  const saves = await Promise.all(
    jobs.map(async (job) => {
      let version = 1;
      while (performance.now() < end) {
        const { change } = editJob(job, 'Joint', (draft) => {
          draft.surfaces[0].jointMm = 1 + (version % 9);
        });
        const answer = await post(`/jobs/${job.id}/changes`, JSON.stringify({ baseVersion: version, change }), 'application/json');
        if (!answer.ok) throw new Error(`a save was refused: ${await answer.text()}`);
        version++;
      }
      return version - 1;
    }),
  );
  const kept = await Promise.all(
    jobs.map(async ({ id }) => ((await (await fetch(`${address}/api/jobs/${id}`)).json()) as { version: number }).version - 1),
  );
  const load = await autocannon({ url: `${address}/api/jobs/job-0`, connections: WRITERS, duration: SECONDS });
  await stop();
  rmSync(folder, { recursive: true, force: true });
  const total = saves.reduce((sum, count) => sum + count, 0);
  return {
    savesPerSecond: total / SECONDS,
    loadsPerSecond: load.requests.average,
    lost: saves.reduce((sum, count, k) => sum + count - kept[k], 0),
  };
}

/** The server as it ships, in a process of its own. */
export async function startServer(folder: string): Promise<{ address: string; stop: () => Promise<unknown> }> {
  const start = fileURLToPath(new URL('../../server/dist/start.js', import.meta.url));
  const server = spawn(process.execPath, [start, '--data', folder, '--port', '0'], { stdio: ['ignore', 'pipe', 'inherit'] });
  const address = await new Promise<string>((resolve, reject) => {
    server.stdout.on('data', (chunk: Buffer) => {
      const ready = /is ready: (\S+)/.exec(chunk.toString());
      if (ready) resolve(ready[1]);
    });
    server.once('exit', (code) => reject(new Error(`the server stopped with ${code}`)));
  });
  const stop = (): Promise<unknown> => {
    const gone = new Promise((resolve) => {
      server.once('exit', resolve);
    });
    server.kill('SIGTERM');
    return gone;
  };
  return { address, stop };
}
