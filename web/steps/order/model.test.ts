import { describe, expect, test } from '@jest/globals';
import type { Job } from '@azulejo/core/job/job';
import { LINE_GROUPS } from '@azulejo/core/takeoff/materialKind';
import { MATERIALS } from '@azulejo/core/takeoff/registry';
import { entrySchema, type Entry } from '@azulejo/core/site/entry';
import { plan as planOf, type Plan } from '@azulejo/core/plan';
import { fromCoins } from '@azulejo/core/units/currency';
import { DEMO_JOBS, demoJob, demoPlan } from '../../../testing/demoJob.ts';
import { simulatedSupplier } from '../../supplier/simulatedSupplier.ts';
import { answerModel, askedLines, buyModel, moneyModel, orderOf, ordersModel } from './model.ts';

const job = demoJob('tidewater-bakehouse');
const plan = demoPlan('tidewater-bakehouse');

const written = (data: Entry['data'], k = 1): Entry => ({
  id: `00000000-0000-4000-8000-${String(k).padStart(12, '0')}`,
  at: '2027-03-01T08:00:00Z',
  by: '',
  surfaceId: null,
  replaces: null,
  data,
});

describe.each(DEMO_JOBS)('what is bought for %s', (name) => {
  const [own, planned] = [demoJob(name), demoPlan(name)];
  const { groups, packs } = buyModel(own, planned);

  test('every line stands once, in the group of its material, and the groups come to the total', () => {
    const lines = groups.flatMap((group) => group.lines);
    expect(lines.map(({ line }) => line)).toHaveLength(planned.materials.length);
    expect(new Set(lines.map(({ key }) => key)).size).toBe(lines.length);
    const order = groups.map(({ lines: [{ line }] }) => LINE_GROUPS.indexOf(MATERIALS[line.item].group));
    expect(order).toEqual([...order].sort((a, b) => a - b));
    for (const group of groups) {
      const cents = group.lines.reduce((sum, { line }) => sum + Math.round(line.cost * 100), 0);
      expect(Math.round(Number(group.cost.replace(/[^\d.]/g, '')) * 100)).toBe(cents);
    }
    expect(packs).toBe(planned.materials.reduce((sum, line) => sum + line.packs.reduce((all, { count }) => all + count, 0), 0));
  });

  test('the parts of the quote are its total, at every set of rates as the plan has it', () => {
    const { split, total, sets, hours } = moneyModel(own, planned);
    expect(split.reduce((sum, { amount }) => sum + amount, 0)).toBeCloseTo(total, 6);
    expect(total).toBe(fromCoins(planned.money.quote.totalCents, own.currency));
    expect(sets.find(({ id }) => id === planned.money.quote.rateSetId)?.totalCents).toBe(planned.money.quote.totalCents);
    expect(hours.reduce((sum, { amount }) => sum + amount, 0)).toBeCloseTo(
      planned.money.work.reduce((sum, one) => sum + one.hours, 0),
      6,
    );
  });
});

describe('asked of a supplier', () => {
  test('each line is asked and answered by what it is, also where two tiles are called alike', async () => {
    const named = { ...job, products: job.products.map((product) => ({ ...product, name: 'White tile' })) };
    const asked = askedLines(named, plan);
    expect(new Set(asked.map(({ name }) => name)).size).toBeLessThan(asked.length);
    const answers = await simulatedSupplier.askFor(asked);
    const order = orderOf(named, plan, 'S', answers);
    for (const [k, line] of order.lines.entries()) {
      expect(line.key).toBe(asked[k].key);
      expect(line.cost).toBe(answers.find(({ key }) => key === line.key)?.cost);
    }
    const model = answerModel(asked, answers);
    expect(model.total).toBeCloseTo(order.total, 2);
    expect(model.short.map(({ key }) => key)).toEqual(answers.filter(({ inStock, asked: all }) => inStock < all).map(({ key }) => key));
    for (const { words } of model.short)
      expect(words).toMatch(/^[A-Z].*(: \d+ of \d+ there, the rest in \d+ days|: not carried; it offers .+)\.$/);
  });

  test('an order is kept as it was placed, as the log can hold it, at plan prices where nobody answered', () => {
    const data = orderOf(job, plan, 'S', []);
    expect(entrySchema.safeParse(written(data)).success).toBe(true);
    expect(data.total).toBeCloseTo(
      data.lines.reduce((sum, { cost }) => sum + cost, 0),
      2,
    );
    expect(data.lines.every(({ packs }) => packs.length > 0)).toBe(true);
  });
});

describe('since it was ordered', () => {
  const placed = written(orderOf(job, plan, 'S', []));
  const otherwise = (now: Job, planned: Pick<Plan, 'materials'>, ...entries: Entry[]) => ordersModel(now, planned, entries).otherwise;

  test('nothing is otherwise while the plan stays; nothing is told before anything was ordered', () => {
    expect(otherwise(job, plan, placed)).toEqual([]);
    expect(ordersModel(job, plan, [])).toEqual({ orders: [], otherwise: [] });
  });

  test('a tile that is called otherwise since is the same tile; ordered twice it is too much', () => {
    const renamed = { ...job, products: job.products.map((product) => ({ ...product, name: `${product.name} (new)` })) };
    expect(otherwise(renamed, plan, placed)).toEqual([]);
    const twice = otherwise(job, plan, placed, written(orderOf(job, plan, 'S', []), 2));
    expect(twice.every(({ ordered, now }) => ordered === 2 * now)).toBe(true);
    expect(twice).toHaveLength(plan.materials.filter(({ packs }) => packs.length > 0).length);
  });

  test('a surface less leaves its tiles ordered and not needed', () => {
    const kiosk = demoJob('ferry-kiosk');
    const before = written(orderOf(kiosk, demoPlan('ferry-kiosk'), 'S', []));
    const fewer = { ...kiosk, surfaces: kiosk.surfaces.slice(0, 1), links: [] };
    const changed = otherwise(fewer, planOf(fewer), before);
    expect(changed.length).toBeGreaterThan(0);
    expect(changed.every(({ ordered, now }) => now !== ordered)).toBe(true);
  });
});
