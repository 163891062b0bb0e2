import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { demoJob, demoPlan } from '../../../testing/demoJob.ts';
import { trials } from '../../../testing/trials.ts';
import type { Job, Surface } from '../../job/job.ts';
import { Memory } from '../../memory.ts';
import { plan } from '../../plan.ts';
import type { Product } from '../../tile/product.ts';
import { briefOf } from './briefOf.ts';
import { knownLayout, rememberPlanned } from './knownLayouts.ts';

const JOB = demoJob('ferry-kiosk');
const planned = demoPlan('ferry-kiosk');

/** Changes of a job, of which some change the layout of one surface, some of all, some of none. */
const CHANGES: readonly ((job: Job, at: number, mm: number) => Job)[] = [
  (job, at, mm) => ofOne(job, at, (surface) => ({ jointMm: surface.jointMm + mm })),
  (job, at, mm) => ofOne(job, at, ({ setout }) => ({ setout: { ...setout, x: { rule: 'free', offsetMm: 10 * mm } } })),
  (job, at) => ofOne(job, at, () => ({ name: `Called ${at}` })),
  (job, _, mm) => ({ ...job, consumption: { ...job.consumption, kerfMm: job.consumption.kerfMm + mm } }),
  (job, at, mm) => ofTile(job, at, ({ thicknessMm }) => ({ thicknessMm: thicknessMm + mm })),
  (job, at, mm) => ofTile(job, at, ({ boxPrice, lots }) => ({ boxPrice: boxPrice + mm, lots: [...lots, ...LOTS] })),
  (job) => ({ ...job, client: 'Somebody else' }),
  // What is untrue of a surface is found beside its plan: a room that is gone, a tile that is too large for it.
  (job, at) => ofOne(job, at, () => ({ roomId: 'gone' })),
  (job) => ({ ...job, rooms: [] }),
];
const ofOne = (job: Job, at: number, change: (surface: Surface) => Partial<Surface>): Job => ({
  ...job,
  surfaces: job.surfaces.map((surface, k) => (k === at % job.surfaces.length ? { ...surface, ...change(surface) } : surface)),
});

const ofTile = (job: Job, at: number, change: (tile: Product) => Partial<Product>): Job => ({
  ...job,
  products: job.products.map((tile, k) => (k === at % job.products.length ? { ...tile, ...change(tile) } : tile)),
});
const LOTS = demoJob('tidewater-bakehouse')
  .products.flatMap(({ lots }) => lots)
  .slice(0, 1);

test('a plan made beside what was planned before is the plan made anew, whatever changed in between', () => {
  const edit = fc.tuple(
    fc.nat(CHANGES.length - 1),
    fc.nat(20),
    fc.integer({ min: 1, max: 4 }).map((half) => half / 2),
  );
  fc.assert(
    fc.property(fc.array(edit, { minLength: 1, maxLength: 3 }), (edits) => {
      const memory = new Memory();
      rememberPlanned(JOB, planned.surfaces, memory);
      const changed = edits.reduce((job, [kind, at, mm]) => CHANGES[kind](job, at, mm), JOB);
      expect(plan(changed, memory)).toEqual(plan(changed));
    }),
    { numRuns: trials(30) },
  );
});

test('a surface that stayed as it was is known; one that changed is not, nor what is set out together with it', () => {
  const job = demoJob('tidewater-bakehouse');
  const memory = new Memory();
  rememberPlanned(job, demoPlan('tidewater-bakehouse').surfaces, memory);
  const forgotten = (changed: Job): string[] =>
    changed.surfaces.filter((surface) => knownLayout(briefOf(changed, surface), memory) === undefined).map(({ id }) => id);
  expect(forgotten(job)).toEqual([]);
  const alone = job.surfaces.findIndex(({ id }) => job.links.every(({ a, b }) => a.surface !== id && b.surface !== id));
  expect(forgotten(CHANGES[0](job, alone, 0.5))).toEqual([job.surfaces[alone].id]);
  const laid = job.products.findIndex(({ id }) => id === job.surfaces[0].productId);
  // What a tile costs moves no piece of it, its thickness may.
  expect(forgotten(ofTile(job, laid, ({ boxPrice }) => ({ boxPrice: boxPrice + 1, lots: [] })))).toEqual([]);
  expect(forgotten(ofTile(job, laid, ({ thicknessMm }) => ({ thicknessMm: thicknessMm + 1 }))).length).toBeGreaterThan(0);
  const [{ a, b }] = job.links;
  const linked = job.surfaces.findIndex(({ id }) => id === a.surface);
  expect(forgotten(CHANGES[0](job, linked, 0.5))).toEqual(expect.arrayContaining([a.surface, b.surface]));
});
