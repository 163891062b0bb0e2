import type { AdviceRule } from '../finding.ts';

const LEAST_LEG_MM = 25;

/** A leg beside a notch that is narrower than about 25 mm breaks on the way to the wall. */
export const fragileEar: AdviceRule = ({ surfaceIndex, plan: { cuts } }) => {
  const ears = cuts.flatMap(({ label, marks, sizeMm, of }) =>
    of === 'tile'
      ? marks.flatMap((mark) =>
          mark.type === 'notch' ? [{ label, legMm: Math.min(sizeMm.widthMm - mark.xMm, sizeMm.heightMm - mark.yMm) }] : [],
        )
      : [],
  );
  const thin = ears.filter(({ legMm }) => legMm > 0.5 && legMm < LEAST_LEG_MM).sort((a, b) => a.legMm - b.legMm);
  return thin.length > 0
    ? [
        {
          code: 'advice/fragile-ear',
          severity: 'note',
          path: ['surfaces', surfaceIndex, 'setout'],
          figures: { label: thin[0].label, legMm: Math.round(thin[0].legMm * 2) / 2, count: thin.length },
        },
      ]
    : [];
};
