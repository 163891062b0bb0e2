import { describeShare, describeStirred } from '../messages/en/mixes.ts';
import { zoneMixes } from './mixes/zoneMixes.ts';
import { describe, expect, test } from '@jest/globals';
import { describeChance, describePacks, describeQuantity, explainMaterial, materialName } from '../messages/en/materials.ts';
import { figureName } from '../messages/en/materialFigures.ts';
import type { Job, Surface } from '../job/job.ts';
import { plan } from '../plan.ts';
import { jobOfOne } from '../samples/testJob.ts';
import { MATERIALS, MATERIAL_IDS } from './registry.ts';
import { WORKS } from './works/works.ts';

const everything = Object.fromEntries(WORKS.map((work) => [work, true]));
const base = jobOfOne({ size: [3000, 2400], tile: [300, 300], jointMm: 3, gapMm: 8, surface: { kind: 'floor' } });
const [plain] = base.surfaces;
const levels = (fill: 'leveller' | 'bed'): Surface['measured']['levels'] => ({
  datum: '',
  fill,
  leastMm: 20,
  readings: [
    [0, 0],
    [3000, 0],
    [0, 2400],
  ].map(([xMm, yMm], k) => ({ id: `r${k}`, xMm, yMm, downMm: 1000 })),
});
const surface = (id: string, change: Partial<Surface>, measured: Partial<Surface['measured']> = {}): Surface => ({
  ...plain,
  id,
  name: id,
  ...change,
  measured: { ...plain.measured, ...measured },
});
/** A job that takes every material there is. */
const job: Job = {
  ...base,
  materials: { adhesive: { choices: { mixedWith: 'additive' } } },
  surfaces: [
    surface(
      'all',
      { works: { does: everything }, trims: { left: 'profile', right: 'bullnose', bottom: 'nosing', top: 'skirting' } },
      { levels: levels('leveller') },
    ),
    surface('bed', { works: { adhesive: 'ready', grout: 'ready' } }, { levels: levels('bed') }),
    surface('long', { works: { grout: 'epoxy' } }, { shape: { kind: 'rectangle', widthMm: 12_500, heightMm: 2400 } }),
    surface(
      'wall',
      { kind: 'wall', setout: { x: { rule: 'jointCentred' }, y: { rule: 'fullFromEnd' } } },
      { shape: { kind: 'rectangle', widthMm: 2000, heightMm: 1500 } },
    ),
  ],
};
const { materials, surfaces, mixes } = plan(job);
const m2 = Object.fromEntries(surfaces.map(({ surfaceId, extent }) => [surfaceId, extent.areaMm2 / 1e6]));
const of = (item: string): number => materials.filter((line) => line.item === item).reduce((sum, { quantity }) => sum + quantity, 0);

test('the job takes every material of the registry; a material that nothing takes fails here', () => {
  expect(new Set(materials.map(({ item }) => item))).toEqual(new Set(MATERIAL_IDS));
});

describe.each(MATERIAL_IDS)('%s', (item) => {
  const lines = materials.filter((line) => line.item === item);
  test('has words for its name, its packs, its figures and every step of how it came about', () => {
    for (const name of [...Object.keys(MATERIALS[item].figures), ...Object.keys(MATERIALS[item].stated)])
      expect(figureName(name)).toMatch(/^[A-Z]/);
    for (const line of lines) {
      const words = [
        materialName(job, line),
        describeQuantity(line, job.tape),
        describePacks(line),
        describeChance(line, job.tape),
        ...explainMaterial(job, line),
      ];
      for (const text of words) expect(text).not.toMatch(/undefined|NaN|Infinity|\d\.\d{5}/);
      expect(explainMaterial(job, line).length).toBeGreaterThan(0);
    }
  });
  test('is bought so that the packs cover the need', () => {
    for (const { quantity, packs, bars } of lines) {
      const holds = packs.reduce((sum, { count, size }) => sum + count * size, 0);
      expect(holds).toBeGreaterThanOrEqual(quantity - 1e-6);
      if (bars) expect(packs.reduce((sum, { count }) => sum + count, 0)).toBe(bars.length);
    }
  });
});

test('by other means: areas times rates, edges from a tape, bays of 12.5 m', () => {
  const all = m2['all'] + m2['bed'] + m2['long'];
  // Floors on screed and the wall on plaster are primed once, thinned one to one.
  expect(of('primer')).toBeCloseTo((all + m2['wall']) * 0.075, 6);
  expect(of('membrane')).toBeCloseTo(m2['all'] * 1.5, 6);
  expect(of('tileSealer')).toBeCloseTo(m2['all'] * 0.16, 6);
  expect(of('liquidAdditive')).toBeCloseTo(of('adhesive') * 0.3, 6);
  expect(of('protection')).toBeCloseTo(m2['all'] * 1.1, 6);
  expect(of('leveller')).toBeCloseTo(3 * 2.4 * 0.984 * 20 * 1.7, -1);
  const bed = (surfaces.find(({ surfaceId }) => surfaceId === 'bed')?.levels?.volumeLitres ?? 0) / 1000;
  expect(of('cement')).toBeCloseTo((bed * 1.3 * 1440) / 7, 6);
  expect(of('sand')).toBeCloseTo((bed * 1.3 * 6) / 7, 6);
  expect([of('edgeProfile'), of('bullnose'), of('nosing'), of('skirting')]).toEqual([2.4, 2.4, 3, 3].map((m) => expect.closeTo(m, 6)));
  expect(of('ledgerBoard')).toBeCloseTo(2, 6);
  // One joint across the long floor, from gap to gap.
  expect(of('movementProfile')).toBeCloseTo(2.4 - 2 * 0.008, 3);
  expect(of('backerRod')).toBeCloseTo(2 * (3 + 2.4) * 2 + 2 * (12.5 + 2.4) + 2 * (2 + 1.5), 1);
});

test('adhesive that is stirred with an additive is told so, zone by zone; grout is stirred with water', () => {
  const [bed, joints] = (['adhesive', 'grout'] as const).map((item) => mixes.find((mix) => mix.item === item));
  expect([bed?.liquid, joints?.liquid]).toEqual(['additive', 'water']);
  expect((bed?.waterL ?? 0) / (bed?.powderKg ?? 1)).toBeCloseTo(0.3, 6);
  const zones = bed ? zoneMixes(bed, surfaces).flatMap((one) => one.zones) : [];
  expect(zones.length).toBeGreaterThan(0);
  for (const zone of zones) expect(describeShare(zone, job.tape)).toMatch(/ kg to [\d.]+ L of additive$/);
  expect(joints && describeStirred(joints, [], job.tape)).toMatch(/ of water$/);
});

test('a wall that grows by 100 mm takes more of all that hangs on it, and less of nothing', () => {
  const grown = plan({
    ...job,
    surfaces: job.surfaces.map((one) =>
      one.id === 'wall' ? { ...one, measured: { ...one.measured, shape: { kind: 'rectangle', widthMm: 2100, heightMm: 1500 } } } : one,
    ),
  } as Job);
  const now = new Map<string, number>();
  for (const line of grown.materials) now.set(line.item, (now.get(line.item) ?? 0) + line.quantity);
  const more = MATERIAL_IDS.filter((item) => (now.get(item) ?? 0) > of(item) + 1e-9);
  expect(more).toEqual(expect.arrayContaining(['adhesive', 'grout', 'sealant', 'primer', 'ledgerBoard', 'backerRod']));
  expect(MATERIAL_IDS.filter((item) => (now.get(item) ?? 0) < of(item) - 1e-9 && item !== 'tiles' && item !== 'spacers')).toEqual([]);
});
