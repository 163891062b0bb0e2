import { material } from '../materialKind.ts';
import { BED_FIGURES, fillTo } from './fill.ts';

/** Sharp sand of a bed, m³: its part of the dry volume. */
export const sand = material({
  group: 'underTheTiles',
  packs: [
    { size: 0.5, price: 38 },
    { size: 0.05, price: 5.4 },
  ],
  spread: 0.08,
  figures: BED_FIGURES,
  choices: {},
  takeOff: ({ surfaces }, { figures }) =>
    fillTo(surfaces, 'bed', 'm3', (figures.bulking.value * figures.sandParts.value) / (1 + figures.sandParts.value), figures),
});
