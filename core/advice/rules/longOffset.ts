import { actualSize } from '../../tile/product.ts';
import type { AdviceRule } from '../finding.ts';

/** A side over this bows enough to lip at half offset, mm (North American practice; European makers agree a third is safe). */
const LONG_SIDE_MM = 380;

/** Long pieces shifted by more than a third lie end to middle, where both bow most. */
export const longOffset: AdviceRule = ({ surface, surfaceIndex, product }) => {
  const { pattern } = surface;
  const { widthMm, heightMm } = actualSize(product);
  const longestMm = Math.max(widthMm, heightMm);
  if (pattern.kind !== 'runningBond' || longestMm <= LONG_SIDE_MM) return [];
  if (Math.min(pattern.offset, 1 - pattern.offset) <= 0.334) return [];
  return [
    {
      code: 'advice/long-offset',
      severity: 'warning',
      path: ['surfaces', surfaceIndex, 'pattern', 'offset'],
      figures: { longestMm, limitMm: LONG_SIDE_MM },
      mend: { path: ['surfaces', surfaceIndex, 'pattern', 'offset'], value: 1 / 3 },
    },
  ];
};
