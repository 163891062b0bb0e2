import { Memory } from '@azulejo/core/memory';
import { readFileSync } from 'node:fs';
import { readJobFile } from '@azulejo/core/formats/jobFile';
import type { Job } from '@azulejo/core/job/job';
import { plan } from '@azulejo/core/plan';
import { rememberPlanned } from '@azulejo/core/plan/layout/knownLayouts';
import { median, timeOf } from './timing.ts';

/** What planning a job of many surfaces costs, anew and where layouts are known, ms. */
export interface ChangeRow {
  readonly job: string;
  readonly surfaces: number;
  /** By code that ran before, with every joint of the job changed: nothing of it was ever planned. */
  readonly anewMs: number;
  /** The very same job again. */
  readonly againMs: number;
  /** The same with a memory that was handed the layouts alone, as after a reload. */
  readonly reopenedMs: number;
  readonly wallMs: number;
  readonly priceMs: number;
}

const DEMO = new URL('../../demo/tidewater-bakehouse.json', import.meta.url);
const ROUNDS = 7;

/** The demo job, read anew for every plan: what hangs on its data is worked out again. */
export function benchChanges(): ChangeRow {
  const read = readJobFile(readFileSync(DEMO, 'utf8'));
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  const job = read.value;
  const memory = new Memory();
  const { surfaces } = plan(job, memory);
  const wider = { ...job, surfaces: job.surfaces.map((surface) => ({ ...surface, jointMm: surface.jointMm + 0.5 })) };
  let round = 0;
  return {
    job: job.name,
    surfaces: job.surfaces.length,
    anewMs: timeOf(() => plan(structuredClone(wider))),
    againMs: median(ROUNDS, () => plan(structuredClone(job), memory)),
    reopenedMs: median(ROUNDS, () => {
      const fresh = new Memory();
      rememberPlanned(job, structuredClone(surfaces), fresh);
      return plan(structuredClone(job), fresh);
    }),
    wallMs: median(ROUNDS, () => plan(withWallMoved(structuredClone(job), ++round), memory)),
    priceMs: median(ROUNDS, () => plan(withPrices(structuredClone(job), ++round), memory)),
  };
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

/** The same job with every box dearer. */
const withPrices = (job: Job, by: number): Job => ({
  ...job,
  products: job.products.map((product) => ({ ...product, boxPrice: product.boxPrice + by })),
});
