import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { planSurface } from '../plan.ts';
import { jobOfOne } from '../samples/testJob.ts';
import { findCoursing } from '../setout/coursing/findCoursing.ts';
import { editJob } from './edit/editJob.ts';
import { layWithoutCut } from './layWithoutCut.ts';

const alike = <T>(gap: T) => ({ left: gap, right: gap, bottom: gap, top: gap });

test('whatever fits without a cut is laid without one: upright, lying, square', () => {
  let fitted = 0;
  fc.assert(
    fc.property(
      fc.constantFrom([200, 100], [100, 200], [150, 150], [297, 98]),
      fc.integer({ min: 3, max: 9 }),
      fc.integer({ min: 3, max: 9 }),
      fc.boolean(),
      (tile, across, up, turned) => {
        const [wide, high] = turned ? [tile[1], tile[0]] : tile;
        const size: [number, number] = [across * wide + (across - 1) * 3 + 10, up * high + (up - 1) * 3 + 10];
        const job = jobOfOne({
          size,
          tile: [tile[0], tile[1]],
          jointMm: 2,
          surface: { pattern: { kind: 'herringbone', strips: 1 } as never },
        });
        const [found] = findCoursing({ widthMm: size[0], heightMm: size[1] }, job.products, { jointMm: [2, 4], gapsMm: alike([4, 6]) });
        expect(found.fit).not.toBeNull();
        const { job: laid } = editJob(job, 'layWithoutACut', (draft) => layWithoutCut(draft.surfaces[0], draft, found));
        const { totals, cuts } = planSurface(laid, laid.surfaces[0]);
        fitted++;
        expect([cuts.length, totals.cut]).toEqual([0, 0]);
        // Both ways round may fit; either fills the wall.
        expect(totals.whole).toBeGreaterThan(0);
      },
    ),
    { numRuns: 24 },
  );
  expect(fitted).toBe(24);
});

test('where nothing fits, or the tile is gone, the surface stays as it is', () => {
  const job = jobOfOne({ size: [1003, 997], tile: [300, 300], jointMm: 2 });
  const [found] = findCoursing({ widthMm: 1003, heightMm: 997 }, job.products, { jointMm: [2, 2], gapsMm: alike([3, 3]) });
  expect(found.fit).toBeNull();
  expect(editJob(job, 'joint', (draft) => layWithoutCut(draft.surfaces[0], draft, found)).change.edits).toEqual([]);
  const gone = { ...found, productId: 'gone', fit: { jointMm: 2, gapsMm: alike(3) } };
  expect(editJob(job, 'joint', (draft) => layWithoutCut(draft.surfaces[0], draft, gone)).change.edits).toEqual([]);
});

test('where only the height matters, whole courses lie in the pattern that was chosen, cut at the sides; each gap is its own', () => {
  const job = jobOfOne({
    size: [1003, 5 * 98 + 4 * 3 + 7],
    tile: [297, 98],
    jointMm: 2,
    surface: { pattern: { kind: 'runningBond', lay: 'lying', offset: 0.5, step: 'alternating' } },
  });
  const gapsMm = { ...alike([3, 6] as const), bottom: [6, 6], top: [0, 1] } as const;
  const [found] = findCoursing({ widthMm: 1003, heightMm: 509 }, job.products, { jointMm: [2, 4], gapsMm, coursesOnly: true });
  expect(found.fit).toEqual({ jointMm: 3, gapsMm: { bottom: 6, top: 1 } });
  const { job: laid } = editJob(job, 'layWithoutACut', (draft) => layWithoutCut(draft.surfaces[0], draft, found));
  expect(laid.surfaces[0].pattern).toEqual(job.surfaces[0].pattern);
  expect(laid.surfaces[0].setout.x).toEqual(job.surfaces[0].setout.x);
  const { cuts } = planSurface(laid, laid.surfaces[0]);
  expect(cuts.length).toBeGreaterThan(0);
  for (const { heightMm } of cuts.map(({ sizeMm }) => sizeMm)) expect(heightMm).toBeCloseTo(98, 6);
});
