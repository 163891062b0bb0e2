import type { Mark } from '../../../cuts/cutKind.ts';
import { boxOf, type Box } from '../../../geometry/ring.ts';
import type { AdviceRule } from '../../finding.ts';

/** Holes that none of the bits clears that the person has listed: they are ground out by hand. */
export const noBit: AdviceRule = ({ job, surfaceIndex, plan }) => {
  const bits = job.consumption.coreBitsMm;
  if (!bits) return [];
  const holes = plan.cuts.flatMap(({ label, marks, tile }) =>
    marks.flatMap((mark) =>
      mark.type === 'circle' && mark.coreMm === null && isWithin(mark, boxOf(tile)) ? [{ label, mm: mark.diameterMm }] : [],
    ),
  );
  if (holes.length === 0) return [];
  const largest = holes.reduce((a, b) => (b.mm > a.mm ? b : a));
  return [
    {
      code: 'advice/no-bit',
      severity: 'note' as const,
      path: ['surfaces', surfaceIndex, 'cuts'],
      figures: { label: largest.label, holeMm: largest.mm, largestBitMm: Math.max(0, ...bits) },
    },
  ];
};

/** Whether a hole closes within its tile: one that opens to a side is ground out anyway. */
const isWithin = ({ xMm, yMm, diameterMm }: Extract<Mark, { type: 'circle' }>, { minX, minY, maxX, maxY }: Box): boolean =>
  Math.min(xMm, yMm, maxX - minX - xMm, maxY - minY - yMm) > diameterMm / 2;
