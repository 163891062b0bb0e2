import { SEALED_ROLES } from '../../../surface/edge.ts';
import type { AdviceRule } from '../../finding.ts';

/** Grout cracks where two planes meet: the corner is sealed. */
export const hardCorner: AdviceRule = ({ job, surface, surfaceIndex, plan: { traced } }) =>
  job.links
    .filter(({ meets }) => meets === 'inside')
    .flatMap(({ a, b }) => [a, b].filter((end) => end.surface === surface.id))
    .flatMap(({ edge: id }) => {
      const edge = traced.edges.find((one) => one.id === id);
      if (!edge || (SEALED_ROLES.has(edge.role) && edge.gapMm > 0) || edge.role !== 'continues') return [];
      return [
        {
          code: 'advice/hard-corner',
          severity: 'warning' as const,
          path: ['surfaces', surfaceIndex, 'measured', 'roles', id],
          figures: { edge: traced.names[id] ?? id },
          mend: { path: ['surfaces', surfaceIndex, 'measured', 'roles', id], value: 'wall' },
        },
      ];
    });
