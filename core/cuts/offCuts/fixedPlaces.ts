import { ON_LINE_TWICE_MM, SAW_MM } from '../../tolerances.ts';
import { cross, distance, dot, motion, subtract, unit, type Point } from '../../geometry/point.ts';
import { isBox, isConvex, mapPolygon, ringArea, type Ring } from '../../geometry/ring.ts';
import { Clearance, placeOf, type OutlinePlace } from './outlinePlaces.ts';
import { pairBound } from './pairBound.ts';
import type { CutRule, WantedPiece } from './wanted.ts';

/** A tile with more corners is round: what is cut from it may be turned by any angle. */
const MOST_CORNERS = 12;

/** Of more pieces nothing is proven this way: each pair is held against the others. */
const MOST_PIECES = 200;

/** A side that is kept runs along one of the tile's within this, mm, and is at least so long. */
const ALONG_MM = ON_LINE_TWICE_MM;
const KEPT_MM = 1;

/** Two sides that meet at less than this can be slid along, as a sine. */
const SLIDES_SINE = 0.2;

/** Corners are alike whose sine and cosine differ by less; a hair at the end of a tile. */
const ALIKE = 1 / 1000;

/**
 * So many tiles are needed at least for the pieces that keep two sides of their tile which run in two ways: those have to be
 * factory edges wherever they are cut, so that such a piece lies in one of the corners of the tile that are like its own.
 * Which of them can share a tile is then no matter of search.
 */
export function byFixedPlaces(pieces: readonly WantedPiece[], { kerfMm, directional }: CutRule): number {
  const { tile } = pieces[0];
  if (tile.length > MOST_CORNERS || !isConvex(tile)) return 0;
  const held = pieces.flatMap((piece) => {
    const corner = keptCorner(piece);
    return corner ? [{ piece, corner }] : [];
  });
  if (held.length > MOST_PIECES) return 0;
  const keepsOff = new Clearance(Math.max(0, kerfMm - SAW_MM), Infinity);
  const places = new Map(held.map(({ piece, corner }) => [piece, cornerPlaces(piece, corner, directional, keepsOff)]));
  const fixed = [...places.keys()].sort((a, b) => b.areaMm2 - a.areaMm2);
  const findRoom = (taken: readonly OutlinePlace[], [piece, ...others]: readonly WantedPiece[]): boolean =>
    (places.get(piece) ?? []).some(
      (place) => taken.every((one) => keepsOff.keeps(one, place)) && (others.length === 0 || findRoom([...taken, place], others)),
    );
  return pairBound(fixed, { tileMm2: Math.abs(ringArea(tile)) + 1, corners: () => 0, fits: (own) => findRoom([], own) });
}

/** A straight side, by where it begins and its direction. */
interface Side {
  readonly from: Point;
  readonly along: Point;
}

const sidesOf = (ring: Ring): Side[] => ring.map((from, k) => ({ from, along: unit(subtract(ring[(k + 1) % ring.length], from)) }));

/** Two sides of its tile that a piece keeps and that run in two ways; null where there are none. */
function keptCorner({ outline: [outline], tile, factorySides }: WantedPiece): readonly [Side, Side] | null {
  // A stone that is sawn on any side may lie anywhere.
  if (isBox(tile) && factorySides.length < 2) return null;
  const kept = sidesOf(tile).filter(({ from, along }) =>
    outline.some((p, n) => {
      const q = outline[(n + 1) % outline.length];
      return distance(p, q) > KEPT_MM && [p, q].every((at) => Math.abs(cross(along, subtract(at, from))) < ALONG_MM);
    }),
  );
  for (const a of kept) for (const b of kept) if (Math.abs(cross(a.along, b.along)) > SLIDES_SINE) return [a, b];
  return null;
}

/** Every place of a piece in its tile in which two sides that it keeps lie on two of the tile's. */
function cornerPlaces(piece: WantedPiece, [a, b]: readonly [Side, Side], directional: boolean, keepsOff: Clearance): OutlinePlace[] {
  const sides = sidesOf(piece.tile);
  const corner = meet(a, b);
  const places: OutlinePlace[] = [];
  for (const i of sides)
    for (const j of sides) {
      if (!isAlike(i, j, a, b)) continue;
      const turnDeg = (Math.atan2(cross(a.along, i.along), dot(a.along, i.along)) * 180) / Math.PI;
      if (directional && Math.abs(turnDeg) > 0.5) continue;
      const { turn } = motion(turnDeg, [0, 0]);
      const [to, turned] = [meet(i, j), turn(corner)];
      const outline = mapPolygon(piece.outline, (p) => {
        const [x, y] = turn(p);
        return [x - turned[0] + to[0], y - turned[1] + to[1]];
      });
      const lies = outline[0].every((p) => sides.every(({ from, along }) => cross(along, subtract(p, from)) > -SAW_MM));
      if (lies) places.push(placeOf(outline, turnDeg, keepsOff));
    }
  return places.filter(({ key }, k) => places.findIndex((other) => other.key === key) === k);
}

/** Whether two sides run to each other as two others do. */
const isAlike = (i: Side, j: Side, a: Side, b: Side): boolean =>
  Math.abs(cross(i.along, j.along) - cross(a.along, b.along)) < ALIKE && Math.abs(dot(i.along, j.along) - dot(a.along, b.along)) < ALIKE;

/** Where the lines of two sides meet, which do not run the same way. */
function meet(a: Side, b: Side): Point {
  const t = cross(subtract(b.from, a.from), b.along) / cross(a.along, b.along);
  return [a.from[0] + t * a.along[0], a.from[1] + t * a.along[1]];
}
