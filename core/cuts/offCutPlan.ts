import { boxOf, isBox, ringArea, type Box } from '../geometry/ring.ts';
import { hasWayUp, productNamed, type Product, type Size } from '../tile/product.ts';
import type { CutPiece } from './cutPiece.ts';
import { planOutlineOffCuts } from './outlineOffCuts.ts';
import type { Side } from './cutKind.ts';
import type { CutSource } from './cutSource.ts';
import type { SheetPlan } from './sheets/planSheets.ts';

/** Sizes nearer than this fit each other, mm. */
const FITS_MM = 0.05;

/** Narrower remainders are not worth keeping, mm. */
const SMALLEST_OFF_CUT_MM = 20;

/** A rectangle of tile still to be used. */
interface OffCut {
  readonly tile: number;
  readonly box: Box;
  readonly factory: ReadonlySet<Side>;
  /** The piece that left it; null for an unopened tile. */
  readonly leftBy: string | null;
}

/** Which tiles are opened for the cuts, and what comes from which. */
export interface OffCutPlan {
  readonly sources: ReadonlyMap<string, CutSource>;
  readonly openedForCuts: number;
  /** No plan could need fewer than this many tiles for the cuts. */
  readonly lowerBound: number;
  /** The same for each tile by itself. */
  readonly byTile: readonly TileOpened[];
}

/** Tiles of one product and hand that are opened for cuts. */
export interface TileOpened {
  readonly productId: string;
  readonly hand: CutPiece['hand'];
  readonly openedForCuts: number;
  readonly lowerBound: number;
}

interface Rule {
  readonly kerfMm: number;
  readonly offCutsKept: boolean;
}

/** Plans the off-cuts of every tile that is cut, each for itself; chips come with their sheets. */
export function planOffCuts(
  pieces: readonly CutPiece[],
  products: readonly Product[],
  rule: Rule,
  sheets: readonly SheetPlan[] = [],
): OffCutPlan {
  const sources = new Map<string, CutSource>();
  const kinds = [
    ...new Set([...pieces.map(({ productId, hand }) => `${hand ?? ''}/${productId}`), ...sheets.map((s) => `/${s.productId}`)]),
  ];
  let openedForCuts = 0;
  const byTile = kinds.map((kind): TileOpened => {
    const own = pieces.filter(({ productId, hand }) => `${hand ?? ''}/${productId}` === kind);
    const productId = kind.slice(kind.indexOf('/') + 1);
    const sheet = sheets.find((planned) => planned.productId === productId);
    const directional = hasWayUp(productNamed(products, productId));
    const planned = sheet
      ? chipSources(own, sheet)
      : own.every(({ tile }) => isBox(tile))
        ? planRectangles(own, directional, rule)
        : planOutlineOffCuts(own, directional, rule);
    for (const [label, source] of planned.sources) sources.set(label, { ...source, tile: source.tile + openedForCuts });
    openedForCuts += planned.opened;
    return { productId, hand: own[0]?.hand ?? null, openedForCuts: planned.opened, lowerBound: planned.lowerBound };
  });
  return { sources, openedForCuts, byTile, lowerBound: byTile.reduce((sum, { lowerBound }) => sum + lowerBound, 0) };
}

/** Every cut chip comes off the sheet its part is taken from. */
function chipSources(pieces: readonly CutPiece[], { parts, openedForParts, lowerBound, wholeSheets }: SheetPlan) {
  const sources = pieces.flatMap(({ label, field, address, inTile }): (readonly [string, CutSource])[] => {
    const part = parts.find((other) => other.field === field && other.i === address.i && other.j === address.j);
    const { minX, minY } = boxOf(inTile[0]);
    return part ? [[label, { tile: part.sheet, offCutOf: null, at: [minX, minY], turnDeg: 0 }]] : [];
  });
  return { sources, opened: openedForParts, lowerBound: lowerBound - wholeSheets };
}

/**
 * Takes each cut piece, largest first, from the smallest off-cut it fits, or from a new tile.
 * A piece is never flipped; a directional one never turned; every side it keeps of its tile is a
 * factory edge of the off-cut too, so that factory edges meet at the joints.
 */
function planRectangles(pieces: readonly CutPiece[], directional: boolean, rule: Rule) {
  const around = boxOf(pieces[0].tile);
  const size = { widthMm: around.maxX - around.minX, heightMm: around.maxY - around.minY };
  const turns = directional ? [0] : [0, 2, 1, 3];
  const stock: OffCut[] = [];
  const sources: (readonly [string, CutSource])[] = [];
  let opened = 0;
  for (const piece of [...pieces].sort((a, b) => boxArea(b.sizeMm) - boxArea(a.sizeMm))) {
    const found = rule.offCutsKept ? smallestFit(piece, stock, turns) : null;
    const from = found ?? {
      offCut: newTile(size, ++opened),
      box: placeIn(piece, newTile(size, opened), 0) ?? boxOf(piece.inTile[0]),
      turn: 0,
    };
    if (found) stock.splice(stock.indexOf(found.offCut), 1);
    const at = [from.box.minX, from.box.minY] as const;
    sources.push([piece.label, { tile: from.offCut.tile, offCutOf: from.offCut.leftBy, at, turnDeg: 90 * from.turn }]);
    stock.push(...remainders(from.offCut, from.box, rule.kerfMm, piece.label));
  }
  return { sources, opened, lowerBound: rule.offCutsKept ? boundFor(pieces, size) : pieces.length };
}

