import { ON_LINE_MM } from '../../tolerances.ts';
import { oncePer } from '../../oncePer.ts';
import { difference } from '../../geometry/clip.ts';
import { drawnIn } from '../../geometry/drawnIn.ts';
import { seededNumbers } from '../../geometry/seededNumbers.ts';
import { boxOf, boxRing, mapPolygon, type Box, type Polygon, type Ring } from '../../geometry/ring.ts';
import { motion, type Point } from '../../geometry/point.ts';
import type { Size } from '../../tile/product.ts';
import type { Side } from '../cutKind.ts';
import { largestBoxWithin } from './boxWithin.ts';
import { FreeSpace, isTighter, type Fit, type WantedBox } from './freeSpace.ts';
import { tileSize, type CutRule, type PackedTile, type PlacedPiece, type WantedPiece } from './wanted.ts';

/** A piece with what a packer asks of it, in every turn that is allowed. */
export interface Item {
  readonly piece: WantedPiece;
  readonly turns: readonly Turned[];
  /** Pieces of one look fit into the same places. */
  readonly look: string;
}

/** A piece in one turn. */
interface Turned {
  readonly deg: number;
  readonly box: WantedBox;
  /** Its outline with the near corner of its box at the origin, and the boxes that it leaves open within its own. */
  readonly outline: Polygon;
  readonly open: readonly Box[];
}

/** A tile while pieces are taken from it. */
interface Bin {
  readonly space: FreeSpace;
  /** Never changed: what is put in makes a list of its own, and so every list is turned into pieces once. */
  placed: readonly { readonly item: Item; readonly turned: Turned; readonly box: Box }[];
  areaMm2: number;
}

const ROUND: readonly Side[] = ['bottom', 'right', 'top', 'left'];

/**
 * Packs pieces into as few rectangular tiles as it finds, a round of improving at a time; the best so far is given
 * each time. The same pieces give the same tiles. Nothing is flipped; kerf is kept; every side that has to be a factory
 * edge lies on the edge of the tile; each tile comes apart by cuts from edge to edge.
 */
export const packRectangles = (pieces: readonly WantedPiece[], rule: CutRule): Generator<PackedTile[], never> =>
  packItems(
    pieces.map((piece) => itemOf(piece, rule)),
    rule,
  );

/** The same of pieces that were made ready. */
export function* packItems(items: readonly Item[], rule: CutRule): Generator<PackedTile[], never> {
  const size = tileSize(items[0].piece);
  // Each surface by what those before it left; all at once only where that opens fewer.
  const surfaces = bySurface(items);
  const inTurn = surfaces.reduce<Bin[]>(
    (bins, own) => bestOf(ORDERS.map((order) => packed(bins.map(copyOf), [...own].sort(order), size, rule.kerfMm))),
    [],
  );
  const atOnce = surfaces.length === 1 ? inTurn : bestOf(ORDERS.map((order) => packed([], [...items].sort(order), size, rule.kerfMm)));
  let best = atOnce.length < inTurn.length ? atOnce : inTurn;
  const next = seededNumbers(SEED);
  for (;;) {
    yield best.map(toPacked);
    best = improved(best, size, rule.kerfMm, next);
  }
}

const SEED = 7;

const areaOf = ({ widthMm, heightMm }: Size): number => widthMm * heightMm;
const boxArea = ({ piece }: Item): number => areaOf(piece.sizeMm);
const longer = ({ piece: { sizeMm } }: Item): number => Math.max(sizeMm.widthMm, sizeMm.heightMm);

/** The pieces of each surface, in the order in which they are laid. */
function bySurface(items: readonly Item[]): Item[][] {
  const groups = new Map<string, Item[]>();
  for (const item of items) {
    const own = groups.get(item.piece.surfaceId);
    if (own) own.push(item);
    else groups.set(item.piece.surfaceId, [item]);
  }
  return [...groups.values()];
}

/** The orders in which pieces are taken: large ones first, by what makes them hard to place. */
const ORDERS: readonly ((a: Item, b: Item) => number)[] = [
  (a, b) => boxArea(b) - boxArea(a),
  (a, b) => b.piece.factorySides.length - a.piece.factorySides.length || boxArea(b) - boxArea(a),
  (a, b) => longer(b) - longer(a) || boxArea(b) - boxArea(a),
];

