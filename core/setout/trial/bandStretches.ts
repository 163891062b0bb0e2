import type { Point } from '../../geometry/point.ts';
import type { Box } from '../../geometry/ring.ts';
import { endBefore, type LetIn } from '../fields/letIn.ts';
import type { Repeat } from '../../pattern/repeat.ts';

/** A part of a field between what is let in, with the repeat's origin there. */
export interface BandStretch {
  readonly box: Box;
  readonly origin: Point;
}

/** The parts that bands and wider joints leave of a field, as splitBands does it with polygons. */
export function bandStretches(repeat: Repeat, jointMm: number, letIns: readonly LetIn[], box: Box, origin: Point): BandStretch[] {
  let stretches: BandStretch[] = [{ box, origin }];
  for (const letIn of letIns) {
    const { k, wideMm } = letIn;
    stretches = stretches.flatMap((own): BandStretch[] => {
      const [from, to] = k === 1 ? [own.box.minY, own.box.maxY] : [own.box.minX, own.box.maxX];
      const low = endBefore(repeat, own, letIn, jointMm);
      if (low === null || low <= from || low + wideMm + 2 * jointMm >= to) return [own];
      const beyond = low + wideMm + 2 * jointMm;
      const [x, y] = own.origin;
      const moved: Point = k === 1 ? [x, y + wideMm + jointMm] : [x + wideMm + jointMm, y];
      return [
        { box: { ...own.box, ...(k === 1 ? { maxY: low } : { maxX: low }) }, origin: own.origin },
        { box: { ...own.box, ...(k === 1 ? { minY: beyond } : { minX: beyond }) }, origin: moved },
      ];
    });
  }
  return stretches;
}
