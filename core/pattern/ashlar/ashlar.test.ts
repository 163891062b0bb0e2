import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { planSurface } from '../../plan.ts';
import { trials } from '../../../testing/trials.ts';
import { jobOfOne } from '../../samples/testJob.ts';
import { ashlar, ashlarRules, cuttableSizes, stonesOf, type Ashlar } from '../kinds/ashlar.ts';
import type { Module } from '../repeat.ts';
import { rollPatch } from './drawAshlar.ts';
import { mergeStones, splitStone, swapStones } from './editStones.ts';
import { coverOf, faultsOf, type Stone } from './stones.ts';

// A tile of 297 with joints of 3 holds six modules of 50 each way.
const TILE: Module = { widthMm: 297, heightMm: 297, jointMm: 3 };
const pattern = (over: Partial<Ashlar> = {}): Ashlar => ({ ...ashlar.defaults, stones: null, locked: [], ...over });

describe('a cell drawn by chance', () => {
  test('is covered, keeps every rule, and its seed brings it back', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 9999 }),
        fc.integer({ min: 14, max: 18 }),
        fc.integer({ min: 11, max: 14 }),
        (seed, columns, rows) => {
          const own = pattern({ seed, columns, rows });
          const stones = stonesOf(own, TILE);
          expect(stonesOf(pattern({ seed, columns, rows }), TILE)).toEqual(stones);
          expect(coverOf(stones, own).includes(-1)).toBe(false);
          expect(faultsOf(stones, own, own.longestJoint).total).toBe(0);
        },
      ),
      { numRuns: trials(5) },
    );
  });
  test('holds no stone that the saw can not cut from the tile', () => {
    const small: Module = { widthMm: 148, heightMm: 98, jointMm: 2 };
    const sizes = cuttableSizes(pattern({ largest: 4 }), small).map(String);
    // Three modules by two make the tile itself; two by two and three by one come off it; three by three and four by one don't.
    expect(sizes).toEqual(['1,1', '1,2', '1,3', '2,1', '2,2', '2,3', '3,1', '3,2']);
    // A side a millimetre short of the tile can't be sawn off.
    expect(cuttableSizes(pattern({ moduleMm: 50, largest: 3 }), { ...small, widthMm: 149 }).map(String)).not.toContain('3,2');
    expect(ashlar.misfit({ widthMm: 40, heightMm: 40, jointMm: 2 }, pattern())).toBe('moduleTooLarge');
  });
});

test('faults are counted: four in a point, a joint too long, twins that share a side', () => {
  const size = { columns: 4, rows: 4 };
  const squares: Stone[] = [0, 2].flatMap((x) => [0, 2].map((y): Stone => [x, y, 2, 2]));
  // Four points where four meet; four lines of joints without an end, four modules each way;
  // the cell comes round after two squares, so each touches its neighbour on both sides, alike both times: 4 + 16 + 8.
  expect(faultsOf(squares, size, 3).total).toBe(28);
  const brick: Stone[] = [
    [0, 0, 4, 2],
    [0, 2, 2, 2],
    [2, 2, 2, 2],
  ];
  expect(faultsOf(brick, size, 9).byStone.get(0)).toBeGreaterThan(0);
});

describe('by hand', () => {
  const own = pattern({ columns: 14, rows: 12 });
  const stones = stonesOf(own, TILE);
  const covered = (changed: readonly Stone[] | null): boolean => changed !== null && !coverOf(changed, own).includes(-1);
  test('a stone is split and merged back; two are changed over; the cell stays covered', () => {
    const k = stones.findIndex(([, , w, h]) => w * h >= 3);
    const split = splitStone(stones, k);
    expect(covered(split)).toBe(true);
    expect(split).toHaveLength(stones.length + 1);
    const merged = split && mergeStones(split, k, k + 1, own);
    expect(new Set(merged?.map(String))).toEqual(new Set(stones.map(String)));
    const swapped = split && swapStones(split, k, k + 1, own);
    expect(covered(swapped)).toBe(true);
    expect(splitStone([[0, 0, 1, 1]], 0)).toBeNull();
    expect(mergeStones(stones, 0, stones.length - 1, own)).toBeNull();
  });
  test('a patch drawn again changes what is near, keeps what is locked, and adds no fault', () => {
    const locked = [stones[3]];
    const rolled = rollPatch(stones, 4, locked, ashlarRules(own, TILE), 99);
    expect(covered(rolled)).toBe(true);
    expect(rolled.map(String)).toContain(String(stones[3]));
    expect(rolled.map(String)).not.toEqual(stones.map(String));
    const far = stones.filter((stone) => rolled.some((other) => String(other) === String(stone)));
    expect(far.length).toBeGreaterThan(stones.length / 3);
  });
});

test('every stone is cut from a tile: the order counts the tiles, never fewer than their area needs', () => {
  const job = jobOfOne({
    size: [1500, 640],
    tile: [297, 297],
    jointMm: 3,
    surface: { kind: 'countertop', pattern: pattern({ columns: 16, rows: 12 }) },
  });
  const { totals, cuts, offCuts, extent } = planSurface(job, job.surfaces[0]);
  expect(totals.whole).toBe(0);
  expect(cuts.length).toBe(totals.pieces);
  expect(totals.opened).toBe(offCuts.openedForCuts);
  expect(totals.opened).toBeGreaterThanOrEqual(Math.ceil(extent.tiledAreaMm2 / 297 ** 2));
  expect(totals.opened).toBeLessThan((1.3 * extent.tiledAreaMm2) / 297 ** 2);
  expect(totals.lowerBound).toBeLessThanOrEqual(totals.opened);
});
