import type { Field, FieldKind } from '../fields/field.ts';
import { boxOf } from '../../geometry/ring.ts';
import { forEachWhole, tileRing } from '../place/layout.ts';
import type { Axis } from '../weigh/axisPlacement.ts';
import { spanOf } from '../weigh/axisPlacement.ts';
import { motion } from '../../geometry/point.ts';

/** Marks nearer than this are one, mm. */
const SAME_MM = 0.2;

/** What belongs to the courses of a field. */
const ON_THE_ROD: ReadonlySet<FieldKind> = new Set(['main', 'band', 'beyondBand']);

/** One piece and the joint after it on a rod. */
export interface RodMark {
  /** Where the piece begins and ends, from the end of the rod, mm. */
  readonly fromMm: number;
  readonly toMm: number;
}

/**
 * The marks of a gauge rod held along the courses (x) or square to them (y): whole pieces and joints from where the
 * first whole piece begins, on through bands and what lies beyond them. Courses that are shifted share no rod along x, so
 * that of the first course is given.
 */
export function gaugeRod(fields: readonly Pick<Field, 'kind' | 'layout'>[], axis: Axis): RodMark[] {
  const { placement } = fields[0].layout;
  const { unturn } = motion(placement.turnDeg, placement.origin);
  const own: RodMark[] = [];
  let row: number | null = null;
  for (const { kind, layout } of fields) {
    if (!ON_THE_ROD.has(kind)) continue;
    forEachWhole(layout, (address) => {
      if (layout.repeat.pieces[address.piece].part !== null) return;
      const box = boxOf(tileRing(layout, address).map(unturn));
      const across = spanOf(box, axis === 'x' ? 'y' : 'x').low;
      if (axis === 'x') {
        row ??= across;
        if (Math.abs(across - row) > SAME_MM) return;
      }
      const { low, high } = spanOf(box, axis);
      if (!own.some(({ fromMm }) => Math.abs(fromMm - low) < SAME_MM)) own.push({ fromMm: low, toMm: high });
    });
  }
  own.sort((a, b) => a.fromMm - b.fromMm);
  const apart = own.filter((mark, k) => k === 0 || mark.fromMm >= own[k - 1].toMm - SAME_MM);
  const start = apart[0]?.fromMm ?? 0;
  return apart.map(({ fromMm, toMm }) => ({ fromMm: fromMm - start, toMm: toMm - start }));
}