const boxArea = ({ widthMm, heightMm }: Size): number => widthMm * heightMm;

const ALL_SIDES: readonly Side[] = ['bottom', 'right', 'top', 'left'];

const newTile = (size: Size, tile: number): OffCut => ({
  tile,
  leftBy: null,
  factory: new Set(ALL_SIDES),
  box: { minX: 0, minY: 0, maxX: size.widthMm, maxY: size.heightMm },
});

interface Fit {
  readonly offCut: OffCut;
  readonly box: Box;
  /** Quarter turns. */
  readonly turn: number;
}

function smallestFit(piece: CutPiece, stock: readonly OffCut[], turns: readonly number[]): Fit | null {
  let best: Fit | null = null;
  for (const offCut of stock) {
    if (best && areaOf(offCut.box) >= areaOf(best.offCut.box)) continue;
    for (const turn of turns) {
      const box = placeIn(piece, offCut, turn);
      if (!box) continue;
      best = { offCut, box, turn };
      break;
    }
  }
  return best;
}

const areaOf = (box: Box): number => (box.maxX - box.minX) * (box.maxY - box.minY);

/** The place of a piece in an off-cut after quarter turns; null where it does not fit or its sides are not there. */
function placeIn(piece: CutPiece, { box, factory }: OffCut, quarterTurns: number): Box | null {
  const needs = new Set(piece.factorySides.map((side) => ALL_SIDES[(ALL_SIDES.indexOf(side) + quarterTurns) % 4]));
  if ([...needs].some((side) => !factory.has(side))) return null;
  const { widthMm, heightMm } = piece.sizeMm;
  const [width, height] = quarterTurns % 2 === 0 ? [widthMm, heightMm] : [heightMm, widthMm];
  const x = slide(box.minX, box.maxX, width, needs.has('left'), needs.has('right'));
  const y = slide(box.minY, box.maxY, height, needs.has('bottom'), needs.has('top'));
  return x === null || y === null ? null : { minX: x, minY: y, maxX: x + width, maxY: y + height };
}

function slide(low: number, high: number, size: number, atLow: boolean, atHigh: boolean): number | null {
  if (size > high - low + FITS_MM) return null;
  if (atLow && atHigh) return Math.abs(high - low - size) <= FITS_MM ? low : null;
  return atHigh ? high - size : low;
}

/** What is left round a piece, the saw's kerf off, split so that the largest part stays largest. */
function remainders(offCut: OffCut, used: Box, kerf: number, label: string): OffCut[] {
  const { box } = offCut;
  const strips = (tall: boolean): Box[] =>
    [
      { minX: box.minX, maxX: used.minX - kerf, minY: tall ? box.minY : used.minY, maxY: tall ? box.maxY : used.maxY },
      { minX: used.maxX + kerf, maxX: box.maxX, minY: tall ? box.minY : used.minY, maxY: tall ? box.maxY : used.maxY },
      { minX: tall ? used.minX : box.minX, maxX: tall ? used.maxX : box.maxX, minY: box.minY, maxY: used.minY - kerf },
      { minX: tall ? used.minX : box.minX, maxX: tall ? used.maxX : box.maxX, minY: used.maxY + kerf, maxY: box.maxY },
    ].filter(({ minX, maxX, minY, maxY }) => maxX - minX >= SMALLEST_OFF_CUT_MM && maxY - minY >= SMALLEST_OFF_CUT_MM);
  const largest = (boxes: readonly Box[]): number => Math.max(0, ...boxes.map(areaOf));
  const [tall, wide] = [strips(true), strips(false)];
  return (largest(tall) >= largest(wide) ? tall : wide).map((part) => ({
    tile: offCut.tile,
    box: part,
    leftBy: label,
    factory: sharedSides(offCut, part),
  }));
}

function sharedSides({ box, factory }: OffCut, part: Box): Set<Side> {
  const at: Readonly<Record<Side, boolean>> = {
    left: part.minX === box.minX,
    right: part.maxX === box.maxX,
    bottom: part.minY === box.minY,
    top: part.maxY === box.maxY,
  };
  return new Set(ALL_SIDES.filter((side) => at[side] && factory.has(side)));
}

/**
 * Two proofs, the better one counts: the area of the pieces over the area of a tile; and the number
 * of rectangles larger than half a tile both ways however they are turned, of which no tile holds two.
 */
function boundFor(pieces: readonly CutPiece[], { widthMm, heightMm }: Size): number {
  const area = pieces.reduce((sum, piece) => sum + piece.areaMm2, 0);
  const half = Math.max(widthMm, heightMm) / 2;
  const large = pieces.filter(({ sizeMm, inTile }) => {
    const isRectangle = inTile.length === 1 && Math.abs(ringArea(inTile[0]) - boxArea(sizeMm)) < 1;
    return isRectangle && Math.min(sizeMm.widthMm, sizeMm.heightMm) > half;
  });
  return Math.max(Math.ceil(area / (widthMm * heightMm) - 1e-6), large.length);
}
