import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkMeasured } from '@azulejo/core/surface/checkMeasured';
import { openByMm } from '@azulejo/core/surface/reconcile/observations';
import { startMeasured } from '@azulejo/core/job/startJob';
import { closedStraight, closedWalk, closingWall, walkTo, wallsRead } from './walk.ts';

const step = (lengthMm: number, turnDeg = 90) => ({ lengthMm, turnDeg });

test('a walk comes to its corners, and a straight wall brings it home', () => {
  const walls = [step(4200), step(3100), step(1500, -90), step(900), step(2700)];
  expect(walkTo(walls).points.map((p) => p.map(Math.round))).toEqual([
    [0, 0],
    [4200, 0],
    [4200, 3100],
    [2700, 3100],
    [2700, 4000],
    [0, 4000],
  ]);
  expect(closingWall(walls)).toEqual({ lengthMm: 4000, turnBeforeDeg: 90, turnAfterDeg: 90 });
  expect(closingWall([step(4200)])).toBeNull();
});

test('closed by its last wall, any open walk is a surface that closes', () => {
  const lengths = fc.integer({ min: 1200, max: 4000 });
  fc.assert(
    fc.property(lengths, lengths, lengths, fc.integer({ min: 60, max: 110 }), (a, b, c, turn) => {
      const walls = [step(a, turn), step(b, 90), step(c)];
      const shape = closedStraight(walls);
      if (!shape) return;
      expect(shape.walls.slice(0, 3).map(({ lengthMm }) => lengthMm)).toEqual([a, b, c]);
      expect(openByMm(shape)).toBeLessThan(0.01);
      const codes = checkMeasured(startMeasured(shape)).map(({ code }) => code);
      expect(codes.filter((code) => code === 'shape/open')).toEqual([]);
    }),
  );
});

test('the last wall is taken with its length alone; what it fails to close by is spread', () => {
  const three = [step(3612), step(2710), step(3588)];
  expect(closedWalk(wallsRead(three, null))).toBeNull();
  const closed = closedWalk(wallsRead(three, 2695));
  expect(closed?.shape.walls.map(({ lengthMm, turnDeg }) => [lengthMm, turnDeg])).toEqual([
    [3612, 90],
    [2710, 90],
    [3588, 90],
    [2695, 90],
  ]);
  expect(closed?.openMm).toBeCloseTo(Math.hypot(24, 15));
  expect(closed?.shape.spread).toBe(true);
  expect(closedWalk(wallsRead([step(3600), step(2700), step(3600)], 2700))?.shape.spread).toBe(false);
  expect(closedWalk(wallsRead(three, 2500))).toBeNull();
});
