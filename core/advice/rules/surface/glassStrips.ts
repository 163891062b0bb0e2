import { productNamed } from '../../../tile/product.ts';
import { boxOf } from '../../../geometry/ring.ts';
import type { AdviceRule } from '../../finding.ts';

/** A strip of glass narrower than this splinters at the wheel, mm (trade practice). */
const LEAST_MM = 12;

/** Strips of glass that are narrower than glass is cut well; pieces that are made that narrow are none. */
export const glassStrips: AdviceRule = ({ job, surfaceIndex, plan: { cuts, advice } }) => {
  const strips = cuts.flatMap(({ productId, sizeMm, tile }) => {
    const product = productNamed(job.products, productId);
    if (product.material !== 'glass') return [];
    const { minX, maxX, minY, maxY } = boxOf(tile);
    const stripMm = Math.min(sizeMm.widthMm, sizeMm.heightMm);
    return stripMm < LEAST_MM && Math.min(maxX - minX, maxY - minY) >= LEAST_MM ? [stripMm] : [];
  });
  if (strips.length === 0) return [];
  return [
    {
      code: 'advice/glass-strips',
      severity: advice.isBest ? 'note' : 'warning',
      path: ['surfaces', surfaceIndex, 'setout'],
      figures: { count: strips.length, narrowestMm: Math.min(...strips), leastMm: LEAST_MM, isBest: advice.isBest ? 1 : 0 },
    },
  ];
};
