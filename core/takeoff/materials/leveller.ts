import { material, REST_HOURS } from '../materialKind.ts';
import { fillTo } from './fill.ts';

/** Levelling compound over what was read, kg. */
export const leveller = material({
  group: 'underTheTiles',
  packs: [{ size: 25, price: 24.8 }],
  spread: 0.1,
  figures: {
    kgPerM2Mm: { typical: 1.7, min: 0.5, max: 3 },
    waterPerKg: { typical: 0.24, min: 0.05, max: 1 },
    potLifeMinutes: { typical: 25, min: 5, max: 240 },
  },
  stated: REST_HOURS,
  choices: {},
  takeOff: ({ surfaces }, { figures }) =>
    fillTo(surfaces, 'leveller', 'kg', figures.kgPerM2Mm.value * 1000, { kgPerM2Mm: figures.kgPerM2Mm }),
});
