import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sharedArea } from '../geometry/clip.ts';
import { distance, motion, type Point } from '../geometry/point.ts';
import { boxOf, mapRing, ringArea, type Ring } from '../geometry/ring.ts';
import { jointShare } from './jointShare.ts';
import { innerJointOf, misfitOf, partsOf, PATTERNS, repeatOf, type Pattern, type PatternId } from './registry.ts';
import { cellArea, type Module, type Repeat } from './repeat.ts';
import { tilePiece } from './tilePiece.ts';
import { trialModule } from './trialModule.ts';
import { turnRepeat } from './turnRepeat.ts';

const kinds = Object.values(PATTERNS).map(({ id, defaults }) => [id, defaults as Pattern] as const);
const REACH = 3;

/** A repeat laid some cells each way round the first. */
const around = ({ vectors: [a, b], pieces }: Repeat): Ring[] => {
  const steps = Array.from({ length: 2 * REACH + 1 }, (_, k) => k - REACH);
  return steps.flatMap((i) =>
    steps.flatMap((j) => pieces.map(({ ring }) => mapRing(ring, ([x, y]) => [x + i * a[0] + j * b[0], y + i * a[1] + j * b[1]]))),
  );
};

function toSegment(p: Point, from: Point, to: Point): number {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const share = Math.min(1, Math.max(0, ((p[0] - from[0]) * dx + (p[1] - from[1]) * dy) / (dx * dx + dy * dy)));
  return distance(p, [from[0] + share * dx, from[1] + share * dy]);
}
const toRing = (p: Point, ring: Ring): number => Math.min(...ring.map((from, k) => toSegment(p, from, ring[(k + 1) % ring.length])));

/** Positions along every side of a piece, its corners left out. */
const along = (ring: Ring): Point[] =>
  ring.flatMap((from, k) => {
    const to = ring[(k + 1) % ring.length];
    const shares = distance(from, to) > 20 ? [0.03, 0.21, 0.5, 0.77] : [0.5];
    return shares.map((share): Point => [from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])]);
  });

/** Arcs are stood for by chords. */
const ARC_MM = 0.07;

/** By how many joints gaps may widen: rounds touch in one place only, scallops and lanterns lose thin points. */
const WIDEST: Partial<Record<PatternId, number>> = { pennyRound: Infinity, scallop: Infinity, arabesque: Math.SQRT2 };

describe.each(kinds)('%s', (id, pattern) => {
  test.each([1.5, 3, 10])('with a joint of %p mm: neighbours are that far apart everywhere, and nothing overlaps', (jointMm) => {
    const module = trialModule(pattern, jointMm);
    expect(misfitOf(pattern, module)).toBeNull();
    const repeat = repeatOf(pattern, module);
    const all = around(repeat);
    for (const { ring } of repeat.pieces) {
      const box = boxOf(ring);
      const near = all.filter((other) => {
        const there = boxOf(other);
        const apart = Math.max(there.minX - box.maxX, box.minX - there.maxX, there.minY - box.maxY, box.minY - there.maxY);
        return (
          apart < 3 * jointMm && other.some(([x, y], k) => Math.hypot(x - ring[k % ring.length][0], y - ring[k % ring.length][1]) > 1e-9)
        );
      });
      const gaps = along(ring).map((p) => Math.min(...near.map((other) => toRing(p, other))));
      expect(Math.min(...gaps)).toBeGreaterThan(jointMm - ARC_MM);
      // A side that faces an end joint looks past its two corners: half a joint across, one joint away.
      expect(Math.max(...gaps)).toBeLessThan(jointMm * (WIDEST[id] ?? Math.hypot(1, 0.5)) + ARC_MM);
      expect(Math.min(...gaps)).toBeLessThan(jointMm + ARC_MM);
    }
    for (const { ring } of repeat.pieces) expect(all.filter((other) => sharedArea([[ring]], [[other]]) > 1)).toHaveLength(1);
  });

  test('pieces and joints make up the cell, counted over another cell than its own', () => {
    fc.assert(
      fc.property(fc.integer({ min: -200, max: 200 }), fc.integer({ min: -200, max: 200 }), (x, y) => {
        const repeat = repeatOf(pattern, trialModule(pattern, 3));
        const [a, b] = repeat.vectors;
        const corners: Ring = [
          [x, y],
          [x + a[0], y + a[1]],
          [x + a[0] + b[0], y + a[1] + b[1]],
          [x + b[0], y + b[1]],
        ];
        const cell = ringArea(corners) > 0 ? corners : [...corners].reverse();
        const pieces = repeat.pieces.reduce((sum, { ring }) => sum + ringArea(ring), 0);
        expect(
          sharedArea(
            around(repeat).map((ring) => [ring]),
            [[cell]],
          ),
        ).toBeCloseTo(pieces, -1);
        expect(pieces).toBeLessThan(cellArea(repeat));
      }),
      { numRuns: 5 },
    );
  });

  test('is made alike each time; turned, mirrored and turned back it is the same', () => {
    const module = trialModule(pattern, 3);
    const repeat = repeatOf(pattern, module);
    expect(repeatOf(pattern, module)).toEqual(repeat);
    fc.assert(
      fc.property(fc.double({ min: -360, max: 360, noNaN: true }), fc.boolean(), (turnDeg, mirrored) => {
        const there = turnRepeat(repeat, turnDeg, mirrored);
        const back = turnRepeat(there, mirrored ? turnDeg : -turnDeg, mirrored);
        back.pieces.forEach(({ ring }, k) => expect(Math.max(...ring.map((p) => toRing(p, repeat.pieces[k].ring)))).toBeLessThan(1e-6));
        there.pieces.forEach(({ ring, corner, turnDeg: turn }, k) => {
          expect(ringArea(ring)).toBeCloseTo(ringArea(repeat.pieces[k].ring), 3);
          // The tile's own box begins at its corner: every position of the piece lies right of and above it.
          const box = boxOf(mapRing(ring, motion(turn, corner).unturn));
          expect(Math.max(Math.abs(box.minX), Math.abs(box.minY))).toBeLessThan(1e-6);
        });
      }),
      { numRuns: 10 },
    );
  });
});

