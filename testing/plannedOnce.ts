import { createHash } from 'node:crypto';
import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { deserialize, serialize } from 'node:v8';
import type { Job } from '../core/job/job.ts';
import { plan, type Plan } from '../core/plan.ts';

const planned = new Map<string, Plan>();

/** How long a plan that is under way is waited for, ms; it is made here when it takes longer. */
const WAIT_MS = 60_000;

/** Waits for a plan that another process is making. */
function waitFor(path: string): void {
  const nap = new Int32Array(new SharedArrayBuffer(4));
  for (const until = Date.now() + WAIT_MS; !existsSync(path) && existsSync(`${path}.underway`) && Date.now() < until;)
    Atomics.wait(nap, 0, 0, 100);
}

/** The plan of a job that several files of tests look at: in a run of all tests it is made once, and handed to all that ask. */
export const plannedOnce = (job: Job): Plan => plannedAs(createHash('sha1').update(JSON.stringify(job)).digest('hex'), () => job);

/** The same by a name of the job's own. */
export function plannedAs(name: string, jobOf: () => Job): Plan {
  const known = planned.get(name);
  if (known) return known;
  const { AZULEJO_PLANS: folder } = process.env;
  const path = folder === undefined ? null : join(folder, name);
  if (path !== null) waitFor(path);
  if (path !== null && existsSync(path)) {
    const made = deserialize(readFileSync(path)) as Plan;
    planned.set(name, made);
    return made;
  }
  const made = plan(jobOf());
  planned.set(name, made);
  if (path !== null) {
    // Two may make it at a time; neither is read by half.
    const own = `${path}.${process.pid}`;
    writeFileSync(own, serialize(made));
    renameSync(own, path);
  }
  return made;
}
