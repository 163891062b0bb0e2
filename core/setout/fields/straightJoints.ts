import { ON_LINE_MM } from '../../tolerances.ts';
import { oncePer } from '../../oncePer.ts';
import { boxOf } from '../../geometry/ring.ts';
import type { Repeat } from '../../pattern/repeat.ts';
import { spanOf, type Axis, type Span } from '../choice/axisPlacement.ts';

/** Joints that run straight through the whole of a pattern, square to one direction of its frame. */
interface StraightJoints {
  /** From one to where the next of its kind lies, mm. */
  readonly stepMm: number;
  /** Where pieces end before such a joint, within one step, mm. */
  readonly endsMm: readonly number[];
}

/** Joints nearer to each other run nowhere straight through: courses that are shifted by odd amounts, mm. */
const LEAST_STEP_MM = 1;

const acrossX = oncePer((repeat: Repeat) => findStraight(repeat, 'x'));
const acrossY = oncePer((repeat: Repeat) => findStraight(repeat, 'y'));

/**
 * Where pieces end before the joint that runs straight through the pattern nearest to a place, square to an axis, mm;
 * null where it has none, as across shifted courses. `originMm` is where the repeat begins that way.
 */
export function nearestStraightJoint(repeat: Repeat, axis: Axis, originMm: number, wantedMm: number): number | null {
  const straight = axis === 'x' ? acrossX(repeat) : acrossY(repeat);
  if (!straight) return null;
  const { stepMm, endsMm } = straight;
  const nearest = endsMm.map((end) => originMm + end + Math.round((wantedMm - originMm - end) / stepMm) * stepMm);
  return nearest.reduce((best, mm) => (Math.abs(mm - wantedMm) < Math.abs(best - wantedMm) ? mm : best));
}

function findStraight(repeat: Repeat, axis: Axis): StraightJoints | null {
  const k = axis === 'x' ? 0 : 1;
  const stepMm = commonStep(Math.abs(repeat.vectors[0][k]), Math.abs(repeat.vectors[1][k]));
  if (stepMm < LEAST_STEP_MM) return null;
  const spans = repeat.pieces.map(({ ring }) => spanOf(boxOf(ring), axis));
  const endsMm = [...new Set(spans.map(({ high }) => high))].filter((end) => !spans.some((span) => runsOver(span, end, stepMm)));
  return endsMm.length === 0 ? null : { stepMm, endsMm };
}

/** Whether some translate of a span begins before a place and ends after it. */
function runsOver({ low, high }: Span, atMm: number, stepMm: number): boolean {
  const beyond = atMm - low - stepMm * Math.floor((atMm - low) / stepMm);
  return (beyond > ON_LINE_MM && beyond < high - low - ON_LINE_MM) || beyond + stepMm < high - low - ON_LINE_MM;
}

/** The largest length that goes into both without a rest, mm; as good as none where there is none. */
function commonStep(a: number, b: number): number {
  let [long, short] = [Math.max(a, b), Math.min(a, b)];
  while (short > ON_LINE_MM) {
    const rest = long % short;
    [long, short] = [short, short - rest < ON_LINE_MM ? 0 : rest];
  }
  return long;
}
