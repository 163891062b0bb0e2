import { isMixed } from '../pattern/laying.ts';
import { isShaped, type CutPiece } from '../cuts/cutPiece.ts';
import type { OffCutPlan } from '../cuts/offCuts/planOffCuts.ts';
import type { SheetPlan } from '../cuts/sheets/planSheets.ts';
import { ringArea } from '../geometry/ring.ts';
import { productAt, type Field } from '../setout/fields/field.ts';
import type { Traced } from '../surface/traceSurface.ts';
import { chipRing } from '../tile/sheet/sheetChips.ts';
import type { Sheet } from '../tile/sheet/sheet.ts';
import { actualSize, productNamed, type Product } from '../tile/product.ts';
import { STRIP_PURPOSES, type StripPurpose } from '../cuts/strips/strip.ts';
import type { StripFigures, SurfaceFigures, TileFigures } from './figures.ts';
import type { Extent } from './measureExtent.ts';
import { planesMet, sealedJoints } from './sealedJoints.ts';
import type { SiteFigures } from './works/measureSite.ts';

/** A tile as it is counted: by product, and by hand where it comes in two. */
interface TileKind {
  readonly productId: string;
  readonly hand: TileFigures['hand'];
}

const keyOf = ({ productId, hand }: TileKind): string => `${hand ?? ''}/${productId}`;

/** Whole pieces of one kind, their area, and that of the first. */
interface Wholes {
  readonly kind: TileKind;
  count: number;
  areaMm2: number;
  readonly tileAreaMm2: number;
}

/** Counts whole pieces by kind; a run at a time where all of a run are one tile. */
function countWholes(fields: readonly Field[]): Map<string, Wholes> {
  const wholes = new Map<string, Wholes>();
  const count = (kind: TileKind, areaMm2: number, by: number): void => {
    const own = wholes.get(keyOf(kind)) ?? { kind, count: 0, areaMm2: 0, tileAreaMm2: areaMm2 };
    own.count += by;
    own.areaMm2 += by * areaMm2;
    wholes.set(keyOf(kind), own);
  };
  for (const field of fields) {
    const { repeat, wholeRuns } = field.layout;
    const areas = repeat.pieces.map(({ ring }) => ringArea(ring));
    const mixed = isMixed(field.laid);
    for (let k = 0; k < wholeRuns.length; k += 4) {
      const [piece, j, first, last] = wholeRuns.subarray(k, k + 4);
      const { cutFrom, hand = null } = repeat.pieces[piece];
      // A piece that is cut from a tile is counted with the cuts.
      if (cutFrom) continue;
      if (!mixed) count({ productId: field.laid.productIds[piece], hand }, areas[piece], last - first + 1);
      else for (let i = first; i <= last; i++) count({ productId: productAt(field, { piece, i, j }), hand }, areas[piece], 1);
    }
  }
  return wholes;
}

/** What is cut, and from what. */
interface Made {
  readonly cuts: readonly CutPiece[];
  /** The same with the strips that stand beside the surface. */
  readonly fromTiles: readonly CutPiece[];
  readonly offCuts: OffCutPlan;
  readonly sheets: readonly SheetPlan[];
}

/** What the figures of a surface are taken from. */
export interface LaidSurface extends Omit<Made, 'offCuts'> {
  readonly surfaceId: string;
  readonly traced: Traced;
  readonly fields: readonly Field[];
  readonly extent: Extent;
  /** What hands cut of it. */
  readonly toCut: readonly CutPiece[];
  /** What it takes besides its tiles. */
  readonly site: SiteFigures;
}

