import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { ringArea } from '../../geometry/ring.ts';
import { repeatOf, type Pattern } from '../registry.ts';
import { cellArea, type Module, type Repeat } from '../repeat.ts';
import { fittingStrips, weaveJoint } from './basketWeave.ts';
import { drawShifts, shiftApart } from './randomStagger.ts';

const jointShare = (repeat: Repeat): number => 1 - repeat.pieces.reduce((sum, { ring }) => sum + ringArea(ring), 0) / cellArea(repeat);
const percent = (pattern: Pattern, module: Module): string => (100 * jointShare(repeatOf(pattern, module))).toFixed(3);

describe('joint shares of the trade', () => {
  test('herringbone 400 x 100 with 3 mm: 3.635 %, single or double, lying or upright, whichever side is named first', () => {
    for (const strips of [1, 2] as const) {
      for (const lay of ['lying', 'upright'] as const) {
        for (const size of [
          { widthMm: 400, heightMm: 100 },
          { widthMm: 100, heightMm: 400 },
        ]) {
          expect(percent({ kind: 'herringbone', lay, strips }, { ...size, jointMm: 3 })).toBe('3.635');
        }
      }
    }
  });
  test('basket weave of three strips 300 x 98 with 3 mm: 3.931 %, and the strips make up the square', () => {
    const module = { widthMm: 300, heightMm: 98, jointMm: 3 };
    expect(percent({ kind: 'basketWeave', lay: 'lying', strips: 3 }, module)).toBe('3.931');
    expect(weaveJoint(module, 3)).toBe(3);
    expect(fittingStrips(module)).toBe(3);
    expect(fittingStrips({ widthMm: 150, heightMm: 148, jointMm: 2 })).toBeNull();
    expect(weaveJoint({ widthMm: 300, heightMm: 97, jointMm: 3 }, 3)).toBe(4.5);
  });
});

/** The least gap between the boxes of two pieces, along the axis that parts them, mm. */
function gapBetween(a: readonly (readonly [number, number])[], b: readonly (readonly [number, number])[]): number {
  const span = (ring: typeof a, k: 0 | 1): [number, number] => [Math.min(...ring.map((p) => p[k])), Math.max(...ring.map((p) => p[k]))];
  return Math.max(...([0, 1] as const).map((k) => Math.max(span(a, k)[0] - span(b, k)[1], span(b, k)[0] - span(a, k)[1])));
}

test('neighbours lie exactly a joint apart, all round every piece', () => {
  const patterns: Pattern[] = [
    { kind: 'herringbone', lay: 'lying', strips: 1 },
    { kind: 'herringbone', lay: 'upright', strips: 2 },
    { kind: 'basketWeave', lay: 'upright', strips: 3 },
    { kind: 'randomStagger', lay: 'lying', seed: 3, apart: 0.2 },
  ];
  for (const pattern of patterns) {
    const { vectors, pieces } = repeatOf(pattern, { widthMm: 300, heightMm: 98, jointMm: 3 });
    const around = [-2, -1, 0, 1, 2].flatMap((i) =>
      [-2, -1, 0, 1, 2].flatMap((j) =>
        pieces.map(({ ring }) =>
          ring.map(([x, y]) => [x + i * vectors[0][0] + j * vectors[1][0], y + i * vectors[0][1] + j * vectors[1][1]] as const),
        ),
      ),
    );
    for (const { ring } of pieces) {
      const gaps = around.map((other) => gapBetween(ring, other)).filter((gap) => gap > -90);
      expect(Math.min(...gaps)).toBeCloseTo(3, 9);
      expect(gaps.filter((gap) => Math.abs(gap - 3) < 1e-9).length).toBeGreaterThanOrEqual(4);
    }
  }
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
