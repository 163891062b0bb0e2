import { describe, expect, jest, test } from '@jest/globals';
import { demoJob } from '../../testing/demoJob.ts';
import { simulatedSupplier } from '../supplier/simulatedSupplier.ts';
import { makeSimulatedMeter } from './simulatedMeter.ts';
import { makeSimulatedPrinter, ROLL } from './simulatedPrinter.ts';

describe('a simulated distance meter', () => {
  const readings = (seed: number, trueMm: number, count: number): number[] => {
    const meter = makeSimulatedMeter(seed);
    const read: number[] = [];
    meter.onReading((mm) => read.push(mm));
    for (let k = 0; k < count; k++) meter.measure(trueMm);
    return read;
  };
  test('reads to the half millimetre, mostly to two, and now and then something else', () => {
    const read = readings(3, 2645, 600);
    expect(read.every((mm) => Number.isInteger(2 * mm))).toBe(true);
    const off = read.map((mm) => Math.abs(mm - 2645));
    const wild = off.filter((mm) => mm > 10).length;
    expect(wild / 600).toBeGreaterThan(1 / 24);
    expect(wild / 600).toBeLessThan(1 / 6);
    expect(off.filter((mm) => mm <= 2).length / (600 - wild)).toBeGreaterThan(0.98);
  });
  test('the same seed reads the same, and what is short is never misread', () => {
    expect(readings(5, 900, 30)).toEqual(readings(5, 900, 30));
    expect(readings(5, 300, 200).every((mm) => Math.abs(mm - 300) < 5)).toBe(true);
  });
  test('once it is let go, it tells nobody any more', () => {
    const meter = makeSimulatedMeter();
    const take = jest.fn();
    meter.onReading(take);
    meter.disconnect();
    meter.measure(1000);
    expect(take).not.toHaveBeenCalled();
  });
});

describe('a simulated label printer', () => {
  const labels = (count: number) => Array.from({ length: count }, (_, k) => ({ label: `A${k + 1}`, lines: [], hasWayUp: false }));
  test('prints in order and tells how far it is; at the end of the roll it says so, and goes on with a new one', async () => {
    jest.useFakeTimers();
    const printer = makeSimulatedPrinter();
    const told: number[] = [];
    const outcome = printer
      .print(labels(ROLL + 3), (count) => told.push(count))
      .then(
        () => 'done',
        (error: Error) => error.message,
      );
    await jest.runAllTimersAsync();
    expect(await outcome).toMatch(/roll/i);
    expect([printer.left, printer.strip.length, told.at(-1)]).toEqual([0, ROLL, ROLL]);
    expect(printer.strip.map(({ label }) => label)).toEqual(labels(ROLL).map(({ label }) => label));
    printer.reload();
    printer.tear();
    const again = printer.print(labels(2), () => undefined);
    await jest.runAllTimersAsync();
    await again;
    expect([printer.left, printer.strip.length]).toEqual([ROLL - 2, 2]);
    jest.useRealTimers();
  });
});

describe('a simulated supplier', () => {
  const { products } = demoJob('tidewater-bakehouse');
  test('answers the same for the same tile, carries most of them, and what it has adds up', async () => {
    const offers = await simulatedSupplier.ask(products);
    expect(await simulatedSupplier.ask(products)).toEqual(offers);
    expect(offers.length).toBeLessThanOrEqual(products.length);
    for (const { productId, boxPrice, stockBoxes, lots, leadDays } of offers) {
      const product = products.find(({ id }) => id === productId);
      expect(boxPrice / (product?.boxPrice ?? NaN)).toBeGreaterThan(0.9);
      expect(boxPrice / (product?.boxPrice ?? NaN)).toBeLessThan(1.15);
      expect(lots.reduce((sum, { boxes }) => sum + boxes, 0)).toBe(stockBoxes);
      expect(leadDays).toBeGreaterThan(0);
    }
  });
  test('a line it does not carry costs nothing less and offers something else; one that is short says when the rest comes', async () => {
    const lines = Array.from({ length: 200 }, (_, k) => ({
      key: `tiles/${k}`,
      name: `Tile ${k}`,
      packs: [{ count: 10, size: 1, price: 20 }],
    }));
    const answers = await simulatedSupplier.askFor(lines);
    expect(answers.map(({ key }) => key)).toEqual(lines.map(({ key }) => key));
    const kinds = { none: 0, short: 0, whole: 0 };
    for (const { inStock, asked, leadDays, instead, lot } of answers) {
      const kind = leadDays === null ? 'none' : inStock < asked ? 'short' : 'whole';
      kinds[kind]++;
      expect([instead !== null, lot !== null]).toEqual([kind === 'none', kind === 'whole']);
    }
    expect(Math.min(...Object.values(kinds))).toBeGreaterThan(5);
  });
});
