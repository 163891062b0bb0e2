import { motion, type Point } from '../../geometry/point.ts';
import { boxOf } from '../../geometry/ring.ts';
import type { OpenField } from '../fields/placeFields.ts';
import { bandStretches } from '../trial/bandStretches.ts';
import { spanOf, type Axis } from '../choice/axisPlacement.ts';

/** Where bands go hangs on the origin, and the origin on where they go: so often it is looked again. */
const LOOKS = 4;

/**
 * Where the origin lies in one direction so that what a rule would put at a place without bands (`originMm`, `atMm`) lies
 * there with them: each band, and each joint that is widened, moves what is beyond it on. In the band itself what comes before
 * it counts. In the frame of a turn; lengths in mm.
 */
export function originBesideBands(
  { letIns, laid, ground }: Pick<OpenField, 'letIns' | 'laid' | 'ground'>,
  turnDeg: number,
  axis: Axis,
  originMm: number,
  atMm: number,
): number {
  const k = axis === 'x' ? 0 : 1;
  const own = letIns(turnDeg).filter((letIn) => letIn.k === k);
  if (own.length === 0 || ground.region.length === 0) return originMm;
  const { unturn } = motion(turnDeg, [0, 0]);
  const box = boxOf(ground.region.flat(2).map(unturn));
  const movedOn = (from: number): number => {
    const origin: Point = k === 0 ? [from, 0] : [0, from];
    const stretches = bandStretches(laid.repeat, laid.jointMm, own, box, origin);
    const before = stretches.filter((stretch) => spanOf(stretch.box, axis).low <= atMm);
    return (before.at(-1) ?? stretches[0]).origin[k] - from;
  };
  let moved = 0;
  for (let look = 0; look < LOOKS; look++) moved = movedOn(originMm - moved);
  return originMm - moved;
}
