import { areaOf, byRate } from '../byRate.ts';
import { material } from '../materialKind.ts';

/** Cleaner that takes the film of cement off, l. */
export const hazeRemover = material({
  group: 'care',
  packs: [
    { size: 1, price: 8.9 },
    { size: 5, price: 32 },
  ],
  spread: 0.1,
  figures: {
    lPerM2: { typical: 0.05, min: 0.005, max: 1 },
  },
  choices: {},
  takeOff: ({ surfaces }, { figures }) =>
    byRate(surfaces, { unit: 'l', of: 'm2', figures }, (surface) =>
      surface.works.does.haze ? { amount: areaOf(surface), per: figures.lPerM2.value } : null,
    ),
});
