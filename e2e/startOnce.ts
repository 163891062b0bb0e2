import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Job } from '@azulejo/core/job/job';
import { RunningServer } from '@azulejo/server/running';

const DEMO = fileURLToPath(new URL('../demo/tidewater-bakehouse.json', import.meta.url));
const RELEASE = fileURLToPath(new URL('../server/dist/core-release', import.meta.url));

/** Between two looks at what is kept, ms. */
const LOOK_MS = 200;

/** Every file of tests starts its server on a copy of one that was started before, and that laid out the demo: pages take that over. */
export default async function startOnce(): Promise<() => Promise<void>> {
  const server = new RunningServer();
  await server.start('--add-job', DEMO);
  await layOut(server, JSON.parse(readFileSync(DEMO, 'utf8')) as Job);
  await server.end('SIGTERM');
  // The job itself is no more, nor are copies of it.
  rmSync(join(server.folder, 'copies'), { recursive: true, force: true });
  process.env.AZULEJO_STARTED_ONCE = server.folder;
  return () => server.remove();
}

/** Has the server lay out a job and keep how, and takes the job off it again. */
async function layOut(server: RunningServer, { id, surfaces }: Job): Promise<void> {
  const job = `${server.address}/api/jobs/${id}`;
  await (await fetch(`${job}/glance`)).json();
  const release = readFileSync(RELEASE, 'utf8');
  for (let kept = 0; kept < surfaces.length;) {
    await new Promise((resolve) => setTimeout(resolve, LOOK_MS));
    const { layouts } = (await (await fetch(`${job}/layouts?release=${release}`)).json()) as { layouts: string[] };
    kept = layouts.length;
  }
  await fetch(`${job}?baseVersion=1`, { method: 'DELETE' });
}
