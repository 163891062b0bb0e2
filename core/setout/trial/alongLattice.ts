import { NOTHING, ON_LINE_MM, ROUNDING } from '../../tolerances.ts';
import { cross, dot, type Point } from '../../geometry/point.ts';
import type { Repeat } from '../../pattern/repeat.ts';
import type { RoundThing } from './features.ts';
import { pointOn, type TrialLine } from './trialLine.ts';

/** A stretch of a line where tiles meet nothing but it, mm along the line. */
export interface ClearStretch {
  readonly from: number;
  readonly to: number;
}

/**
 * A line that runs with the lattice: every tile of a row lies alike to it. `g` is one step along the line, `h` leads to
 * the next row; both in steps of the repeat's own vectors.
 */
export interface AlongLattice {
  readonly g: Point;
  readonly h: Point;
  /** From one tile of a row to the next, and from a row to the next, along and across the line, mm. */
  readonly stepMm: number;
  readonly rowAlongMm: number;
  readonly rowAcrossMm: number;
  readonly clear: readonly ClearStretch[];
}

/** Steps of the lattice that lines are held against. */
const STEPS: readonly Point[] = [
  [1, 0],
  [0, 1],
  [1, 1],
  [1, -1],
  [2, 1],
  [1, 2],
  [2, -1],
  [-1, 2],
];

/** A line runs with a step where they differ by no more than this, as a sine. */
const PARALLEL_SINE = ROUNDING / 10;

/** How a line runs with the lattice of a repeat; null where it does not. Other lines and round things leave clear stretches. */
export function alongLattice(
  line: TrialLine,
  lines: readonly TrialLine[],
  rounds: readonly RoundThing[],
  { vectors: [a, b] }: Repeat,
): AlongLattice | null {
  const at = ([i, j]: Point): Point => [i * a[0] + j * b[0], i * a[1] + j * b[1]];
  const along: Point = [line.alongX, line.alongY];
  const inward: Point = [line.inX, line.inY];
  for (const step of STEPS) {
    const [gx, gy] = at(step);
    if (Math.abs(cross([gx, gy], along)) > PARALLEL_SINE * Math.hypot(gx, gy)) continue;
    const sign = dot([gx, gy], along) > 0 ? 1 : -1;
    const g: Point = [sign * step[0], sign * step[1]];
    const h = STEPS.flatMap((one): Point[] => [one, [-one[0], -one[1]]]).find(
      (one) => Math.abs(cross(g, one)) === 1 && dot(at(one), inward) > ON_LINE_MM,
    );
    if (!h) continue;
    return {
      g,
      h,
      stepMm: dot(at(g), along),
      rowAlongMm: dot(at(h), along),
      rowAcrossMm: dot(at(h), inward),
      clear: clearOf(line, lines, rounds),
    };
  }
  return null;
}

/** The stretches of a line beside which, as deep as tiles reach, there is nothing else. */
function clearOf(line: TrialLine, lines: readonly TrialLine[], rounds: readonly RoundThing[]): ClearStretch[] {
  const deep = line.outlines.reduce((most, { lowAcross, highAcross }) => Math.max(most, highAcross - lowAcross), 0);
  const acrossOf = ([x, y]: Point): number => x * line.inX + y * line.inY - line.acrossMm;
  const runOf = ([x, y]: Point): number => x * line.alongX + y * line.alongY;
  const busy = lines.flatMap((other): ClearStretch[] => {
    if (other === line) return [];
    const [from, to] = [pointOn(other, other.startMm), pointOn(other, other.endMm)];
    return partWithin([acrossOf(from), runOf(from)], [acrossOf(to), runOf(to)], -deep, deep);
  });
  for (const { centre, radiusMm } of rounds)
    if (Math.abs(acrossOf(centre)) < radiusMm + deep) busy.push({ from: runOf(centre) - radiusMm, to: runOf(centre) + radiusMm });
  const clear: ClearStretch[] = [];
  let from = line.startMm;
  for (const stop of busy.sort((p, q) => p.from - q.from)) {
    if (stop.from - ON_LINE_MM > from) clear.push({ from, to: Math.min(stop.from - ON_LINE_MM, line.endMm) });
    from = Math.max(from, stop.to + ON_LINE_MM);
    if (from >= line.endMm) break;
  }
  if (from < line.endMm) clear.push({ from, to: line.endMm });
  return clear;
}

/** From where to where a stretch, given by (across, run) at its ends, runs while it lies between two depths. */
function partWithin(a: Point, b: Point, low: number, high: number): ClearStretch[] {
  const [least, most] = [Math.min(a[0], b[0]), Math.max(a[0], b[0])];
  if (most < low || least > high) return [];
  const at = (across: number): number => {
    const share = Math.abs(b[0] - a[0]) < NOTHING ? 0 : (across - a[0]) / (b[0] - a[0]);
    return a[1] + Math.min(1, Math.max(0, share)) * (b[1] - a[1]);
  };
  const ends = Math.abs(b[0] - a[0]) < NOTHING ? [a[1], b[1]] : [at(low), at(high)];
  return [{ from: Math.min(...ends), to: Math.max(...ends) }];
}
