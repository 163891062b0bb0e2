import { areaOf, byRate } from '../byRate.ts';
import { material, REST_HOURS } from '../materialKind.ts';

/** Sealer for porous tiles, before they are grouted, l. */
export const tileSealer = material({
  group: 'care',
  packs: [
    { size: 1, price: 19.5 },
    { size: 5, price: 78 },
  ],
  spread: 0.15,
  figures: {
    coatLPerM2: { typical: 0.08, min: 0.01, max: 1 },
    coats: { typical: 2, min: 1, max: 6 },
  },
  stated: REST_HOURS,
  choices: {},
  takeOff: ({ surfaces }, { figures }) =>
    byRate(surfaces, { unit: 'l', of: 'm2', figures }, (surface) =>
      surface.works.does.sealTile ? { amount: areaOf(surface), per: figures.coatLPerM2.value * figures.coats.value } : null,
    ),
});
