import { SEEN_MM } from '../tolerances.ts';
import { mapPolygon, type Polygon } from '../geometry/ring.ts';
import { distance, type Point } from '../geometry/point.ts';
import { selfTurns } from '../geometry/selfTurns.ts';
import { hasWayUp, productNamed, type Product } from '../tile/product.ts';
import type { CutPiece } from './cutPiece.ts';
import type { Strip } from './strips/strip.ts';

/** Cuts that differ by less than this are one setting of the fence, mm. */
export const SAME_CUT_MM = SEEN_MM;

/** Equal cuts: one line of the cut list. */
export interface CutGroup {
  readonly id: string;
  /** The piece whose figures stand for all. */
  readonly first: CutPiece;
  readonly pieces: readonly CutPiece[];
}

/**
 * Puts equal cuts of one tile together. A plain piece may be turned as its outline allows: half a turn, a
 * quarter when it is square, a sixth when it is a hexagon; a directional one may not. Nothing is ever flipped.
 */
export function groupCuts(pieces: readonly CutPiece[], products: readonly Product[]): CutGroup[] {
  const groups: OpenGroup[] = [];
  const byLook = new Map<string, OpenGroup[]>();
  const byOutline = new Map<Polygon, OpenGroup[]>();
  for (const piece of pieces) {
    // Pieces that were described together share their outline.
    const twins = byOutline.get(piece.inTile) ?? [];
    const look = lookOf(piece);
    const alike = byLook.get(look) ?? [];
    let home =
      twins.find(({ first }) => lookOf(first) === look) ??
      alike.find((group) => isAlike(group.first, piece) && group.turned.some((polygon) => sameOutline(polygon, piece.inTile)));
    if (home) home.pieces.push(piece);
    else {
      home = { first: piece, turned: turnedOutlines(piece, hasWayUp(productNamed(products, piece.productId))), pieces: [piece] };
      groups.push(home);
      byLook.set(look, [...alike, home]);
    }
    if (!twins.includes(home)) byOutline.set(piece.inTile, [...twins, home]);
  }
  return groups
    .sort((a, b) => b.pieces.length - a.pieces.length || b.first.areaMm2 - a.first.areaMm2)
    .map(({ first, pieces: members }, k) => ({ id: `cut-${k + 1}`, first, pieces: members }));
}

/** A group while pieces are put into it. */
interface OpenGroup {
  readonly first: CutPiece;
  readonly turned: readonly Polygon[];
  readonly pieces: CutPiece[];
}

/** What equal cuts have in common to the letter. */
const lookOf = ({ kind, productId, hand, edgeShows, inTile, strip }: CutPiece): string =>
  `${kind} ${productId} ${hand ?? ''} ${edgeShows} ${inTile.length} ${inTile[0].length} ${strip ? finishOf(strip) : ''}`;

/** What strips are told apart by besides their size. */
const finishOf = ({ purpose, ends }: Strip): string =>
  [purpose, ...ends.map((end) => (end.kind === 'mitred' ? end.deg.toFixed(1) : end.kind))].join(' ');

const isAlike = (a: CutPiece, b: CutPiece): boolean =>
  Math.abs(a.areaMm2 - b.areaMm2) <= SAME_CUT_MM * 2 * (a.sizeMm.widthMm + a.sizeMm.heightMm);

/** The outlines that cut the same piece: the tile turned about its middle, as far as its outline and its face allow. */
const turnedOutlines = ({ inTile, tile }: CutPiece, directional: boolean): Polygon[] =>
  directional ? [inTile] : selfTurns(tile, SAME_CUT_MM).map(({ turn }) => mapPolygon(inTile, turn));

/** Whether two outlines are one within what a fence can be set to. */
export const sameOutline = (a: Polygon, b: Polygon): boolean => a.every((ring, k) => sameRing(ring, b[k]));

function sameRing(a: readonly Point[], b: readonly Point[]): boolean {
  if (a.length !== b.length) return false;
  return b.some((_, shift) => a.every((p, k) => distance(p, b[(k + shift) % b.length]) <= SAME_CUT_MM));
}
