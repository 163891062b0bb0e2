import { DEFAULT_GAPS, SEALED_ROLES } from '../../../surface/edge.ts';
import { FIXTURE_CATALOGUE, type FixtureKind } from '../../../surface/fixtureCatalogue.ts';
import { widenGaps } from '../../widenGaps.ts';
import type { AdviceRule, Finding } from '../../finding.ts';

/** What stands fast in the field: tiles move against it as against a wall. */
const FAST: ReadonlySet<FixtureKind> = new Set(['column', 'tray', 'bath', 'island', 'door', 'window', 'sink', 'hob']);

/** Tiles pushed tight against a wall, or against what stands in the field, have no room to move. */
export const noPerimeterJoint: AdviceRule = ({ surface, surfaceIndex, plan }) => {
  const edges = plan.traced.edges.filter((edge) => SEALED_ROLES.has(edge.role) && edge.gapMm === 0);
  const [tight] = edges;
  const atEdges: Finding[] = tight
    ? [
        {
          code: 'advice/no-perimeter-joint',
          severity: 'warning',
          path: ['surfaces', surfaceIndex, 'measured', 'gapsMm', tight.role],
          mend: widenGaps(surface, surfaceIndex, edges, ({ role }) => DEFAULT_GAPS[role]),
          figures: { edge: plan.traced.names[tight.id] ?? tight.id },
        },
      ]
    : [];
  const atFixtures = surface.measured.fixtures.flatMap(({ kind, name, clearanceMm, tiledUnder }, k): Finding[] => {
    if (!FAST.has(kind) || tiledUnder || clearanceMm > 0) return [];
    const path = ['surfaces', surfaceIndex, 'measured', 'fixtures', k, 'clearanceMm'];
    return [
      {
        code: 'advice/no-perimeter-joint',
        severity: 'warning',
        path,
        mend: { path, value: FIXTURE_CATALOGUE[kind].clearanceMm },
        figures: { name },
      },
    ];
  });
  return [...atEdges, ...atFixtures];
};
