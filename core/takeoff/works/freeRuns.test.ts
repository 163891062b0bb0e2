import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { distance, subtract, unit, type Point } from '../../geometry/point.ts';
import { isInside } from '../../geometry/ring.ts';
import { standing } from '../../samples/standing.ts';
import { jobOfOne } from '../../samples/testJob.ts';
import { traceSurface, type Traced } from '../../surface/traceSurface.ts';
import { trials } from '../../../testing/trials.ts';
import { freeRuns, stretchesOf } from './freeRuns.ts';

/** A floor of 3000 by 2200 with gaps of 5 and some boxes in it, each so far from left and bottom. */
function floorWith(boxes: readonly (readonly [left: number, up: number, wide: number, high: number])[], more: object = {}): Traced {
  const fixtures = boxes.map(([left, up, widthMm, heightMm], k) => ({
    ...standing('tray', { kind: 'rectangle', widthMm, heightMm } as const, left, up),
    id: `box-${k}`,
    clearanceMm: 3,
  }));
  const job = jobOfOne({ size: [3000, 2200], tile: [300, 300], jointMm: 3, measured: { fixtures, ...more } as never });
  return traceSurface(job.surfaces[0].measured);
}

test('a wall is free but for what stands before it, with its clearance, and into its corners', () => {
  expect(freeRuns(floorWith([]), 'bottom')).toEqual([[0, 3000]]);
  expect(freeRuns(floorWith([[800, 0, 600, 500]]), 'bottom')).toEqual([
    [0, expect.closeTo(797, 3)],
    [expect.closeTo(1403, 3), 3000],
  ]);
  // What stands off the wall leaves it free; what stands in the corner takes it.
  expect(freeRuns(floorWith([[800, 400, 600, 500]]), 'bottom')).toEqual([[0, 3000]]);
  expect(freeRuns(floorWith([[0, 0, 600, 500]]), 'bottom')).toEqual([[expect.closeTo(603, 3), 3000]]);
  expect(freeRuns(floorWith([[0, 0, 3000, 500]]), 'bottom')).toEqual([]);
});

test('a doorway parts its wall; what is on either side of it is told from where the wall starts', () => {
  const door = { id: 'door', edge: 'bottom', fromStartMm: 1000, widthMm: 900, depthMm: 120 };
  const traced = floorWith([], { doorways: [door] });
  expect(freeRuns(traced, 'bottom')).toEqual([
    [0, 1000],
    [1900, 3000],
  ]);
  expect(stretchesOf(traced.edges, 'bottom').map(({ startMm }) => startMm)).toEqual([0, 1900]);
});

test('whatever stands in a room, a place on a wall is in a free run where tile lies just before it, and in none where it does not', () => {
  const box = fc.tuple(
    fc.integer({ min: 0, max: 2700 }),
    fc.integer({ min: 0, max: 1900 }),
    fc.integer({ min: 60, max: 900 }),
    fc.integer({ min: 60, max: 900 }),
  );
  fc.assert(
    fc.property(fc.array(box, { maxLength: 4 }), (boxes) => {
      // Against a wall, or so far off it that a tile goes between.
      const span = (from: number, size: number, room: number): readonly [number, number] => {
        const low = from < 60 ? 0 : from;
        return [low, low + size > room - 60 ? room - low : size];
      };
      const inRoom = boxes.map(([x, y, wide, high]) => {
        const [[left, width], [up, height]] = [span(x, wide, 3000), span(y, high, 2200)];
        return [left, up, width, height] as const;
      });
      const traced = floorWith(inRoom);
      const wrong: string[] = [];
      for (const { id, from, to, gapMm } of traced.edges) {
        const along = unit(subtract(to, from));
        const runs = freeRuns(traced, id);
        for (let mm = 25; mm < distance(from, to) - 25; mm += 17) {
          const before = (off: number): Point => [from[0] + along[0] * mm - along[1] * off, from[1] + along[1] * mm + along[0] * off];
          // Ends of runs are told to the millimetre elsewhere.
          if (runs.some((run) => run.some((end) => Math.abs(end - mm) < 2))) continue;
          const isFree = runs.some(([low, high]) => mm > low && mm < high);
          if (isFree !== isInside(before(gapMm + 1), traced.region)) wrong.push(`${id} at ${mm}`);
        }
      }
      expect(wrong).toEqual([]);
    }),
    { numRuns: trials(45) },
  );
});
