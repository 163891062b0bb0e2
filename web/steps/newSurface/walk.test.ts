import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkMeasured } from '@azulejo/core/surface/checkMeasured';
import { openByMm } from '@azulejo/core/surface/reconcile/observations';
import { startMeasured } from '@azulejo/core/job/startJob';
import { closingWall, shapeOfWalk, walkTo } from './walk.ts';

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
      const last = closingWall(walls);
      if (!last) return;
      const shape = shapeOfWalk(
        [...walls.slice(0, -1), { ...walls[2], turnDeg: last.turnBeforeDeg }, step(last.lengthMm, last.turnAfterDeg)],
        false,
      );
      expect(openByMm(shape)).toBeLessThan(0.01);
      const codes = checkMeasured(startMeasured(shape)).map(({ code }) => code);
      expect(codes.filter((code) => code === 'shape/open')).toEqual([]);
    }),
  );
});
