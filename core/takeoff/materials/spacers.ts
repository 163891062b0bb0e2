import type { Crossings } from '../../setout/fields/crossings.ts';
import { byRate, type RateHow } from '../byRate.ts';
import { material, type Taken } from '../materialKind.ts';

const KINDS: readonly (keyof Crossings)[] = ['cross', 'tee', 'wye'];

/** Spacers by the kind of crossing and the joint, one at each place where pieces meet. */
export const spacers = material({
  group: 'joints',
  packs: [
    { size: 100, price: 2.6 },
    { size: 500, price: 9.9 },
  ],
  spread: 0,
  figures: { extraPercent: { typical: 5, min: 0, max: 100 } },
  choices: {},
  takeOff: ({ surfaces }, { figures }): Taken<RateHow>[] => {
    const joints = [...new Set(surfaces.filter(({ crossings }) => crossings).map(({ jointMm }) => jointMm))].sort((a, b) => a - b);
    return joints.flatMap((jointMm) =>
      KINDS.flatMap((kind) =>
        byRate(
          surfaces.filter((surface) => surface.jointMm === jointMm),
          { unit: 'piece', of: 'count', figures, variant: `${kind} ${jointMm}` },
          ({ crossings }) => ({ amount: crossings?.[kind] ?? 0, per: 1 + figures.extraPercent.value / 100 }),
        ),
      ),
    );
  },
});
