import { ON_LINE_MM, SEEN_MM } from '../../tolerances.ts';
import { SMALLEST_PIECE_WIDTH_MM } from '../../geometry/conventions.ts';
import type { Point } from '../../geometry/point.ts';
import type { Ring } from '../../geometry/ring.ts';
import type { Repeat } from '../../pattern/repeat.ts';
import { measureCut } from '../edges/edgeCuts.ts';
import type { EdgeTally } from '../tally/figures.ts';
import { tallyCut } from '../tally/tallyCut.ts';
import type { CutList } from './cutList.ts';
import { lostBelow, type AcrossWay } from './outlineAcross.ts';
import { pointOn, type TrialLine } from './trialLine.ts';

/** What is narrower than this is lost, wherever the last digit of what is laid may fall, mm. */
const SURELY_LOST_MM = SMALLEST_PIECE_WIDTH_MM - 0.001;

/** An end narrower than this is a point, mm. */
export const POINT_MM = SEEN_MM;

/**
 * Takes a tile in a corner into the tallies, cut by all the lines that meet there; `own` are the places of its cuts.
 * Tells whether anything of it is left to be set: what is too little the joint takes.
 */
export function tallyCorner(
  repeat: Repeat,
  lines: readonly TrialLine[],
  cuts: CutList,
  own: readonly number[],
  tallies: readonly EdgeTally[],
): boolean {
  const [a, b] = own;
  const piece = cuts.piece[a];
  // Lines round what stands there, or by a corner that turns inwards: each leaves its own strip.
  const strips = own.filter((k) => own.some((m) => standBackToBack(lines[cuts.line[k]], lines[cuts.line[m]])));
  if (strips.length > 0) {
    const kept = strips.filter((k) => cuts.deepest[k] >= lostBelow(lines[cuts.line[k]].outlines[piece]));
    for (const k of kept) tallyPlain(lines[cuts.line[k]], cuts, k, tallies);
    return kept.length > 0;
  }
  if (own.length === 2 && isSquareCorner(lines[cuts.line[a]], lines[cuts.line[b]], piece)) {
    const [one, other] = [a, b].map((k) => cuts.share[k] * cuts.full[k]);
    if ((one * other) / (one + other) < SURELY_LOST_MM) return false;
    for (const k of own) tallyPlain(lines[cuts.line[k]], cuts, k, tallies);
    return true;
  }
  const { ring } = repeat.pieces[piece];
  const [sx, sy] = [cuts.sx[a], cuts.sy[a]];
  LEFT.start(ring, sx, sy);
  for (const k of own) LEFT.keepInside(lines[cuts.line[k]]);
  if (LEFT.count < 3 || LEFT.stripWidth() < SURELY_LOST_MM) return false;
  for (const k of own) {
    const line = lines[cuts.line[k]];
    const { way } = line.outlines[piece];
    if (way === null) tallyDepth(line, piece, sx, sy, tallies[line.owner]);
    else if (LEFT.reachOn(way) < way.farMm + sx * way.x + sy * way.y - ON_LINE_MM)
      tallySides(line, piece, ring, sx, sy, tallies[line.owner]);
    else tallyWay(line, piece, way, sx, sy, tallies[line.owner]);
  }
  return true;
}

/** Takes a cut in as the line leaves it by itself. */
export function tallyPlain(line: TrialLine, cuts: CutList, k: number, tallies: readonly EdgeTally[]): void {
  tallyCut(tallies[line.owner], cuts.share[k], cuts.thinnest[k], cuts.full[k], cuts.length[k], line.outlines[cuts.piece[k]].isMain);
}

/** Whether each of two lines lies on the outer side of the other: what both leave of a tile does not hang together. */
const standBackToBack = (a: TrialLine, b: TrialLine): boolean => isBehind(a, b) && isBehind(b, a);

