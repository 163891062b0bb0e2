import { Memory } from '../../memory.ts';
import { expect, test } from '@jest/globals';
import { demoJob } from '../../../testing/demoJob.ts';
import { plan } from '../../plan.ts';
import { cutRuleOf } from '../../plan/share/shareOut.ts';
import { planOffCuts, type CutsOfSurface } from './planOffCuts.ts';

const demo = demoJob('tidewater-bakehouse');
// Walls, a floor and steps that share their tiles.
const job = { ...demo, surfaces: demo.surfaces.filter(({ id }) => /^(washroom|steps)/.test(id)) };
const memory = new Memory();
const rule = { ...cutRuleOf(job), blanks: [] };
const laid: CutsOfSurface[] = plan(job).surfaces.map(({ surfaceId, fromTiles, sheets }) => ({ surfaceId, fromTiles, sheets }));

/** The tile that most pieces are cut from. */
const [{ productId, tile }] = laid.flatMap(({ fromTiles }) => fromTiles);
const sizeMm = Math.max(...tile.map(([x]) => x));
const blank = { id: 'b', productId, from: 'stock', pieces: 3, widthMm: sizeMm * 0.6, heightMm: sizeMm * 0.6, sides: [] };

const CHANGES = {
  'another saw': [laid, { ...rule, kerfMm: rule.kerfMm + 6 }],
  'keeping no off-cuts': [laid, { ...rule, offCutsKept: !rule.offCutsKept }],
  'pieces that are there already': [laid, { ...rule, blanks: [blank] }],
  'another order of the surfaces': [laid.toReversed(), rule],
  'a surface less': [laid.slice(1), rule],
  'a surface by another name': [laid.map((one, k) => (k === 0 ? { ...one, surfaceId: 'renamed' } : one)), rule],
  'a piece less': [laid.map((one, k) => (k === 0 ? { ...one, fromTiles: one.fromTiles.slice(1) } : one)), rule],
} as const;

test.each(Object.entries(CHANGES))('once a job is planned, %s gives the plan that a job planned anew has', (_, [surfaces, changed]) => {
  const first = planOffCuts(laid, job.products, rule, memory);
  const again = planOffCuts(surfaces, job.products, changed, memory);
  expect(again).toEqual(planOffCuts(surfaces, job.products, changed, new Memory()));
  expect(again).not.toEqual(first);
  expect(planOffCuts(laid, job.products, rule, memory)).toEqual(first);
});

test('a tile whose face gets a way up is packed anew', () => {
  const upright = job.products.map((product) => ({ ...product, face: 'directional' as const }));
  const before = planOffCuts(laid, job.products, rule, memory);
  const after = planOffCuts(laid, upright, rule, memory);
  expect(after).toEqual(planOffCuts(laid, upright, rule, new Memory()));
  expect(after).not.toEqual(before);
});
