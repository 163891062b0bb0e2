import { ON_LINE_MM, ROUNDED_OFTEN, ROUNDING } from '../tolerances.ts';
import { boxOf, isBox, type Box, type Ring } from '../geometry/ring.ts';
import { cross, distance, subtract, unit, type Point } from '../geometry/point.ts';
import type { Size } from '../tile/product.ts';
import type { CutKind } from '../tile/cutKinds.ts';
import { CORE_BITS_MM, coreBitFor, type Mark, type Side, type SideMeasure, type TileEnd } from './cutKind.ts';
import type { Circle } from '../geometry/circleRing.ts';
import { flatsOf, type FlatMeasure } from './flats.ts';
import { fitCircle, runsOn } from './fitCircle.ts';
import type { CutLine } from './traceCuts.ts';

const PATH_POINTS = 12;

/** One cut with its kind and what to mark. */
export interface MarkedCut {
  readonly kind: CutKind;
  readonly mark: Mark;
}

/**
 * Names one cut and says how it is marked: from the tile's factory edges, or for a notch or slot that
 * opens to a side cut before it, from the sides of the piece. `outline` is the tile, `piece` the box of the piece in the tile,
 * `circles` those of round fixtures in the tile's frame, `bitsMm` the core bits that are at hand.
 */
export function markCut(line: CutLine, outline: Ring, piece: Box, circles: readonly Circle[], bitsMm = CORE_BITS_MM): MarkedCut {
  const around = boxOf(outline);
  const tile = { widthMm: around.maxX - around.minX, heightMm: around.maxY - around.minY };
  const plain = isBox(outline);
  if (line.closed)
    return line.curved ? (circleCut(line, 'hole', tile, circles, bitsMm) ?? pathCut(line, 'hole', tile)) : windowCut(line, tile);
  if (line.curved) return (bulges(line) ? null : circleCut(line, 'halfHole', tile, circles, bitsMm)) ?? pathCut(line, 'curve', tile);
  switch (line.points.length) {
    case 2:
      return plain ? straightCut(line.points[0], line.points[1], outline, tile) : chordCut(line.points[0], line.points[1], outline, tile);
    case 3:
      return plain ? notchCut(line, tile, piece) : pathCut(line, 'notch', tile);
    case 4:
      return (plain ? slotCut(line, tile, piece) : null) ?? pathCut(line, 'curve', tile);
    default:
      return pathCut(line, 'curve', tile);
  }
}

/**
 * A straight cut through a tile that is no rectangle: square to its box as a distance from that side; else
 * as two distances along its flats.
 */
function chordCut(from: Point, to: Point, outline: Ring, tile: Size): MarkedCut {
  const [p, q] = acrossTile(from, to, outline);
  const square = near(p[0], q[0]) || near(p[1], q[1]);
  if (square) {
    const steep = near(p[0], q[0]);
    const keepsLow = steep ? q[1] > p[1] : q[0] < p[0];
    const side: Side = steep ? (keepsLow ? 'left' : 'right') : keepsLow ? 'bottom' : 'top';
    const mm = keepsLow ? p[steep ? 0 : 1] : (steep ? tile.widthMm : tile.heightMm) - p[steep ? 0 : 1];
    const end = endAt(side, outline, tile);
    return { kind: 'straight', mark: { type: 'line', from: side, ...(end ? { end } : {}), mm: [mm, mm] } };
  }
  const ends = [p, q].map((at) => alongFlat(at, outline));
  if (!ends[0] || !ends[1]) return { kind: 'taper', mark: { type: 'path', points: [p, q], from: null, to: null } };
  return { kind: 'taper', mark: { type: 'chord', ends: [ends[0], ends[1]] } };
}

/** Sides of an outline that are longer are flats, mm; a round one is made of shorter ones. */
const FLAT_MM = 12;

/** What a tile has at a side of its box: a point or a round rim; null for an edge. */
function endAt(side: Side, outline: Ring, { widthMm, heightMm }: Size): TileEnd | null {
  const isOn = ([x, y]: Point): boolean =>
    ({ left: near(x, 0), right: near(x, widthMm), bottom: near(y, 0), top: near(y, heightMm) })[side];
  const [longest, corner] = outline.reduce<[number, number]>(
    ([flat, turn], p, k) => {
      const next = outline[(k + 1) % outline.length];
      const before = outline[(k + outline.length - 1) % outline.length];
      if (!isOn(p)) return [flat, turn];
      const bend = Math.abs(cross(unit(subtract(p, before)), unit(subtract(next, p))));
      return [isOn(next) ? Math.max(flat, distance(p, next)) : flat, Math.max(turn, bend)];
    },
    [0, 0],
  );
  if (longest > FLAT_MM) return null;
  return corner > SHARP_SINE ? 'point' : 'rim';
}

/** A corner that turns by more is a point, as a sine. */
const SHARP_SINE = 0.3;