/** Fewer tiles are better; of as many, those of which the fullest are fuller, so that the others may be emptied. */
const worth = (bins: readonly Bin[]): number => bins.reduce((sum, { areaMm2 }) => sum + areaMm2 ** 2, 0);

function bestOf(plans: readonly Bin[][]): Bin[] {
  return plans.reduce((a, b) => (b.length < a.length || (b.length === a.length && worth(b) > worth(a)) ? b : a));
}

/** Where a piece sits tightest in a tile, and in which of its turns. */
interface BoxPlace {
  readonly turn: number;
  readonly fit: Fit;
}

/** The tiles into which a piece of one look may still go; a tile that has no room for it never has it again. */
interface Open {
  tiles: { readonly bin: Bin; place: BoxPlace; pieces: number }[];
  /** So many tiles were asked. */
  asked: number;
}

/** Puts each piece where it sits tightest, or into a tile more. */
function packed(bins: readonly Bin[], items: readonly Item[], size: Size, kerfMm: number): Bin[] {
  const all = [...bins];
  const byLook = new Map<string, Open>();
  for (const item of items) {
    const open = byLook.get(item.look) ?? { tiles: [], asked: 0 };
    byLook.set(item.look, open);
    askAgain(open, all, item);
    let best: Open['tiles'][number] | null = null;
    for (const one of open.tiles) if (!best || isTighter(one.place.fit, best.place.fit)) best = one;
    if (best) put(best.bin, item, item.turns[best.place.turn], best.place.fit);
    else all.push(opened(item, size, kerfMm));
  }
  return all;
}

/** Asks the tiles that were opened or cut since a piece of this look was last placed. */
function askAgain(open: Open, all: readonly Bin[], item: Item): void {
  let shut = false;
  for (const one of open.tiles) {
    if (one.pieces === one.bin.placed.length) continue;
    const place = tightest(one.bin, item);
    one.pieces = place ? one.bin.placed.length : Infinity;
    if (place) one.place = place;
    else shut = true;
  }
  if (shut) open.tiles = open.tiles.filter(({ pieces }) => pieces < Infinity);
  for (; open.asked < all.length; open.asked++) {
    const bin = all[open.asked];
    const place = tightest(bin, item);
    if (place) open.tiles.push({ bin, place, pieces: bin.placed.length });
  }
}

function tightest({ space }: Bin, { turns }: Item): BoxPlace | null {
  let best: BoxPlace | null = null;
  for (let turn = 0; turn < turns.length; turn++) {
    const fit = space.fit(turns[turn].box, best?.fit ?? null);
    if (fit) best = { turn, fit };
  }
  return best;
}

/** A tile that is opened for a piece: it lies there as in its own. */
function opened(item: Item, size: Size, kerfMm: number): Bin {
  const bin: Bin = { space: new FreeSpace(size, kerfMm), placed: [], areaMm2: 0 };
  const [turned] = item.turns;
  // A piece that does not fit as it is asked for lies as in its own tile.
  put(bin, item, turned, bin.space.fit(turned.box, null) ?? { space: boxOf(item.piece.tile), box: boxOf(item.piece.outline[0]) });
  return bin;
}

function put(bin: Bin, item: Item, turned: Turned, { space, box }: Pick<Fit, 'space' | 'box'>): void {
  bin.placed = [...bin.placed, { item, turned, box }];
  bin.areaMm2 += item.piece.areaMm2;
  const moved = ({ minX, minY, maxX, maxY }: Box): Box => ({
    minX: minX + box.minX,
    minY: minY + box.minY,
    maxX: maxX + box.minX,
    maxY: maxY + box.minY,
  });
  bin.space.take(space, box, turned.open.map(moved));
}

/** Empties a few tiles, those that are least full and some by chance, and packs their pieces anew. */
function improved(bins: Bin[], size: Size, kerfMm: number, next: () => number): Bin[] {
  const byFill = [...bins].sort((a, b) => a.areaMm2 - b.areaMm2);
  const few = Math.min(bins.length, 2 + Math.floor(next() * 6));
  const emptied = new Set(byFill.slice(0, Math.ceil(few / 2)));
  while (emptied.size < few) emptied.add(bins[Math.floor(next() * bins.length)]);
  const items = [...emptied].flatMap(({ placed }) => placed.map(({ item }) => item));
  const kept = bins.filter((bin) => !emptied.has(bin)).map(copyOf);
  const order = ORDERS[Math.floor(next() * ORDERS.length)];
  // A little disorder, so that not the same comes out again.
  const blurred = items.map((item) => ({ item, by: boxArea(item) * (0.7 + 0.6 * next()) }));
  const sorted = next() < 0.4 ? items.sort(order) : blurred.sort((a, b) => b.by - a.by).map(({ item }) => item);
  return bestOf([bins, packed(kept, sorted, size, kerfMm)]);
}

