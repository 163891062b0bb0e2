import { ON_LINE_MM } from '../../../tolerances.ts';
import { jointForSample, sampleFigures } from '../../../tile/sampleSizes.ts';
import { tapeAtLeast } from '../../../units/tapeAtLeast.ts';
import type { AdviceRule } from '../../finding.ts';

/** Measured pieces differ more than the joint can take up: three times their variation is the accepted minimum. The joint of sheets is theirs. */
export const unevenPieces: AdviceRule = ({ job, surface, surfaceIndex, product }) => {
  const sample = sampleFigures(product.sample);
  if (!sample || surface.jointMm >= jointForSample(sample) - ON_LINE_MM) return [];
  const rangeMm = Math.max(sample.range.widthMm, sample.range.heightMm);
  const isSheet = surface.pattern.kind === 'sheet';
  const neededMm = tapeAtLeast(jointForSample(sample), surface.tape ?? job.tape);
  return [
    {
      code: isSheet ? 'advice/uneven-sheets' : 'advice/uneven-pieces',
      severity: 'warning',
      path: ['surfaces', surfaceIndex, isSheet ? 'productId' : 'jointMm'],
      figures: { name: product.name, rangeMm, jointMm: surface.jointMm, neededMm },
      ...(isSheet ? {} : { mend: { path: ['surfaces', surfaceIndex, 'jointMm'], value: neededMm } }),
    },
  ];
};
