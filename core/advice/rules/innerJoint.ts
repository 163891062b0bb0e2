import { moduleOf } from '../../pattern/laying.ts';
import { innerJointOf } from '../../pattern/registry.ts';
import type { AdviceRule } from '../finding.ts';

/** Joints side by side that differ by more than this are seen, mm. */
const SEEN_MM = 0.5;

/** The real sizes leave another joint within the pattern than the one wanted. */
export const innerJoint: AdviceRule = ({ job, surface, surfaceIndex }) => {
  const { pattern, jointMm } = surface;
  const innerMm = innerJointOf(pattern, moduleOf(surface, job.products));
  if (innerMm === null || Math.abs(innerMm - jointMm) <= SEEN_MM) return [];
  const weave = pattern.kind === 'basketWeave';
  return [
    {
      code: weave ? 'advice/weave-joint' : 'advice/part-joint',
      severity: 'warning',
      path: ['surfaces', surfaceIndex, ...(weave ? ['pattern', 'strips'] : ['parts'])],
      figures: { innerMm, jointMm, pattern: pattern.kind },
    },
  ];
};
