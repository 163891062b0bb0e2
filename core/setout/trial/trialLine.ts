import { NOTHING, ON_LINE_MM } from '../../tolerances.ts';
import type { Point } from '../../geometry/point.ts';
import type { Box } from '../../geometry/ring.ts';
import type { AlongLattice } from './alongLattice.ts';
import type { OutlineAcross } from './outlineAcross.ts';

/** A stretch of the boundary made ready for trials. */
export interface TrialLine {
  /** Its place among the lines. */
  readonly index: number;
  readonly owner: number;
  readonly part: number;
  /** Its place across itself, and from where to where it runs along itself, mm. */
  readonly acrossMm: number;
  readonly startMm: number;
  readonly endMm: number;
  readonly alongX: number;
  readonly alongY: number;
  /** Square to it, into the field. */
  readonly inX: number;
  readonly inY: number;
  /** Its ends as steps of the lattice whose origin is the frame's. */
  readonly from: Point;
  readonly to: Point;
  /** Every piece of the repeat as this line meets it. */
  readonly outlines: readonly OutlineAcross[];
  /** How it runs with the lattice; null where it does not. */
  readonly lattice: AlongLattice | null;
}

/** A position on a line, so far along itself. */
export const pointOn = (line: TrialLine, run: number): Point => [
  line.acrossMm * line.inX + run * line.alongX,
  line.acrossMm * line.inY + run * line.alongY,
];

/** The part of a line within a box; null where there is none. */
export function clippedTo(line: TrialLine, { minX, minY, maxX, maxY }: Box, toLattice: (p: Point) => Point): TrialLine | null {
  const foot = pointOn(line, 0);
  let [start, end] = [line.startMm, line.endMm];
  for (const [from, way, low, high] of [
    [foot[0], line.alongX, minX, maxX],
    [foot[1], line.alongY, minY, maxY],
  ]) {
    if (Math.abs(way) < NOTHING) {
      if (from < low - ON_LINE_MM || from > high + ON_LINE_MM) return null;
      continue;
    }
    const [a, b] = [(low - from) / way, (high - from) / way];
    start = Math.max(start, Math.min(a, b));
    end = Math.min(end, Math.max(a, b));
  }
  return end - start < ON_LINE_MM
    ? null
    : { ...line, lattice: null, startMm: start, endMm: end, from: toLattice(pointOn(line, start)), to: toLattice(pointOn(line, end)) };
}
