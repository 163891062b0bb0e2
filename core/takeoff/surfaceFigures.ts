import { isShaped, productNamed, type CutPiece } from '../cuts/cutPiece.ts';
import type { OffCutPlan } from '../cuts/offCutPlan.ts';
import type { SheetPlan } from '../cuts/sheets/planSheets.ts';
import { distance } from '../geometry/point.ts';
import { polygonsArea, ringArea, ringLength } from '../geometry/ring.ts';
import { productAt, type Field } from '../setout/field.ts';
import type { Layout } from '../setout/layout.ts';
import { SEALED_ROLES } from '../surface/edge.ts';
import type { Traced } from '../surface/traceSurface.ts';
import { chipRing } from '../tile/sheet/sheetChips.ts';
import type { Sheet } from '../tile/sheet/sheet.ts';
import { actualSize, type Product } from '../tile/product.ts';
import type { Consumption } from './consumption.ts';
import type { SurfaceFigures, TileFigures } from './material.ts';
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
export function measureAreas(traced: Traced, fields: readonly Field[]): Areas {
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

/** Whole pieces of one product, their area, and that of the first. */
interface Wholes {
  count: number;
  areaMm2: number;
  readonly tileAreaMm2: number;
}

/** Counts whole pieces by product; a run at a time where all of a run are one tile. */
function countWholes(fields: readonly Field[]): Map<string, Wholes> {
  const wholes = new Map<string, Wholes>();
  const count = (id: string, areaMm2: number, by: number): void => {
    const own = wholes.get(id) ?? { count: 0, areaMm2: 0, tileAreaMm2: areaMm2 };
    own.count += by;
    own.areaMm2 += by * areaMm2;
    wholes.set(id, own);
  };
  for (const field of fields) {
    const { repeat, wholeRuns } = field.layout;
    const areas = repeat.pieces.map(({ ring }) => ringArea(ring));
    const mixed = field.laid.colours.others.length > 0;
    for (let k = 0; k < wholeRuns.length; k += 4) {
      const [piece, j, first, last] = wholeRuns.subarray(k, k + 4);
      // A piece that is cut from a tile is counted with the cuts.
      if (repeat.pieces[piece].cutFrom) continue;
      if (!mixed) count(field.laid.productIds[piece], areas[piece], last - first + 1);
      else for (let i = first; i <= last; i++) count(productAt(field, { piece, i, j }), areas[piece], 1);
    }
  }
  return wholes;
}

/** What is cut, and from what. */
interface Made {
  readonly cuts: readonly CutPiece[];
  readonly offCuts: OffCutPlan;
  readonly sheets: readonly SheetPlan[];
}

/** Gathers what the takeoff of one surface needs. */
export function surfaceFigures(
  surfaceId: string,
  { traced, fields }: { readonly traced: Traced; readonly fields: readonly Field[] },
  made: Made,
  areas: Areas,
  products: readonly Product[],
): SurfaceFigures {
  const { cuts } = made;
  const wholes = countWholes(fields);
  const ids = [...new Set([...fields.flatMap(({ laid }) => laid.productIds), ...wholes.keys(), ...cuts.map(({ productId }) => productId)])];
  const laid = ids.filter((id) => wholes.has(id) || cuts.some(({ productId }) => productId === id));
  const used = (laid.length > 0 ? laid : ids.slice(0, 1)).map((id) => productNamed(products, id));
  return {
    surfaceId,
    tiles: used.map((product) => tileFigures(product, wholes.get(product.id), made)),
    areaMm2: areas.areaMm2,
    jointAreaMm2: areas.jointAreaMm2,
    sealed: sealedJoints(traced),
    thicknessMm: Math.max(...used.map(({ thicknessMm }) => thicknessMm)),
    longestSideMm: Math.max(...used.flatMap((product) => Object.values(actualSize(product)))),
  };
}

function tileFigures({ id: productId, shape }: Product, wholes: Wholes | undefined, { cuts: all, offCuts, sheets }: Made): TileFigures {
  const cuts = all.filter((cut) => cut.productId === productId);
  const sheet = sheets.find((planned) => planned.productId === productId);
  const shapedCuts = cuts.filter(isShaped).length;
  const forCuts = offCuts.byProduct.find((planned) => planned.productId === productId);
  const whole = wholes?.count ?? 0;
  const tileAreaMm2 = shape.kind === 'sheet' ? chipArea(shape) : (wholes?.tileAreaMm2 ?? (cuts[0] ? ringArea(cuts[0].tile) : 1));
  const wholeTiles = sheet?.wholeSheets ?? whole;
  return {
    productId,
    whole,
    wholeTiles,
    piecesPerTile: sheet?.chipsPerSheet ?? 1,
    opened: wholeTiles + (forCuts?.openedForCuts ?? 0),
    lowerBound: wholeTiles + (forCuts?.lowerBound ?? 0),
    straightCuts: cuts.length - shapedCuts,
    shapedCuts,
    laidAreaMm2: (wholes?.areaMm2 ?? 0) + cuts.reduce((sum, { areaMm2 }) => sum + areaMm2, 0),
    tileAreaMm2,
  };
}

/** Area of the chips of a sheet, mm². */
const chipArea = (sheet: Sheet): number => sheet.chips.reduce((sum, chip) => sum + ringArea(chipRing(sheet, chip)), 0);

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
export function totalsOf({ tiles }: SurfaceFigures, consumption: Consumption, products: readonly Product[]): Totals {
  const sum = (figure: (tile: TileFigures) => number): number => tiles.reduce((all, tile) => all + figure(tile), 0);
  const cut = sum(({ straightCuts, shapedCuts }) => straightCuts + shapedCuts);
  const openedArea = sum(({ opened, tileAreaMm2 }) => opened * tileAreaMm2);
  return {
    pieces: sum(({ whole }) => whole) + cut,
    whole: sum(({ whole }) => whole),
    cut,
    opened: sum(({ opened }) => opened),
    lowerBound: sum(({ lowerBound }) => lowerBound),
    boxes: sum((tile) => {
      const bought = tile.opened + Math.ceil(breakageOf([tile], consumption) - 1e-9);
      return Math.ceil(bought / productNamed(products, tile.productId).piecesPerBox);
    }),
    wasteShare: openedArea === 0 ? 0 : 1 - sum(({ laidAreaMm2 }) => laidAreaMm2) / openedArea,
  };
}
