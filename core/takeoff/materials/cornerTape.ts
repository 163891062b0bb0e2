import { byRate } from '../byRate.ts';
import { isCountedThere } from '../countedThere.ts';
import { material } from '../materialKind.ts';

/** Sealing tape into the corners under waterproofing, m: along every edge that meets another plane, each corner once. */
export const cornerTape = material({
  packs: [
    { size: 10, price: 14.2 },
    { size: 50, price: 58 },
  ],
  spread: 0.05,
  figures: { overlapPercent: { typical: 5, min: 0, max: 50 } },
  choices: {},
  takeOff: (need, { figures }) =>
    byRate(need.surfaces, { unit: 'm', of: 'm', figures }, (surface) =>
      surface.works.does.membrane
        ? {
            amount:
              surface.sealed
                .filter(({ edgeId }) => edgeId !== null && !isCountedThere(need, surface, edgeId))
                .reduce((sum, { lengthMm }) => sum + lengthMm, 0) / 1000,
            per: 1 + figures.overlapPercent.value / 100,
          }
        : null,
    ),
});
