import { jointForSample, sampleFigures } from '../../tile/sampleSizes.ts';
import type { AdviceRule } from '../finding.ts';

/** Measured pieces differ more than the joint can take up: three times their variation is the accepted minimum. */
export const unevenPieces: AdviceRule = ({ surface, surfaceIndex, product }) => {
  const sample = sampleFigures(product.sample);
  if (!sample || surface.jointMm >= jointForSample(sample)) return [];
  const rangeMm = Math.max(sample.range.widthMm, sample.range.heightMm);
  return [
    {
      code: 'advice/uneven-pieces',
      severity: 'warning',
      path: ['surfaces', surfaceIndex, 'jointMm'],
      figures: { name: product.name, rangeMm, jointMm: surface.jointMm, neededMm: jointForSample(sample) },
      mend: { path: ['surfaces', surfaceIndex, 'jointMm'], value: jointForSample(sample) },
    },
  ];
};
