import { LEAST_CUT_MM } from '../../../geometry/conventions.ts';
import { shavedMm } from '../../../cuts/cutMethod.ts';
import type { AdviceRule } from '../../finding.ts';

/** Tiles that only lose a shaving, and more than the joint takes: they are ground down, or the setout is moved. */
export const shaved: AdviceRule = ({ surfaceIndex, plan: { cuts } }) => {
  const off = cuts.flatMap((cut) => {
    const mm = shavedMm(cut);
    return mm !== null && mm >= LEAST_CUT_MM ? [mm] : [];
  });
  return off.length > 0
    ? [
        {
          code: 'advice/shaved',
          severity: 'note',
          path: ['surfaces', surfaceIndex, 'setout'],
          figures: { count: off.length, offMm: Math.min(...off) },
        },
      ]
    : [];
};
