import { areaOf, byRate } from '../byRate.ts';
import { material } from '../materialKind.ts';

/** Covering for finished floors and counters, m², overlaps included. */
export const protection = material({
  group: 'care',
  packs: [
    { size: 25, price: 21 },
    { size: 50, price: 36 },
  ],
  spread: 0,
  figures: {
    overlapPercent: { typical: 10, min: 0, max: 50 },
  },
  choices: {},
  takeOff: ({ surfaces }, { figures }) =>
    byRate(surfaces, { unit: 'm2', of: 'm2', figures }, (surface) =>
      surface.works.does.protect ? { amount: areaOf(surface), per: 1 + figures.overlapPercent.value / 100 } : null,
    ),
});
