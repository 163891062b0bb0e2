import { Memory } from '@azulejo/core/memory';
import { readFileSync } from 'node:fs';
import { readJobFile } from '@azulejo/core/formats/jobFile';
import type { Job } from '@azulejo/core/job/job';
import { completePlan, layOutOrTell, plan } from '@azulejo/core/plan';
import { median, timeOf } from './timing.ts';

/** What a change in a job of many surfaces costs where the layouts of the others are kept, as the application keeps them. */
export interface ChangeRow {
  readonly job: string;
  readonly surfaces: number;
  readonly anewMs: number;
  readonly wallMs: number;
  readonly priceMs: number;
}

const DEMO = new URL('../../demo/tidewater-bakehouse.json', import.meta.url);
const ROUNDS = 7;

/** The demo job: planned anew, with one wall moved by a millimetre each time, and with nothing changed but money. */
export function benchChanges(): ChangeRow {
  const read = readJobFile(readFileSync(DEMO, 'utf8'));
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  const job = read.value;
  plan(job);
  const anewMs = timeOf(() => plan(job));
  const memory = new Memory();
  let kept = job.surfaces.map((surface) => layOutOrTell(job, surface, memory));
  let round = 0;
  const wallMs = median(ROUNDS, () => {
    const changed = withWallMoved(job, ++round);
    kept = kept.map((layout, k) => (k === MOVED ? layOutOrTell(changed, changed.surfaces[k], memory) : layout));
    return completePlan(changed, kept, memory);
  });
  const priceMs = median(ROUNDS, () => completePlan(withWallMoved(job, round), kept, memory));
  return { job: job.name, surfaces: job.surfaces.length, anewMs, wallMs, priceMs };
}

/** The wall behind the ovens. */
const MOVED = 1;

/** The same job with one surface wider. */
function withWallMoved(job: Job, byMm: number): Job {
  const surfaces = job.surfaces.map((surface, k) => {
    const { shape } = surface.measured;
    if (k !== MOVED) return surface;
    if (shape.kind !== 'rectangle') throw new Error(`a rectangle was expected: ${surface.id} is a ${shape.kind}`);
    return { ...surface, measured: { ...surface.measured, shape: { ...shape, widthMm: shape.widthMm + byMm } } };
  });
  return { ...job, surfaces };
}
