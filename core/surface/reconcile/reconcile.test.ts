import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { distance, type Point } from '../../geometry/point.ts';
import { readingNoise, seededNumbers } from '../../geometry/seededNumbers.ts';
import { ringArea } from '../../geometry/ring.ts';
import { cornerFigures, judgeReadings, parallelFigures } from './judgeReadings.ts';
import { nextDiagonal } from './nextDiagonal.ts';
import { cornersOf, reconcileWalls } from './reconcileWalls.ts';
import { judgeSlip, measureRoom, nameOutlier, skewRoom } from './trialRooms.ts';

/** Ten irregular rooms, of four to eight corners. */
const ROOMS = Array.from({ length: 10 }, (_, k) => skewRoom(11 + k, 4 + (k % 5)));
const silent = (): number => 0;

describe('without noise the room comes back as it is', () => {
  test.each(ROOMS.map((room, k) => [k, room] as const))('room %d: area, angles and diagonals by a second way', (_, room) => {
    const measured = measureRoom(room, silent, 'all');
    const { corners, readings } = reconcileWalls(measured);
    const shoelace = room.reduce((sum, [x, y], k) => sum + x * room[(k + 1) % room.length][1] - y * room[(k + 1) % room.length][0], 0) / 2;
    expect(ringArea(corners)).toBeCloseTo(shoelace, 1);
    for (const { residualMm } of readings) expect(Math.abs(residualMm)).toBeLessThan(0.02);
    cornerFigures(corners).forEach(({ angleDeg }, k) => expect(angleDeg).toBeCloseTo(angleByCosines(room, k), 3));
    for (let a = 0; a < room.length; a++) {
      for (let b = a + 1; b < room.length; b++) expect(distance(corners[a], corners[b])).toBeCloseTo(distance(room[a], room[b]), 1);
    }
    expect(judgeReadings(measured).verdict).toBe('agree');
  });

  /** The inside angle by the law of cosines; 360 less where the corner turns back. */
  function angleByCosines(room: readonly Point[], k: number): number {
    const [a, b, c] = [room[(k + room.length - 1) % room.length], room[k], room[(k + 1) % room.length]];
    const [ab, bc, ac] = [distance(a, b), distance(b, c), distance(a, c)];
    const deg = (Math.acos((ab * ab + bc * bc - ac * ac) / (2 * ab * bc)) * 180) / Math.PI;
    return ringArea([a, b, c]) > 0 ? deg : 360 - deg;
  }
});

test('more measurements bring the corners nearer', () => {
  const meanError = (how: 'few' | 'all'): number => {
    const errors = Array.from({ length: 40 }, (_, seed) => {
      const room = skewRoom(100 + seed, 6);
      const noise = readingNoise(seededNumbers(seed), 1.5);
      const corners = cornersOf(measureRoom(room, noise, how));
      return Math.max(...room.flatMap((p, a) => room.map((q, b) => Math.abs(distance(corners[a], corners[b]) - distance(p, q)))));
    });
    return errors.reduce((sum, e) => sum + e, 0) / errors.length;
  };
  const [few, all] = [meanError('few'), meanError('all')];
  expect(all).toBeLessThan(0.75 * few);
});

test('a slip of 30 mm is named in at least 95 of 100 rooms with enough checks', () => {
  const named = Array.from({ length: 100 }, (_, seed) => nameOutlier(seed, 30)).filter(Boolean).length;
  expect(named).toBeGreaterThanOrEqual(95);
});

test.each(['few', 'all'] as const)(
  'readings with a slip of 30 mm in them agree only where it is said that it would not show (%s diagonals)',
  (diagonals) => {
    let agreed = 0;
    for (let seed = 0; seed < 200; seed++) {
      const { judgement } = judgeSlip(seed, 30, diagonals);
      if (judgement.verdict !== 'agree') continue;
      agreed++;
      expect(judgement.hides?.slipMm ?? 0).toBeGreaterThan(20);
    }
    // Just enough diagonals to fix a room check nothing.
    expect(agreed > 0).toBe(diagonals === 'few');
  },
);

test('with one diagonal to spare nobody can say which reading slipped, and the product does not pretend to', () => {
  const room: Point[] = [
    [0, 0],
    [3200, 0],
    [3230, 2410],
    [-15, 2395],
  ];
  const measured = measureRoom(room, silent, 'all');
  const slipped = { ...measured, walls: measured.walls.map((wall, k) => (k === 1 ? { ...wall, lengthMm: wall.lengthMm + 25 } : wall)) };
  const { verdict, suspects } = judgeReadings(slipped);
  expect(verdict).toBe('unclear');
  expect(suspects.map(({ id }) => id)).toContain('w1');
});

test('figures of a quadrilateral: 20 mm out over 2 m is 10 mm in a metre, and the room is 20 mm wider there', () => {
  const corners: Point[] = [
    [0, 0],
    [3000, 0],
    [3020, 2000],
    [0, 2000],
  ];
  const figures = cornerFigures(corners);
  expect(figures.map(({ outOfSquareMmPerM }) => Math.round((outOfSquareMmPerM ?? -1) * 1000) / 1000)).toEqual([0, 10, 10, 0]);
  const sides = parallelFigures(corners).find(({ first, second }) => first === 1 && second === 3);
  expect(Math.abs(sides?.differenceMm ?? 0)).toBeCloseTo(20, 2);
  expect(parallelFigures(corners).find(({ first }) => first === 0)?.differenceMm).toBeCloseTo(0, 9);
});

test('walls that close are as they were walked, spread or not, whichever way the first one runs', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 10_000 }),
      fc.integer({ min: 3, max: 9 }),
      fc.double({ min: -180, max: 180, noNaN: true }),
      (seed, count, headingDeg) => {
        const room = skewRoom(seed, count);
        const measured = { ...measureRoom(room, silent, 'none'), headingDeg };
        const walked = cornersOf(measured);
        const spread = cornersOf({ ...measured, spread: true });
        for (let k = 0; k < count; k++) {
          expect(distance(walked[k], spread[k])).toBeLessThan(0.01);
          expect(distance(walked[k], walked[(k + 1) % count])).toBeCloseTo(measured.walls[k].lengthMm, 6);
        }
      },
    ),
    { numRuns: 60 },
  );
});

test('the diagonal to read next is the first that was not: A–C, B–D, then those further apart', () => {
  const room = measureRoom(skewRoom(7, 6), silent, 'all');
  const offered = (pairs: readonly string[]): string =>
    nextDiagonal({
      ...room,
      checks: pairs.map((pair, k) => {
        const [from, to] = [...pair].map((letter) => room.walls['ABCDEF'.indexOf(letter)].id);
        return { id: `c${k}`, from, to, mm: 1000, twice: false };
      }),
    })
      .map((k) => 'ABCDEF'[k])
      .join('');
  expect(
    ['', 'AC', 'AC DB', 'AC BD CE DF EA FB', 'AC BD CE DF EA FB AD BE CF'].map((pairs) => offered(pairs.split(' ').filter(Boolean))),
  ).toEqual(['AC', 'BD', 'CE', 'AD', 'AC']);
});
