import { cutFromBars, type BarsHow } from '../cutFromBars.ts';
import { material, type Taken } from '../materialKind.ts';

/** Straight boards that the second courses of walls stand on, m. */
export const ledgerBoard = material({
  group: 'edges',
  packs: [{ size: 2.4, price: 4.2 }],
  spread: 0,
  figures: { kerfMm: { typical: 3, min: 0, max: 10 } },
  choices: {},
  takeOff: ({ surfaces }, { figures }, offers): Taken<BarsHow>[] =>
    cutFromBars(
      surfaces.flatMap(({ surfaceId, ledgerRunsMm }) => ledgerRunsMm.map((mm) => ({ surfaceId, edgeId: 'ledger', mm, mitres: 0 }))),
      offers,
      figures.kerfMm.value,
    ),
});
