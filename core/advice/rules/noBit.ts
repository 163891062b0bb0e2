import type { AdviceRule } from '../finding.ts';

/** Holes that none of the bits clears that the person has listed: they are ground out by hand. */
export const noBit: AdviceRule = ({ job, surfaceIndex, plan }) => {
  const bits = job.consumption.coreBitsMm;
  if (!bits) return [];
  const holes = plan.cuts.flatMap(({ label, marks }) =>
    marks.flatMap((mark) => (mark.type === 'circle' && mark.coreMm === null ? [{ label, mm: mark.diameterMm }] : [])),
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
