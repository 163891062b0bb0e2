import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { isInside, rectangleRing, type Polygon } from '../../geometry/ring.ts';
import { boundarySegments, latticeOf, markCells } from './markCells.ts';

test('an edge that runs exactly through the middles of a row leaves every stretch finite, and inside what is inside', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 3000 }),
      fc.integer({ min: 1, max: 3000 }),
      fc.integer({ min: -6, max: 6 }),
      fc.double({ min: 1, max: 900, noNaN: true }),
      (tenthsWide, tenthsHigh, row, x) => {
        const [width, height, joint] = [100 + tenthsWide / 10, 100 + tenthsHigh / 10, 2];
        const toLattice = latticeOf({
          vectors: [
            [width + joint, 0],
            [0, height + joint],
          ],
        });
        // The lower edge lies on the middles of a row, the upper one wherever it falls.
        const low = height / 2 + row * (height + joint);
        const region: Polygon[] = [[rectangleRing(x, low, 2345.6, 1789.3)]];
        const { touched, inside } = markCells(rectangleRing(0, 0, width, height), toLattice, boundarySegments(region));
        const runs = [...inside].flatMap(([j, own]) => own.map(([first, last]) => ({ j, first, last })));
        expect(runs.filter(({ first, last }) => !Number.isFinite(first) || !Number.isFinite(last))).toEqual([]);
        const outside = runs.flatMap(({ j, first, last }) =>
          Array.from({ length: last - first + 1 }, (_, k) => first + k).filter(
            (i) => !touched.get(j)?.has(i) && !isInside([width / 2 + i * (width + joint), height / 2 + j * (height + joint)], region),
          ),
        );
        expect(outside).toEqual([]);
      },
    ),
    { numRuns: 200 },
  );
});
