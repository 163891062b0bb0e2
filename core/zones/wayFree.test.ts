import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { rectangleRing } from '../geometry/ring.ts';
import { trials } from '../../testing/trials.ts';
import type { FloorPart } from './floorParts.ts';
import type { SharedStretch } from './sharedRun.ts';
import { waysFree } from './wayFree.ts';

/** A part of a floor as wide and high as it is told; ways are looked for in its outline alone. */
const part = (id: string, x: number, y: number, wide: number, high: number): FloorPart => ({
  id,
  row: 0,
  column: 0,
  polygons: [[rectangleRing(x, y, wide, high)]],
  areaMm2: wide * high,
  passes: [],
});
const CELL_MM = 700;

/** Cells that are met from those at the door over cells that are free, from side to side, or over corners too. */
function met(cells: readonly (readonly [number, number])[], door: number, free: ReadonlySet<number>, overCorners: boolean): Set<number> {
  const isBeside = ([a, b]: readonly [number, number], [c, d]: readonly [number, number]): boolean => {
    const [dx, dy] = [Math.abs(a - c), Math.abs(b - d)];
    return overCorners ? Math.max(dx, dy) === 1 : dx + dy === 1;
  };
  const seen = new Set(free.has(door) ? [door] : []);
  for (const at of seen) cells.forEach((cell, k) => void (free.has(k) && isBeside(cells[at], cell) && seen.add(k)));
  return seen;
}

test('in any floor of wide cells, in any order: whoever has a way from side to side gets out, whoever has none over corners either is caged in', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.tuple(fc.nat(3), fc.nat(3)), { minLength: 2, maxLength: 12, selector: ([a, b]) => 10 * a + b }),
      fc.tuple(fc.integer({ min: -5000, max: 5000 }), fc.integer({ min: -5000, max: 5000 })),
      fc.infiniteStream(fc.double({ min: 0, max: 1, noNaN: true })),
      (cells, [x, y], draws) => {
        const lowest = Math.min(...cells.map(([, row]) => row));
        const door = cells.findIndex(([, row]) => row === lowest);
        const [column] = cells[door];
        const parts = cells.map(([i, j], k) => part(String(k), x + CELL_MM * i, y + CELL_MM * j, CELL_MM, CELL_MM));
        const foot = y + CELL_MM * lowest;
        // As wide as the cell less a little, so that its neighbours are not at the door too.
        const exit: SharedStretch = [
          [x + CELL_MM * column + 100, foot],
          [x + CELL_MM * (column + 1) - 100, foot],
        ];
        const keys = cells.map(() => draws.next().value as number);
        const order = cells.map((_, k) => k).sort((a, b) => keys[a] - keys[b]);
        const told = waysFree(parts, new Set([door]), [exit], order);
        order.forEach((k, turn) => {
          const free = new Set(order.slice(turn));
          if (met(cells, door, free, false).has(k)) expect([k, turn, told[turn]]).toEqual([k, turn, true]);
          if (!met(cells, door, free, true).has(k)) expect([k, turn, told[turn]]).toEqual([k, turn, false]);
        });
      },
    ),
    { numRuns: trials(150) },
  );
});

test('a corridor is a way where a person fits through, wherever it lies', () => {
  for (const [x, y] of [
    [0, 0],
    [1337, -2421],
    [-913, 77],
  ]) {
    const throughOf = (wide: number): boolean[] => {
      const parts = [
        part('hall', x, y, 2000, 1000),
        part('corridor', x + 800, y + 1000, wide, 1500),
        part('room', x, y + 2500, 2000, 1000),
      ];
      const exit: SharedStretch = [
        [x + 100, y],
        [x + 1900, y],
      ];
      return waysFree(parts, new Set([0]), [exit], [2, 1, 0]);
    };
    expect([x, throughOf(250)[0], throughOf(450)[0]]).toEqual([x, false, true]);
    // Whoever stands before it meets the corridor itself.
    expect(throughOf(250).slice(1)).toEqual([true, true]);
  }
});

test('a way out that is narrow is the way out all the same; one beside the floor is none', () => {
  const parts = [part('room', 0, 0, 2000, 1500)];
  const exitAt = (x: number, y: number, wide: number): SharedStretch => [
    [x, y],
    [x + wide, y],
  ];
  const out = (exit: SharedStretch): boolean => waysFree(parts, new Set([0]), [exit], [0])[0];
  expect([out(exitAt(900, 0, 800)), out(exitAt(900, 0, 200)), out(exitAt(900, -20, 800)), out(exitAt(900, -3000, 800))]).toEqual([
    true,
    true,
    true,
    false,
  ]);
  // Laid from the door on, what lies behind is caged in.
  const two = [part('front', 0, 0, 2000, 800), part('back', 0, 800, 2000, 800)];
  const exit = exitAt(600, 0, 800);
  expect(waysFree(two, new Set([0]), [exit], [1, 0])).toEqual([true, true]);
  expect(waysFree(two, new Set([0]), [exit], [0, 1])).toEqual([true, false]);
  // Nobody reaches over a course of 350 that is laid already.
  const three = [part('front', 0, 0, 2000, 800), part('course', 0, 800, 2000, 350), part('back', 0, 1150, 2000, 800)];
  expect(waysFree(three, new Set([0]), [exit], [1, 2, 0])).toEqual([true, false, true]);
});
