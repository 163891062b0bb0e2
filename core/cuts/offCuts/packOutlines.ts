import { difference } from '../../geometry/clip.ts';
import { distanceToStretch } from '../../geometry/distanceToStretch.ts';
import { labelPoint } from '../../geometry/labelPoint.ts';
import type { Motion, Point } from '../../geometry/point.ts';
import { seededNumbers } from '../../geometry/seededNumbers.ts';
import { selfTurns } from '../../geometry/selfTurns.ts';
import {
  boxOf,
  isInside,
  mapPolygon,
  polygonArea,
  polygonsArea,
  ringArea,
  type Box,
  type Polygon,
  type Ring,
} from '../../geometry/ring.ts';
import type { CutRule, PackedTile, PlacedPiece, WantedPiece } from './wanted.ts';

/** Measured outlines miss their own turn by a little, mm. */
const TURN_SLACK_MM = 0.5;

/** Pieces come this much nearer to each other than the kerf, mm: no saw knows it. */
const TOUCH_MM = 0.05;

/** A piece in one of the places that its tile has for it. */
interface Place {
  readonly outline: Polygon;
  readonly turnDeg: number;
  readonly box: Box;
  /** A few places well inside it. */
  readonly inside: readonly Point[];
  /** Same for the same outline in the same place. */
  readonly key: number;
}

interface Item {
  readonly piece: WantedPiece;
  readonly places: readonly Place[];
}

interface Bin {
  readonly placed: readonly { readonly item: Item; readonly place: Place }[];
  readonly areaMm2: number;
}

/**
 * Packs pieces of tiles that are no rectangles: each lies where it lies in its own tile, in any turn that brings the
 * outline onto itself, so that its factory edges stay factory edges. A round of improving at a time, as for rectangles.
 */
export function* packOutlines(pieces: readonly WantedPiece[], rule: CutRule): Generator<PackedTile[], never> {
  const keepsOff = new Clearance(rule.kerfMm);
  const items = itemsOf(pieces, rule, keepsOff);
  const tileMm2 = Math.abs(ringArea(pieces[0].tile));
  const byArea = (a: Item, b: Item): number => b.piece.areaMm2 - a.piece.areaMm2;
  const surfaces = [...new Set(pieces.map(({ surfaceId }) => surfaceId))];
  // Each surface by what those before it left; all at once only where that opens fewer.
  const inTurn = surfaces.reduce<Bin[]>(
    (bins, id) => packed(bins, items.filter(({ piece }) => piece.surfaceId === id).sort(byArea), tileMm2, keepsOff),
    [],
  );
  const atOnce = surfaces.length > 1 ? packed([], [...items].sort(byArea), tileMm2, keepsOff) : inTurn;
  let best = atOnce.length < inTurn.length ? atOnce : inTurn;
  const next = seededNumbers(SEED);
  for (;;) {
    yield best.map(toPacked);
    const few = Math.min(best.length, 2 + Math.floor(next() * 6));
    const emptied = new Set([...best].sort((a, b) => a.areaMm2 - b.areaMm2).slice(0, Math.ceil(few / 2)));
    while (emptied.size < few) emptied.add(best[Math.floor(next() * best.length)]);
    const kept = best.filter((bin) => !emptied.has(bin));
    const blurred = [...emptied]
      .flatMap(({ placed }) => placed.map(({ item }) => ({ item, by: item.piece.areaMm2 * (0.7 + 0.6 * next()) })))
      .sort((a, b) => b.by - a.by)
      .map(({ item }) => item);
    const again = packed(kept, blurred, tileMm2, keepsOff);
    if (again.length < best.length || (again.length === best.length && worth(again) > worth(best))) best = again;
  }
}

const SEED = 11;

const worth = (bins: readonly Bin[]): number => bins.reduce((sum, { areaMm2 }) => sum + areaMm2 ** 2, 0);

