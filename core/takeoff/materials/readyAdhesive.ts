import { material } from '../materialKind.ts';
import { bedAdhesive, NOTCH_CHOICES } from './bedding.ts';

/** Ready-mixed adhesive from the tub, kg as it comes. */
export const readyAdhesive = material({
  group: 'underTheTiles',
  packs: [
    { size: 5, price: 14.5 },
    { size: 15, price: 36 },
  ],
  byLitre: true,
  spread: 0.08,
  figures: {
    /** What a litre of it weighs, kg. */
    kgPerLitre: { typical: 1.6, min: 0.3, max: 3 },
    backKgPerM2: { typical: 1.4, min: 0.1, max: 10 },
  },
  stated: { kgPerM2: { min: 0.1, max: 60 } },
  choices: NOTCH_CHOICES,
  takeOff: ({ surfaces }, { figures, stated, choices }) =>
    bedAdhesive(surfaces, 'ready', {
      choices,
      kgPerLitre: figures.kgPerLitre,
      backKgPerM2: figures.backKgPerM2,
      kgPerM2: stated['kgPerM2'],
    }),
});
