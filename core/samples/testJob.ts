import type { Job, Surface } from '../job/job.ts';
import { startJob, startSurface } from '../job/startJob.ts';
import { METRIC_TAPE } from '../units/tape.ts';

/** What a job of one surface is to be. */
export interface WantedJob {
  readonly size: readonly [number, number];
  readonly tile: readonly [number, number];
  readonly jointMm: number;
  readonly gapMm?: number;
  readonly surface?: Partial<Surface>;
  readonly measured?: Partial<Surface['measured']>;
  readonly directional?: boolean;
}

/** Freezes a value with all that is in it, so that whoever changes an input is found out. */
export function frozen<T>(value: T): T {
  if (typeof value === 'object' && value !== null && !Object.isFrozen(value)) {
    Object.freeze(value);
    Object.values(value).forEach(frozen);
  }
  return value;
}

/** Read once: the list to begin with is long. */
const empty = frozen(startJob('job', 'Trial', METRIC_TAPE));

/** A job of one rectangular surface with one tile, frozen; lengths in mm. For tests and benches. */
export function jobOfOne({ size, tile, jointMm, gapMm = 5, surface, measured, directional = false }: WantedJob): Job {
  const gapsMm = { wall: gapMm, focal: gapMm, hidden: gapMm, worktop: gapMm, exposed: gapMm, threshold: gapMm, continues: gapMm };
  const dimensions = { widthMm: tile[0], heightMm: tile[1] };
  const plain = startSurface(empty, 's', 'Trial', 'wall', ...size);
  const product = {
    ...empty.products[0],
    id: 't',
    shape: { kind: 'rectangle' } as const,
    nominal: dimensions,
    measured: dimensions,
    face: directional ? ('directional' as const) : ('plain' as const),
  };
  return frozen({
    ...empty,
    products: [product],
    surfaces: [
      {
        ...plain,
        productId: 't',
        jointMm,
        pattern: { kind: 'stack', lay: 'lying' },
        ...surface,
        measured: { ...plain.measured, gapsMm, ...measured },
      },
    ],
  });
}
