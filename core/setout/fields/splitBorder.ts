import { difference, intersect, sharedArea } from '../../geometry/clip.ts';
import { SMALLEST_PIECE_WIDTH_MM } from '../../geometry/conventions.ts';
import { distanceToStretch } from '../../geometry/distanceToStretch.ts';
import { grown } from '../../geometry/grown.ts';
import { insetEdges } from '../../geometry/insetEdges.ts';
import { leftOfLine } from '../../geometry/leftOfLine.ts';
import { add, distance, dot, quarterTurn, scale, subtract, type Point } from '../../geometry/point.ts';
import { polygonsArea, tidyRing, type Polygon, type Ring } from '../../geometry/ring.ts';
import type { Border } from '../../pattern/edging.ts';
import type { EdgeRole } from '../../surface/edge.ts';
import { bendRuns, type Chord } from './bendRuns.ts';
import { meetLines, type Line } from '../../geometry/meetLines.ts';
import { lineAt, turnAt } from './borderRuns.ts';
import { groundWithin, type Ground } from './ground.ts';

/** One side of a border: where it lies, and the line its tiles run along, the field on its left. */
export interface BorderSide {
  readonly region: readonly Polygon[];
  readonly from: Point;
  readonly to: Point;
}

/** A ground parted into a border and what lies within it. */
export interface Bordered {
  readonly within: Ground;
  readonly sides: readonly BorderSide[];
}

/** The tile of a border as it lies: along the side, and across it, mm. */
export interface BorderTile {
  readonly alongMm: number;
  readonly acrossMm: number;
}

/** Half the width of a tip that nobody can cut, mm. */
const TIP_MM = SMALLEST_PIECE_WIDTH_MM / 2;

/** Corners that turn by less are cut square, as along a curve, degrees. */
const STRAIGHT_ON_DEG = 2;

/** What two sides may share before one gives way, mm²: rounding. */
const SHARED_MM2 = 0.05;

/**
 * Parts a ground into a border and the rest. Straight sides are strips; a curve is made of short straight pieces,
 * each cut to the two lines that part it from the next. Returns null where the sides are too short for it: the
 * border would meet itself.
 *
 *      +--------------+
 *      |\____________/|     mitred: cut to the bisector of the corner
 *      ||            ||
 */
export function splitBorder(ring: Ring, ground: Ground, border: Border, tile: BorderTile, jointMm: number): Bordered | null {
  const outline = tidyRing(ring);
  const inMm = border.fromEdgeMm + tile.acrossMm;
  const chords = bendRuns(outline, border.fromEdgeMm, tile, jointMm);
  const [inner] = insetEvenly(outline, inMm + jointMm).sort((a, b) => polygonsArea([b]) - polygonsArea([a]));
  if (!inner || chords.some((_, k) => isUsedUp(chords, k, inMm))) return null;
  const sides = apart(
    chords.map((chord, k) => {
      const strip = stripOf(chords, k, border, tile.acrossMm, jointMm);
      return { region: strip.length < 3 ? [] : intersect([[strip]], ground.region), from: chord.from, to: chord.to };
    }),
    jointMm,
  ).filter(({ region }) => region.length > 0);
  const taken = sides.flatMap(({ region }) => region);
  if (taken.length === 0) return null;
  const clear = grown(taken, jointMm);
  if (border.fromEdgeMm > jointMm) return { sides, within: { ...ground, region: difference(ground.region, clear) } };
  // Tiles of the field fill what lies outside the border too: the floor of a doorway.
  const outside = difference(ground.region, insetEvenly(outline, border.fromEdgeMm - jointMm));
  const region = difference([...intersect([inner], ground.region), ...outside], clear);
  const like = (k: number) => edgeBehind(ground, inner[0][k], inner[0][(k + 1) % inner[0].length]);
  return { sides, within: groundWithin(inner[0], region, ground, like) };
}

const insetEvenly = (ring: Ring, mm: number): Polygon[] =>
  insetEdges(
    ring,
    ring.map(() => mm),
  );

/** Whether a straight side has nothing left at the inner line of the border. */
function isUsedUp(chords: readonly Chord[], k: number, inMm: number): boolean {
  const { from, to, bends } = chords[k];
  if (bends) return false;
  const own = lineAt(from, to, inMm);
  const start = cornerAt(before(chords, k), chords[k], inMm) ?? own.from;
  const end = cornerAt(chords[k], after(chords, k), inMm) ?? add(own.from, subtract(to, from));
  return dot(subtract(end, start), own.way) <= 0;
}

