import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { workHours } from '../labour/workHours.ts';
import { plan } from '../plan.ts';
import type { Job } from '../job/job.ts';
import { jobOfOne } from '../samples/testJob.ts';
import { kitchenFloor } from '../stories/floorJobs.ts';
import { formatCoins, formatMoney, toCoins } from '../units/currency.ts';
import { buyPacks } from './packs.ts';
import { USUAL_RATES, type RateSet } from './rates.ts';
import { quoteJob } from './quote.ts';
import { chanceAbove, chanceOfMoreBroken, chanceOfRunningOut, deviationsFor } from './runningOut.ts';
import { toolLines } from './tools.ts';

const job = jobOfOne({ size: [3000, 2400], tile: [300, 300], jointMm: 3, surface: { kind: 'floor' } });
const planned = plan(job);
const figures = planned.surfaces.map((surface) => surface.figures);
const withJob = (part: Partial<Job>) => plan({ ...job, ...part });

describe('running out', () => {
  test('the tail of the normal spread, as tables have it', () => {
    expect([0, 1, 1.6449, 2.3263].map((at) => chanceAbove(at))).toEqual(
      [0.5, 0.158655, 0.05, 0.01].map((chance) => expect.closeTo(chance, 4)),
    );
    expect(deviationsFor(0.05)).toBeCloseTo(1.6449, 3);
    expect(chanceOfRunningOut(100, 108, 0.08)).toBeCloseTo(0.1587, 4);
    expect(chanceOfRunningOut(100, 120, 0)).toBeNull();
  });
  test('tiles that break: none spare of half a tile expected leaves 1 - e^-0.5', () => {
    expect(chanceOfMoreBroken(0.5, 0)).toBeCloseTo(1 - Math.exp(-0.5), 9);
    expect(chanceOfMoreBroken(2, 3)).toBeCloseTo(1 - Math.exp(-2) * (1 + 2 + 2 + 8 / 6), 9);
  });
  test('with a margin no line runs out more often than it may; without one the bare need is bought', () => {
    for (const line of withJob({ buying: { mostRunOutPercent: 5 } }).materials)
      if (line.chance !== null) expect(line.chance).toBeLessThanOrEqual(0.0501);
    for (const line of planned.materials) expect([line.item, line.margin]).toEqual([line.item, 0]);
  });
  test('what is there already is not bought again', () => {
    const [before, after] = [planned, withJob({ materials: { adhesive: { inHand: 10 } } })].map(({ materials }) =>
      materials.find(({ item }) => item === 'adhesive'),
    );
    expect(before && after && [after.inHand, after.quantity - before.quantity]).toEqual([10, 0]);
    expect(after?.cost).toBe(
      buyPacks((before?.quantity ?? 0) - 10, [
        { size: 5, price: 7.9 },
        { size: 20, price: 18.5 },
      ]).cost,
    );
  });
});

