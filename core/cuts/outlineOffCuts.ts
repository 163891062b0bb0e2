import { difference } from '../geometry/clip.ts';
import { drawnIn } from '../geometry/drawnIn.ts';
import type { Motion } from '../geometry/point.ts';
import { selfTurns } from '../geometry/selfTurns.ts';
import { boxOf, isInside, mapPolygon, polygonArea, polygonsArea, ringArea, type Box, type Polygon } from '../geometry/ring.ts';
import type { CutPiece } from './cutPiece.ts';
import type { CutSource } from './cutSource.ts';

/** What a tile still holds after pieces were cut from it. */
interface Remainder {
  readonly tile: number;
  readonly parts: readonly Polygon[];
  readonly areaMm2: number;
  readonly box: Box;
  readonly leftBy: string;
}

/** Remainders smaller than this hold nothing worth keeping, mm². */
const SMALLEST_MM2 = 400;

/** What is cut from which tile, for tiles that are no rectangles. */
interface OutlinePlan {
  readonly sources: readonly (readonly [string, CutSource])[];
  readonly opened: number;
  readonly lowerBound: number;
}

/**
 * Takes each piece, largest first, from what is left of a tile where its own place on the tile is still
 * whole, in any turn that brings the outline onto itself: so its factory edges stay factory edges. Else a
 * new tile is opened.
 */
export function planOutlineOffCuts(
  pieces: readonly CutPiece[],
  directional: boolean,
  { kerfMm, offCutsKept }: { readonly kerfMm: number; readonly offCutsKept: boolean },
): OutlinePlan {
  const sources: (readonly [string, CutSource])[] = [];
  let stock: Remainder[] = [];
  let opened = 0;
  for (const piece of [...pieces].sort((a, b) => b.areaMm2 - a.areaMm2)) {
    const turns = directional ? [null] : selfTurns(piece.tile, TURN_SLACK_MM);
    const places = turns.map((turn) => (turn ? mapPolygon(piece.inTile, turn.turn) : piece.inTile));
    const found = offCutsKept ? smallestFit(piece, places, stock) : null;
    const from = found?.from;
    const placed = found?.placed ?? piece.inTile;
    const { minX, minY } = boxOf(placed[0]);
    const turnDeg = found ? turnOf(turns[places.indexOf(found.placed)] ?? null) : 0;
    sources.push([piece.label, { tile: from?.tile ?? ++opened, offCutOf: from?.leftBy ?? null, at: [minX, minY], turnDeg }]);
    stock = stock.filter((other) => other !== from);
    const left = remainderOf(from?.parts ?? [[piece.tile]], placed, kerfMm);
    if (left.areaMm2 >= SMALLEST_MM2) stock.push({ ...left, tile: from?.tile ?? opened, leftBy: piece.label });
  }
  return { sources, opened, lowerBound: boundFor(pieces, offCutsKept) };
}

/** Degrees a motion turns by. */
function turnOf(motion: Motion | null): number {
  if (!motion) return 0;
  const [from, to] = [motion.turn([0, 0]), motion.turn([1, 0])];
  return Math.round((Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI);
}

/** Measured outlines miss their own turn by a little, mm. */
const TURN_SLACK_MM = 0.5;

function smallestFit(
  piece: CutPiece,
  places: readonly Polygon[],
  stock: readonly Remainder[],
): { from: Remainder; placed: Polygon } | null {
  let best: { from: Remainder; placed: Polygon } | null = null;
  for (const from of stock) {
    if (from.areaMm2 < piece.areaMm2 || (best && best.from.areaMm2 <= from.areaMm2)) continue;
    const placed = places.find((place) => lies(place, from));
    if (placed) best = { from, placed };
  }
  return best;
}

/** How far a piece may reach over what is left and still count as within it, mm. */
const WITHIN_MM = 0.1;

/** Whether a piece lies within what is left: its corners first, as that is quick, then by area. */
function lies(place: Polygon, { parts, box }: Remainder): boolean {
  const own = boxOf(place[0]);
  if (own.minX < box.minX - WITHIN_MM || own.maxX > box.maxX + WITHIN_MM) return false;
  if (own.minY < box.minY - WITHIN_MM || own.maxY > box.maxY + WITHIN_MM) return false;
  const middle = [(own.minX + own.maxX) / 2, (own.minY + own.maxY) / 2] as const;
  const drawn = place[0].map(([x, y]) => [x + (middle[0] - x) * 0.01, y + (middle[1] - y) * 0.01] as const);
  if (!drawn.every((p) => isInside(p, parts))) return false;
  return polygonsArea(difference([place], parts)) < WITHIN_MM * (own.maxX - own.minX + own.maxY - own.minY);
}

/** What a piece leaves, the saw's kerf off all round it. */
function remainderOf(parts: readonly Polygon[], placed: Polygon, kerfMm: number): Pick<Remainder, 'parts' | 'areaMm2' | 'box'> {
  const left = difference(parts, [[drawnIn(placed[0], -kerfMm)]]).filter((part) => polygonArea(part) >= SMALLEST_MM2);
  return { parts: left, areaMm2: polygonsArea(left), box: left.length > 0 ? boxOf(left.flat(2)) : boxOf(placed[0]) };
}

/** No tile holds more than its area, nor two pieces that are each over half of it. */
function boundFor(pieces: readonly CutPiece[], offCutsKept: boolean): number {
  if (!offCutsKept || pieces.length === 0) return pieces.length;
  const tile = ringArea(pieces[0].tile);
  const area = pieces.reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
  return Math.max(Math.ceil(area / tile - 1e-6), pieces.filter(({ areaMm2 }) => areaMm2 > tile / 2).length);
}
