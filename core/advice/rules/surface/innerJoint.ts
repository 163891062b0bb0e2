import { SEEN_MM } from '../../../tolerances.ts';
import { moduleOf } from '../../../pattern/laying.ts';
import { innerJointOf, type PatternId } from '../../../pattern/registry.ts';
import type { AdviceRule } from '../../finding.ts';
import type { AdviceCode } from '../../harm.ts';

const CODES: Readonly<Partial<Record<PatternId, AdviceCode>>> = { basketWeave: 'advice/weave-joint', sheet: 'advice/sheet-seam' };
const PATHS: Readonly<Partial<Record<PatternId, readonly string[]>>> = { basketWeave: ['pattern', 'strips'], sheet: ['jointMm'] };

/** The real sizes leave another joint within the pattern than the one wanted. */
export const innerJoint: AdviceRule = ({ job, surface, surfaceIndex }) => {
  const { pattern, jointMm } = surface;
  const innerMm = innerJointOf(pattern, moduleOf(surface, job.products));
  if (innerMm === null || Math.abs(innerMm - jointMm) <= SEEN_MM) return [];
  return [
    {
      code: CODES[pattern.kind] ?? 'advice/part-joint',
      severity: 'warning',
      path: ['surfaces', surfaceIndex, ...(PATHS[pattern.kind] ?? ['parts'])],
      figures: { innerMm, jointMm, pattern: pattern.kind },
    },
  ];
};
