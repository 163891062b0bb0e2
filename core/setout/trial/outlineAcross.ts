import { ROUNDED_OFTEN, ROUNDING } from '../../tolerances.ts';
import { dot, subtract, unit, type Point } from '../../geometry/point.ts';
import { SMALLEST_PIECE_WIDTH_MM } from '../../geometry/conventions.ts';
import { flatRing } from '../../geometry/flatRing.ts';
import { leftOfLine } from '../../geometry/leftOfLine.ts';
import { stripWidth, type Ring } from '../../geometry/ring.ts';

/** Sides of a tile whose turn to an edge is this near to square are measured along, as a sine. */
const ASLANT_SINE = 0.75;

/** A piece of the repeat as one straight line meets it, in the cell: `across` is square to the line, into the field. */
export interface OutlineAcross {
  /**
   * The stretch of the line within the outline by how far across it lies: between two corners it changes evenly. For
   * every such step five numbers: where it begins, low and high at its begin, low and high at its end, mm.
   */
  readonly chords: Float64Array;
  readonly lowAcross: number;
  readonly highAcross: number;
  readonly lowAlong: number;
  readonly highAlong: number;
  /** Whether it is a rectangle whose sides run with the line. */
  readonly straight: boolean;
  /** Whether it is a tile that the pattern is made of, none that fills in between. */
  readonly isMain: boolean;
  /** The outline itself, and the line's two directions, for what is looked at seldom. */
  readonly ring: Ring;
  readonly runs: Point;
  readonly inward: Point;
  /** What stays across the line must be more than this, or the joint takes it, mm; null before it is asked for. */
  lostBelowMm: number | null;
  /** The way that what stays of a rectangle is measured along; null for other outlines. */
  readonly way: AcrossWay | null;
}

/** A way along the sides of a rectangle, into the field. */
export interface AcrossWay {
  readonly x: number;
  readonly y: number;
  /** How far the rectangle reaches that way in the cell, and how long it is, mm. */
  readonly farMm: number;
  readonly fullMm: number;
  /** How far one goes that way for every mm across the line, and along it. */
  readonly across: number;
  readonly along: number;
}

/** Looks at a piece of the repeat, main or filling in between, from a line that runs along `along`, the field to its left on `inward`. */
export function outlineAcross(ring: Ring, isMain: boolean, along: Point, inward: Point): OutlineAcross {
  const flat = flatRing(ring);
  const across = new Float64Array(ring.length);
  const run = new Float64Array(ring.length);
  let [lowAcross, highAcross, lowAlong, highAlong] = [Infinity, -Infinity, Infinity, -Infinity];
  for (let k = 0; k < ring.length; k++) {
    across[k] = flat[2 * k] * inward[0] + flat[2 * k + 1] * inward[1];
    run[k] = flat[2 * k] * along[0] + flat[2 * k + 1] * along[1];
    lowAcross = Math.min(lowAcross, across[k]);
    highAcross = Math.max(highAcross, across[k]);
    lowAlong = Math.min(lowAlong, run[k]);
    highAlong = Math.max(highAlong, run[k]);
  }
  const way = wayOf(ring, along, inward);
  return {
    ring,
    runs: along,
    inward,
    lostBelowMm: null,
    chords: chordsOf(across, run),
    lowAcross,
    highAcross,
    lowAlong,
    highAlong,
    isMain,
    straight: way !== null && Math.abs(way.along) < ROUNDING,
    way,
  };
}

/** Halvings to find what is lost, to a ten-thousandth of a millimetre. */
const HALVINGS = 18;

