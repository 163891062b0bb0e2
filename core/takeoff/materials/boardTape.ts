import { areaOf, byRate } from '../byRate.ts';
import { material } from '../materialKind.ts';
import { BOARD_FIGURES } from './boards.ts';

/** Tape over the joints of boards, m: each board has one long and one short side to a neighbour. */
export const boardTape = material({
  group: 'underTheTiles',
  packs: [
    { size: 20, price: 6.8 },
    { size: 50, price: 13.5 },
  ],
  spread: 0.05,
  figures: BOARD_FIGURES,
  choices: {},
  takeOff: ({ surfaces }, { figures }) =>
    byRate(surfaces, { unit: 'm', of: 'm2', figures }, (surface) =>
      surface.works.does.board ? { amount: areaOf(surface), per: 1000 / figures.longMm.value + 1000 / figures.wideMm.value } : null,
    ),
});
