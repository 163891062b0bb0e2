import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { motion, subtract, type Point } from '../../geometry/point.ts';
import { boxOf } from '../../geometry/ring.ts';
import { drawSurface } from '../../plan/layout/drawSurface.ts';
import type { Drawing } from '../../plan/planned.ts';
import { roomToSearch } from '../../samples/roomToSearch.ts';
import { latticeOf } from './markCells.ts';
import { startsTurned } from './startsTurned.ts';
import { trials } from '../../../testing/trials.ts';

/** Where the middle of a field lies in the pattern, in steps of its lattice. */
function middleInPattern({ layout, choice }: Drawing): Point {
  const { minX, minY, maxX, maxY } = boxOf(choice.frame);
  const { placement, repeat } = layout;
  const off = motion(placement.turnDeg, [0, 0]).unturn(subtract([(minX + maxX) / 2, (minY + maxY) / 2], placement.origin));
  return latticeOf(repeat)(off);
}

test('tiles that are turned by hand turn about the middle of their field, and by the angle that was asked for', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 60 }), fc.double({ min: -90, max: 90, noNaN: true }), (seed, deg) => {
      const room = roomToSearch(seed, 25);
      const surface = { ...room.surfaces[0], kind: 'floor' as const };
      const job = { ...room, surfaces: [surface] };
      const before = drawSurface(job, surface);
      const [x, y] = startsTurned(before.layout, before.choice.frame, deg);
      const free = (offsetMm: number) => ({ rule: 'free', offsetMm }) as const;
      const after = drawSurface(job, { ...surface, setout: { x: free(x), y: free(y), turn: { rule: 'byHand', deg } } });
      expect(after.layout.placement.turnDeg).toBe(deg);
      const moved = subtract(middleInPattern(after), middleInPattern(before));
      for (const steps of moved) expect(Math.abs(steps - Math.round(steps))).toBeLessThan(1e-6);
    }),
    { numRuns: trials(30) },
  );
});
