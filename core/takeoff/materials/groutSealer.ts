import { areaOf, byRate } from '../byRate.ts';
import { material } from '../materialKind.ts';

/** Sealer over joints of cement, l to the square metre of tiling. */
export const groutSealer = material({
  group: 'care',
  packs: [
    { size: 0.5, price: 14.9 },
    { size: 1, price: 24 },
  ],
  spread: 0.15,
  figures: {
    coatLPerM2: { typical: 0.02, min: 0.002, max: 0.5 },
    coats: { typical: 2, min: 1, max: 6 },
  },
  choices: {},
  takeOff: ({ surfaces }, { figures }) =>
    byRate(surfaces, { unit: 'l', of: 'm2', figures }, (surface) =>
      surface.works.does.sealGrout ? { amount: areaOf(surface), per: figures.coatLPerM2.value * figures.coats.value } : null,
    ),
});
