import { byRate } from '../byRate.ts';
import { material } from '../materialKind.ts';

/** Plastic wedges that hold the bottom row of a wall up from its base until it sets, so many a piece; used again on the next wall. */
export const settingWedges = material({
  group: 'joints',
  packs: [{ size: 100, price: 5.4 }],
  spread: 0,
  figures: { wedgesPerPiece: { typical: 2, min: 1, max: 6 } },
  choices: {},
  takeOff: ({ surfaces }, { figures }) =>
    byRate(surfaces, { unit: 'piece', of: 'count', figures }, ({ ledgerPieces }) => ({
      amount: ledgerPieces,
      per: figures.wedgesPerPiece.value,
    })),
});
