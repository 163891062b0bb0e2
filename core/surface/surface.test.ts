import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { polygonsArea } from '../geometry/ring.ts';
import { checkMeasured } from './checkMeasured.ts';
import { DEFAULT_GAPS, EDGE_ROLES } from './edge.ts';
import { startMeasured } from '../job/startJob.ts';
import { fixtureRing, lineOfEdge, measuresAt, placeFixture, type Fixture, type MeasuringLine } from './fixture.ts';
import { wallsThrough } from './shapes/asWalls.ts';
import type { Point } from '../geometry/point.ts';
import { checkShape, outlineOf, SHAPES, shapeSchema } from './shapes/registry.ts';
import type { Measured } from './surface.ts';
import { traceSurface } from './traceSurface.ts';

const room = (over: Partial<Measured> = {}): Measured => ({
  ...startMeasured({ kind: 'rectangle', widthMm: 2640, heightMm: 1985 }),
  ...over,
});
const tray: Fixture = {
  id: 'f',
  name: 'Tray',
  outline: { kind: 'rectangle', widthMm: 900, heightMm: 800 },
  kind: 'cutOut',
  cover: null,
  from: [
    { edge: 'left', mm: 0 },
    { edge: 'top', mm: 0 },
  ],
  tiledUnder: false,
  clearanceMm: 5,
};
const pipe: Fixture = {
  id: 'p',
  name: 'Pipe',
  outline: { kind: 'round', diameterMm: 110 },
  kind: 'cutOut',
  cover: null,
  from: [
    { edge: 'right', mm: 420 },
    { edge: 'top', mm: 510 },
  ],
  tiledUnder: false,
  clearanceMm: 5,
};
const area = (measured: Measured): number => polygonsArea(traceSurface(measured).region);

describe('where tile may lie', () => {
  test('a tray in the corner, a pipe and a door, by closed formulas', () => {
    const body = 2630 * 1975;
    expect(area(room())).toBeCloseTo(body, 3);
    expect(area(room({ fixtures: [tray] }))).toBeCloseTo(body - 900 * 800, 3);
    expect(area(room({ fixtures: [pipe] }))).toBeCloseTo(body - Math.PI * 60 * 60, 0);
    expect(area(room({ fixtures: [{ ...tray, tiledUnder: true }] }))).toBeCloseTo(body, 3);
    const door = { id: 'door', edge: 'bottom', fromStartMm: 1460, widthMm: 780, depthMm: 60 };
    expect(area(room({ doorways: [door] }))).toBeCloseTo(body + (780 - 10) * 60, 3);
  });

  test('gaps follow the role of each edge', () => {
    const gapsMm = { ...DEFAULT_GAPS, wall: 4, focal: 6, hidden: 8, exposed: 1, threshold: 3 };
    const { limits } = traceSurface(room({ gapsMm, roles: { left: 'focal', right: 'exposed', top: 'hidden' } }));
    expect(limits).toEqual({ minX: 6, minY: 4, maxX: 2639, maxY: 1977 });
  });

  test('a fixture is where it is, whichever sides it is measured from', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1700 }), fc.integer({ min: 0, max: 1100 }), fc.boolean(), (x, y, round) => {
        const outline: Fixture['outline'] = round ? { kind: 'round', diameterMm: 200 } : { kind: 'rectangle', widthMm: 900, heightMm: 800 };
        const [w, h] = round ? [0, 0] : [900, 800];
        const near: Fixture = {
          ...tray,
          outline,
          kind: 'cutOut',
          cover: null,
          from: [
            { edge: 'left', mm: x },
            { edge: 'bottom', mm: y },
          ],
        };
        const far: Fixture = {
          ...near,
          kind: 'cutOut',
          cover: null,
          from: [
            { edge: 'right', mm: 2640 - x - w },
            { edge: 'top', mm: 1985 - y - h },
          ],
        };
        const [a, b] = [near, far].map((fixture) => traceSurface(room({ fixtures: [fixture] })).fixtures[0].ring);
        a.forEach((p, k) => expect(Math.hypot(p[0] - b[k][0], p[1] - b[k][1])).toBeLessThan(1e-9));
      }),
    );
  });

  test('a doorway opens any edge, its outer end a threshold', () => {
    for (const edge of ['bottom', 'right', 'top', 'left']) {
      const { edges } = traceSurface(room({ doorways: [{ id: 'd', edge, fromStartMm: 300, widthMm: 700, depthMm: 90 }] }));
      expect(edges.filter(({ id }) => id === edge)).toHaveLength(2);
      expect(edges.find(({ id }) => id === 'd')).toMatchObject({ role: 'threshold', gapMm: DEFAULT_GAPS.threshold });
      expect(edges).toHaveLength(8);
    }
  });
});