/** Puts each piece into the fullest tile that has its place free, or into one more. */
function packed(bins: readonly Bin[], items: readonly Item[], tileMm2: number, keepsOff: Clearance): Bin[] {
  const all = [...bins];
  for (const item of items) {
    let best: { readonly at: number; readonly place: Place } | null = null;
    for (let at = 0; at < all.length; at++) {
      const bin = all[at];
      if (bin.areaMm2 + item.piece.areaMm2 > tileMm2 || (best && bin.areaMm2 <= all[best.at].areaMm2)) continue;
      const place = item.places.find((one) => bin.placed.every((other) => keepsOff.keeps(one, other.place)));
      if (place) best = { at, place };
    }
    if (best) {
      const { placed, areaMm2 } = all[best.at];
      all[best.at] = { placed: [...placed, { item, place: best.place }], areaMm2: areaMm2 + item.piece.areaMm2 };
    } else all.push({ placed: [{ item, place: item.places[0] }], areaMm2: item.piece.areaMm2 });
  }
  return all;
}

/** Whether two places keep the kerf between them; each pair is looked at once. */
class Clearance {
  private readonly known = new Map<number, boolean>();
  private readonly keys = new Map<string, number>();
  readonly kerfMm: number;

  constructor(kerfMm: number) {
    this.kerfMm = kerfMm;
  }

  /** A number for an outline where it lies. */
  keyOf(outline: Polygon): number {
    const text = outline.map((ring) => ring.map(([x, y]) => `${x.toFixed(2)} ${y.toFixed(2)}`).join()).join('|');
    const key = this.keys.get(text) ?? this.keys.size;
    this.keys.set(text, key);
    return key;
  }

  keeps(a: Place, b: Place): boolean {
    const pair = a.key < b.key ? a.key * 65536 + b.key : b.key * 65536 + a.key;
    const known = this.known.get(pair);
    if (known !== undefined) return known;
    const keeps = apart(a.box, b.box, this.kerfMm) || !overlaps(a, b, this.kerfMm);
    this.known.set(pair, keeps);
    return keeps;
  }
}

const apart = (a: Box, b: Box, kerfMm: number): boolean =>
  a.minX > b.maxX + kerfMm || b.minX > a.maxX + kerfMm || a.minY > b.maxY + kerfMm || b.minY > a.maxY + kerfMm;

/** Whether two places lie on each other, or so near that the saw between them would take from one. */
function overlaps(a: Place, b: Place, kerfMm: number): boolean {
  // Most pieces of one tile lie well upon each other: a few places tell.
  if (a.inside.some((p) => isInside(p, [b.outline])) || b.inside.some((p) => isInside(p, [a.outline]))) return true;
  const nearMm = kerfMm - TOUCH_MM;
  if (comesWithin(nearMm, a, b) || comesWithin(nearMm, b, a)) return true;
  const left = polygonsArea(difference([b.outline], [a.outline]));
  return polygonArea(b.outline) - left > TOUCH_MM * (b.box.maxX - b.box.minX + b.box.maxY - b.box.minY);
}

/** Whether a corner of one place is nearer than so much to a side of another. */
function comesWithin(mm: number, a: Place, { outline, box }: Place): boolean {
  const isFar = ([x, y]: Point): boolean => x < box.minX - mm || x > box.maxX + mm || y < box.minY - mm || y > box.maxY + mm;
  return a.outline.some((ring) =>
    ring.some(
      (p) =>
        !isFar(p) &&
        outline.some((other) => other.some((from, k) => distanceToStretch(p, from, other[k + 1 === other.length ? 0 : k + 1]) < mm)),
    ),
  );
}

function itemsOf(pieces: readonly WantedPiece[], { directional }: CutRule, keepsOff: Clearance): Item[] {
  const turnsOf = new Map<Ring, readonly Motion[]>();
  return pieces.map((piece): Item => {
    const turns = turnsOf.get(piece.tile) ?? selfTurns(piece.tile, TURN_SLACK_MM);
    turnsOf.set(piece.tile, turns);
    const own: Place = placeOf(piece.outline, 0, keepsOff);
    if (directional) return { piece, places: [own] };
    const turned = turns.map((turn) => placeOf(mapPolygon(piece.outline, turn.turn), degreesOf(turn), keepsOff));
    const places = [own, ...turned];
    return { piece, places: places.filter(({ key }, k) => places.findIndex((other) => other.key === key) === k) };
  });
}

const placeOf = (outline: Polygon, turnDeg: number, keepsOff: Clearance): Place => ({
  outline,
  turnDeg,
  box: boxOf(outline[0]),
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

const toPacked = ({ placed }: Bin): PackedTile =>
  placed.map(({ item: { piece }, place }): PlacedPiece => ({
    piece,
    outline: place.outline,
    at: [place.box.minX, place.box.minY],
    turnDeg: place.turnDeg,
  }));
