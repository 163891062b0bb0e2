import type { FixtureKind } from '../../../surface/fixtureCatalogue.ts';
import type { AdviceRule } from '../../finding.ts';

const ROOM_MM = 2;

/** What carries water: it warms, and it knocks. */
const PIPED: ReadonlySet<FixtureKind> = new Set(['pipe', 'valve', 'waste']);

/** A hole with no room round its pipe cracks the tile when the pipe warms or knocks. */
export const tightPipe: AdviceRule = ({ surface, surfaceIndex }) =>
  surface.measured.fixtures.flatMap(({ kind, name, clearanceMm, tiledUnder }, k) =>
    PIPED.has(kind) && !tiledUnder && clearanceMm < ROOM_MM
      ? [
          {
            code: 'advice/tight-pipe',
            severity: 'warning' as const,
            path: ['surfaces', surfaceIndex, 'measured', 'fixtures', k, 'clearanceMm'],
            figures: { name, clearanceMm, roomMm: ROOM_MM },
            mend: { path: ['surfaces', surfaceIndex, 'measured', 'fixtures', k, 'clearanceMm'], value: ROOM_MM },
          },
        ]
      : [],
  );
