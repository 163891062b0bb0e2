import { expect, test } from '@jest/globals';
import { demoJob } from '../../testing/demoJob.ts';
import { planSurface } from '../plan.ts';

const job = demoJob('tidewater-bakehouse');

/** Width and height of pieces of a demo surface, by their label, mm. */
function sizesOf(id: string): (label: string) => [number, number] {
  const surface = job.surfaces.find((one) => one.id === id);
  if (!surface) throw new Error(id);
  const { cuts } = planSurface(job, surface);
  return (label) => {
    const piece = cuts.find((cut) => cut.label === label);
    if (!piece) throw new Error(`${id} cuts no ${label}`);
    return [Number(piece.sizeMm.widthMm.toFixed(2)), Number(piece.sizeMm.heightMm.toFixed(2))];
  };
}
const rounded = (...sizes: number[]): number[] => sizes.map((mm) => Number(mm.toFixed(2)));

test('a tread: one tile in the middle, the same at both ends, the gap and the tile and bed of the riser off its depth', () => {
  const size = sizesOf('steps-tread-1');
  // Strips of 8 mm in a bed of 3: the riser is laid first.
  const [width, depth, gap, joint, tile] = [1010, 262 - 8 - 3, 5, 3, 395];
  const end = (width - 2 * gap - tile - 2 * joint) / 2;
  expect(size('A1')).toEqual(rounded(end, depth - gap));
  expect(size('A3')).toEqual(size('A1'));
  expect(size('A2')).toEqual(rounded(tile, depth - gap));
});

test('a shower wall: full tiles off the trimmed end, every other course moved by a third', () => {
  const size = sizesOf('shower-wall-1');
  // The wall that is looked at runs through: 9 of tile and 6 of bed come off.
  const [width, gap, joint, tile, high] = [884 - 9 - 6, 5, 3, 597.5, 297.5];
  const full = width - gap - tile - joint;
  const moved = tile - (tile + joint) / 3;
  for (const label of ['C2', 'E2', 'G2']) expect(size(label)).toEqual(rounded(full, high));
  for (const label of ['B1', 'D1', 'F1']) expect(size(label)).toEqual(rounded(moved, high));
  for (const label of ['B2', 'D2', 'F2']) expect(size(label)).toEqual(rounded(width - gap - moved - joint, high));
});

test('a half bond round a window: what is left beside it in either kind of course', () => {
  const size = sizesOf('washroom-side');
  // The wall to the right runs through: 8 of tile and 4 of bed.
  const [width, gap, joint, tile, high] = [1981 - 8 - 4, 5, 2, 198, 98.5];
  const step = tile + joint;
  // A full tile at the right wall would leave 159 and 59 at the left: every other course begins with a third instead.
  const first = tile / 3;
  const second = first + step / 2;
  expect([size('B1'), size('C1')]).toEqual([rounded(first, high), rounded(second, high)]);
  expect(size('B11')).toEqual(rounded(width - 2 * gap - first - joint - 9 * step, high));
  // The window stands 742 from the left, 610 wide, with 3 round it; the field begins 5 from the wall.
  const [from, to] = [742 - 3 - gap, 742 + 610 + 3 - gap];
  expect(size('J4')).toEqual(rounded(from - (second + joint + 2 * step), high));
  expect(size('2C5')).toEqual(rounded(from - (first + joint + 3 * step), high));
  expect(size('2C8')).toEqual(rounded(first + joint + 6 * step + tile - to, high));
  expect(size('J7')).toEqual(rounded(second + joint + 5 * step + tile - to, high));
});
