import type { Coursing } from '../setout/coursing/findCoursing.ts';
import { actualSize } from '../tile/product.ts';
import { HAIR_MM } from '../tolerances.ts';
import type { Job, Surface } from './job.ts';

/** Patterns of straight courses: what is fitted by its height keeps them. */
const COURSED: ReadonlySet<string> = new Set(['stack', 'runningBond']);

/**
 * Lays a rectangle with whole pieces of one tile from its base, and from its left where both ways fit, at the joint and the
 * gaps that fit. Nothing where none do. Where only the courses fit, a straight pattern stays, and so does the setout across.
 */
export function layWithoutCut(surface: Surface, { products }: Pick<Job, 'products'>, { productId, turned, across, fit }: Coursing): void {
  const tile = products.find(({ id }) => id === productId);
  if (!tile || !fit) return;
  const { widthMm, heightMm } = actualSize(tile);
  const isUpright = Math.abs(widthMm - heightMm) > HAIR_MM && widthMm > heightMm === turned;
  const lay = isUpright ? 'upright' : 'lying';
  const { pattern, setout } = surface;
  Object.assign(surface, {
    productId,
    parts: {},
    partColours: {},
    colours: { rule: { kind: 'one' }, others: [], byHand: {} },
    turnDeg: 0,
    mirrored: false,
    jointMm: fit.jointMm,
    pattern: !across && COURSED.has(pattern.kind) ? ({ ...pattern, lay } as Surface['pattern']) : { kind: 'stack', lay },
    setout: { x: across ? { rule: 'fullFromStart' } : setout.x, y: { rule: 'fullFromStart' } },
  } satisfies Partial<Surface>);
  surface.measured.edgeGapsMm = { ...surface.measured.edgeGapsMm, ...fit.gapsMm };
}
