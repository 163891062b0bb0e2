import { isInside } from '../../../geometry/ring.ts';
import { tileRing } from '../../../setout/place/layout.ts';
import type { AdviceRule } from '../../finding.ts';

/** A column that stands within one tile: nothing closes round what can't be lifted, so the tile is split. */
export const splitRound: AdviceRule = ({ surfaceIndex, surface, plan }) =>
  plan.traced.fixtures.flatMap(({ fixture, clearRing }) => {
    if (fixture.kind !== 'column' || fixture.tiledUnder) return [];
    const closes = plan.fields.some(({ layout }) =>
      layout.cutTiles.some((tile) => clearRing.every((corner) => isInside(corner, [[tileRing(layout, tile)]]))),
    );
    if (!closes) return [];
    const k = surface.measured.fixtures.findIndex(({ id }) => id === fixture.id);
    return [
      {
        code: 'advice/split-round',
        severity: 'note' as const,
        path: ['surfaces', surfaceIndex, 'setout', k],
        figures: { name: fixture.name },
      },
    ];
  });
