import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { boxOf, isInside, polygonsArea } from '../geometry/ring.ts';
import type { Point } from '../geometry/point.ts';
import type { Job } from '../job/job.ts';
import { planSurface } from '../plan.ts';
import { roomToSearch } from '../samples/roomToSearch.ts';
import type { LayingZones } from './layingZones.ts';
import { sharedRun } from './sharedRun.ts';
import { waysFree } from './wayFree.ts';
import { stepsOut } from './wayOut.ts';
import type { ZoneChoice } from './zoneChoice.ts';
import { trials } from '../../testing/trials.ts';

/** A floor with a door, and something in its way. */
function floorWithDoor(seed: number, zones: ZoneChoice = {}): Job {
  const job = roomToSearch(seed, 25);
  const [surface] = job.surfaces;
  const isWalls = surface.measured.shape.kind === 'walls';
  const edge = (isWalls ? ['a', 'b', 'c', 'd'] : ['bottom', 'right', 'left'])[seed % 3];
  const doorways = [{ id: 'door', edge, fromStartMm: 300 + (seed % 7) * 60, widthMm: 800, depthMm: 50 }];
  return { ...job, surfaces: [{ ...surface, kind: 'floor', zones, measured: { ...surface.measured, doorways } }] };
}

const zonesOf = (job: Job): LayingZones => planSurface(job, job.surfaces[0]).zones;

/** Squares of floor, each with the turn of its zone; walked by a flood from the door, on another route than the zones are proven by. */
function floodFloor({ zones }: LayingZones, inDoor: (p: Point) => boolean, stepMm: number) {
  const { minX, minY, maxX, maxY } = boxOf(zones.flatMap(({ polygons }) => polygons.flat(2)));
  const squares = new Map<string, number>();
  const doors: string[] = [];
  for (let x = minX + stepMm / 2; x < maxX; x += stepMm)
    for (let y = minY + stepMm / 2; y < maxY; y += stepMm) {
      const zone = zones.find(({ polygons }) => isInside([x, y], polygons));
      const key = `${Math.floor((x - minX) / stepMm)},${Math.floor((y - minY) / stepMm)}`;
      if (!zone) continue;
      squares.set(key, zone.number);
      if (inDoor([x, y])) doors.push(key);
    }
  const besides = (key: string): string[] => {
    const [i, j] = key.split(',').map(Number);
    return [`${i + 1},${j}`, `${i - 1},${j}`, `${i},${j + 1}`, `${i},${j - 1}`];
  };
  /** The zones that are stood on, coming from the door while those before a turn are laid. */
  const reachedAt = (turn: number): Set<number> => {
    const isFree = (key: string): boolean => (squares.get(key) ?? 0) >= turn;
    const seen = new Set(doors.filter(isFree));
    for (const key of seen) for (const next of besides(key)) if (isFree(next)) seen.add(next);
    return new Set([...seen].map((key) => squares.get(key) ?? 0));
  };
  return { squares, reachedAt };
}

test('a floor is laid backwards to the door: every zone is reached over floor that is not laid, in any room', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 400 }), fc.integer({ min: 5, max: 14 }), (seed, reach) => {
      const job = floorWithDoor(seed, { reachMm: reach * 100, areaM2: 0.3 + (seed % 5) * 0.5 });
      const plan = planSurface(job, job.surfaces[0]);
      const { zones } = plan;
      const door = plan.traced.edges.find(({ id }) => id === 'door');
      if (!door) throw new Error('the room has no door');
      const [from, to] = [door.from, door.to];
      const inDoor = ([x, y]: Point): boolean => {
        const along = [(to[0] - from[0]) / 800, (to[1] - from[1]) / 800];
        const [run, off] = [along[0] * (x - from[0]) + along[1] * (y - from[1]), along[0] * (y - from[1]) - along[1] * (x - from[0])];
        return run > 0 && run < 800 && Math.abs(off) < 90;
      };
      const { reachedAt, squares } = floodFloor(zones, inDoor, 40);
      for (const { number, isReached } of zones.zones) {
        // A zone may be narrower than a square; one that has squares is met by the flood.
        if (![...squares.values()].includes(number)) continue;
        expect({ seed, number, reached: reachedAt(number).has(number) }).toEqual({ seed, number, reached: isReached });
      }
      expect(zones.zones.every(({ isReached }) => isReached)).toBe(true);
      // Nothing is laid twice or left out.
      expect(zones.zones.reduce((sum, { areaMm2 }) => sum + areaMm2, 0) / polygonsArea(plan.traced.region)).toBeCloseTo(1, 4);
      expect(zones.zones.flatMap(({ cuts }) => cuts).sort()).toEqual(plan.cuts.map(({ label }) => label).sort());
      expect(zones.zones.reduce((sum, { wholePieces }) => sum + wholePieces, 0)).toBe(plan.totals.whole);
      expect(zones.zones.map(({ number }) => number)).toEqual(zones.zones.map((_, k) => k + 1));
    }),
    { numRuns: trials(40) },
  );
}, 120_000);

