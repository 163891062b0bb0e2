import type { Job, Surface } from '../job/job.ts';
import { makeSheet } from '../pattern/makeSheet.ts';
import { sheetSize } from '../tile/sheet/sheetChips.ts';
import type { Product } from '../tile/product.ts';
import type { WorksChoice } from '../takeoff/works/works.ts';
import { jobOfOne, type WantedJob } from './testJob.ts';

/** A finding's field, a job in which it is found, and one that differs by hardly anything in which it is not. */
export interface Provoked {
  readonly path: string;
  readonly job: Job;
  readonly beside: Job;
}

/** A surface that no rule finds anything in. */
export const good: WantedJob = {
  size: [2405, 1205],
  tile: [300, 300],
  jointMm: 3,
  surface: { kind: 'wall', setout: { x: { rule: 'jointCentred' }, y: { rule: 'fullFromStart' } } },
};

/** That surface with something else about it. */
export const laid = (surface: Partial<Surface>, wanted: Partial<WantedJob> = {}): Job =>
  jobOfOne({ ...good, ...wanted, surface: { ...good.surface, ...surface } });

/** The same with something said of its place and works. */
export const withWorks = (works: WorksChoice, surface: Partial<Surface> = {}): Job => laid({ ...surface, works });

/** The same measured otherwise. */
export const measuredAs = (measured: Partial<Surface['measured']>, surface: Partial<Surface> = {}): Job => laid(surface, { measured });

/** A surface whose tile is another. */
export const withTile = (change: Partial<Product>, wanted: WantedJob = good): Job => {
  const job = jobOfOne(wanted);
  return { ...job, products: [{ ...job.products[0], ...change }] };
};

/** A surface laid in figured sheets of 20 mm chips. */
export function inSheets(size: readonly [number, number], jointMm: number, change: Partial<Product> = {}, setout?: Surface['setout']): Job {
  const shape = makeSheet({ kind: 'stack', lay: 'lying' }, { widthMm: 20, heightMm: 20, jointMm: 2 }, { widthMm: 196, heightMm: 196 }, [
    '#335577',
  ]);
  if (!shape) throw new Error('chips of 20 mm make a sheet: got none');
  const surface = {
    kind: 'wall',
    pattern: { kind: 'sheet' },
    setout: setout ?? { x: { rule: 'jointCentred' }, y: { rule: 'fullFromStart' } },
  } as const;
  const tile = { shape: { ...shape, figured: true }, nominal: sheetSize(shape), measured: sheetSize(shape) };
  return withTile({ ...tile, ...change }, { ...good, size, jointMm, surface });
}

/** Two surfaces that meet at the right edge of the first and the left of the second. */
export function meeting(job: Job, meets: 'inside' | 'flat', change: Partial<Surface>): Job {
  const [first] = job.surfaces;
  const link = { id: 'l', a: { surface: first.id, edge: 'right' }, b: { surface: 'second', edge: 'left' }, meets } as const;
  return { ...job, surfaces: [first, { ...first, id: 'second', name: 'Side', ...change }], links: [link] };
}