/** A position on an outline as a distance along a flat; null where it lies on none, or the tile has none that are told apart. */
function alongFlat(at: Point, outline: Ring): FlatMeasure | null {
  for (const { name, from, to } of flatsOf(outline) ?? []) {
    const mm = distance(from, at);
    if (Math.abs(mm + distance(at, to) - distance(from, to)) < ON_LINE_MM) return { flat: name, mm };
  }
  return null;
}

/** Whether the piece is rounded off, not bitten into: the chain has the piece on its left and turns left. */
function bulges({ points }: CutLine): boolean {
  const [from, middle, to] = [points[0], points[Math.floor(points.length / 2)], points[points.length - 1]];
  return cross(subtract(middle, from), subtract(to, middle)) > 0;
}

/** The piece lies on the left of the line from p to q, so the way it runs tells what is kept. */
function straightCut(from: Point, to: Point, outline: Ring, tile: Size): MarkedCut {
  const [p, q] = acrossTile(from, to, outline);
  const corner = slantedCorner(p, q, tile);
  if (corner) return { kind: 'taper', mark: corner };
  const steep = [p, q].every((at) => near(at[1], 0) || near(at[1], tile.heightMm));
  const k = steep ? 0 : 1;
  const size = steep ? tile.widthMm : tile.heightMm;
  const keepsLow = steep ? q[1] > p[1] : q[0] < p[0];
  const side: Side = steep ? (keepsLow ? 'left' : 'right') : keepsLow ? 'bottom' : 'top';
  const [first, last] = [p, q].sort((a, b) => a[1 - k] - b[1 - k]).map((at) => (keepsLow ? at[k] : size - at[k]));
  const parallel = Math.abs(first - last) < ON_LINE_MM;
  const mm = [first, parallel ? first : last] as const;
  return { kind: parallel ? 'straight' : 'taper', mark: { type: 'line', from: side, mm } };
}

/** The line through two positions from side to side of the tile: there its marks are set, wherever other cuts end it. */
function acrossTile(p: Point, q: Point, outline: Ring): readonly [Point, Point] {
  const way = subtract(q, p);
  const at = (share: number): Point => [p[0] + way[0] * share, p[1] + way[1] * share];
  // Where the line meets the outline, in shares of the stretch from p to q.
  const meets = outline.flatMap((from, k) => {
    const side = subtract(outline[(k + 1) % outline.length], from);
    const turn = cross(way, side);
    if (Math.abs(turn) < ROUNDING) return [];
    const along = cross(subtract(p, from), way) / -turn;
    return along > -ROUNDED_OFTEN && along < 1 + ROUNDED_OFTEN ? [cross(subtract(from, p), side) / turn] : [];
  });
  const slack = ON_LINE_MM / Math.max(ON_LINE_MM, distance(p, q));
  const before = Math.max(...meets.filter((share) => share < slack));
  const after = Math.min(...meets.filter((share) => share > 1 - slack));
  return [Number.isFinite(before) ? at(before) : p, Number.isFinite(after) ? at(after) : q];
}

/** A slanted cut between two sides that meet takes their corner off, or leaves only that corner. */
function slantedCorner(p: Point, q: Point, tile: Size): Mark | null {
  if (Math.abs(p[0] - q[0]) < ON_LINE_MM || Math.abs(p[1] - q[1]) < ON_LINE_MM) return null;
  const onX = [p, q].find((at) => near(at[0], 0) || near(at[0], tile.widthMm));
  const onY = [p, q].find((at) => at !== onX && (near(at[1], 0) || near(at[1], tile.heightMm)));
  if (!onX || !onY) return null;
  const sideX = near(onX[0], 0) ? 'left' : 'right';
  const sideY = near(onY[1], 0) ? 'bottom' : 'top';
  const corner: Point = [sideX === 'left' ? 0 : tile.widthMm, sideY === 'bottom' ? 0 : tile.heightMm];
  return {
    type: 'corner',
    keeps: cross(subtract(q, p), subtract(corner, p)) > 0 ? 'corner' : 'rest',
    sideX,
    sideY,
    xMm: Math.abs(onY[0] - corner[0]),
    yMm: Math.abs(onX[1] - corner[1]),
  };
}

const near = (a: number, b: number): boolean => Math.abs(a - b) < ON_LINE_MM;

function notchCut(line: CutLine, tile: Size, piece: Box): MarkedCut {
  const [p, inner, q] = line.points;
  const square = [p, q].every((end) => near(end[0], inner[0]) || near(end[1], inner[1]));
  const ends = [p, q];
  const atX = ends.find((end) => near(end[0], piece.minX) || near(end[0], piece.maxX));
  const atY = ends.find((end) => end !== atX && (near(end[1], piece.minY) || near(end[1], piece.maxY)));
  if (!square || !atX || !atY) return pathCut(line, 'notch', tile);
  const sideX = near(atX[0], piece.minX) ? 'left' : 'right';
  const sideY = near(atY[1], piece.minY) ? 'bottom' : 'top';
  const mark: Mark = {
    type: 'notch',
    sideX,
    sideY,
    afterCut: !isFactory(sideX, piece, tile) || !isFactory(sideY, piece, tile),
    xMm: sideX === 'left' ? inner[0] - piece.minX : piece.maxX - inner[0],
    yMm: sideY === 'bottom' ? inner[1] - piece.minY : piece.maxY - inner[1],
  };
  return { kind: 'notch', mark };
}

