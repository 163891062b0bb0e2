import { quoteRows } from '../job/quoteRows.ts';
import { toCoins } from '../units/currency.ts';
import { differs, sumOf, type Law } from './law.ts';

/** What stands in columns is what stands under them: the order, the quote at every rate, hours by work, by surface and in all. */
export const moneyAddsUp: Law = (job, { materials, money, surfaces }) => {
  const inCoins = (amount: number): number => toCoins(amount, money.currency);
  const ofQuotes = money.atEachRate.flatMap((quote) => {
    const { rateSetId: at, lines, netCents, discountCents, taxes, totalCents } = quote;
    const linesOf = (kind: string): number => sumOf(lines, (line) => (line.kind === kind ? line.cents : 0));
    return [
      ...differs(
        `${at}: rows that are read and the sum under them`,
        sumOf(quoteRows(job, quote), ({ cents }) => cents),
        netCents,
      ),
      ...differs(
        `${at}: what is taxed and what is charged`,
        sumOf(taxes, ({ baseCents }) => baseCents),
        netCents - discountCents,
      ),
      ...differs(`${at}: net, tax and total`, netCents - discountCents + sumOf(taxes, ({ taxCents }) => taxCents), totalCents),
      ...differs(
        `${at}: tools of the list and of the quote`,
        sumOf(money.tools, ({ cost }) => inCoins(cost)),
        linesOf('tools'),
      ),
    ];
  });
  return [
    ...ofQuotes,
    ...differs(
      'lines of the order and their sum',
      sumOf(materials, ({ cost }) => inCoins(cost)),
      inCoins(money.total),
    ),
    ...differs(
      'hours of the works and in all',
      sumOf(money.work, ({ hours }) => hours),
      money.hours,
    ),
    ...surfaces.flatMap(({ surfaceId, totals, extent }) => [
      ...differs(`${surfaceId}: whole, cut and pieces`, totals.whole + totals.cut, totals.pieces),
      ...differs(`${surfaceId}: tiles, joints and area`, extent.tiledAreaMm2 + extent.jointAreaMm2, extent.areaMm2),
    ]),
  ];
};
