import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { madeUpTiles } from '../../madeUp/tiles.ts';
import { describeCourses, describeCoursing } from '../../messages/en/coursing.ts';
import { METRIC_TAPE } from '../../units/tape.ts';
import { findCoursing, fitCourses, type Range } from './findCoursing.ts';

const alike = (gap: Range) => ({ left: gap, right: gap, bottom: gap, top: gap });

test('the worked example: 612 high, gaps of 4, pieces of 148: four courses at a joint of 4', () => {
  const four = fitCourses(612, 148, [2, 5], [8, 8]);
  expect(four.count).toBe(4);
  expect(four.jointsMm?.map((mm) => Math.round(mm * 1e6) / 1e6)).toEqual([4, 4]);
  expect(describeCourses(four, METRIC_TAPE)).toBe('4 pieces take 598 to 607 mm, the gaps leave 604 mm: joints of 4 mm fit.');
});

test('what does not fit says by how much, and the joint, the tile or the room that would make it', () => {
  // Six of 98 with joints of 2 to 3 take 598 to 603; between gaps of 5 there are 590.
  const over = fitCourses(600, 98, [2, 3], [10, 10]);
  expect(describeCourses(over, METRIC_TAPE)).toBe(
    '6 pieces take 598 to 603 mm, the gaps leave 590 mm: 8 mm too long. It would fit with a joint of 0.5 mm, a tile of 96.5 mm, or a room 8 mm larger.',
  );
  // One piece has no joint to open.
  expect(describeCourses(fitCourses(130, 98, [2, 3], [10, 10]), METRIC_TAPE)).toBe(
    '1 piece takes 98 mm, the gaps leave 120 mm: 22 mm left bare. It would fit with a tile of 120 mm, or a room 22 mm smaller.',
  );
});

test('what fits fills the length to the hair; what does not says by how much, against trying every joint and gap', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 300, max: 3000 }),
      fc.integer({ min: 60, max: 600 }),
      fc.integer({ min: 1, max: 4 }),
      fc.integer({ min: 0, max: 8 }),
      fc.integer({ min: 0, max: 4 }),
      (length, size, joint, gap, more) => {
        fc.pre(size < length - 20);
        const [joints, gaps]: [Range, Range] = [
          [joint, joint + 2],
          [gap, gap + more],
        ];
        const found = fitCourses(length, size, joints, gaps);
        let fits = false;
        for (let n = 1; n * size <= length; n++)
          for (let j = joint; j <= joint + 2 + 1e-9; j += 0.05)
            for (let g = gap; g <= gap + more + 1e-9; g += 0.1) if (Math.abs(n * size + (n - 1) * j + g - length) < 0.05) fits = true;
        if (found.jointsMm) {
          for (const j of found.jointsMm) {
            const left = length - found.count * size - (found.count === 1 ? 0 : (found.count - 1) * j);
            expect(left).toBeGreaterThanOrEqual(gaps[0] - 1e-6);
            expect(left).toBeLessThanOrEqual(gaps[1] + 1e-6);
          }
          expect(found.takeMm[0]).toBeLessThanOrEqual(found.roomMm[1] + 1e-6);
          expect(found.takeMm[1]).toBeGreaterThanOrEqual(found.roomMm[0] - 1e-6);
        } else {
          expect(Math.max(found.overMm, found.underMm)).toBeGreaterThan(0);
          // A try within a twentieth of a millimetre may call that a fit.
          if (fits) expect(Math.max(found.overMm, found.underMm)).toBeLessThan(0.2 * Math.max(1, found.count));
          // The joint that is named does make it fit, with the gaps as they may be.
          const named = found.fittingJointMm;
          if (named !== null) expect(fitCourses(length, size, [named, named], gaps).jointsMm).not.toBeNull();
        }
        expect(found.count * found.fittingMm + (found.count - 1) * (joint + 1) + gap + more / 2).toBeCloseTo(length, 6);
      },
    ),
    { numRuns: 60 },
  );
});

test('of a list what needs no cut comes first, with one joint for both ways; each gap has its own range', () => {
  const tiles = madeUpTiles();
  const room = { widthMm: 4 * 148 + 3 * 3 + 10, heightMm: 3 * 148 + 2 * 3 + 8 };
  const [first] = findCoursing(room, tiles, { jointMm: [2, 4], gapsMm: alike([3, 6]) });
  expect(first.fit).not.toBeNull();
  // A metal edge takes all but nothing, the top of the wall what is left under the ceiling.
  const gapsMm = { ...alike([3, 6]), right: [0, 1], top: [0, 5] } as const;
  for (const { fit, turned, productId, across, up } of findCoursing(room, tiles, { jointMm: [2, 4], gapsMm })) {
    if (!fit || !across) continue;
    const { widthMm, heightMm } = tiles.find(({ id }) => id === productId)?.measured ?? { widthMm: 0, heightMm: 0 };
    const [wide, high] = turned ? [heightMm, widthMm] : [widthMm, heightMm];
    const { left = NaN, right = NaN, bottom = NaN, top = NaN } = fit.gapsMm;
    expect(left + right + across.count * wide + (across.count - 1) * fit.jointMm).toBeCloseTo(room.widthMm, 6);
    expect(bottom + top + up.count * high + (up.count - 1) * fit.jointMm).toBeCloseTo(room.heightMm, 6);
    for (const [gap, [least, most]] of [
      [left, gapsMm.left],
      [right, gapsMm.right],
      [bottom, gapsMm.bottom],
      [top, gapsMm.top],
    ] as const) {
      expect(gap).toBeGreaterThanOrEqual(least - 1e-6);
      expect(gap).toBeLessThanOrEqual(most + 1e-6);
    }
  }
});

test('where only the height matters the sides are left alone; where each way wants a joint of its own, that is said', () => {
  const [tile] = madeUpTiles().filter(({ shape }) => shape.kind === 'rectangle');
  const { widthMm, heightMm } = tile.measured ?? tile.nominal;
  const room = { widthMm: 2.5 * widthMm, heightMm: 4 * heightMm + 3 * 2 + 8 };
  const upright = { jointMm: [2, 2], gapsMm: alike([4, 4]) } as const;
  const [courses] = findCoursing(room, [tile], { ...upright, coursesOnly: true });
  expect(courses.across).toBeNull();
  expect(courses.fit).toEqual({ jointMm: 2, gapsMm: { bottom: 4, top: 4 } });
  expect(describeCoursing(courses, METRIC_TAPE)).toBe('4 whole courses, joint 2 mm, gaps: bottom 4 mm, top 4 mm.');
  const clash = findCoursing({ ...room, widthMm: 3 * widthMm + 2 * 4 + 8 }, [tile], { ...upright, jointMm: [2, 4] });
  const both = clash.find(({ turned }) => !turned);
  expect(both?.fit).toBeNull();
  expect(both && describeCoursing(both, METRIC_TAPE)).toBe('Each way fits by itself, but no one joint fits both.');
});
