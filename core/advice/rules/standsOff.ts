import { FIXTURE_CATALOGUE } from '../../surface/fixtureCatalogue.ts';
import type { AdviceRule } from '../finding.ts';

/** A gap up to this wide behind something that stands in a corner can be neither tiled nor cleaned, mm. */
const NARROW_GAP_MM = 100;

/** A door that hangs above the foot of its wall, a bath or cabinet a hand away from the wall behind it. */
export const standsOff: AdviceRule = ({ surface, surfaceIndex, plan }) =>
  surface.measured.fixtures.flatMap(({ kind, name, from, clearanceMm }, k) => {
    const { stands } = FIXTURE_CATALOGUE[kind];
    const at = from.findIndex(({ mm }, measure) =>
      stands === 'atFoot' ? measure === 1 && mm > 0 : stands === 'inCorner' && mm > clearanceMm && mm <= NARROW_GAP_MM,
    );
    if (at === -1) return [];
    return [
      {
        code: stands === 'atFoot' ? 'advice/door-in-the-air' : 'advice/stands-off',
        severity: 'warning' as const,
        path: ['surfaces', surfaceIndex, 'measured', 'fixtures', k, 'from', at, 'mm'],
        figures: { name, edge: plan.traced.names[from[at].edge] ?? from[at].edge, offMm: from[at].mm },
      },
    ];
  });
