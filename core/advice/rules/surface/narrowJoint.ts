import { isNarrow, smallestJoint } from '../../smallestJoint.ts';
import { tapeAtLeast } from '../../../units/tapeAtLeast.ts';
import type { AdviceRule } from '../../finding.ts';

/** The joint is under what the practice asks for; that of a sheet was made with it. */
export const narrowJoint: AdviceRule = ({ job, surface, surfaceIndex }) => {
  if (surface.pattern.kind === 'sheet' || !isNarrow(job, surface)) return [];
  const smallestMm = smallestJoint(job, surface);
  return [
    {
      code: 'advice/narrow-joint',
      severity: 'warning',
      path: ['surfaces', surfaceIndex, 'jointMm'],
      figures: { jointMm: surface.jointMm, smallestMm, kind: surface.kind, practice: job.practice },
      mend: { path: ['surfaces', surfaceIndex, 'jointMm'], value: tapeAtLeast(smallestMm, surface.tape ?? job.tape) },
    },
  ];
};
