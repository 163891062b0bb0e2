import { boxOf } from '../../../geometry/ring.ts';
import type { AdviceRule } from '../../finding.ts';

/** A field longer or larger than a bay may be is parted by movement joints. */
export const bayTooLong: AdviceRule = ({ surfaceIndex, plan: { figures } }) => {
  const { joints, limitMm, limitMm2 } = figures.bays;
  if (joints.length === 0) return [];
  const { minX, maxX, minY, maxY } = boxOf(figures.region.flat(2));
  const longestMm = Math.max(maxX - minX, maxY - minY);
  const isLong = longestMm > limitMm;
  return [
    {
      code: isLong || limitMm2 === null ? 'advice/bay-too-long' : 'advice/bay-too-large',
      severity: 'note',
      path: ['surfaces', surfaceIndex, 'works', 'heated'],
      figures: { count: joints.length, limitMm, limitM2: (limitMm2 ?? 0) / 1e6, longestMm, areaM2: ((maxX - minX) * (maxY - minY)) / 1e6 },
    },
  ];
};