function isBehind(a: TrialLine, b: TrialLine): boolean {
  const [x, y] = pointOn(b, (b.startMm + b.endMm) / 2);
  return x * a.inX + y * a.inY - a.acrossMm < -ON_LINE_MM;
}

/** What stays of a rectangle that keeps its far side: from that side to the line, at both ends of the cut. */
function tallyWay(line: TrialLine, piece: number, way: AcrossWay, sx: number, sy: number, tally: EdgeTally): void {
  const { lowAcross, highAcross, isMain } = line.outlines[piece];
  const off = sx * line.inX + sy * line.inY - line.acrossMm;
  if (lowAcross + off > -ON_LINE_MM || highAcross + off < ON_LINE_MM) return;
  const { start, end } = LEFT.along(line);
  if (!(end > start) || end - line.startMm < ON_LINE_MM || start > line.endMm - ON_LINE_MM) return;
  const base = way.farMm + sx * way.x + sy * way.y - line.acrossMm * way.across;
  const first = Math.min(way.fullMm, Math.max(0, base - start * way.along));
  const second = Math.min(way.fullMm, Math.max(0, base - end * way.along));
  const narrow = Math.min(first, second);
  const thinnest = narrow < POINT_MM ? Math.max(first, second) : narrow;
  tallyCut(
    tally,
    (first + second) / 2 / way.fullMm,
    thinnest,
    way.fullMm,
    Math.min(line.endMm, end) - Math.max(line.startMm, start),
    isMain,
  );
}

/** A piece that is no rectangle stays as deep as what is left of it reaches, square to the line. */
function tallyDepth(line: TrialLine, piece: number, sx: number, sy: number, tally: EdgeTally): void {
  const { lowAcross, highAcross, isMain } = line.outlines[piece];
  const off = sx * line.inX + sy * line.inY - line.acrossMm;
  if (lowAcross + off > -ON_LINE_MM || highAcross + off < ON_LINE_MM) return;
  const { deepest, start, end } = LEFT.along(line);
  if (!(end > start) || end - line.startMm < ON_LINE_MM || start > line.endMm - ON_LINE_MM) return;
  const stays = Math.min(highAcross + off, deepest);
  const full = highAcross - lowAcross;
  tallyCut(tally, stays / full, stays, full, Math.min(line.endMm, end) - Math.max(line.startMm, start), isMain);
}

/** What stays of a rectangle that is cut on its far side too is measured along its own sides, as on the layout. */
function tallySides(line: TrialLine, piece: number, ring: Ring, sx: number, sy: number, tally: EdgeTally): void {
  const moved = ring.map(([px, py]): Point => [px + sx, py + sy]);
  const cut = measureCut(moved, [[LEFT.toRing()]], {
    from: pointOn(line, line.startMm),
    endMm: 0,
    along: [line.alongX, line.alongY],
    inward: [line.inX, line.inY],
    lengthMm: line.endMm - line.startMm,
  });
  if (!cut) return;
  const [first, second] = cut.endsMm;
  const narrow = Math.min(first, second);
  const thinnest = narrow < POINT_MM ? Math.max(first, second) : narrow;
  tallyCut(tally, (first + second) / 2 / cut.fullMm, thinnest, cut.fullMm, cut.alongMm[1] - cut.alongMm[0], line.outlines[piece].isMain);
}

/** What is left of one tile while lines take their part, as numbers in two arrays that are filled again and again. */
class WhatIsLeft {
  count = 0;
  private xy = new Float64Array(256);
  private next = new Float64Array(256);

  start(ring: Ring, sx: number, sy: number): void {
    // Each line adds two corners at most.
    if (2 * ring.length + 64 > this.xy.length)
      [this.xy, this.next] = [new Float64Array(4 * ring.length), new Float64Array(4 * ring.length)];
    this.count = ring.length;
    for (let k = 0; k < ring.length; k++) {
      this.xy[2 * k] = ring[k][0] + sx;
      this.xy[2 * k + 1] = ring[k][1] + sy;
    }
  }