/** How much must stay of a piece across a line so that it is no strip for the joint, mm. */
export function lostBelow(outline: OutlineAcross): number {
  if (outline.lostBelowMm !== null) return outline.lostBelowMm;
  const { ring, runs, inward, highAcross } = outline;
  const isLost = (staysMm: number): boolean => {
    const at = highAcross - staysMm;
    const from: Point = [inward[0] * at, inward[1] * at];
    const left = leftOfLine(ring, from, [from[0] + runs[0], from[1] + runs[1]]);
    return left.length < 3 || stripWidth([left]) < SMALLEST_PIECE_WIDTH_MM;
  };
  let [low, high] = [0, Math.min(highAcross - outline.lowAcross, 20 * SMALLEST_PIECE_WIDTH_MM)];
  for (let k = 0; k < HALVINGS; k++) {
    const middle = (low + high) / 2;
    if (isLost(middle)) low = middle;
    else high = middle;
  }
  // What is surely lost: a search leans on what a trial lets pass.
  outline.lostBelowMm = low;
  return low;
}

function chordsOf(across: Float64Array, along: Float64Array): Float64Array {
  const stops = Float64Array.from(across)
    .sort()
    .filter((mm, k, all) => k === 0 || mm - all[k - 1] > ROUNDED_OFTEN);
  const table = new Float64Array(5 * Math.max(0, stops.length - 1));
  for (let k = 0; k + 1 < stops.length; k++) table.set([stops[k], Infinity, -Infinity, Infinity, -Infinity], 5 * k);
  // Each side of the outline tells the steps that it goes through.
  for (let k = 0, last = across.length - 1; k < across.length; last = k++) {
    const [from, to] = across[last] < across[k] ? [last, k] : [k, last];
    if (across[to] - across[from] <= ROUNDED_OFTEN) continue;
    const slope = (along[to] - along[from]) / (across[to] - across[from]);
    for (let at = stepAt(stops, across[from]); at + 1 < stops.length && stops[at + 1] <= across[to] + ROUNDED_OFTEN; at++) {
      widen(table, 5 * at + 1, along[from] + slope * (stops[at] - across[from]));
      widen(table, 5 * at + 3, along[from] + slope * (stops[at + 1] - across[from]));
    }
  }
  return table;
}

/** The step that begins at a place, or nearest to it. */
function stepAt(stops: Float64Array, mm: number): number {
  let [from, to] = [0, stops.length - 1];
  while (from < to) {
    const middle = (from + to) >> 1;
    if (stops[middle] < mm - ROUNDED_OFTEN) from = middle + 1;
    else to = middle;
  }
  return from;
}

/** Lets a stretch of the table, low and high, hold one more place. */
function widen(table: Float64Array, at: number, mm: number): void {
  if (mm < table[at]) table[at] = mm;
  if (mm > table[at + 1]) table[at + 1] = mm;
}

function wayOf(ring: Ring, along: Point, inward: Point): AcrossWay | null {
  if (ring.length !== 4) return null;
  const sides = ring.map((from, k) => unit(subtract(ring[(k + 1) % 4], from)));
  if (Math.abs(dot(sides[0], sides[1])) > ROUNDED_OFTEN) return null;
  const dir = sides.reduce((a, b) => (dot(b, inward) > dot(a, inward) ? b : a));
  if (dot(dir, inward) < ASLANT_SINE) return null;
  const farMm = Math.max(...ring.map((p) => dot(p, dir)));
  const fullMm = farMm - Math.min(...ring.map((p) => dot(p, dir)));
  return { x: dir[0], y: dir[1], farMm, fullMm, across: dot(dir, inward), along: dot(dir, along) };
}

/** The stretch of a line within an outline; one for all, filled again and again. */
export const CHORD = { low: 0, high: 0 };

/** Finds the stretch of a line within an outline, `at` across it. */
export function chordOf(chords: Float64Array, highest: number, at: number): void {
  let [from, to] = [0, chords.length / 5 - 1];
  while (from < to) {
    const middle = (from + to + 1) >> 1;
    if (chords[5 * middle] <= at) from = middle;
    else to = middle - 1;
  }
  const k = 5 * from;
  const end = k + 5 < chords.length ? chords[k + 5] : highest;
  const share = (at - chords[k]) / (end - chords[k]);
  CHORD.low = chords[k + 1] + share * (chords[k + 3] - chords[k + 1]);
  CHORD.high = chords[k + 2] + share * (chords[k + 4] - chords[k + 2]);
}
