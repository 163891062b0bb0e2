import type { Coursing } from '../setout/coursing/findCoursing.ts';
import { actualSize } from '../tile/product.ts';
import { HAIR_MM } from '../tolerances.ts';
import type { Job, Surface } from './job.ts';

/** Lays a rectangle with whole pieces of one tile, from its left and its base, at the joint and the gaps that fit. Nothing where none do. */
export function layWithoutCut(surface: Surface, { products }: Pick<Job, 'products'>, { productId, turned, fit }: Coursing): void {
  const tile = products.find(({ id }) => id === productId);
  if (!tile || !fit) return;
  const { widthMm, heightMm } = actualSize(tile);
  const isUpright = Math.abs(widthMm - heightMm) > HAIR_MM && widthMm > heightMm === turned;
  Object.assign(surface, {
    productId,
    parts: {},
    partColours: {},
    colours: { rule: { kind: 'one' }, others: [], byHand: {} },
    turnDeg: 0,
    mirrored: false,
    jointMm: fit.jointMm,
    pattern: { kind: 'stack', lay: isUpright ? 'upright' : 'lying' },
    setout: { x: { rule: 'fullFromStart' }, y: { rule: 'fullFromStart' } },
  } satisfies Partial<Surface>);
  surface.measured.edgeGapsMm = {
    ...surface.measured.edgeGapsMm,
    left: fit.sideGapMm,
    right: fit.sideGapMm,
    bottom: fit.endGapMm,
    top: fit.endGapMm,
  };
}
