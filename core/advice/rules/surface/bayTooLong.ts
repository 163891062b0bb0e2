import { boxOf, type Box } from '../../../geometry/ring.ts';
import type { AdviceRule } from '../../finding.ts';

const longer = ({ minX, maxX, minY, maxY }: Box): number => Math.max(maxX - minX, maxY - minY);

/** A field longer or larger than a bay may be is parted by movement joints. */
export const bayTooLong: AdviceRule = ({ surfaceIndex, plan: { figures } }) => {
  const { joints, limitMm, limitMm2 } = figures.bays;
  if (joints.length === 0) return [];
  const parts = figures.region.map(([outer]) => boxOf(outer));
  const [{ minX, maxX, minY, maxY }] = parts.sort((a, b) => longer(b) - longer(a));
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
