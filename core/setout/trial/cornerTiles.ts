import { SMALLEST_PIECE_WIDTH_MM } from '../../geometry/conventions.ts';
import { leftOfLine } from '../../geometry/leftOfLine.ts';
import type { Point } from '../../geometry/point.ts';
import { stripWidth, type Ring } from '../../geometry/ring.ts';
import type { Repeat } from '../../pattern/repeat.ts';
import { measureCut } from '../edges/edgeCuts.ts';
import type { EdgeTally } from '../weigh/figures.ts';
import { tallyCut } from '../weigh/tallyCut.ts';
import { pointOn, type LineCut } from './trialLine.ts';

/** An end narrower than this is a point, mm. */
export const POINT_MM = 0.5;

/**
 * Takes a tile in a corner into the tallies, cut by all the lines that meet there. Tells whether anything of it is
 * left to be set: what is too little the joint takes.
 */
export function tallyCorner(repeat: Repeat, cuts: readonly LineCut[], tallies: readonly EdgeTally[]): boolean {
  const [{ piece, sx, sy }] = cuts;
  if (cuts.length === 2 && isSquareCorner(cuts[0], cuts[1])) {
    const [a, b] = [cuts[0].thinnest, cuts[1].thinnest];
    if ((a * b) / (a + b) < SMALLEST_PIECE_WIDTH_MM) return false;
    for (const { line, share, thinnest, full, length } of cuts) tallyCut(tallies[line.owner], share, thinnest, full, length);
    return true;
  }
  const ring = repeat.pieces[piece].ring.map(([px, py]): Point => [px + sx, py + sy]);
  let left: Ring = ring;
  for (const { line } of cuts) left = leftOfLine(left, pointOn(line, line.startMm), pointOn(line, line.endMm));
  if (left.length < 3 || stripWidth([left]) < SMALLEST_PIECE_WIDTH_MM) return false;
  for (const { line } of cuts) {
    const cut = measureCut(ring, [[left]], {
      from: pointOn(line, line.startMm),
      gapMm: 0,
      along: [line.alongX, line.alongY],
      inward: [line.inX, line.inY],
      lengthMm: line.endMm - line.startMm,
    });
    if (!cut) continue;
    const [first, second] = cut.endsMm;
    const narrow = Math.min(first, second);
    tallyCut(
      tallies[line.owner],
      (first + second) / 2 / cut.fullMm,
      narrow < POINT_MM ? Math.max(first, second) : narrow,
      cut.fullMm,
      cut.alongMm[1] - cut.alongMm[0],
    );
  }
  return true;
}

/** Whether two lines cut a rectangle near its own sides, one each way: then each leaves of it what it would by itself. */
const isSquareCorner = (a: LineCut, b: LineCut): boolean =>
  a.line.outlines[a.piece].way !== null &&
  b.line.outlines[b.piece].way !== null &&
  Math.abs(a.line.alongX * b.line.alongX + a.line.alongY * b.line.alongY) < NEARLY_SQUARE;

/** Two lines that meet as squarely as this, as a cosine, cut a rectangle one each way. */
const NEARLY_SQUARE = 0.3;
