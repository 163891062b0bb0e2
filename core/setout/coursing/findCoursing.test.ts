import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { madeUpTiles } from '../../madeUp/tiles.ts';
import { findCoursing, fitCourses } from './findCoursing.ts';

test('the worked example: 612 high, gaps of 4, pieces of 148: four courses at a joint of 4', () => {
  const four = fitCourses(612, 148, { jointMm: [2, 5], gapMm: [4, 4] });
  expect(four.count).toBe(4);
  expect(four.jointsMm?.map((mm) => Math.round(mm * 1e6) / 1e6)).toEqual([4, 4]);
});

test('what fits fills the length to the hair; what does not says by how much, against trying every joint and gap', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 300, max: 3000 }),
      fc.integer({ min: 60, max: 600 }),
      fc.integer({ min: 1, max: 4 }),
      fc.integer({ min: 0, max: 4 }),
      (length, size, joint, gap) => {
        fc.pre(size < length - 20);
        const range = { jointMm: [joint, joint + 2] as const, gapMm: [gap, gap + 2] as const };
        const found = fitCourses(length, size, range);
        let fits = false;
        for (let n = 1; n * size <= length; n++)
          for (let j = joint; j <= joint + 2 + 1e-9; j += 0.05)
            for (let g = gap; g <= gap + 2 + 1e-9; g += 0.05) if (Math.abs(n * size + (n - 1) * j + 2 * g - length) < 0.05) fits = true;
        if (found.jointsMm) {
          const [low, high] = found.jointsMm;
          for (const j of [low, high]) {
            const left = length - found.count * size - (found.count - 1) * (found.count === 1 ? 0 : j);
            expect(left).toBeGreaterThanOrEqual(2 * range.gapMm[0] - 1e-6);
            expect(left).toBeLessThanOrEqual(2 * range.gapMm[1] + 1e-6);
          }
        } else {
          expect(Math.max(found.overMm, found.underMm)).toBeGreaterThan(0);
          // A try within a twentieth of a millimetre may call that a fit.
          if (fits) expect(Math.max(found.overMm, found.underMm)).toBeLessThan(0.2 * Math.max(1, found.count));
        }
        const middle = joint + 1;
        expect(found.count * found.fittingMm + (found.count - 1) * middle + 2 * (gap + 1)).toBeCloseTo(length, 6);
      },
    ),
    { numRuns: 60 },
  );
});

test('of a list what needs no cut comes first, with one joint for both directions', () => {
  const tiles = madeUpTiles();
  const [first] = findCoursing({ widthMm: 4 * 148 + 3 * 3 + 10, heightMm: 3 * 148 + 2 * 3 + 8 }, tiles, { jointMm: [2, 4], gapMm: [3, 6] });
  expect(first.fit).not.toBeNull();
  const { widthMm } = tiles.find(({ id }) => id === first.productId)?.measured ?? { widthMm: 0 };
  expect([first.across.count * widthMm + (first.across.count - 1) * (first.fit?.jointMm ?? 0) + 2 * (first.fit?.sideGapMm ?? 0)]).toEqual([
    611,
  ]);
});
