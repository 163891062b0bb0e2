import { DEFAULT_GAPS, SEALED_ROLES } from '../../surface/edge.ts';
import { widenGaps } from '../widenGaps.ts';
import type { AdviceRule } from '../finding.ts';

/** Tiles pushed tight against a wall have no room to move. */
export const noPerimeterJoint: AdviceRule = ({ surface, surfaceIndex, plan }) => {
  const all = plan.traced.edges.filter((edge) => SEALED_ROLES.has(edge.role) && edge.gapMm === 0);
  const [tight] = all;
  return all.length > 0
    ? [
        {
          code: 'advice/no-perimeter-joint',
          severity: 'warning',
          path: ['surfaces', surfaceIndex, 'measured', 'gapsMm', tight.role],
          mend: widenGaps(surface, surfaceIndex, all, ({ role }) => DEFAULT_GAPS[role]),
          figures: { edge: plan.traced.names[tight.id] ?? tight.id, kind: surface.kind },
        },
      ]
    : [];
};
