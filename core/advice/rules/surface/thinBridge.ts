import { ON_LINE_MM } from '../../../tolerances.ts';
import { bridgeOf } from '../../../cuts/legs.ts';
import { BRIDGE_MM } from '../../../setout/choice/leg.ts';
import type { AdviceRule } from '../../finding.ts';

/** A hole or a box that comes too near to the side of its tile: what is left between breaks. */
export const thinBridge: AdviceRule = ({ surfaceIndex, plan: { cuts } }) => {
  const thin = cuts
    .filter(({ of }) => of === 'tile')
    .flatMap((cut) => {
      const mm = bridgeOf(cut);
      return mm !== null && mm < BRIDGE_MM - ON_LINE_MM ? [{ label: cut.label, mm }] : [];
    })
    .sort((a, b) => a.mm - b.mm);
  const [worst] = thin;
  return worst
    ? [
        {
          code: 'advice/thin-bridge',
          severity: 'note',
          path: ['surfaces', surfaceIndex, 'setout'],
          figures: { label: worst.label, bridgeMm: worst.mm, limitMm: BRIDGE_MM, count: thin.length },
        },
      ]
    : [];
};