/** Whether a side of a piece is the tile's own. */
function isFactory(side: Side, piece: Box, { widthMm, heightMm }: Size): boolean {
  return { left: near(piece.minX, 0), right: near(piece.maxX, widthMm), bottom: near(piece.minY, 0), top: near(piece.maxY, heightMm) }[
    side
  ];
}

/** A slot runs in from a side, across, and out again on the same side. */
function slotCut(line: CutLine, tile: Size, piece: Box): MarkedCut | null {
  const [p, a, b, q] = line.points;
  const box = boxOf(line.points);
  const sides: readonly [Side, boolean, boolean][] = [
    ['left', near(p[0], piece.minX) && near(q[0], piece.minX), near(a[0], b[0])],
    ['right', near(p[0], piece.maxX) && near(q[0], piece.maxX), near(a[0], b[0])],
    ['bottom', near(p[1], piece.minY) && near(q[1], piece.minY), near(a[1], b[1])],
    ['top', near(p[1], piece.maxY) && near(q[1], piece.maxY), near(a[1], b[1])],
  ];
  const side = sides.find(([, opens, straight]) => opens && straight)?.[0];
  if (!side) return null;
  const across = side === 'left' || side === 'right';
  const mark: Mark = {
    type: 'slot',
    side,
    afterCut: !isFactory(side, piece, tile),
    startMm: across ? box.minY - piece.minY : box.minX - piece.minX,
    widthMm: across ? box.maxY - box.minY : box.maxX - box.minX,
    depthMm: across ? box.maxX - box.minX : box.maxY - box.minY,
  };
  return { kind: 'uCut', mark };
}

function windowCut(line: CutLine, tile: Size): MarkedCut {
  if (line.points.length !== 4 || !isBox([...line.points].reverse())) return pathCut(line, 'hole', tile);
  const box = boxOf(line.points);
  return {
    kind: 'hole',
    mark: { type: 'window', xMm: box.minX, yMm: box.minY, widthMm: box.maxX - box.minX, heightMm: box.maxY - box.minY },
  };
}

/** The circle is the fixture's own where the cut runs on one; a shallow bite alone would tell it badly. */
function circleCut(
  line: CutLine,
  kind: 'hole' | 'halfHole',
  tile: Size,
  circles: readonly Circle[],
  bitsMm: readonly number[],
): MarkedCut | null {
  const circle = circles.find((known) => runsOn(line.points, known)) ?? fitCircle(line.points);
  if (!circle) return null;
  const [xMm, yMm] = circle.centre;
  const isWithin = xMm > -ON_LINE_MM && xMm < tile.widthMm + ON_LINE_MM && yMm > -ON_LINE_MM && yMm < tile.heightMm + ON_LINE_MM;
  if (!isWithin) return biteCut(line, tile, circle.radiusMm);
  const diameterMm = 2 * circle.radiusMm;
  return { kind, mark: { type: 'circle', xMm, yMm, diameterMm, coreMm: coreBitFor(diameterMm, bitsMm) } };
}

/** No tape finds a centre outside the tile: the ends of the bite are marked on its sides. */
function biteCut({ points }: CutLine, tile: Size, radiusMm: number): MarkedCut | null {
  const [first, last] = [points[0], points[points.length - 1]].map((at) => onSide(at, tile));
  return first && last ? { kind: 'halfHole', mark: { type: 'bite', ends: [first, last], radiusMm } } : null;
}

/** A position on a side of the tile's box; null within it. */
function onSide([x, y]: Point, { widthMm, heightMm }: Size): SideMeasure | null {
  if (near(x, 0)) return { side: 'left', mm: y };
  if (near(x, widthMm)) return { side: 'right', mm: y };
  if (near(y, 0)) return { side: 'bottom', mm: x };
  return near(y, heightMm) ? { side: 'top', mm: x } : null;
}

/** Any line as it runs: always true, but slow to mark. */
export function pathCut(line: CutLine, kind: CutKind, tile: Size): MarkedCut {
  const step = Math.max(1, Math.ceil(line.points.length / PATH_POINTS));
  const last = line.points.length - 1;
  const points = line.points.filter((_, k) => k % step === 0 || k === last);
  const sideAt = (at: Point): Side | null => (line.closed ? null : (onSide(at, tile)?.side ?? null));
  return { kind, mark: { type: 'path', points, from: sideAt(points[0]), to: sideAt(points[points.length - 1]) } };
}
