import { material, REST_HOURS } from '../materialKind.ts';
import { bedAdhesive, NOTCH_CHOICES } from './bedding.ts';

/** Adhesive powder by the colour it dries to, kg. */
export const adhesive = material({
  group: 'underTheTiles',
  packs: [
    { size: 5, price: 7.9 },
    { size: 20, price: 18.5 },
  ],
  spread: 0.08,
  figures: {
    /** Powder in a litre of bed, kg (typical dry mortar). */
    kgPerLitre: { typical: 1.2, min: 0.3, max: 3 },
    /** A flat skim on the back of a piece, kg/m². */
    backKgPerM2: { typical: 1.2, min: 0.1, max: 10 },
    /** Water a kilogram of powder takes, litres. */
    waterPerKg: { typical: 0.27, min: 0.05, max: 1 },
    potLifeMinutes: { typical: 120, min: 5, max: 1440 },
    slakeMinutes: { typical: 5, min: 0, max: 60 },
  },
  stated: {
    ...REST_HOURS,
    /** What its data sheet says a square metre takes, whatever the notch, kg. */
    kgPerM2: { min: 0.1, max: 60 },
  },
  choices: {
    ...NOTCH_CHOICES,
    /** What it is stirred with: water, or a liquid additive in its place. */
    mixedWith: ['water', 'additive'],
  },
  takeOff: ({ surfaces }, { figures, stated, choices }) =>
    bedAdhesive(surfaces, 'powder', {
      choices,
      kgPerLitre: figures.kgPerLitre,
      backKgPerM2: figures.backKgPerM2,
      kgPerM2: stated['kgPerM2'],
    }),
});
