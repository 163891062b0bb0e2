import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { fittingStrips, weaveJoint } from './basketWeave.ts';
import { drawShifts, shiftApart } from './randomStagger.ts';

test('strips of a weave make up their square, or the joint between them tells by how much they do not', () => {
  const module = { widthMm: 300, heightMm: 98, jointMm: 3 };
  expect(weaveJoint(module, 3)).toBe(3);
  expect(fittingStrips(module)).toBe(3);
  expect(fittingStrips({ widthMm: 150, heightMm: 148, jointMm: 2 })).toBeNull();
  expect(weaveJoint({ widthMm: 300, heightMm: 97, jointMm: 3 }, 3)).toBe(4.5);
});

test('a stagger keeps end joints apart, makes no stairs and no H, and its seed brings it back', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 9999 }), fc.double({ min: 0.05, max: 0.22, noNaN: true }), (seed, apart) => {
      const shifts = drawShifts(seed, apart);
      expect(drawShifts(seed, apart)).toEqual(shifts);
      shifts.forEach((share, k) => {
        const before = shifts[(k + shifts.length - 1) % shifts.length];
        const two = shifts[(k + shifts.length - 2) % shifts.length];
        expect(shiftApart(share, before)).toBeGreaterThanOrEqual(apart - 1e-9);
        expect(shiftApart(share, two)).toBeGreaterThanOrEqual(apart / 2 - 1e-9);
        expect(shiftApart(share - before, before - two)).toBeGreaterThanOrEqual(0.05 - 1e-9);
      });
    }),
    { numRuns: 60 },
  );
});