const before = (chords: readonly Chord[], k: number): Chord => chords[(k + chords.length - 1) % chords.length];
const after = (chords: readonly Chord[], k: number): Chord => chords[(k + 1) % chords.length];

const cornerAt = (a: Chord, b: Chord, mm: number): Point | null => meetLines(lineAt(a.from, a.to, mm), lineAt(b.from, b.to, mm));

/** The strip of one side, cut at both ends. */
function stripOf(chords: readonly Chord[], k: number, border: Border, widthMm: number, jointMm: number): Ring {
  const chord = chords[k];
  const beyond = distance(chord.from, chord.to) + 4 * widthMm;
  const [out, inside] = [border.fromEdgeMm, border.fromEdgeMm + widthMm].map((mm) => lineAt(chord.from, chord.to, chord.baseMm + mm));
  const run = distance(chord.from, chord.to);
  const at = ({ from, way }: Line, mm: number): Point => add(from, scale(way, mm));
  const band: Ring = [at(out, -beyond), at(out, run + beyond), at(inside, run + beyond), at(inside, -beyond)];
  const start = endLine(before(chords, k), chord, 'start', border, widthMm, jointMm);
  const end = endLine(chord, after(chords, k), 'end', border, widthMm, jointMm);
  return [start, end].reduce<Ring>((ring, { from, way }) => leftOfLine(ring, from, add(from, way)), band);
}

/**
 * The line that ends a side at the corner between two, the side on its left: `end` ends the first, `start` the
 * second. Butted, the second takes the corner and the first stops a joint short of it; at a corner that turns
 * away, the second reaches back over it.
 */
function endLine(
  first: Chord,
  second: Chord,
  which: 'start' | 'end',
  { corners, fromEdgeMm: out }: Border,
  wide: number,
  joint: number,
): Line {
  const turnDeg = turnAt(first.from, first.to, add(first.to, subtract(second.to, second.from)));
  const [outer, inner] = [cornerAt(first, second, out), cornerAt(first, second, out + wide)];
  if (Math.abs(turnDeg) < STRAIGHT_ON_DEG || first.joins || !outer || !inner) return squareLine(first, second, which, joint);
  if (corners === 'butted') {
    const turnsIn = turnDeg > 0;
    if (which === 'start') return turnsIn ? lineAt(first.from, first.to, out) : lineAt(first.to, first.from, -(out + wide));
    return turnsIn ? lineAt(second.from, second.to, out + wide + joint) : lineAt(second.to, second.from, joint - out);
  }
  return which === 'start' ? lineAt(inner, outer, joint / 2) : lineAt(outer, inner, joint / 2);
}

/** Between two pieces of a curve: along the line that halves the turn from one to the next. */
function squareLine(first: Chord, second: Chord, which: 'start' | 'end', joint: number): Line {
  const way = add(lineAt(first.from, first.to, 0).way, lineAt(second.from, second.to, 0).way);
  const normal = quarterTurn(way);
  const at = second.from;
  return which === 'start' ? lineAt(add(at, normal), at, joint / 2) : lineAt(at, add(at, normal), joint / 2);
}

/** Sides that keep a joint from each other: where two would meet in a narrow place, the later gives way. */
function apart(sides: readonly BorderSide[], jointMm: number): BorderSide[] {
  const kept: BorderSide[] = [];
  for (const side of sides) {
    const near = kept.filter(({ region }) => sharedArea(grown(region, jointMm), side.region) > SHARED_MM2);
    const region = near.reduce<readonly Polygon[]>((rest, other) => difference(rest, grown(other.region, jointMm)), side.region);
    // Tips too narrow to be set are left to the joint.
    kept.push({ ...side, region: grown(grown(region, -TIP_MM), TIP_MM) });
  }
  return kept;
}

/**
 * The edge that a side of the inner outline runs along. What is cut there meets the border, not what lies behind
 * it: it keeps being seen first or not at all, but no cut edge shows and nothing is a threshold.
 */
function edgeBehind({ edges }: Ground, from: Point, to: Point): { readonly id: string; readonly role: EdgeRole } {
  const middle: Point = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
  const off = (a: Point, b: Point): number => distanceToStretch(middle, a, b);
  const facing = edges.filter((edge) => dot(subtract(edge.to, edge.from), subtract(to, from)) > 0 && edge.role !== 'threshold');
  const [best] = [...(facing.length > 0 ? facing : edges)].sort((a, b) => off(a.from, a.to) - off(b.from, b.to));
  return { id: best.id, role: best.role === 'focal' || best.role === 'hidden' ? best.role : 'wall' };
}
