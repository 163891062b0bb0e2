import { HAIR_MM, SEEN_MM } from '../../tolerances.ts';
import { difference } from '../../geometry/clip.ts';
import { distanceToStretch } from '../../geometry/distanceToStretch.ts';
import { labelPoint } from '../../geometry/labelPoint.ts';
import type { Motion, Point } from '../../geometry/point.ts';
import { selfTurns } from '../../geometry/selfTurns.ts';
import { boxOf, isConvex, isInside, mapPolygon, polygonArea, polygonsArea, type Box, type Polygon } from '../../geometry/ring.ts';
import type { CutRule, WantedPiece } from './wanted.ts';

/** Measured outlines miss their own turn by a little, mm. */
const TURN_SLACK_MM = SEEN_MM;

/** Pieces come this much nearer to each other than the kerf, mm: no saw knows it. */
const TOUCH_MM = HAIR_MM;

/** Two outlines that share so little share nothing, mm²: clipping works in thousandths. */
const NOTHING_MM2 = 0.5;

/** A piece in one of the places that its tile has for it. */
export interface OutlinePlace {
  readonly outline: Polygon;
  readonly turnDeg: number;
  readonly box: Box;
  /** Whether it has one outline, and every corner of that turns left. */
  readonly isConvex: boolean;
  /** A few places well inside it. */
  readonly inside: readonly Point[];
  /** Same for the same outline in the same place. */
  readonly key: number;
}

/**
 * The places that the tile of a piece has for it: where it lies in its own, in every turn that brings the outline of the
 * tile onto itself, so that its factory edges stay factory edges.
 */
export function placesOf(piece: WantedPiece, { directional }: CutRule, keepsOff: Clearance): OutlinePlace[] {
  const own: OutlinePlace = placeOf(piece.outline, 0, keepsOff);
  if (directional) return [own];
  const turned = selfTurns(piece.tile, TURN_SLACK_MM).map((turn) =>
    placeOf(mapPolygon(piece.outline, turn.turn), degreesOf(turn), keepsOff),
  );
  const places = [own, ...turned];
  return places.filter(({ key }, k) => places.findIndex((other) => other.key === key) === k);
}

/** So many pairs of places are really held against each other by a packer. */
const MOST_LOOKED_AT = 20_000;

/** Whether two places keep the kerf between them; each pair is looked at once. */
export class Clearance {
  private readonly known = new Map<number, boolean>();
  private readonly keys = new Map<string, number>();
  readonly kerfMm: number;

  private readonly mostLookedAt: number;

  /** Of more pairs than `mostLookedAt` it is taken that they do not go together. */
  constructor(kerfMm: number, mostLookedAt = MOST_LOOKED_AT) {
    this.kerfMm = kerfMm;
    this.mostLookedAt = mostLookedAt;
  }

  /** A number for an outline where it lies. */
  keyOf(outline: Polygon): number {
    const text = outline.map((ring) => ring.map(([x, y]) => `${x.toFixed(2)} ${y.toFixed(2)}`).join()).join('|');
    const key = this.keys.get(text) ?? this.keys.size;
    this.keys.set(text, key);
    return key;
  }

  keeps(a: OutlinePlace, b: OutlinePlace): boolean {
    const pair = a.key < b.key ? a.key * 65536 + b.key : b.key * 65536 + a.key;
    const known = this.known.get(pair);
    if (known !== undefined) return known;
    if (this.known.size >= this.mostLookedAt) return false;
    const keeps = apart(a.box, b.box, this.kerfMm) || !overlaps(a, b, this.kerfMm);
    this.known.set(pair, keeps);
    return keeps;
  }
}

const apart = (a: Box, b: Box, kerfMm: number): boolean =>
  a.minX > b.maxX + kerfMm || b.minX > a.maxX + kerfMm || a.minY > b.maxY + kerfMm || b.minY > a.maxY + kerfMm;

/** Whether two places lie on each other, or so near that the saw between them would take from one. */
function overlaps(a: OutlinePlace, b: OutlinePlace, kerfMm: number): boolean {
  // Most pieces of one tile lie well upon each other: a few places tell.
  if (a.inside.some((p) => isInside(p, [b.outline])) || b.inside.some((p) => isInside(p, [a.outline]))) return true;
  const nearMm = kerfMm - TOUCH_MM;
  if (comesWithin(nearMm, a, b) || comesWithin(nearMm, b, a)) return true;
  if (a.isConvex && b.isConvex && (liesBeyondASide(a, b) || liesBeyondASide(b, a))) return false;
  const left = polygonsArea(difference([b.outline], [a.outline]));
  // Where a saw goes between them they share nothing; touching outlines share what reckoning leaves along their sides.
  const touching = kerfMm > 2 * TOUCH_MM ? NOTHING_MM2 : TOUCH_MM * (b.box.maxX - b.box.minX + b.box.maxY - b.box.minY);
  return polygonArea(b.outline) - left > touching;
}

/** Whether all of a place lies beyond the line of one side of another. */
function liesBeyondASide({ outline: [ring] }: OutlinePlace, { outline: [other] }: OutlinePlace): boolean {
  return other.some(([ax, ay], k) => {
    const [bx, by] = other[k + 1 === other.length ? 0 : k + 1];
    return ring.every(([x, y]) => (bx - ax) * (y - ay) - (by - ay) * (x - ax) <= 0);
  });
}

/** Whether a corner of one place is nearer than so much to a side of another. */
function comesWithin(mm: number, a: OutlinePlace, { outline, box }: OutlinePlace): boolean {
  const isFar = ([x, y]: Point): boolean => x < box.minX - mm || x > box.maxX + mm || y < box.minY - mm || y > box.maxY + mm;
  return a.outline.some((ring) =>
    ring.some(
      (p) =>
        !isFar(p) &&
        outline.some((other) => other.some((from, k) => distanceToStretch(p, from, other[k + 1 === other.length ? 0 : k + 1]) < mm)),
    ),
  );
}

/** A place of an outline, by its turn in degrees. */
export const placeOf = (outline: Polygon, turnDeg: number, keepsOff: Clearance): OutlinePlace => ({
  outline,
  turnDeg,
  box: boxOf(outline[0]),
  isConvex: outline.length === 1 && isConvex(outline[0]),
  inside: placesInside(outline),
  key: keepsOff.keyOf(outline),
});

/** The place for its label, and half way from there to some of its corners. */
function placesInside(outline: Polygon): Point[] {
  const middle = labelPoint(outline);
  const step = Math.ceil(outline[0].length / 8);
  const halfway = outline[0].filter((_, k) => k % step === 0).map(([x, y]): Point => [(x + middle[0]) / 2, (y + middle[1]) / 2]);
  return [middle, ...halfway].filter((p) => isInside(p, [outline]));
}

/** Degrees that a motion turns by. */
function degreesOf(motion: Motion): number {
  const [from, to] = [motion.turn([0, 0]), motion.turn([1, 0])];
  return Math.round((Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI);
}
