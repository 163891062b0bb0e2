import { byRate } from '../byRate.ts';
import { lengthHere } from '../countedThere.ts';
import { material } from '../materialKind.ts';

/** Foam rod behind wide joints of sealant, m. */
export const backerRod = material({
  group: 'joints',
  packs: [
    { size: 10, price: 4.9 },
    { size: 50, price: 18 },
  ],
  spread: 0.05,
  figures: {
    /** Joints from this width on are filled over a rod, mm. */
    fromMm: { typical: 8, min: 3, max: 50 },
  },
  choices: {},
  takeOff: (need, { figures }) =>
    byRate(need.surfaces, { unit: 'm', of: 'm', figures }, (surface) => ({
      amount:
        surface.sealed
          .filter(({ widthMm }) => widthMm >= figures.fromMm.value)
          .reduce((sum, joint) => sum + lengthHere(need, surface, joint, ({ sealed }) => sealed), 0) / 1000,
      per: 1,
    })),
});
