import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { sharedArea } from '../../geometry/clip.ts';
import { circleRing } from '../../geometry/circleRing.ts';
import {
  boxOf,
  isInside,
  mapPolygon,
  polygonArea,
  polygonsArea,
  rectangleRing,
  ringLength,
  type Polygon,
  type Ring,
} from '../../geometry/ring.ts';
import { difference } from '../../geometry/clip.ts';
import { LEAST_CUT_MM } from '../../geometry/conventions.ts';
import { distanceToStretch } from '../../geometry/distanceToStretch.ts';
import { labelPoint } from '../../geometry/labelPoint.ts';
import type { Point } from '../../geometry/point.ts';
import { innerJointOf, misfitOf, PATTERNS, repeatOf, type Pattern } from '../../pattern/registry.ts';
import { trialModule } from '../../pattern/trialModule.ts';
import { planSurface } from '../../plan.ts';
import { trialJob } from '../../samples/trialJob.ts';
import { addressAt } from './addressAt.ts';
import { forEachWhole, tileRing, type Address, type Layout } from './layout.ts';
import { laidPolygons, nextPiece } from './nextPiece.ts';
import { placeRepeat } from './placeRepeat.ts';
import { trials } from '../../../testing/trials.ts';

/** A skew room with a column and a pipe in it. */
const skewRegion = (lean: number, pipe: number): Polygon[] =>
  difference(
    [
      [
        [
          [0, 0],
          [3100, lean],
          [2950, 2300 + lean],
          [-80, 2210],
        ],
      ],
    ],
    [[circleRing([900, 800], pipe)], [rectangleRing(1700, 900, 333, 210)]],
  );

/** Every registered kind with its defaults, and the parameters that matter. */
const patterns: fc.Arbitrary<Pattern> = fc.oneof(
  fc.constantFrom(...Object.values(PATTERNS).map(({ defaults }): Pattern => defaults)),
  fc.record({
    kind: fc.constant('herringbone' as const),
    lay: fc.constantFrom('lying' as const, 'upright' as const),
    strips: fc.constantFrom(1 as const, 2 as const),
  }),
  fc.record({
    kind: fc.constant('basketWeave' as const),
    lay: fc.constantFrom('lying' as const, 'upright' as const),
    strips: fc.constantFrom(2, 3, 4),
  }),
  fc.record({ kind: fc.constant('stack' as const), lay: fc.constantFrom('lying' as const, 'upright' as const) }),
  fc.record({
    kind: fc.constant('runningBond' as const),
    lay: fc.constantFrom('lying' as const, 'upright' as const),
    offset: fc.double({ min: 0.05, max: 0.95, noNaN: true }),
    step: fc.constantFrom('alternating' as const, 'stepped' as const),
  }),
);

const setting = fc
  .record({
    pattern: patterns,
    widthMm: fc.integer({ min: 140, max: 700 }),
    heightMm: fc.integer({ min: 110, max: 400 }),
    jointMm: fc.constantFrom(0, 1.5, 3, 10),
    lean: fc.integer({ min: -150, max: 150 }),
    pipe: fc.integer({ min: 8, max: 160 }),
    turnDeg: fc.constantFrom(0, 0, 33, 45, 90),
    x: fc.integer({ min: -900, max: 900 }),
    y: fc.integer({ min: -900, max: 900 }),
  })
  // A weave of strips that don't fit is refused before it is laid.
  .map((s) =>
    PATTERNS[s.pattern.kind].takes[0] === 'rectangle' && misfitOf(s.pattern, s) === null
      ? s
      : { ...s, ...trialModule(s.pattern, s.jointMm) },
  )
  .filter((s) => (innerJointOf(s.pattern, s) ?? 0) >= 0);
/** Off every whole millimetre, so that no point lies on an edge. */
const somewhere = fc
  .tuple(fc.integer({ min: 3, max: 2900 }), fc.integer({ min: 3, max: 2200 }))
  .map(([x, y]): Point => [x + 0.37, y + 0.41]);

type Setting = typeof setting extends fc.Arbitrary<infer S> ? S : never;

const lay = (s: Setting, move: Point = [0, 0]): { region: Polygon[]; layout: Layout } => {
  const region = skewRegion(s.lean, s.pipe).map((polygon) => mapPolygon(polygon, ([x, y]) => [x + move[0], y + move[1]]));
  return { region, layout: placeRepeat(region, repeatOf(s.pattern, s), { origin: [s.x + move[0], s.y + move[1]], turnDeg: s.turnDeg }) };
};

const wholeRings = (layout: Layout): Ring[] => {
  const rings: Ring[] = [];
  forEachWhole(layout, (address) => rings.push(tileRing(layout, address)));
  return rings;
};

const laidArea = (layout: Layout): number =>
  wholeRings(layout).reduce((sum, ring) => sum + polygonArea([ring]), 0) +
  layout.cutTiles.reduce((sum, { polygons }) => sum + polygonsArea(polygons), 0);