test('an order that cages somebody in is told, zone by zone', () => {
  const proposed = zonesOf(floorWithDoor(5, { areaM2: 0.6 })).zones.map(({ id }) => id);
  expect(proposed.length).toBeGreaterThan(3);
  const backwards = zonesOf(floorWithDoor(5, { areaM2: 0.6, order: [...proposed].reverse() }));
  // The zone at the door first: all others are behind it.
  expect(backwards.zones[0].isReached).toBe(true);
  expect(backwards.zones.slice(1).every(({ isReached }) => !isReached)).toBe(true);
  // Names that are gone and names given twice are no trouble; what is not named keeps its place.
  const odd = zonesOf(floorWithDoor(5, { areaM2: 0.6, order: ['99.99', proposed[1], proposed[1], proposed[0]] }));
  expect(odd.zones.map(({ id }) => id)).toEqual([proposed[1], proposed[0], ...proposed.slice(2)]);
});

test('of a row of three rooms with the door in the first, the last is laid first; the middle one first cages nobody but its neighbour', () => {
  const part = (column: number, to: readonly number[]) => ({
    id: `1.${column}`,
    row: 0,
    column,
    polygons: [],
    areaMm2: 1,
    passes: to.map((one) => ({ to: one, mm: 800, isWide: true, at: [0, 0] as const })),
  });
  const row = [part(0, [1]), part(1, [0, 2]), part(2, [1])];
  expect(stepsOut(row, new Set([0]), [2, 1, 0])).toEqual([1, 0, 'out']);
  expect(stepsOut(row, new Set([0]), [1, 2, 0])).toEqual([0, null, 'out']);
});

test('a wall goes up from its base, row by row', () => {
  const job = floorWithDoor(3, { areaM2: 0.6 });
  const wall = { ...job, surfaces: [{ ...job.surfaces[0], kind: 'wall' as const }] };
  const { way, zones, exits } = zonesOf(wall);
  // The course below a ledger comes last.
  const heights = zones.filter(({ offLedger }) => !offLedger).map(({ polygons }) => boxOf(polygons.flat(2)).minY);
  expect([way, exits]).toEqual(['upFromTheBase', []]);
  heights.forEach((height, k) => expect(k === 0 || height >= heights[k - 1] - 150).toBe(true));
});

test('two ways round an island that are each too narrow are no way out; two narrow passes side by side are one', () => {
  const side = (x: number, from: number, to: number) =>
    [
      [x, from],
      [x, to],
    ] as const;
  // Two runs of 200 mm with an island of a metre between them, and two of 200 that meet.
  expect(sharedRun([side(0, 0, 1400)], [side(0, 0, 200), side(0, 1200, 1400)], 0.5)).toMatchObject({ mm: 400, unbrokenMm: 200 });
  expect(sharedRun([side(0, 0, 1400)], [side(0, 0, 200), side(0, 200, 400)], 0.5)).toMatchObject({ mm: 400, unbrokenMm: 400 });
  const square = (x: number, y: number, wide: number, high: number) =>
    [
      [
        [x, y],
        [x + wide, y],
        [x + wide, y + high],
        [x, y + high],
      ],
    ] as const;
  const part = (id: string, polygon: ReturnType<typeof square>) => ({ id, row: 0, column: 0, polygons: [polygon], areaMm2: 1, passes: [] });
  // A room behind two parts that lie side by side, each 300 wide: one walks over both.
  const parts = [part('back', square(0, 1000, 600, 800)), part('left', square(0, 0, 300, 1000)), part('right', square(300, 0, 300, 1000))];
  const exit = [
    [0, 0],
    [600, 0],
  ] as const;
  expect(waysFree(parts, new Set([1, 2]), [exit], [0, 1, 2])).toEqual([true, true, true]);
  // Once one of them is laid, the other is too narrow.
  expect(waysFree(parts, new Set([1, 2]), [exit], [1, 0, 2])[1]).toBe(false);
});
