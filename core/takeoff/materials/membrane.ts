import { areaOf, byRate } from '../byRate.ts';
import { material, REST_HOURS } from '../materialKind.ts';

/** Waterproofing that is brushed or rolled on, kg. */
export const membrane = material({
  group: 'underTheTiles',
  packs: [
    { size: 7, price: 49 },
    { size: 15, price: 92 },
  ],
  spread: 0.1,
  figures: {
    /** A coat, kg/m². */
    coatKgPerM2: { typical: 0.75, min: 0.1, max: 5 },
    coats: { typical: 2, min: 1, max: 6 },
  },
  stated: REST_HOURS,
  choices: {},
  takeOff: ({ surfaces }, { figures }) =>
    byRate(surfaces, { unit: 'kg', of: 'm2', figures }, (surface) =>
      surface.works.does.membrane ? { amount: areaOf(surface), per: figures.coatKgPerM2.value * figures.coats.value } : null,
    ),
});