describe('what can not be', () => {
  const codes = (over: Partial<Measured>): string[] => checkMeasured(room(over)).map(({ code, path }) => [code, ...path].join(' '));
  const door = { id: 'd', edge: 'bottom', fromStartMm: 300, widthMm: 700, depthMm: 90 };
  test.each<[string, Partial<Measured>, string[]]>([
    [
      'a fixture over an edge',
      { fixtures: [{ ...tray, from: [{ edge: 'left', mm: 1800 }, tray.from[1]] }] },
      ['fixture/outside fixtures 0 from 0 mm'],
    ],
    [
      'a fixture above the top',
      { fixtures: [{ ...tray, from: [tray.from[0], { edge: 'top', mm: 1300 }] }] },
      ['fixture/outside fixtures 0 from 1 mm'],
    ],
    [
      'a fixture that is everything',
      { fixtures: [{ ...tray, outline: { kind: 'rectangle', widthMm: 2640, heightMm: 1985 } }] },
      ['surface/fixtures-leave-nothing fixtures'],
    ],
    ['a gap over half', { gapsMm: { ...DEFAULT_GAPS, wall: 1000 } }, ['surface/gaps-leave-nothing gapsMm']],
    ['a door in no edge', { doorways: [{ ...door, edge: 'north' }] }, ['surface/no-such-edge doorways 0 edge']],
    ['a door past the corner', { doorways: [{ ...door, fromStartMm: 2000 }] }, ['doorway/outside doorways 0 fromStartMm']],
    ['two doors in one place', { doorways: [door, { ...door, id: 'e', fromStartMm: 900 }] }, ['doorway/overlap doorways 1 fromStartMm']],
    [
      'two fixtures in one place',
      {
        fixtures: [
          tray,
          {
            ...pipe,
            from: [
              { edge: 'left', mm: 900 },
              { edge: 'top', mm: 400 },
            ],
          },
        ],
      },
      ['fixture/overlap fixtures 1 from 0 mm'],
    ],
    [
      'one of them tiled under',
      {
        fixtures: [
          { ...tray, tiledUnder: true },
          {
            ...pipe,
            from: [
              { edge: 'left', mm: 900 },
              { edge: 'top', mm: 400 },
            ],
          },
        ],
      },
      [],
    ],
    [
      'a fixture between edges that run the same way',
      { fixtures: [{ ...tray, from: [tray.from[0], { edge: 'right', mm: 10 }] }] },
      ['fixture/parallel-edges fixtures 0 from 1 edge'],
    ],
    [
      'a fixture from no edge',
      { fixtures: [{ ...tray, from: [tray.from[0], { edge: 'sky', mm: 10 }] }] },
      ['surface/no-such-edge fixtures 0 from 1 edge'],
    ],
    [
      'a cut-out that can not be',
      {
        fixtures: [
          {
            ...tray,
            outline: {
              kind: 'shape',
              shape: { kind: 'lShape', widthMm: 500, heightMm: 400, missingWidthMm: 600, missingHeightMm: 100, missing: 'top-left' },
            },
          },
        ],
      },
      ['shape/part-too-long fixtures 0 outline shape missingWidthMm'],
    ],
    [
      'a base read beyond its edge',
      {
        base: {
          edge: 'bottom',
          readings: [
            { alongMm: 0, downMm: 900 },
            { alongMm: 2700, downMm: 900 },
          ],
        },
      },
      ['base/outside base readings 1 alongMm'],
    ],
    ['nothing wrong', { doorways: [door, { ...door, id: 'e', fromStartMm: 1000 }], fixtures: [tray, pipe] }, []],
  ])('%s', (_, over, expected) => expect(codes(over)).toEqual(expected));
});

test.each(Object.entries(SHAPES))('%s: its defaults read back, its corners run counter-clockwise, each with an edge', (id, kind) => {
  expect(shapeSchema.parse(kind.defaults)).toEqual(kind.defaults);
  const { ring, edgeIds } = outlineOf(kind.defaults);
  expect(checkShape(kind.defaults)).toEqual([]);
  expect([kind.id, edgeIds.length, new Set(edgeIds).size]).toEqual([id, ring.length, ring.length]);
  expect(polygonsArea([[ring]])).toBeGreaterThan(0);
});

test('every role has a gap', () => expect(Object.keys(DEFAULT_GAPS).sort()).toEqual([...EDGE_ROLES].sort()));

describe('a fixture in a room out of square', () => {
  const skew = wallsThrough(
    [
      [0, 0],
      [3200, 0],
      [3260, 2450],
      [-40, 2380],
    ],
    ['a', 'b', 'c', 'd'].map((id) => ({ id, name: '', curve: null })),
  );
  const lineOf = (id: string): MeasuringLine => {
    const { ring, edgeIds } = outlineOf(skew);
    const line = lineOfEdge(ring, edgeIds, id);
    if (!line) throw new Error(`no such edge: ${id}`);
    return line;
  };
  const awayFrom = ({ from, to }: MeasuringLine, p: Point): number =>
    ((to[0] - from[0]) * (p[1] - from[1]) - (to[1] - from[1]) * (p[0] - from[0])) / Math.hypot(to[0] - from[0], to[1] - from[1]);

  test('stands square to its first edge, as far from both as was measured, and leads back to its measures', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(['b', 'c'] as const, ['c', 'd'] as const, ['d', 'a'] as const, ['c', 'b'] as const),
        fc.integer({ min: 0, max: 900 }),
        fc.integer({ min: 0, max: 900 }),
        ([first, second], one, two) => {
          const lines = [lineOf(first), lineOf(second)] as const;
          const fixture: Fixture = {
            ...tray,
            from: [
              { edge: first, mm: one },
              { edge: second, mm: two },
            ],
          };
          const place = placeFixture(fixture, [lines[0], lines[1]]);
          if (!place) throw new Error('these edges meet');
          const ring = fixtureRing(fixture, place);
          expect(Math.min(...ring.map((p) => awayFrom(lines[0], p)))).toBeCloseTo(one, 6);
          expect(Math.min(...ring.map((p) => awayFrom(lines[1], p)))).toBeCloseTo(two, 6);
          const side = ring.map((p, k) => awayFrom(lines[0], p) - awayFrom(lines[0], ring[(k + 1) % 4]));
          expect(side.filter((mm) => Math.abs(mm) < 1e-6)).toHaveLength(2);
          expect(measuresAt(fixture, [lines[0], lines[1]], place.centre).map((mm) => Math.round(mm * 1e6) / 1e6)).toEqual([one, two]);
        },
      ),
    );
  });
});