describe('a quote', () => {
  const rates = fc.record({
    by: fc.constantFrom('hours' as const, 'area' as const),
    perHour: fc.integer({ min: 0, max: 9999 }).map((cents) => cents / 100),
    perM2: fc.integer({ min: 0, max: 9999 }).map((cents) => cents / 100),
    trips: fc.integer({ min: 0, max: 9 }),
    minimum: fc.integer({ min: 0, max: 90_000 }).map((cents) => cents / 100),
    overheadPercent: fc.integer({ min: 0, max: 2000 }).map((hundredths) => hundredths / 100),
    markupPercent: fc.integer({ min: 0, max: 2000 }).map((hundredths) => hundredths / 100),
    discountPercent: fc.integer({ min: 0, max: 10_000 }).map((hundredths) => hundredths / 100),
    taxPercent: fc.integer({ min: 0, max: 2500 }).map((hundredths) => hundredths / 100),
    materialTaxPercent: fc.integer({ min: 0, max: 2500 }).map((hundredths) => hundredths / 100),
  });
  test('adds up to the cent under every tax and discount', () => {
    const tools = toolLines({ cuts: { wetSaw: 3 }, surfaces: figures }, { wetSaw: { way: 'hire' } }, () => 3);
    fc.assert(
      fc.property(rates, fc.integer({ min: 0, max: 500_000 }), fc.constantFrom('EUR', 'JPY', 'KWD'), (own, materials, currency) => {
        const set: RateSet = { ...USUAL_RATES[0], ...own };
        const quote = quoteJob(
          { materialsCost: materials / 100, tools, work: workHours(figures, { materials: {} }), surfaces: figures },
          set,
          currency,
        );
        const sum = (cents: readonly number[]): number => cents.reduce((all, one) => all + one, 0);
        for (const { cents } of quote.lines) expect(Number.isInteger(cents)).toBe(true);
        expect(sum(quote.lines.map(({ cents }) => cents))).toBe(quote.netCents);
        expect(sum(quote.taxes.map(({ baseCents }) => baseCents))).toBe(quote.netCents - quote.discountCents);
        for (const { percent, baseCents, taxCents } of quote.taxes)
          expect(Math.abs(taxCents - (baseCents * percent) / 100)).toBeLessThanOrEqual(0.5);
        expect(quote.totalCents).toBe(quote.netCents - quote.discountCents + sum(quote.taxes.map(({ taxCents }) => taxCents)));
        const labour = sum(quote.lines.filter(({ kind }) => kind === 'labour' || kind === 'minimum').map(({ cents }) => cents));
        expect(labour).toBeGreaterThanOrEqual(toCoins(set.minimum, currency));
      }),
      { numRuns: 300 },
    );
  });
  test('by hand: 6.3 h at 40, materials 210.05 with a tenth on them, two trips of 25, 10 % off, 20 % and 5 % tax', () => {
    const set: RateSet = {
      ...USUAL_RATES[0],
      perHour: 40,
      trips: 2,
      perTrip: 25,
      minimum: 0,
      overheadPercent: 0,
      markupPercent: 10,
      discountPercent: 10,
      taxPercent: 20,
      materialTaxPercent: 5,
    };
    const [{ surfaceId }] = figures;
    const work = [{ task: 'lay' as const, surfaceId, amount: 1, pace: 1, from: 'typical' as const, hours: 6.3 }];
    const quote = quoteJob({ materialsCost: 210.05, tools: [], work, surfaces: figures }, set, 'EUR');
    // 231.06 (of 231.055) + 252.00 + 50.00 = 533.06; less 53.31; taxed 207.95 at 5 % and 271.80 at 20 %.
    expect([quote.netCents, quote.discountCents]).toEqual([53_306, 5331]);
    expect(quote.taxes).toEqual([
      { percent: 5, baseCents: 20_795, taxCents: 1040 },
      { percent: 20, baseCents: 27_180, taxCents: 5436 },
    ]);
    expect(quote.totalCents).toBe(53_306 - 5331 + 1040 + 5436);
  });
});

test('hiring a saw for ten days costs more than buying it at 349', () => {
  const [saw] = toolLines({ cuts: { wetSaw: 1 }, surfaces: [] }, { wetSaw: { way: 'hire' } }, () => 11);
  expect([saw.cost, saw.buy, Math.ceil(saw.breakEvenDays)]).toEqual([352, 349, 11]);
});

describe('mixes', () => {
  test('add up to the powder, fit the bucket, and are no more than is used up in time', () => {
    const { mixes, materials } = planned;
    const adhesive = mixes.find(({ item }) => item === 'adhesive');
    const need = materials.find(({ item }) => item === 'adhesive')?.quantity ?? 0;
    expect(adhesive && (adhesive.count - 1) * adhesive.powderKg + adhesive.lastKg).toBeCloseTo(need, 9);
    expect(adhesive?.waterL).toBeCloseTo((adhesive?.powderKg ?? 0) * 0.27, 9);
    const small = withJob({ mixing: { bucketLitres: 4, tareKg: 0.6 } }).mixes.find(({ item }) => item === 'adhesive');
    expect(small && small.powderKg * 1.27).toBeLessThanOrEqual(4 * 1.6);
    expect([small?.limit, small && small.scaleKg - small.powderKg]).toEqual(['bucket', expect.closeTo(0.6, 9)]);
    const hot = withJob({ mixing: { temperatureC: 37 } }).mixes.find(({ item }) => item === 'adhesive');
    expect(hot?.potLifeMinutes).toBeCloseTo((adhesive?.potLifeMinutes ?? 0) / 2, 6);
  });
});

test.each([
  ['EUR', '1234.57', '1 234.57'],
  ['JPY', '1235', '1 235'],
  ['KWD', '1234.568', '1 234.568'],
])('an amount in %s has the digits of its coins: %s', (currency, plain, spaced) => {
  expect(formatMoney(1234.5678, currency)).toBe(plain);
  expect(formatCoins(toCoins(1234.5678, currency), currency)).toBe(spaced);
});

test('lines of an order in yen are whole yen, and add up to what stands below them', () => {
  const { materials, money } = plan({ ...kitchenFloor(), currency: 'JPY' });
  for (const { cost } of materials) expect(Number.isInteger(cost)).toBe(true);
  expect(money.total).toBe(materials.reduce((sum, { cost }) => sum + cost, 0));
});
