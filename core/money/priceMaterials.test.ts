import { describe, expect, test } from '@jest/globals';
import { DEMO_JOBS, demoJob, demoPlan } from '../../testing/demoJob.ts';
import type { Job } from '../job/job.ts';
import { describePacks } from '../messages/en/materials.ts';
import { plan } from '../plan.ts';
import { materialsSchema } from '../takeoff/materialsSchema.ts';
import { jobOfOne } from '../samples/testJob.ts';
import { roundMoney } from '../units/currency.ts';
import { spreadOf, totalOf, type Material } from './priceMaterials.ts';
import { chanceOfMoreBroken, chanceOfRunningOut } from './runningOut.ts';

const job = jobOfOne({ size: [3000, 2400], tile: [300, 300], jointMm: 3, surface: { kind: 'floor' } });
const lineOf = (of: Job, item: Material['item']): Material => {
  const line = plan(of).materials.find((one) => one.item === item);
  if (!line) throw new Error(`no ${item}`);
  return line;
};
const holdsOf = ({ packs }: Material): number => packs.reduce((sum, { count, size }) => sum + count * size, 0);

describe.each(DEMO_JOBS)('every line of the order of %s', (name) => {
  const { currency } = demoJob(name);
  const { materials, money } = demoPlan(name);

  test('holds what is needed, costs what its packs cost, and says what is left and closed', () => {
    for (const line of materials) {
      const { item, quantity, packs, cost, left, closed, covers, inHand, margin } = line;
      const holds = holdsOf(line) + inHand;
      expect([item, holds + 1e-6 >= quantity + margin]).toEqual([item, true]);
      expect([item, cost]).toEqual([
        item,
        roundMoney(
          packs.reduce((sum, { count, price }) => sum + count * price, 0),
          currency,
        ),
      ]);
      expect(left).toBeCloseTo(holds - quantity, 6);
      if (quantity > 0) expect(covers).toBeCloseTo(holds / quantity, 9);
      // What is closed could be given back: so many packs less, and the need is still covered.
      const smallestFirst = packs.flatMap(({ count, size }) => Array.from({ length: count }, () => size)).sort((a, b) => a - b);
      expect(closed).toBeLessThanOrEqual(smallestFirst.length);
      const least = smallestFirst.slice(0, closed).reduce((sum, size) => sum + size, 0);
      expect([item, least <= left + 1e-6]).toEqual([item, true]);
      if (line.bars === undefined && packs.length > 0) expect([item, left < (smallestFirst[0] ?? 0) * (closed + 1)]).toEqual([item, true]);
    }
    expect(money.total).toBe(totalOf(materials, currency));
    expect(money.total).toBeCloseTo(
      materials.reduce((sum, { cost }) => sum + cost, 0),
      6,
    );
  });

  test('says the chance that its need and what is there leave', () => {
    for (const line of materials) {
      const holds = holdsOf(line) + line.inHand;
      if (line.bars) expect(line.chance).toBeNull();
      else if (line.item !== 'tiles') expect(line.chance).toEqual(chanceOfRunningOut(line.quantity, holds, spreadOf(line.item, {})));
      else {
        const { opened, expectedBreakage } = line.how;
        const spare = Math.floor(holds - opened + 1e-9);
        expect(line.chance).toEqual(expectedBreakage === 0 ? null : chanceOfMoreBroken(expectedBreakage, spare));
      }
    }
  });
});

