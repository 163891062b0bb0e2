import { material } from '../materialKind.ts';
import { BED_FIGURES, fillTo } from './fill.ts';

/** Cement of a bed, kg: its part of the dry volume by its density. */
export const cement = material({
  group: 'underTheTiles',
  packs: [{ size: 25, price: 7.2 }],
  spread: 0.08,
  figures: {
    ...BED_FIGURES,
    /** Loose cement, kg/m³. */
    kgPerM3: { typical: 1440, min: 800, max: 2000 },
  },
  choices: {},
  takeOff: ({ surfaces }, { figures }) =>
    fillTo(surfaces, 'bed', 'kg', (figures.bulking.value * figures.kgPerM3.value) / (1 + figures.sandParts.value), figures),
});
