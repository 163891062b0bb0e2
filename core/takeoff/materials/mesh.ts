import { areaOf, byRate } from '../byRate.ts';
import { material } from '../materialKind.ts';

/** Reinforcing mesh in a skim or a bed, m², overlaps included. */
export const mesh = material({
  group: 'underTheTiles',
  packs: [
    { size: 5, price: 9.8 },
    { size: 50, price: 62 },
  ],
  spread: 0.05,
  figures: {
    overlapPercent: { typical: 10, min: 0, max: 50 },
  },
  choices: {},
  takeOff: ({ surfaces }, { figures }) =>
    byRate(surfaces, { unit: 'm2', of: 'm2', figures }, (surface) =>
      surface.works.does.mesh ? { amount: areaOf(surface), per: 1 + figures.overlapPercent.value / 100 } : null,
    ),
});
