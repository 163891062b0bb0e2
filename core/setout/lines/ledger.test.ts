import { expect, test } from '@jest/globals';
import { describeLedger } from '../../messages/en/lines.ts';
import { drawSurface } from '../../plan/layout/drawSurface.ts';
import type { Surface } from '../../job/job.ts';
import { jobOfOne } from '../../samples/testJob.ts';
import { wallsThrough } from '../../surface/shapes/asWalls.ts';
import { METRIC_TAPE } from '../../units/tape.ts';
import { gaugeRod } from './gaugeRod.ts';
import { demoPlan } from '../../../testing/demoJob.ts';

const drawn = (size: readonly [number, number], y: Surface['setout']['y'], measured: Partial<Surface['measured']> = {}) => {
  const job = jobOfOne({ size, tile: [300, 200], jointMm: 4, measured, surface: { setout: { x: { rule: 'fullFromStart' }, y } } });
  return drawSurface(job, job.surfaces[0]);
};

test('the ledger stands under the second course, and each bottom piece has its height', () => {
  // Courses from the top: 2000 less the gap of 5; nine courses of 204 leave 159 above the lower gap, less a joint 155.
  const { ledger } = drawn([1213, 2000], { rule: 'fullFromEnd' });
  expect(ledger?.atMm).toBeCloseTo(2000 - 5 - 9 * 204 + 4, 6);
  expect(ledger?.heightsMm.map((mm) => Math.round(mm))).toEqual([163, 163]);
  expect(new Set(ledger?.bottom.flatMap(({ heightsMm }) => heightsMm.map((mm) => Math.round(mm))))).toEqual(new Set([154]));
  expect(describeLedger(ledger ?? { heightsMm: [0, 0], standsMm: 0, atMm: 0, bottom: [] }, METRIC_TAPE)).toEqual([
    'Ledger, level under the second course: 163 mm above the base.',
    'Bottom course, from the left: 154.',
    'When the ledger is off its holes are closed, sealed again where the wall is, and dry, before the bottom row is wedged up from the base.',
  ]);
});

test('full courses on the base need no ledger', () => {
  expect(drawn([1213, 2000], { rule: 'fullFromStart' }).ledger).toBeNull();
});

test('a gauge rod has every whole course and joint', () => {
  const rod = gaugeRod(drawn([1213, 2000], { rule: 'fullFromStart' }).fields, 'y');
  expect(rod).toHaveLength(9);
  rod.forEach(({ fromMm, toMm }, k) => {
    expect(fromMm).toBeCloseTo(k * 204, 6);
    expect(toMm - fromMm).toBeCloseTo(200, 6);
  });
});

test('a border along the base is the bottom course: the ledger lies under what stands on it', () => {
  const border = { productId: 't', run: 'along', corners: 'butted', fromEdgeMm: 0 } as const;
  const job = jobOfOne({ size: [1213, 2000], tile: [300, 200], jointMm: 4, surface: { border } });
  const { ledger } = drawSurface(job, job.surfaces[0]);
  // The gap of 5, the border's 200 and a joint of 4.
  expect(ledger?.atMm).toBeCloseTo(209, 6);
});

test('under courses of two heights the ledger lies where no piece runs across; where all reach into each other there is none', () => {
  const { surfaces } = demoPlan('sample-boards');
  const ledgerOn = (id: string) => surfaces.find(({ surfaceId }) => surfaceId === id)?.ledger;
  // Large tiles cut to 100 stand on the base, a joint of 2 above them.
  expect(ledgerOn('corridor')?.atMm).toBeCloseTo(102, 6);
  expect(ledgerOn('corridor')?.bottom.map(({ heightsMm: [left] }) => left)).toEqual(Array<number>(8).fill(100));
  expect(['hexagon', 'arabesque', 'cubes', 'herringbone', 'scallop'].map(ledgerOn)).toEqual([null, null, null, null, null]);
});

test('a base that falls by more than a course takes no level ledger', () => {
  const falling = (mm: number) => {
    const job = jobOfOne({ size: [1213, 2000], tile: [300, 200], jointMm: 4 });
    const corners: [number, number][] = [
      [0, 0],
      [1213, -mm],
      [1213, 2000],
      [0, 2000],
    ];
    const shape = wallsThrough(
      corners,
      corners.map((_, k) => ({ id: `w${k}`, name: '', curve: null })),
    );
    const [surface] = job.surfaces;
    return drawSurface(job, { ...surface, measured: { ...surface.measured, shape } }).ledger;
  };
  expect(falling(40)?.heightsMm).toHaveLength(2);
  expect(falling(260)).toBeNull();
});
