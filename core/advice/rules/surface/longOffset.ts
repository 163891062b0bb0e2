import { drawShifts, shiftApart } from '../../../pattern/kinds/randomStagger.ts';
import type { Pattern } from '../../../pattern/registry.ts';
import { actualSize } from '../../../tile/product.ts';
import type { AdviceRule } from '../../finding.ts';

/** A side over this bows enough to lip at half offset, mm (North American practice; European makers agree a third is safe). */
const LONG_SIDE_MM = 380;

/** A third, and what is written of it. */
const SAFE_SHARE = 0.334;

/** Long pieces shifted by more than a third lie end to middle, where both bow most. */
export const longOffset: AdviceRule = ({ surface, surfaceIndex, product }) => {
  const { pattern } = surface;
  const { widthMm, heightMm } = actualSize(product);
  const longestMm = Math.max(widthMm, heightMm);
  if (longestMm <= LONG_SIDE_MM || widestShift(pattern) <= SAFE_SHARE) return [];
  const isDrawn = pattern.kind === 'randomStagger';
  return [
    {
      code: 'advice/long-offset',
      severity: 'warning',
      path: ['surfaces', surfaceIndex, 'pattern', isDrawn ? 'kind' : 'offset'],
      figures: { longestMm, limitMm: LONG_SIDE_MM, isDrawn: isDrawn ? 1 : 0 },
      ...(isDrawn ? {} : { mend: { path: ['surfaces', surfaceIndex, 'pattern', 'offset'], value: 1 / 3 } }),
    },
  ];
};

/** How far one course is shifted against the next at most, as a share of a piece. */
function widestShift(pattern: Pattern): number {
  if (pattern.kind === 'runningBond') return shiftApart(pattern.offset, 0);
  if (pattern.kind !== 'randomStagger') return 0;
  const shifts = drawShifts(pattern.seed, pattern.apart);
  return Math.max(...shifts.map((share, k) => shiftApart(share, shifts[(k + 1) % shifts.length])));
}