const copyOf = ({ space, placed, areaMm2 }: Bin): Bin => ({ space: space.copy(), placed, areaMm2 });

/** Makes a piece ready to be packed by its box. */
export function itemOf(piece: WantedPiece, { directional, kerfMm }: CutRule): Item {
  const quarters = directional ? [0] : piece.isRectangle && piece.factorySides.length === 0 ? [0, 1] : [0, 2, 1, 3];
  const open = piece.isRectangle ? [] : openWithin(piece.outline, kerfMm);
  const turns = quarters.map((quarter) => turnedBy(piece, open, quarter));
  return { piece, turns, look: turns.map(({ box: { widthMm, heightMm, sides } }) => [widthMm, heightMm, ...sides].join(' ')).join('|') };
}

function turnedBy({ outline, sizeMm, factorySides }: WantedPiece, open: readonly Box[], quarter: number): Turned {
  const { turn } = motion(90 * quarter, [0, 0]);
  const round = mapPolygon(outline, turn);
  const { minX, minY } = boxOf(round[0]);
  const toOrigin = ([x, y]: Point): Point => [x - minX, y - minY];
  const [widthMm, heightMm] = quarter % 2 === 0 ? [sizeMm.widthMm, sizeMm.heightMm] : [sizeMm.heightMm, sizeMm.widthMm];
  return {
    deg: 90 * quarter,
    outline: mapPolygon(round, toOrigin),
    box: { widthMm, heightMm, sides: new Set(factorySides.map((side) => ROUND[(ROUND.indexOf(side) + quarter) % 4])) },
    open: open.map((box) => boxOf(boxRing(box).map((corner) => toOrigin(turn(corner))))),
  };
}

/** Smaller openings hold no piece, mm. */
const SMALLEST_OPEN_MM = 15;

/** The largest upright boxes that a piece leaves open at the corners of its own, the kerf off: what is notched out is tile still. */
function openWithin([outer]: Polygon, kerfMm: number): Box[] {
  const own = boxOf(outer);
  if (!leavesACorner(outer, own)) return [];
  const left = difference([[boxRing(own)]], [[kerfMm > 0 ? drawnIn(outer, -kerfMm) : outer]]);
  const isOpen = ({ minX, minY, maxX, maxY }: Box): boolean =>
    Math.min(maxX - minX, maxY - minY) >= SMALLEST_OPEN_MM &&
    (minX < own.minX + ON_LINE_MM || maxX > own.maxX - ON_LINE_MM) &&
    (minY < own.minY + ON_LINE_MM || maxY > own.maxY - ON_LINE_MM);
  return left.flatMap((part) => largestBoxWithin(part, isOpen) ?? []);
}

/** Whether the sides of a ring's box are free beside one of its corners for as long as an opening has to be. */
function leavesACorner(ring: Ring, { minX, minY, maxX, maxY }: Box): boolean {
  const along = (k: 0 | 1, side: number): readonly [number, number] => {
    const on = ring.filter((p) => Math.abs(p[1 - k] - side) < ON_LINE_MM).map((p) => p[k]);
    return [Math.min(...on), Math.max(...on)];
  };
  const [bottom, top, left, right] = [along(0, minY), along(0, maxY), along(1, minX), along(1, maxX)];
  const free = (a: number, b: number): boolean => Math.min(a, b) >= SMALLEST_OPEN_MM;
  return (
    free(bottom[0] - minX, left[0] - minY) ||
    free(maxX - bottom[1], right[0] - minY) ||
    free(top[0] - minX, maxY - left[1]) ||
    free(maxX - top[1], maxY - right[1])
  );
}

const toPacked = ({ placed }: Bin): PackedTile => packedFrom(placed);

const packedFrom = oncePer((placed: Bin['placed']): PackedTile =>
  placed.map(({ item: { piece }, turned, box }): PlacedPiece => ({
    piece,
    outline: mapPolygon(turned.outline, ([x, y]) => [x + box.minX, y + box.minY]),
    at: [box.minX, box.minY],
    turnDeg: turned.deg,
  })),
);
