import { DEFAULT_GAPS, SEALED_ROLES } from '../../surface/edge.ts';
import type { AdviceRule } from '../finding.ts';

/** Tiles pushed tight against a wall have no room to move. */
export const noPerimeterJoint: AdviceRule = ({ surface, surfaceIndex, plan }) => {
  const tight = plan.traced.edges.find((edge) => SEALED_ROLES.has(edge.role) && edge.gapMm === 0);
  return tight
    ? [
        {
          code: 'advice/no-perimeter-joint',
          severity: 'warning',
          path: ['surfaces', surfaceIndex, 'measured', 'gapsMm', tight.role],
          mend: { path: ['surfaces', surfaceIndex, 'measured', 'gapsMm', tight.role], value: DEFAULT_GAPS[tight.role] },
          figures: { edge: plan.traced.names[tight.id] ?? tight.id, kind: surface.kind },
        },
      ]
    : [];
};
