import { legsOf } from '../../../cuts/legs.ts';
import { isFragile } from '../../../setout/choice/leg.ts';
import type { AdviceRule } from '../../finding.ts';

/** A leg beside a notch or a slot that breaks on the way to the wall. */
export const fragileEar: AdviceRule = ({ surfaceIndex, plan: { cuts } }) => {
  const fragile = cuts
    .filter(({ of }) => of === 'tile')
    .flatMap(({ label, ...cut }) => {
      const legs = legsOf(cut).filter(({ mm, fullMm }) => isFragile(mm, fullMm));
      return legs.length > 0 ? [{ label, legMm: Math.min(...legs.map(({ mm }) => mm)) }] : [];
    })
    .sort((a, b) => a.legMm - b.legMm);
  const [worst] = fragile;
  return worst
    ? [
        {
          code: 'advice/fragile-ear',
          severity: 'note',
          path: ['surfaces', surfaceIndex, 'setout'],
          figures: { label: worst.label, legMm: worst.legMm, count: fragile.length },
        },
      ]
    : [];
};
