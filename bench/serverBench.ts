import autocannon from 'autocannon';
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { editJob } from '@azulejo/core/job/edit/editJob';
import { readJobFile, writeJobFile } from '@azulejo/core/formats/jobFile';
import type { Job } from '@azulejo/core/job/job';
import { RunningServer } from '@azulejo/server/running';
import { jobOfOne } from '@azulejo/core/samples/testJob';

const WRITERS = 8;
const SECONDS = 4;

/** What the server did, each writer on a job of its own; every answered save was synced to the disk. */
export interface ServerRow {
  readonly job: string;
  readonly savesPerSecond: number;
  readonly loadsPerSecond: number;
  /** What the data folder grew by, bytes a save. */
  readonly bytesPerSave: number;
  /** Saves answered and not found again; must be none. */
  readonly lost: number;
}

/** Times saving and loading through the real server on a folder of its own: a job of one surface, and the demo. */
export async function benchServer(): Promise<ServerRow[]> {
  const read = readJobFile(readFileSync(new URL('../../demo/tidewater-bakehouse.json', import.meta.url), 'utf8'));
  if (!read.ok) throw new Error('the demo can not be read');
  const one = jobOfOne({ size: [2314, 1000], tile: [297.5, 297.5], jointMm: 3 });
  return [await benchJob('one surface', one), await benchJob(`the demo, ${read.value.surfaces.length} surfaces`, read.value)];
}

async function benchJob(name: string, base: Job): Promise<ServerRow> {
  const server = new RunningServer();
  await server.start();
  const { address, folder } = server;
  const jobs = Array.from({ length: WRITERS }, (_, k): Job => ({ ...base, id: `job-${k}` }));
  const post = (url: string, body: string, type: string) =>
    fetch(`${address}/api${url}`, { method: 'POST', headers: { 'content-type': type }, body });
  for (const job of jobs) await post('/jobs/import', writeJobFile(job), 'application/octet-stream');
  const before = sizeOf(folder);

  const end = performance.now() + SECONDS * 1000;
  const saves = await Promise.all(
    jobs.map(async (job) => {
      let version = 1;
      while (performance.now() < end) {
        const at = version % job.surfaces.length;
        const { change } = editJob(job, 'joint', (draft) => {
          draft.surfaces[at].jointMm += (version % 7) / 10 + 0.1;
        });
        const body = JSON.stringify({ baseVersion: version, change: { id: `${job.id}-${version}`, ...change } });
        const answer = await post(`/jobs/${job.id}/changes`, body, 'application/json');
        if (!answer.ok) throw new Error(`a save was refused: ${await answer.text()}`);
        version++;
      }
      return version - 1;
    }),
  );
  const grown = sizeOf(folder) - before;
  const kept = await Promise.all(
    jobs.map(async ({ id }) => ((await (await fetch(`${address}/api/jobs/${id}`)).json()) as { version: number }).version - 1),
  );
  const load = await autocannon({ url: `${address}/api/jobs/job-0`, connections: WRITERS, duration: SECONDS });
  await server.remove();
  const total = saves.reduce((sum, count) => sum + count, 0);
  return {
    job: name,
    savesPerSecond: total / SECONDS,
    loadsPerSecond: load.requests.average,
    bytesPerSave: grown / total,
    lost: saves.reduce((sum, count, k) => sum + count - kept[k], 0),
  };
}

/** Bytes in a folder and all below it. */
const sizeOf = (folder: string): number =>
  readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .reduce((sum, { parentPath, name }) => sum + (statSync(join(parentPath, name), { throwIfNoEntry: false })?.size ?? 0), 0);
