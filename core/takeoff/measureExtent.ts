import { polygonsArea, ringArea } from '../geometry/ring.ts';
import type { Field } from '../setout/fields/field.ts';
import type { Layout } from '../setout/place/layout.ts';
import type { Traced } from '../surface/traceSurface.ts';

/** Areas of a surface in mm²: `areaMm2` is where tile may lie, joints included. */
export interface Extent {
  readonly areaMm2: number;
  readonly tiledAreaMm2: number;
  readonly jointAreaMm2: number;
}

/** Region, tiles and joints; whatever is not tile is joint. */
export function measureExtent(traced: Traced, fields: readonly Field[]): Extent {
  const areaMm2 = polygonsArea(traced.region);
  const tiledAreaMm2 = fields.reduce(
    (sum, { layout }) => sum + wholeArea(layout) + layout.cutTiles.reduce((cut, { polygons }) => cut + polygonsArea(polygons), 0),
    0,
  );
  return { areaMm2, tiledAreaMm2, jointAreaMm2: Math.max(0, areaMm2 - tiledAreaMm2) };
}

function wholeArea({ repeat, wholeRuns }: Layout): number {
  const pieceAreas = repeat.pieces.map(({ ring }) => ringArea(ring));
  let sum = 0;
  for (let k = 0; k < wholeRuns.length; k += 4) sum += pieceAreas[wholeRuns[k]] * (wholeRuns[k + 3] - wholeRuns[k + 2] + 1);
  return sum;
}
