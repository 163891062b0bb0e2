import { ROUNDED_OFTEN } from '../../tolerances.ts';
import { byRate } from '../byRate.ts';
import { material } from '../materialKind.ts';

/** Screws for the boards of ledgers: one at each end of a run, and between them no further apart than set. */
export const ledgerScrews = material({
  group: 'edges',
  packs: [{ size: 100, price: 6.9 }],
  spread: 0,
  figures: { screwsApartMm: { typical: 400, min: 100, max: 1200 } },
  choices: {},
  takeOff: ({ surfaces }, { figures }) =>
    byRate(surfaces, { unit: 'piece', of: 'count', figures }, ({ ledgerRunsMm }) => ({
      amount: ledgerRunsMm.reduce((sum, mm) => sum + Math.ceil(mm / figures.screwsApartMm.value - ROUNDED_OFTEN) + 1, 0),
      per: 1,
    })),
});