  /** Keeps what lies on the inner side of a line. */
  keepInside({ inX, inY, acrossMm }: TrialLine): void {
    const { xy, next, count } = this;
    let kept = 0;
    for (let k = 0; k < count; k++) {
      const [x, y] = [xy[2 * k], xy[2 * k + 1]];
      const to = k + 1 < count ? 2 * k + 2 : 0;
      const depth = x * inX + y * inY - acrossMm;
      const then = xy[to] * inX + xy[to + 1] * inY - acrossMm;
      if (depth >= 0) {
        next[2 * kept] = x;
        next[2 * kept++ + 1] = y;
      }
      if (depth >= 0 !== then >= 0) {
        const share = depth / (depth - then);
        next[2 * kept] = x + share * (xy[to] - x);
        next[2 * kept++ + 1] = y + share * (xy[to + 1] - y);
      }
    }
    this.count = kept < 3 ? 0 : kept;
    [this.xy, this.next] = [next, xy];
  }

  /** Mean width, mm: twice the area over the length round it. */
  stripWidth(): number {
    const { xy, count } = this;
    let [twice, length] = [0, 0];
    for (let k = 0, last = count - 1; k < count; last = k++) {
      const [ax, ay, bx, by] = [xy[2 * last] - xy[0], xy[2 * last + 1] - xy[1], xy[2 * k] - xy[0], xy[2 * k + 1] - xy[1]];
      twice += ax * by - ay * bx;
      length += Math.sqrt((bx - ax) ** 2 + (by - ay) ** 2);
    }
    return twice / length;
  }

  /** How deep it reaches beyond a line, and from where to where it lies on it, mm along the line. */
  along({ inX, inY, alongX, alongY, acrossMm }: TrialLine): typeof ALONG {
    const { xy, count } = this;
    ALONG.deepest = -Infinity;
    ALONG.start = Infinity;
    ALONG.end = -Infinity;
    let wasOn = Math.abs(xy[2 * count - 2] * inX + xy[2 * count - 1] * inY - acrossMm) <= ON_LINE_MM;
    let before = xy[2 * count - 2] * alongX + xy[2 * count - 1] * alongY;
    for (let k = 0; k < count; k++) {
      const depth = xy[2 * k] * inX + xy[2 * k + 1] * inY - acrossMm;
      const run = xy[2 * k] * alongX + xy[2 * k + 1] * alongY;
      if (depth > ALONG.deepest) ALONG.deepest = depth;
      const isOn = Math.abs(depth) <= ON_LINE_MM;
      if (isOn && wasOn && Math.abs(run - before) > ON_LINE_MM) {
        ALONG.start = Math.min(ALONG.start, run, before);
        ALONG.end = Math.max(ALONG.end, run, before);
      }
      wasOn = isOn;
      before = run;
    }
    return ALONG;
  }

  /** How far it reaches a way, mm. */
  reachOn({ x, y }: AcrossWay): number {
    let far = -Infinity;
    for (let k = 0; k < this.count; k++) far = Math.max(far, this.xy[2 * k] * x + this.xy[2 * k + 1] * y);
    return far;
  }

  toRing(): Ring {
    return Array.from({ length: this.count }, (_, k): Point => [this.xy[2 * k], this.xy[2 * k + 1]]);
  }
}

const ALONG = { deepest: 0, start: 0, end: 0 };
const LEFT = new WhatIsLeft();

/** Whether two lines cut a rectangle near its own sides, one each way: then each leaves of it what it would by itself. */
const isSquareCorner = (a: TrialLine, b: TrialLine, piece: number): boolean =>
  a.outlines[piece].way !== null && b.outlines[piece].way !== null && Math.abs(a.alongX * b.alongX + a.alongY * b.alongY) < NEARLY_SQUARE;

/** Two lines that meet as squarely as this, as a cosine, cut a rectangle one each way. */
const NEARLY_SQUARE = 0.3;