describe('more is bought for a smaller chance of running out', () => {
  test('of tiles no piece more than it takes', () => {
    for (const most of [1, 5, 20]) {
      const line = lineOf({ ...job, buying: { mostRunOutPercent: most } }, 'tiles');
      if (line.item !== 'tiles') throw new Error('tiles');
      const chanceWith = (pieces: number): number =>
        chanceOfMoreBroken(line.how.expectedBreakage, Math.floor(line.quantity + pieces - line.how.opened));
      expect(chanceWith(line.margin)).toBeLessThanOrEqual(most / 100);
      if (line.margin > 0) expect(chanceWith(line.margin - 1)).toBeGreaterThan(most / 100);
    }
  });
  test('of what is weighed by how far its use strays, the own past before what is usual', () => {
    const usual = lineOf({ ...job, buying: { mostRunOutPercent: 5 } }, 'adhesive');
    const own = lineOf({ ...job, buying: { mostRunOutPercent: 5 }, habits: { adhesive: { spread: 0.3 } } }, 'adhesive');
    expect(usual.margin / usual.quantity).toBeCloseTo(1.6449 * spreadOf('adhesive', {}), 3);
    expect(own.margin / own.quantity).toBeCloseTo(1.6449 * 0.3, 3);
    expect(spreadOf('adhesive', { habits: { adhesive: { spread: 9 } } })).toBe(1);
    expect(spreadOf('adhesive', { habits: { adhesive: { spread: -1 } } })).toBe(0);
  });
});

describe('what is there already', () => {
  test('is not bought: whole tiles of the same size count, parts and other tiles do not', () => {
    const [{ id, widthMm, heightMm }] = [{ id: job.products[0].id, widthMm: 300, heightMm: 300 }];
    const blank = (part: object) => ({ id: 'b', productId: id, widthMm, heightMm, sides: [], pieces: 12, from: '', ...part });
    const before = lineOf(job, 'tiles');
    expect(before.inHand).toBe(0);
    expect(lineOf({ ...job, blanks: [blank({ sides: ['left', 'right', 'bottom', 'top'] })] }, 'tiles').inHand).toBe(12);
    expect(lineOf({ ...job, blanks: [blank({ widthMm: 140 })] }, 'tiles').inHand).toBe(0);
  });
  test('is never told as more than what is needed', () => {
    const line = lineOf({ ...job, materials: { adhesive: { inHand: 5000 } } }, 'adhesive');
    expect([line.inHand, line.packs, line.cost]).toEqual([line.quantity, [], 0]);
    // With a margin asked for, what is there covers that too.
    const careful = lineOf({ ...job, buying: { mostRunOutPercent: 5 }, materials: { adhesive: { inHand: 5000 } } }, 'adhesive');
    expect(careful.margin).toBeGreaterThan(0);
    expect([careful.inHand, careful.packs]).toEqual([careful.quantity + careful.margin, []]);
  });
});

describe('tubs that are sold by the litre', () => {
  const wet = jobOfOne({
    size: [3000, 2400],
    tile: [150, 150],
    jointMm: 3,
    surface: { kind: 'wall', works: { adhesive: 'ready' } as never },
  });
  const soldBy = (by: 'l' | undefined, more: object = {}): Job => ({
    ...wet,
    materials: { readyAdhesive: { packs: [{ size: 5, price: 20, ...(by ? { by } : {}) }], ...more } },
  });
  test('are counted by what they weigh, and told by both', () => {
    const line = lineOf(soldBy('l'), 'readyAdhesive');
    // 5 L at 1.6 kg a litre are 8 kg.
    expect(line.packs).toEqual([{ count: Math.ceil(line.quantity / 8), size: 8, litres: 5, price: 20 }]);
    expect(line.left).toBeCloseTo(line.packs[0].count * 8 - line.quantity, 9);
    expect(describePacks(line)).toBe(`${line.packs[0].count} tubs of 5 L (8 kg)`);
    const { quantity, packs } = lineOf(soldBy(undefined), 'readyAdhesive');
    expect([quantity, packs[0].count]).toEqual([line.quantity, Math.ceil(line.quantity / 5)]);
  });
  test('weigh what the data sheet says', () => {
    const light = soldBy('l', { sheet: { name: 'Light', figures: { kgPerLitre: 0.9, kgPerM2: 1.5 } } });
    const { packs } = lineOf(light, 'readyAdhesive');
    expect([packs[0].size, packs[0].litres]).toEqual([expect.closeTo(4.5, 9), 5]);
  });
  test('powder is not', () =>
    expect(materialsSchema.safeParse({ adhesive: { packs: [{ size: 5, price: 20, by: 'l' }] } }).success).toBe(false));
});
