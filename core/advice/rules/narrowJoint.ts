import type { AdviceRule } from '../finding.ts';

/** Smallest joints, mm: European practice 2 on walls and 3 on floors, North American 1.6. Check the standard in force. */
const SMALLEST_MM = {
  european: { floor: 3, wall: 2, countertop: 2 },
  northAmerican: { floor: 1.6, wall: 1.6, countertop: 1.6 },
} as const;

/** The joint is under what the practice asks for. */
export const narrowJoint: AdviceRule = ({ job, surface, surfaceIndex }) => {
  const smallestMm = SMALLEST_MM[job.practice][surface.kind];
  if (surface.jointMm >= smallestMm) return [];
  return [
    {
      code: 'advice/narrow-joint',
      severity: 'warning',
      path: ['surfaces', surfaceIndex, 'jointMm'],
      figures: { jointMm: surface.jointMm, smallestMm, kind: surface.kind, practice: job.practice },
      mend: { path: ['surfaces', surfaceIndex, 'jointMm'], value: smallestMm },
    },
  ];
};
