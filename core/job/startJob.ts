import { JOB_VERSION, jobSchema, type Job, type Surface } from './job.ts';
import { ONE_COLOUR } from '../pattern/colours.ts';
import { BEST_SETOUT } from '../setout/choice/setoutChoice.ts';
import { boxOf } from '../geometry/ring.ts';
import { DEFAULT_GAPS } from '../surface/edge.ts';
import { outlineOf, type Shape } from '../surface/shapes/registry.ts';
import { madeUpTiles } from '../madeUp/tiles.ts';
import type { Tape } from '../units/tape.ts';

/** A new job with good defaults for everything, and no surface yet. */
export function startJob(id: string, name: string, tape: Tape): Job {
  return jobSchema.parse({
    format: 'azulejo-job',
    version: JOB_VERSION,
    id,
    name,
    tape,
    products: madeUpTiles(),
    surfaces: [],
    consumption: {},
  });
}

/** A new job with a person's own figures: how much breaks begins as it went before. */
export function withHabits(job: Job, habits: Job['habits']): Job {
  if (!habits) return job;
  const { straight = job.consumption.breakagePercent.straight, shaped = job.consumption.breakagePercent.shaped } = habits['breakage'] ?? {};
  const percent = (value: number): number => Math.min(100, Math.max(0, value));
  const breakagePercent = { straight: percent(straight), shaped: percent(shaped) };
  return { ...job, habits, consumption: { ...job.consumption, breakagePercent } };
}

/** A new rectangular surface with good defaults, so that two lengths make a setout. Sides in mm. */
export function startSurface(job: Job, id: string, name: string, kind: Surface['kind'], widthMm: number, heightMm: number): Surface {
  return startSurfaceOf(job, id, name, kind, { kind: 'rectangle', widthMm, heightMm });
}

/** A new surface of any shape with good defaults. */
export function startSurfaceOf(job: Job, id: string, name: string, kind: Surface['kind'], shape: Shape): Surface {
  const { minX, minY, maxX, maxY } = boxOf(outlineOf(shape).ring);
  const product = firstTile(job, kind, Math.max(maxX - minX, maxY - minY));
  return {
    id,
    name,
    kind,
    tape: null,
    roomId: null,
    measured: startMeasured(shape),
    productId: product.id,
    ...PLAIN_LAYING,
    jointMm: kind === 'floor' ? 3 : 2,
    pattern: kind === 'wall' ? { kind: 'runningBond', lay: 'lying', offset: 0.5, step: 'alternating' } : { kind: 'stack', lay: 'lying' },
    setout: BEST_SETOUT,
    ...NOTHING_SET_IN,
  };
}

/** One tile, laid straight. */
export const PLAIN_LAYING = { parts: {}, turnDeg: 0, mirrored: false, colours: ONE_COLOUR, partColours: {} } as const;

/** No border, band or inset; grout of a middling grey. */
const NOTHING_SET_IN = { jointColour: '#8f969b', border: null, bands: [], insets: [], laid: false };

/** A shape with nothing on it yet. */
export const startMeasured = (shape: Shape): Surface['measured'] => ({
  shape,
  roles: {},
  gapsMm: DEFAULT_GAPS,
  edgeGapsMm: {},
  seen: {},
  doorways: [],
  fixtures: [],
  base: null,
  levels: null,
  buildUp: null,
  again: [],
});

/** The first tile of the list that suits: small on walls, larger on floors, never larger than the surface. */
function firstTile(job: Job, kind: Surface['kind'], longestMm: number): Job['products'][number] {
  const wanted = kind === 'floor' ? 'quay-300' : kind === 'wall' ? 'loaf-brick' : 'salt-square';
  const fits = job.products.filter(({ nominal }) => Math.max(nominal.widthMm, nominal.heightMm) <= longestMm);
  const found = fits.find(({ id }) => id === wanted) ?? fits[0] ?? job.products[0];
  if (!found) throw new Error('a surface needs a tile: the job has no products');
  return found;
}
