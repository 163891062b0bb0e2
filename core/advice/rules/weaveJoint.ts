import { innerJointOf } from '../../pattern/registry.ts';
import { actualSize } from '../../tile/product.ts';
import type { AdviceRule } from '../finding.ts';

/** Joints side by side that differ by more than this are seen, mm. */
const SEEN_MM = 0.5;

/** The real sizes leave another joint within the pattern than the one wanted. */
export const weaveJoint: AdviceRule = ({ surface, surfaceIndex, product }) => {
  const innerMm = innerJointOf(surface.pattern, { ...actualSize(product), jointMm: surface.jointMm });
  if (innerMm === null || Math.abs(innerMm - surface.jointMm) <= SEEN_MM) return [];
  return [
    {
      code: 'advice/weave-joint',
      severity: 'warning',
      path: ['surfaces', surfaceIndex, 'pattern', 'strips'],
      figures: { innerMm, jointMm: surface.jointMm },
    },
  ];
};
