import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { boxOf, rectangleRing } from '../../geometry/ring.ts';
import { jobOfOne } from '../../samples/testJob.ts';
import { forEachWhole, tileRing } from '../place/layout.ts';
import { layRun } from './layBorder.ts';
import { trials } from '../../../testing/trials.ts';

test('a run ends a joint from where it has to: what no piece fits into never widens the last joint by more than a share of it', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 300, max: 4000 }),
      fc.constantFrom<readonly [number, number]>([244.6, 146.8], [148, 50], [600, 50], [98, 98]),
      fc.constantFrom(1, 2, 3, 5, 10, 20),
      (length, tile, jointMm) => {
        const [product] = jobOfOne({ size: [1000, 1000], tile, jointMm }).products;
        const side = { region: [[rectangleRing(0, 0, length, tile[1])]], from: [0, 0], to: [length, 0] } as const;
        const { layout } = layRun('run', 'band', side, product, 'along', jointMm);
        const spans: [number, number][] = layout.cutTiles.flatMap(({ polygons }) =>
          polygons.map(([ring]): [number, number] => [boxOf(ring).minX, boxOf(ring).maxX]),
        );
        forEachWhole(layout, (address) => {
          const { minX, maxX } = boxOf(tileRing(layout, address));
          spans.push([minX, maxX]);
        });
        const ends = [Math.min(...spans.map(([from]) => from)), length - Math.max(...spans.map(([, to]) => to))];
        for (const mm of ends) expect(mm).toBeLessThanOrEqual(Math.max(1, 0.25 * jointMm) + 0.06);
      },
    ),
    { numRuns: trials(300) },
  );
});
