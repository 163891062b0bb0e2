import type { AdviceRule } from '../finding.ts';

/** Smallest joints of European practice, mm: 2 on walls, 3 on floors. Check the standard in force. */
const SMALLEST_MM = { floor: 3, wall: 2, countertop: 2 } as const;

/** The joint is under what the practice asks for. */
export const narrowJoint: AdviceRule = ({ surface, surfaceIndex }) => {
  const smallestMm = SMALLEST_MM[surface.kind];
  if (surface.jointMm >= smallestMm) return [];
  return [
    {
      code: 'advice/narrow-joint',
      severity: 'warning',
      path: ['surfaces', surfaceIndex, 'jointMm'],
      figures: { jointMm: surface.jointMm, smallestMm, kind: surface.kind },
    },
  ];
};
