import { readFileSync } from 'node:fs';
import { readJobFile } from '../core/formats/jobFile.ts';
import type { Job } from '../core/job/job.ts';
import type { Plan } from '../core/plan.ts';
import { plannedAs } from './plannedOnce.ts';

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

/** The plan of a demo job, which takes seconds. */
export const demoPlan = (name: DemoJob): Plan => plannedAs(name, () => demoJob(name));