/** Gathers what the takeoff of one surface needs. */
export function surfaceFigures(laid: LaidSurface, offCuts: OffCutPlan, products: readonly Product[]): SurfaceFigures {
  const { surfaceId, traced, fields, fromTiles, toCut, extent, site } = laid;
  const wholes = countWholes(fields);
  const kinds = new Map<string, TileKind>();
  const see = (kind: TileKind): void => void kinds.set(keyOf(kind), kind);
  for (const { laid: own } of fields) own.repeat.pieces.forEach(({ hand = null }, k) => see({ productId: own.productIds[k], hand }));
  for (const { kind } of wholes.values()) see(kind);
  for (const { productId, hand } of fromTiles) see({ productId, hand });
  const isLaid = (kind: TileKind): boolean => wholes.has(keyOf(kind)) || fromTiles.some((cut) => keyOf(cut) === keyOf(kind));
  const all = [...kinds.values()];
  const used = all.some(isLaid) ? all.filter(isLaid) : all.slice(0, 1);
  const tiles = used.map((kind) => productNamed(products, kind.productId));
  return {
    ...site,
    surfaceId,
    region: traced.region,
    tiles: used.map((kind, k) => tileFigures(tiles[k], kind, wholes.get(keyOf(kind)), { ...laid, offCuts })),
    areaMm2: extent.areaMm2,
    jointAreaMm2: extent.jointAreaMm2,
    sealed: sealedJoints(traced),
    planes: planesMet(traced),
    strips: STRIP_PURPOSES.flatMap((purpose) => stripsFor(purpose, toCut)),
    cutMinutes: toCut.reduce((sum, { minutes }) => sum + minutes, 0),
    thicknessMm: Math.max(...tiles.map(({ thicknessMm }) => thicknessMm)),
    longestSideMm: Math.max(...tiles.map(longestSideOf)),
  };
}

/** The strips of one purpose, all of one tile; none where there are none. */
function stripsFor(purpose: StripPurpose, toCut: readonly CutPiece[]): StripFigures[] {
  const own = toCut.filter(({ strip }) => strip?.purpose === purpose);
  return own.length === 0 ? [] : [{ purpose, productId: own[0].productId, pieces: own.length }];
}

/** The longest side of what is bedded one by one: the tile, or the largest chip of a sheet, mm. */
export function longestSideOf(product: Product): number {
  const { shape } = product;
  const sizes = shape.kind === 'sheet' ? shape.types : [actualSize(product)];
  return Math.max(...sizes.flatMap(({ widthMm, heightMm }) => [widthMm, heightMm]));
}

function tileFigures(
  { id: productId, shape }: Product,
  kind: TileKind,
  wholes: Wholes | undefined,
  { cuts: all, fromTiles, offCuts, sheets }: Made,
): TileFigures {
  const cuts = all.filter((cut) => keyOf(cut) === keyOf(kind));
  const strips = fromTiles.filter((piece) => piece.of === 'strip' && keyOf(piece) === keyOf(kind));
  const sheet = sheets.find((planned) => planned.productId === productId);
  const shapedCuts = cuts.filter(isShaped).length;
  const forCuts = offCuts.byTile.find((planned) => keyOf(planned) === keyOf(kind));
  const whole = wholes?.count ?? 0;
  const tileAreaMm2 = shape.kind === 'sheet' ? chipArea(shape) : (wholes?.tileAreaMm2 ?? (cuts[0] ? ringArea(cuts[0].tile) : 1));
  const wholeTiles = sheet?.wholeSheets ?? whole;
  return {
    productId,
    hand: kind.hand,
    whole,
    wholeTiles,
    piecesPerTile: sheet?.chipsPerSheet ?? 1,
    opened: wholeTiles + (forCuts?.openedForCuts ?? 0),
    lowerBound: wholeTiles + (forCuts?.lowerBound ?? 0),
    straightCuts: cuts.length - shapedCuts,
    shapedCuts,
    strips: strips.length,
    stripsMm2: strips.reduce((sum, { areaMm2 }) => sum + areaMm2, 0),
    laidAreaMm2: (wholes?.areaMm2 ?? 0) + cuts.reduce((sum, { areaMm2 }) => sum + areaMm2, 0),
    tileAreaMm2,
    footprintMm2: shape.kind === 'sheet' ? Math.abs(shape.across[0] * shape.up[1] - shape.across[1] * shape.up[0]) : tileAreaMm2,
  };
}

/** Area of the chips of a sheet, mm². */
const chipArea = (sheet: Sheet): number => sheet.chips.reduce((sum, chip) => sum + ringArea(chipRing(sheet, chip)), 0);
