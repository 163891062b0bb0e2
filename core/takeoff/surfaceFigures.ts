import { isShaped, type CutPiece } from '../cuts/cutPiece.ts';
import type { OffCutPlan } from '../cuts/offCutPlan.ts';
import { distance } from '../geometry/point.ts';
import { polygonsArea, ringArea, ringLength } from '../geometry/ring.ts';
import type { Layout } from '../setout/layout.ts';
import { SEALED_ROLES } from '../surface/edge.ts';
import type { Traced } from '../surface/traceSurface.ts';
import { actualSize, type Product } from '../tile/product.ts';
import type { Consumption } from './consumption.ts';
import type { SurfaceFigures } from './material.ts';
import { breakageOf } from './tiles.ts';

/** Areas of a surface in mm²: `areaMm2` is where tile may lie, joints included. */
export interface Areas {
  readonly areaMm2: number;
  readonly tiledAreaMm2: number;
  readonly jointAreaMm2: number;
}

/** Pieces of a surface. `boxes` are for this surface alone, without spares. */
export interface Totals {
  readonly pieces: number;
  readonly whole: number;
  readonly cut: number;
  readonly opened: number;
  readonly lowerBound: number;
  readonly boxes: number;
  /** Tile bought for the setout and not laid, as a share of what is opened. */
  readonly wasteShare: number;
}

/** Region, tiles and joints; whatever is not tile is joint. */
export function measureAreas(traced: Traced, layout: Layout): Areas {
  const areaMm2 = polygonsArea(traced.region);
  const wholes = wholeArea(layout);
  const tiledAreaMm2 = wholes + layout.cutTiles.reduce((sum, { polygons }) => sum + polygonsArea(polygons), 0);
  return { areaMm2, tiledAreaMm2, jointAreaMm2: Math.max(0, areaMm2 - tiledAreaMm2) };
}

function wholeArea({ repeat, wholeRuns }: Layout): number {
  const pieceAreas = repeat.pieces.map(({ ring }) => ringArea(ring));
  let sum = 0;
  for (let k = 0; k < wholeRuns.length; k += 4) sum += pieceAreas[wholeRuns[k]] * (wholeRuns[k + 3] - wholeRuns[k + 2] + 1);
  return sum;
}

/** Gathers what the takeoff of one surface needs. */
export function surfaceFigures(
  surfaceId: string,
  { traced, layout }: { readonly traced: Traced; readonly layout: Layout },
  cuts: readonly CutPiece[],
  offCuts: OffCutPlan,
  areas: Areas,
  product: Product,
): SurfaceFigures {
  const size = actualSize(product);
  const shapedCuts = cuts.filter(isShaped).length;
  return {
    surfaceId,
    productId: product.id,
    areaMm2: areas.areaMm2,
    jointAreaMm2: areas.jointAreaMm2,
    whole: layout.wholeCount,
    opened: layout.wholeCount + offCuts.openedForCuts,
    straightCuts: cuts.length - shapedCuts,
    shapedCuts,
    sealed: sealedJoints(traced),
    thicknessMm: product.thicknessMm,
    longestSideMm: Math.max(size.widthMm, size.heightMm),
    tileAreaMm2: size.widthMm * size.heightMm,
  };
}

function sealedJoints({ edges, fixtures }: Traced): SurfaceFigures['sealed'] {
  const perimeter = edges
    .filter(({ role, gapMm }) => SEALED_ROLES.has(role) && gapMm > 0)
    .map(({ from, to, gapMm }) => ({ lengthMm: distance(from, to), widthMm: gapMm }));
  const around = fixtures
    .filter(({ fixture }) => !fixture.tiledUnder && fixture.clearanceMm > 0)
    .map(({ fixture, ring }) => ({ lengthMm: ringLength(ring), widthMm: fixture.clearanceMm }));
  return [...perimeter, ...around];
}

/** Counts the pieces of one surface. */
export function totalsOf(figures: SurfaceFigures, offCuts: OffCutPlan, consumption: Consumption, product: Product): Totals {
  const laid = figures.areaMm2 - figures.jointAreaMm2;
  const cut = figures.straightCuts + figures.shapedCuts;
  const bought = figures.opened + Math.ceil(breakageOf([figures], consumption) - 1e-9);
  return {
    pieces: figures.whole + cut,
    whole: figures.whole,
    cut,
    opened: figures.opened,
    lowerBound: figures.whole + offCuts.lowerBound,
    boxes: Math.ceil(bought / product.piecesPerBox),
    wasteShare: figures.opened === 0 ? 0 : 1 - laid / (figures.opened * figures.tileAreaMm2),
  };
}
