import { areaOf, byRate } from '../byRate.ts';
import { material } from '../materialKind.ts';

/** Screws with their washers for boards. */
export const screws = material({
  group: 'underTheTiles',
  packs: [{ size: 100, price: 11.9 }],
  spread: 0,
  figures: { perM2: { typical: 18, min: 4, max: 60 } },
  choices: {},
  takeOff: ({ surfaces }, { figures }) =>
    byRate(surfaces, { unit: 'piece', of: 'm2', figures }, (surface) =>
      surface.works.does.board ? { amount: areaOf(surface), per: figures.perM2.value } : null,
    ),
});
