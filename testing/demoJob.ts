import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { deserialize, serialize } from 'node:v8';
import { readJobFile } from '../core/formats/jobFile.ts';
import type { Job } from '../core/job/job.ts';
import { plan, type Plan } from '../core/plan.ts';

/** The jobs that ship with the product. */
export const DEMO_JOBS = ['tidewater-bakehouse', 'sample-boards', 'ferry-kiosk'] as const;
export type DemoJob = (typeof DEMO_JOBS)[number];

/** A demo job as its file has it. */
export const demoText = (name: DemoJob): string => readFileSync(new URL(`../demo/${name}.json`, import.meta.url), 'utf8');

/** A demo job; throws with what is wrong where its file is. */
export function demoJob(name: DemoJob): Job {
  const read = readJobFile(demoText(name));
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  return read.value;
}

const planned = new Map<DemoJob, Plan>();

/** How long a plan that is under way is waited for, ms; it is made here when it takes longer. */
const WAIT_MS = 60_000;

/** Waits for a plan that another process is making. */
function waitFor(path: string): void {
  const nap = new Int32Array(new SharedArrayBuffer(4));
  for (const until = Date.now() + WAIT_MS; !existsSync(path) && existsSync(`${path}.underway`) && Date.now() < until;)
    Atomics.wait(nap, 0, 0, 100);
}

/** The plan of a demo job. It takes seconds, so in a run of all tests it is made once, and handed to all that ask. */
export function demoPlan(name: DemoJob): Plan {
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
  const made = plan(demoJob(name));
  planned.set(name, made);
  if (path !== null) {
    // Two may make it at a time; neither is read by half.
    const own = `${path}.${process.pid}`;
    writeFileSync(own, serialize(made));
    renameSync(own, path);
  }
  return made;
}
