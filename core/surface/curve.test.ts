import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { circleOfArc, lengthOfArc, pointsOfArc, radiusOfRise, riseOfRadius } from '../geometry/arc.ts';
import { distance } from '../geometry/point.ts';
import { ringArea } from '../geometry/ring.ts';
import { readingNoise, seededNumbers } from '../geometry/seededNumbers.ts';
import { otherFigure, pointsOfCurve } from './curve.ts';
import { fitOffsets } from './fitOffsets.ts';

const chords = fc.double({ min: 200, max: 5000, noNaN: true });
const shares = fc.double({ min: 0.02, max: 1.6, noNaN: true });

describe('an arc over its chord', () => {
  test('has the length and the area of the closed formulas, out or in', () => {
    fc.assert(
      fc.property(chords, shares, fc.boolean(), (chord, share, out) => {
        const rise = (share * chord) / 2;
        const arc = { from: [0, 0], to: [chord, 0], riseMm: out ? rise : -rise } as const;
        const radius = (chord * chord) / (8 * rise) + rise / 2;
        const half = rise <= radius ? Math.asin(chord / (2 * radius)) : Math.PI - Math.asin(chord / (2 * radius));
        const segment = (radius * radius * (2 * half - Math.sin(2 * half))) / 2;
        expect(lengthOfArc(arc)).toBeCloseTo(2 * radius * half, 5);
        const points = pointsOfArc(arc);
        expect(Math.abs(Math.abs(ringArea([arc.from, ...points, arc.to])) - segment)).toBeLessThan(0.01 * lengthOfArc(arc));
        for (const p of points) expect(distance(p, circleOfArc(arc).centre)).toBeCloseTo(radius, 6);
        expect(Math.sign(points[0][1])).toBe(out ? -1 : 1);
      }),
    );
  });

  test('rise and radius lead to each other', () => {
    fc.assert(
      fc.property(chords, fc.double({ min: 0.01, max: 0.999, noNaN: true }), (chord, share) => {
        const rise = (share * chord) / 2;
        expect(riseOfRadius(chord, radiusOfRise(chord, rise))).toBeCloseTo(rise, 4);
        const radiusMm = otherFigure({ by: 'rise', riseMm: rise, bulges: 'out' }, chord);
        expect(otherFigure({ by: 'radius', radiusMm, bulges: 'out' }, chord)).toBeCloseTo(rise, 4);
      }),
    );
  });
});

describe('a curve by offsets from a straight line', () => {
  /** A shallow arc, its true offset at any place. */
  const trueAt = (along: number): number => Math.sqrt(4000 ** 2 - (along - 900) ** 2) - Math.sqrt(4000 ** 2 - 900 ** 2);
  const read = (noise: () => number, count: number) =>
    Array.from({ length: count }, (_, k) => {
      const alongMm = (1800 * (k + 1)) / (count + 1);
      return { alongMm, outMm: trueAt(alongMm) + noise() };
    });

  test('without noise follows the arc to a tenth of a millimetre; with noise, nearer than the readings themselves', () => {
    const exact = fitOffsets(
      read(() => 0, 9),
      1800,
    );
    const noisy = fitOffsets(read(readingNoise(seededNumbers(4), 0.7), 17), 1800);
    let worst = 0;
    for (let along = 0; along <= 1800; along += 20) {
      expect(Math.abs(exact.at(along) - trueAt(along))).toBeLessThan(0.7);
      worst = Math.max(worst, Math.abs(noisy.at(along) - trueAt(along)));
    }
    expect(worst).toBeLessThan(noisy.largestErrorMm);
    expect(exact.at(0)).toBe(0);
    expect(exact.at(1800)).toBeCloseTo(0, 9);
  });

  test('a misread offset shows as its error, and the curve stands off the line to the right', () => {
    const offsets = read(() => 0, 9).map((offset, k) => (k === 4 ? { ...offset, outMm: offset.outMm + 12 } : offset));
    const fitted = fitOffsets(offsets, 1800);
    expect(fitted.errorsMm.length).toBe(9);
    const points = pointsOfCurve({ by: 'offsets', offsets }, [0, 0], [1800, 0]);
    expect(points.every(([, y]) => y < 0)).toBe(true);
  });
});