/** The slow way: every tile near the region clipped by the library. */
function clipAll(s: Setting, region: readonly Polygon[], layout: Layout): number {
  const reach = 5_500 / Math.min(s.widthMm, s.heightMm);
  let area = 0;
  layout.repeat.pieces.forEach((_, piece) => {
    for (let j = -reach; j <= reach; j++)
      for (let i = -reach; i <= reach; i++) {
        const ring = tileRing(layout, { piece, i: Math.round(i), j: Math.round(j) });
        if (ring.some(([x, y]) => x > -800 && x < 3800 && y > -900 && y < 3200)) area += sharedArea([[ring]], region);
      }
  });
  return area;
}

/** Tiles are not cut for less than half a millimetre: along the boundary, what is laid may reach so far over it. */
const overBoundary = (region: readonly Polygon[]): number => LEAST_CUT_MM * region.flat().reduce((sum, ring) => sum + ringLength(ring), 0);
const isNearBoundary = (p: Point, region: readonly Polygon[]): boolean =>
  region.flat().some((ring) => ring.some((from, k) => distanceToStretch(p, from, ring[(k + 1) % ring.length]) < 2 * LEAST_CUT_MM));

describe('laying a repeat over a skew region with holes', () => {
  test('agrees with clipping every tile', () => {
    fc.assert(
      fc.property(setting, (s) => {
        const { region, layout } = lay(s);
        const over = laidArea(layout) + polygonsArea(layout.dropped) - clipAll(s, region, layout);
        expect(over).toBeGreaterThan(-5);
        expect(over).toBeLessThan(overBoundary(region));
      }),
      { numRuns: trials(12) },
    );
  });

  test('every point is in one piece or in a joint, and none in two', () => {
    fc.assert(
      fc.property(setting, fc.array(somewhere, { minLength: 60, maxLength: 60 }), (s, points) => {
        const { region, layout } = lay(s);
        const pieces: Polygon[] = [...wholeRings(layout).map((ring) => [ring]), ...layout.cutTiles.flatMap(({ polygons }) => polygons)];
        const holders = points
          .filter((p) => isInside(p, region) && !isNearBoundary(p, region))
          .map((p) => pieces.filter((piece) => isInside(p, [piece])).length);
        expect(holders.filter((count) => count > 1)).toEqual([]);
        if (s.jointMm === 0 && layout.dropped.length === 0 && !innerJointOf(s.pattern, s))
          expect(holders.every((count) => count === 1)).toBe(true);
        for (const piece of pieces) {
          const outside = polygonArea(piece) - sharedArea([piece], region);
          expect(outside).toBeLessThan(1 + LEAST_CUT_MM * ringLength(piece[0]));
        }
      }),
      { numRuns: trials(15) },
    );
  });

  test('does not depend on where the origin of coordinates lies', () => {
    fc.assert(
      fc.property(setting, fc.tuple(fc.integer({ min: -9000, max: 9000 }), fc.integer({ min: -9000, max: 9000 })), (s, move) => {
        const [here, there] = [lay(s).layout, lay(s, move).layout];
        expect(there.wholeCount).toBe(here.wholeCount);
        expect(there.cutTiles.length).toBe(here.cutTiles.length);
        expect(laidArea(there)).toBeCloseTo(laidArea(here), -1);
      }),
      { numRuns: trials(40) },
    );
  });
});

test('a wall that runs in a joint cuts nothing', () => {
  const repeat = repeatOf({ kind: 'stack', lay: 'lying' }, { widthMm: 300, heightMm: 300, jointMm: 4 });
  const layout = placeRepeat([[rectangleRing(-2, -1, 2 * 304, 304)]], repeat, { origin: [0, 0], turnDeg: 0 });
  expect([layout.wholeCount, layout.cutTiles.length]).toEqual([2, 0]);
});

test.each(['stack', 'runningBond', 'hexagon', 'herringbone', 'octagonDot'] as const)(
  '%s: from any tile one comes to a neighbour each way, and from it back',
  (kind) => {
    // So large that the middle has neighbours all round.
    const job = trialJob(PATTERNS[kind].defaults as Pattern, 3);
    const { layout, traced } = planSurface(job, job.surfaces[0]);
    const middle = { ...addressNear(layout, traced.region) };
    for (const way of [
      [1, 0],
      [0, 1],
      [-1, 0],
      [0, -1],
    ] as const) {
      const next = nextPiece(layout, middle, way);
      expect(next).not.toBeNull();
      if (!next) continue;
      expect(next).not.toEqual(middle);
      const [here, there] = [middle, next].map((one) => labelPoint(laidPolygons(layout, one)[0]));
      // It lies that way, and no further than the two are large.
      const along = (there[0] - here[0]) * way[0] + (there[1] - here[1]) * way[1];
      expect(along).toBeGreaterThan(0);
      const box = boxOf([...laidPolygons(layout, middle)[0][0], ...laidPolygons(layout, next)[0][0]]);
      expect(along).toBeLessThan(Math.hypot(box.maxX - box.minX, box.maxY - box.minY));
      expect(nextPiece(layout, next, [-way[0], -way[1]])).not.toEqual(next);
    }
  },
);

/** A tile near the middle of a region. */
function addressNear(layout: Layout, region: readonly Polygon[]): Address {
  const { minX, minY, maxX, maxY } = boxOf(region[0][0]);
  for (let off = -400; off < 400; off += 7) {
    const found = addressAt(layout, [(minX + maxX) / 2 + off, (minY + maxY) / 2 + off / 3]);
    if (found) return found;
  }
  throw new Error('no tile near the middle');
}
