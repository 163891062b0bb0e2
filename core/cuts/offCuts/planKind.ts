import type { Memory, Shelf } from '../../memory.ts';
import { oncePer } from '../../oncePer.ts';
import { boxOf } from '../../geometry/ring.ts';
import { hasWayUp, productNamed, type Product } from '../../tile/product.ts';
import type { CutPiece } from '../cutPiece.ts';
import type { Blank } from './blank.ts';
import { leastTiles } from './bounds.ts';
import { fillBlanks, type FilledBlank } from './fillBlanks.ts';
import { packAll, type Packing } from './packTiles.ts';
import { wantedFrom, type CutRule, type PackedTile, type WantedPiece } from './wanted.ts';

/** What a plan of off-cuts keeps to. */
export interface OffCutRule {
  readonly kerfMm: number;
  readonly offCutsKept: boolean;
  /** Rounds of improving where they are more than the usual. */
  readonly offCutRounds?: number;
  /** Pieces of tile that are there already; none where left out. */
  readonly blanks?: readonly Blank[] | undefined;
}

/** One kind of tile as it lies in a box: pieces of another hand never come from it. */
export interface TileKind {
  readonly productId: string;
  readonly hand: CutPiece['hand'];
}

/** What of one surface is cut from one kind of tile; at least one piece. */
export interface CutsOfKind {
  readonly surfaceId: string;
  readonly cuts: readonly CutPiece[];
}

/** What is opened of one kind of tile. */
export interface KindPlan {
  /** In the order in which their first piece is laid, the pieces of each in theirs. */
  readonly tiles: readonly PackedTile[];
  readonly filled: readonly FilledBlank[];
  /** By surface: so many tiles are needed at least for its pieces and all before them. */
  readonly needed: ReadonlyMap<string, number>;
}

/** What is packed of one kind of tile, and by which rule. */
export interface PackedKind {
  readonly pieces: readonly WantedPiece[];
  readonly cutRule: CutRule;
}

/** One text for one kind. */
export const keyOf = ({ productId, hand }: TileKind): string => `${hand ?? ''}/${productId}`;

/** The cuts of a surface by the kind of tile they come from, each kind where it is first met. The same lists for the same cuts. */
export const cutsByKind = oncePer((cuts: readonly CutPiece[]): ReadonlyMap<string, readonly CutPiece[]> => {
  const lists = new Map<string, CutPiece[]>();
  for (const piece of cuts) {
    const own = lists.get(keyOf(piece));
    if (own) own.push(piece);
    else lists.set(keyOf(piece), [piece]);
  }
  return lists;
});

/** Plans of what is opened, about the first pieces they are for: a surface is planned alone, with its job, and for a comparison. */
const KIND_PLANS: Shelf<KindPlan> = { most: 4 };

/** Plans what is opened of one kind of tile for all surfaces; the same again while the same pieces are asked for by the same rule. */
export function planKind(
  kind: TileKind,
  surfaces: readonly CutsOfKind[],
  products: readonly Product[],
  rule: OffCutRule,
  memory: Memory,
): KindPlan {
  const [{ cuts: first }] = surfaces;
  const asked = askedFor(kind, products, rule);
  const text = JSON.stringify([keyOf(kind), rule.offCutsKept, rule.offCutRounds ?? 0, asked]);
  const all = [text, ...surfaces.flatMap(({ surfaceId, cuts }) => [surfaceId, cuts])];
  return memory.recallAbout(KIND_PLANS, first, all, () => plannedAnew(surfaces, asked, rule));
}

/** What is packed of one kind of tile: all pieces that do not come from a blank. */
export function packedOfKind(kind: TileKind, surfaces: readonly CutsOfKind[], products: readonly Product[], rule: OffCutRule): PackedKind {
  const { cutRule, blanks } = askedFor(kind, products, rule);
  const all = wantedOf(surfaces);
  return { pieces: without(all, fillBlanks(all, blanks, cutRule)), cutRule };
}

/** By which rule a kind is cut, and what there is of it already. */
interface Asked {
  readonly cutRule: CutRule;
  readonly blanks: readonly Blank[];
}

const askedFor = ({ productId, hand }: TileKind, products: readonly Product[], { kerfMm, blanks = [] }: OffCutRule): Asked => ({
  cutRule: { kerfMm, directional: hasWayUp(productNamed(products, productId)) },
  blanks: hand === null ? blanks.filter((blank) => blank.productId === productId) : [],
});

const wantedOf = (surfaces: readonly CutsOfKind[]): WantedPiece[] =>
  surfaces.flatMap(({ surfaceId, cuts }) => cuts.map((piece) => wantedFrom(surfaceId, piece)));

/** Pieces that come from no blank. */
function without(pieces: readonly WantedPiece[], filled: readonly FilledBlank[]): WantedPiece[] {
  const fromBlanks = new Set(filled.flatMap(({ placed }) => placed.map(({ piece }) => piece)));
  return pieces.filter((piece) => !fromBlanks.has(piece));
}

function plannedAnew(surfaces: readonly CutsOfKind[], { cutRule, blanks }: Asked, { offCutsKept, offCutRounds }: OffCutRule): KindPlan {
  const all = wantedOf(surfaces);
  const filled = fillBlanks(all, blanks, cutRule);
  const rest = without(all, filled);
  const packing = offCutsKept ? packAll(rest, cutRule, offCutRounds) : packStrips(rest, cutRule);
  // What is there already may stand in for as many tiles as it has pieces.
  const instead = blanks.reduce((sum, blank) => sum + blank.pieces, 0);
  const needed = new Map<string, number>();
  let pieces = 0;
  for (const { surfaceId, cuts } of surfaces) {
    pieces += cuts.length;
    const isAll = pieces === all.length && filled.length === 0;
    const soFar = all.slice(0, pieces);
    const least = isAll ? packing.lowerBound : offCutsKept ? leastTiles(soFar, cutRule) : packStrips(soFar, cutRule).lowerBound;
    needed.set(surfaceId, Math.max(0, least - instead));
  }
  const [order, ...each] = [packing.tiles, ...filled.map(({ placed }) => [placed])].map((tiles) => inLaidOrder(tiles, all));
  return { tiles: order, filled: filled.map((one, k) => ({ ...one, placed: each[k][0] })), needed };
}

/** Where no off-cut is kept each piece has a tile of its own; strips are cut side by side all the same. */
function packStrips(pieces: readonly WantedPiece[], rule: CutRule): Packing {
  const strips = packAll(
    pieces.filter(({ isStrip }) => isStrip),
    rule,
  );
  const others = pieces.filter(({ isStrip }) => !isStrip);
  return { tiles: [...others.map(inOwnTile), ...strips.tiles], lowerBound: others.length + strips.lowerBound };
}

const inOwnTile = (piece: WantedPiece): PackedTile => {
  const { minX, minY } = boxOf(piece.outline[0]);
  return [{ piece, outline: piece.outline, at: [minX, minY], turnDeg: 0 }];
};

/** Tiles in the order in which their first piece is laid, and the pieces of each in theirs. */
function inLaidOrder(tiles: readonly PackedTile[], pieces: readonly WantedPiece[]): PackedTile[] {
  const place = new Map(pieces.map((piece, k) => [piece, k]));
  const at = ({ piece }: PackedTile[number]): number => place.get(piece) ?? 0;
  const sorted = tiles.map((uses) => [...uses].sort((a, b) => at(a) - at(b)));
  return sorted.sort((a, b) => at(a[0]) - at(b[0]));
}