describe('figures of the trade', () => {
  const share = (pattern: Pattern, module: Module): string => (100 * jointShare(repeatOf(pattern, module))).toFixed(3);

  test('hexagon of 200 across the flats with 3 mm: 2.934 %, 28.0206 to the square metre', () => {
    const module: Module = { widthMm: 200, heightMm: 400 / Math.sqrt(3), jointMm: 3, shape: { kind: 'hexagon', tipMm: null } };
    for (const lay of ['lying', 'upright'] as const) {
      expect(share({ kind: 'hexagon', lay }, module)).toBe('2.934');
      expect((1e6 / cellArea(repeatOf({ kind: 'hexagon', lay }, module))).toFixed(4)).toBe('28.0206');
    }
  });

  test('octagon of 150 with corners of 44 and 3 mm: the dot that fits is 60.468, 4.804 %; one of 60 has joints of 3.234', () => {
    const pattern: Pattern = { kind: 'octagonDot' };
    const module: Module = { widthMm: 150, heightMm: 150, jointMm: 3, shape: { kind: 'octagon', cornerMm: 44 } };
    expect(partsOf(pattern, module)['dot'].widthMm.toFixed(3)).toBe('60.468');
    expect(share(pattern, module)).toBe('4.804');
    expect(innerJointOf(pattern, { ...module, parts: { dot: { widthMm: 60, heightMm: 60 } } })?.toFixed(3)).toBe('3.234');
    expect(innerJointOf(pattern, module)).toBeCloseTo(3, 9);
  });

  test('herringbone 400 x 100 with 3 mm: 3.635 %, single or double, lying or upright, whichever side is named first', () => {
    for (const strips of [1, 2] as const)
      for (const lay of ['lying', 'upright'] as const) {
        expect(share({ kind: 'herringbone', lay, strips }, { widthMm: 400, heightMm: 100, jointMm: 3 })).toBe('3.635');
        expect(share({ kind: 'herringbone', lay, strips }, { widthMm: 100, heightMm: 400, jointMm: 3 })).toBe('3.635');
      }
  });

  test('basket weave of three strips 300 x 98 with 3 mm: 3.931 %', () => {
    expect(share({ kind: 'basketWeave', lay: 'lying', strips: 3 }, { widthMm: 300, heightMm: 98, jointMm: 3 })).toBe('3.931');
  });

  test('a lantern laid measures what its carton says, whatever the joint; its cell has the area of a rhombus', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 60, max: 300 }),
        fc.integer({ min: 60, max: 300 }),
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        (widthMm, heightMm, swell) => {
          const repeat = repeatOf(
            { kind: 'arabesque', lay: 'upright' },
            { widthMm, heightMm, jointMm: 2, shape: { kind: 'lantern', swell } },
          );
          const { minX, minY, maxX, maxY } = boxOf(repeat.pieces[0].ring);
          expect(Math.hypot(maxX - minX - widthMm, maxY - minY - heightMm)).toBeLessThan(0.01);
          expect(ringArea(repeat.pieces[0].ring)).toBeLessThan(cellArea(repeat));
        },
      ),
      { numRuns: 20 },
    );
  });
});

test('a tile that a pattern can not lay is told why', () => {
  const rectangle = (widthMm: number, heightMm: number): Module => ({ widthMm, heightMm, jointMm: 3 });
  expect(misfitOf({ kind: 'basketWeave', lay: 'lying', strips: 2 }, rectangle(150, 148))).toBe('tooSquare');
  expect(misfitOf({ kind: 'pinwheel' }, rectangle(300, 150))).toBe('notSquare');
  expect(misfitOf({ kind: 'hexagon', lay: 'upright' }, rectangle(300, 300))).toBe('otherOutline');
  expect(misfitOf({ kind: 'cubes' }, { ...rectangle(100, 150), shape: { kind: 'diamond' } })).toBe('notSixtyDegrees');
  expect(misfitOf({ kind: 'octagonDot' }, { ...rectangle(100, 100), shape: { kind: 'octagon', cornerMm: 50 } })).toBe('cornersTooLarge');
  for (const tipMm of [45, 60])
    expect(misfitOf({ kind: 'hexagon', lay: 'lying' }, { ...rectangle(200, 90), shape: { kind: 'hexagon', tipMm } })).toBe('pointsTooLong');
});

test('a piece is found again in its own frame', () => {
  const ring: Ring = [
    [10, 0],
    [30, 0],
    [20, 15],
  ];
  expect(tilePiece(ring).corner).toEqual([10, 0]);
});
